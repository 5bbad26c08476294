import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { PARTS, rulebookSchema, SITUATIONS, type Rulebook, type RulebookDraft } from '#core/rules/book';
import { caughtAs } from '#core/rules/caught';
import { holdsDay, isMonthDay, nextOn, overlap } from '#core/rules/dates';
import { SLATE_PROVINCE, TARN_DISTRICT } from '#core/rules/examples';
import { PART_FORMS } from '#core/rules/fields';
import { broken, checkRuleOf, judge, type Answer, type Stand } from '#core/rules/judge';
import { makingHours, nextOpening, seasonAt, type Day } from '#core/rules/seasons';
import { awayFrom, standOf } from '#core/rules/stand';
import { sampleDesign } from '#core/sets/sample';
import { setTypeOf } from '#core/sets/catalogue';
import { deadlineAfter } from '#core/time/deadline';
import { moved, type Position } from '#core/ground/geodesic';
import { inches } from '#core/units/factors';
import { answerText } from '#core/words/rules';
import { ruleLine } from '#core/words/ruleLines';

/** Rulebooks: the two invented jurisdictions, their seasons and intervals reckoned by hand. */
const tarn = rulebookSchema.parse(TARN_DISTRICT);
const slate = rulebookSchema.parse(SLATE_PROVINCE);
const day = (date: string, time = '12:00', area = ''): Day => ({ date, time, area });
const plain: RulebookDraft = { schema: 1, jurisdiction: 'x' };
const faults = (draft: object): string[] => {
  const read = rulebookSchema.safeParse({ ...plain, ...draft });
  return read.success ? [] : read.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`);
};
const reader = { system: 'us' as const, date: (d: string) => d, time: (t: string) => t, day: (d: string) => d };

describe('a day of the year', () => {
  it('exists or not: no 30 February, no month 13, a leap day does', () => {
    assert.deepEqual(['02-29', '02-30', '13-01', '00-10', '11-31', '12-31'].map(isMonthDay), [true, false, false, false, false, true]);
  });
  it('lies in a span over the turn of the year, its ends with it', () => {
    const winter = { opens: '11-01', closes: '02-28' };
    assert.deepEqual(
      ['10-31', '11-01', '12-31', '01-01', '02-28', '03-01'].map((d) => holdsDay(winter, d)),
      [false, true, true, true, true, false],
    );
  });
  const anyDay = fc.integer({ min: 0, max: 364 }).map((n) => DateTime.fromISO('2027-01-01').plus({ days: n }).toFormat('MM-dd'));
  it('overlap is the same both ways, and means a day in both', () => {
    const span = fc.record({ opens: anyDay, closes: anyDay });
    const all = Array.from({ length: 365 }, (_, n) => DateTime.fromISO('2027-01-01').plus({ days: n }).toFormat('MM-dd'));
    fc.assert(
      fc.property(span, span, (a, b) => {
        assert.equal(overlap(a, b), overlap(b, a));
        assert.equal(
          overlap(a, b),
          all.some((d) => holdsDay(a, d) && holdsDay(b, d)),
        );
      }),
      { numRuns: 60 },
    );
  });
  it('comes next within a year, on that day and not before', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 0, max: 3000 }), (d, n) => {
        const from = DateTime.fromISO('2024-01-01').plus({ days: n }).toISODate() ?? '';
        const next = nextOn(d, from);
        assert.ok(next >= from && next.endsWith(d));
        assert.ok(DateTime.fromISO(next).diff(DateTime.fromISO(from), 'days').days <= 366);
      }),
    );
  });
  it('a leap day comes on 1 March of a year that has none', () =>
    assert.deepEqual(
      ['2026-03-01', '2026-03-02', '2027-03-02'].map((from) => nextOn('02-29', from)),
      ['2026-03-01', '2027-03-01', '2028-02-29'],
    ));
});

describe('a season', () => {
  it('opens at its hour on the first day only', () => {
    assert.equal(seasonAt(tarn, 'beaver', day('2026-10-15', '06:59')).is, 'closed');
    assert.equal(seasonAt(tarn, 'beaver', day('2026-10-15', '07:00')).is, 'open');
    assert.equal(seasonAt(tarn, 'beaver', day('2026-10-16', '00:00')).is, 'open');
  });
  it('closed a week early names the day on which it opens', () => {
    assert.deepEqual(seasonAt(slate, 'muskrat', day('2026-11-18')), {
      is: 'closed',
      rule: 'muskrat',
      because: '',
      opens: { date: '2026-11-25', from: null },
    });
  });
  it('differs by area', () => {
    assert.equal(seasonAt(slate, 'beaver', day('2026-10-20', '12:00', 'north')).is, 'open');
    assert.deepEqual(nextOpening(slate, 'beaver', day('2026-10-20', '12:00', 'south')), { date: '2026-11-10', from: null });
  });
  it('with hours of the day is open between them alone', () => {
    assert.deepEqual(
      ['04:59', '05:00', '21:00', '21:01'].map((t) => seasonAt(slate, 'mink', day('2026-12-01', t)).is),
      ['closed', 'open', 'open', 'closed'],
    );
    assert.deepEqual(nextOpening(slate, 'mink', day('2026-12-01', '04:00')), { date: '2026-12-01', from: '05:00' });
  });
  it('is closed while a closure holds, and opens after it', () => {
    const closed = seasonAt(tarn, 'otter', day('2026-12-10'));
    assert.deepEqual(closed, {
      is: 'closed',
      rule: 'closed-otter',
      because: 'few were counted',
      opens: { date: '2028-12-01', from: null },
    });
    assert.equal(seasonAt(tarn, 'otter', day('2028-12-10')).is, 'open');
  });
  it('that ends in the middle of a closure opens the day after it', () => {
    const book = {
      seasons: tarn.seasons,
      closures: [{ id: 'c', said: '', species: 'mink' as const, area: '', from: '2026-11-01', until: '2026-12-24', because: '' }],
    };
    assert.deepEqual(nextOpening(book, 'mink', day('2026-11-20')), { date: '2026-12-25', from: null });
  });
  it('until further notice names no opening', () => {
    const book = {
      seasons: tarn.seasons,
      closures: [{ id: 'c', said: '', species: 'mink' as const, area: '', from: '2026-11-01', until: null, because: '' }],
    };
    assert.equal(nextOpening(book, 'mink', day('2026-11-20')), null);
  });
  it('of an animal that the book does not name is neither open nor closed', () => {
    assert.deepEqual(seasonAt(slate, 'raccoon', day('2026-12-01')), { is: 'silent' });
  });
});

describe('a book that cannot be', () => {
  const season = { id: 'a', species: 'mink', opens: '11-01', closes: '01-31' };
  it('with overlapping seasons of one animal says which', () => {
    assert.match(
      faults({ seasons: [season, { ...season, id: 'b', opens: '01-15', closes: '02-28' }] }).join(),
      /seasons\.1\.opens: .*overlaps “a” \(11-01 to 01-31\)/,
    );
    assert.deepEqual(faults({ seasons: [season, { ...season, id: 'b', opens: '01-15', area: 'north' }] }), []);
  });
  for (const [what, draft, says] of [
    ['an unknown animal', { seasons: [{ ...season, species: 'wolverine' }] }, /seasons\.0\.species: An unknown species: there are beaver/],
    ['a day that does not exist', { seasons: [{ ...season, closes: '02-30' }] }, /seasons\.0\.closes: There is no such day/],
    [
      'a date that does not exist',
      { closures: [{ id: 'c', species: 'otter', from: '2026-02-29' }] },
      /closures\.0\.from: There is no such date/,
    ],
    [
      'a closure that ends before it begins',
      { closures: [{ id: 'c', species: 'otter', from: '2026-03-01', until: '2026-02-01' }] },
      /ends before it begins/,
    ],
    ['the schema of a later program', { schema: 2 }, /schema 2, of a later Zaprud/],
    ['a size that is not made', { devices: [{ id: 'd', class: 'bodyGrip', sizes: ['331'], least: 'fully under' }] }, /No such size/],
    ['two rules of one name', { dams: [{ id: 'a', opening: 'allowed' }], seasons: [season] }, /Two rules are called “a”/],
    ['a rule that it does not know', { hats: [] }, /hats|Unrecognized/],
  ] as const)
    it(`${what} is refused`, () => assert.match(faults(draft).join(' '), says));
});

const stand = (over: Partial<Stand> = {}): Stand => ({
  species: 'beaver',
  devices: [{ class: 'bodyGrip', size: '330' }],
  situation: 'fully under',
  day: day('2026-12-01'),
  loop: null,
  away: {},
  shows: null,
  opensDam: false,
  attested: [],
  ...over,
});
const said = (book: Rulebook, over: Partial<Stand>): string[] =>
  judge(book, stand(over)).map((a) => `${a.verdict} ${a.code} ${a.rule ?? '-'}`);
const has = (book: Rulebook, over: Partial<Stand>, line: string): void => {
  const all = said(book, over);
  assert.ok(all.includes(line), `no “${line}” in ${all.join('; ')}`);
};

describe('a set by its book', () => {
  const cases: [string, Rulebook, Partial<Stand>, string][] = [
    ['a 330 partly under is approved by the district', tarn, { situation: 'partly under' }, 'fits approved grip-large'],
    [
      'the same is too dry for the province',
      slate,
      { situation: 'partly under', day: day('2026-12-01', '12:00', 'south') },
      'breaks tooDry grips',
    ],
    ['a 330 on dry ground is against the district', tarn, { situation: 'on dry ground' }, 'breaks tooDry grip-large'],
    ['how it stands is asked, never taken from the place', tarn, { situation: null }, 'asks situationAsked grip-large'],
    ['a 120 may stand dry', tarn, { devices: [{ class: 'bodyGrip', size: '120' }], situation: null }, 'fits approved grip-small'],
    ['a 280 is not on the list of the province', slate, { devices: [{ class: 'bodyGrip', size: '280' }] }, 'breaks notApproved grips'],
    [
      'a snare for mink is not on the list',
      tarn,
      { species: 'mink', devices: [{ class: 'snare', size: '7×7 3/32' }] },
      'breaks notApproved snare',
    ],
    ['of an enclosed foothold the province is silent', slate, { devices: [{ class: 'enclosed', size: 'pull' }] }, 'silent deviceSilent -'],
    ['mostly under fails fully under while it shows at the lowest level forecast', slate, { shows: inches(1) }, 'breaks willShow grips'],
    ['and its own rule of submersion says so too', slate, { shows: inches(1) }, 'breaks showsLater grips-under'],
    ['nothing shows: it fits', slate, { shows: -inches(1) }, 'fits submersionFits grips-under'],
    ['a loop of 13 in is too large', tarn, { loop: { across: inches(13), stop: null, breakaway: null } }, 'breaks loopLarge loop'],
    ['a loop without its stop', slate, { loop: { across: inches(9), stop: false, breakaway: true } }, 'breaks loopWants loops'],
    ['of which nobody said is asked', slate, { loop: { across: inches(9), stop: null, breakaway: true } }, 'asks loopWants loops'],
    ['4 m from the lodge', slate, { away: { lodge: 4 } }, 'breaks tooNear from-lodge'],
    ['6 m from the lodge', slate, { away: { lodge: 6 } }, 'fits farEnough from-lodge'],
    ['a road that nobody measured is asked', slate, {}, 'asks distanceAsked from-road'],
    ['and told once somebody said so', slate, { attested: ['from-road'] }, 'told distanceAsked from-road'],
    ['a dam is opened with leave', tarn, { opensDam: true }, 'asks damLeave dam'],
    ['or not at all', slate, { opensDam: true }, 'breaks damForbidden no-dam'],
    ['what spares otter is asked of a set for beaver', tarn, {}, 'asks spare spare-otter'],
    ['an otter set in the closure', tarn, { species: 'otter' }, 'breaks closed closed-otter'],
  ];
  for (const [what, book, over, line] of cases) it(what, () => has(book, over, line));

  it('every answer of a book names one of its rules, and only silence has none', () => {
    const situation = fc.constantFrom(null, ...SITUATIONS);
    const device = fc.constantFrom(
      { class: 'bodyGrip' as const, size: '330' },
      { class: 'bodyGrip' as const, size: '110' },
      { class: 'foothold' as const, size: '5' },
      { class: 'snare' as const, size: '7×7 3/32' },
    );
    fc.assert(
      fc.property(
        situation,
        device,
        fc.constantFrom('beaver' as const, 'otter' as const, 'mink' as const),
        fc.boolean(),
        (s, d, species, opensDam) => {
          for (const book of [tarn, slate]) {
            const ids = PARTS.flatMap((p) => book[p].map((r) => r.id));
            for (const a of judge(book, stand({ situation: s, devices: [d], species, opensDam }))) {
              assert.equal(a.rule === null, a.verdict === 'silent', JSON.stringify(a));
              assert.ok(a.rule === null || ids.includes(a.rule));
              assert.doesNotMatch(answerText(a as never, reader), /\blegal|undefined|NaN/);
            }
          }
        },
      ),
    );
  });
  it('the wetter it stands, the less the list of approved traps stands against it', () => {
    const against = (book: Rulebook, situation: (typeof SITUATIONS)[number]): number =>
      broken(judge(book, stand({ situation }))).filter((a: Answer) => a.part === 'devices').length;
    for (const book of [tarn, slate])
      for (const [n, s] of SITUATIONS.slice(1).entries()) assert.ok(against(book, s) <= against(book, SITUATIONS[n] ?? s));
  });
});

describe('what the design answers of itself', () => {
  const facts = { day: day('2026-12-01'), away: {}, lowest: null as number | null };
  const built = (id: 'slide-snare' | 'lodge-run', choices: Record<string, string> = {}) => {
    const type = setTypeOf(id);
    const design = sampleDesign(type, undefined, 'us');
    return {
      species: 'beaver' as const,
      design,
      devices: [type.usual],
      choices,
      surface: 'pond' as const,
      then: { pond: 1 },
      situation: null,
      attested: [],
      opensDam: false,
    };
  };
  const place = (over: object) => ({ id: 'p', water: 'w', kind: 'run', along: 0, lat: null, lon: null, parent: null, ...over }) as never;
  it('a loop of 10 in with a stop', () => {
    const { loop } = standOf(built('slide-snare', { ends: 'stop' }), facts);
    assert.ok(Math.abs((loop?.across ?? 0) - inches(10)) < 1e-9);
    assert.deepEqual([loop?.stop, loop?.breakaway], [true, false]);
    assert.equal(standOf(built('slide-snare', { ends: 'unsaid' }), facts).loop?.stop, null);
  });
  it('a trap on the bed shows an inch more for every inch that the water falls', () => {
    const at = (lowest: number) => standOf(built('lodge-run'), { ...facts, lowest }).shows ?? NaN;
    assert.ok(Math.abs(at(0.9) - at(1) - 0.1) < 1e-9);
    assert.equal(standOf(built('lodge-run'), facts).shows, null);
  });
  it('the nearest lodge and dam of its own water, over the map where both are on it', () => {
    const others = [
      place({ id: 'l', kind: 'lodge', along: 30 }),
      place({ id: 'd', kind: 'dam', along: 200 }),
      place({ id: 'x', kind: 'lodge', water: 'other', along: 1 }),
    ];
    assert.deepEqual(awayFrom(place({ along: 10 }), others), { lodge: 20, dam: 190 });
    const [onMap] = [awayFrom(place({ lat: 45, lon: -90 }), [place({ id: 'l', kind: 'lodge', lat: 45.001, lon: -90 })])];
    assert.ok(Math.abs((onMap.lodge ?? 0) - 111.1) < 0.3, 'a thousandth of a degree of latitude is 111.1 m');
  });
  it('a drawn road too near breaks the rule; one farther off leaves the question, for another may lie nearer', () => {
    const at = place({ lat: 45, lon: -90 });
    const road = (off: number): Position[] => [0, 90].map((b) => moved(moved([-90, 45], 0, off), b, b === 0 ? 0 : 200));
    const far = (off: number) => awayFrom(at, [], [road(off)]).road ?? NaN;
    assert.ok(Math.abs(far(20) - 20) < 0.01);
    assert.deepEqual(awayFrom(place({ along: 10 }), [], [road(20)]), {});
    const book = { ...tarn, distances: [{ id: 'r', from: 'road' as const, least: 30, classes: [], said: '' }] };
    const said = (road: number) => judge(book, standOf(built('lodge-run'), { ...facts, away: { road } })).find((a) => a.rule === 'r')?.code;
    assert.deepEqual([said(20), said(40)], ['tooNear', 'distanceAsked']);
  });
});

describe('an interval of the book', () => {
  const line = { kind: 'elapsed', hours: 72 } as const;
  const of = (book: Rulebook | null, over: object = {}) =>
    checkRuleOf(book, line, { classes: ['bodyGrip'], situation: null, underIce: false, ...over });
  it('is that of the first rule that speaks of the set; else of the line', () => {
    assert.deepEqual(of(slate, { underIce: true }), { rule: 'ice-weekly', every: { kind: 'calendarDay', days: 7 } });
    assert.deepEqual(of(slate, { situation: 'fully under' }).rule, 'under-three-days');
    assert.deepEqual(of(slate).rule, 'daylight');
    assert.deepEqual(of(null), { rule: null, every: line });
    assert.deepEqual(of(rulebookSchema.parse(plain)), { rule: null, every: line });
  });
  it('over both clock changes: a calendar day ends at local midnight, elapsed hours are hours', () => {
    const [zone, place] = ['America/Chicago', { lat: 45, lon: -90 }];
    const after = (at: string, rule: Parameters<typeof deadlineAfter>[1]) => deadlineAfter(new Date(at), rule, zone, place).toISOString();
    // 1 November 2026 has 25 hours there, 14 March 2027 has 23; by hand
    assert.equal(after('2026-10-31T20:00:00Z', { kind: 'calendarDay', days: 1 }), '2026-11-02T06:00:00.000Z');
    assert.equal(after('2026-10-31T20:00:00Z', { kind: 'elapsed', hours: 24 }), '2026-11-01T20:00:00.000Z');
    assert.equal(after('2027-03-13T20:00:00Z', { kind: 'calendarDay', days: 1 }), '2027-03-15T05:00:00.000Z');
    assert.equal(after('2027-03-13T20:00:00Z', { kind: 'calendarDay', days: 7 }), '2027-03-21T05:00:00.000Z');
  });
});

describe('a catch by its book', () => {
  const at = new Date('2026-12-01T13:00:00Z');
  const of = (
    book: Rulebook,
    species: 'otter' | 'beaver' | 'mink' | 'raccoon',
    before = { inSeason: 0, onDay: 0 },
    d = day('2026-12-01', '07:00', 'south'),
  ) => caughtAs(book, { species, at, day: d, before });
  it('an otter in the closure is incidental: told to the office within 24 hours', () => {
    const as = of(tarn, 'otter');
    assert.deepEqual([as.is, as.because, as.rule], ['incidental', 'closed', 'closed-otter']);
    assert.deepEqual(
      as.duties.map((d) => [d.rule, d.whom, d.by.toISOString()]),
      [['tell-incidental', 'the district office', '2026-12-02T13:00:00.000Z']],
    );
  });
  it('in season it is ordinary, with its tag, its count and who is told of every one', () => {
    const as = of(slate, 'otter', { inSeason: 3, onDay: 0 });
    assert.deepEqual([as.is, as.tag, as.limit?.count, as.limit?.most], ['ordinary', 'bag-otter', 4, 4]);
    assert.deepEqual(
      as.duties.map((d) => d.rule),
      ['register'],
    );
  });
  it('over its limit it is incidental, with the duties of both', () => {
    const as = of(slate, 'otter', { inSeason: 4, onDay: 0 });
    assert.deepEqual([as.is, as.because], ['incidental', 'over the limit']);
    assert.deepEqual(
      as.duties.map((d) => d.rule),
      ['register', 'warden'],
    );
  });
  it('a limit a day counts the day, not the season', () => {
    assert.equal(of(slate, 'mink', { inSeason: 40, onDay: 5 }).is, 'ordinary');
    assert.equal(of(slate, 'mink', { inSeason: 40, onDay: 6 }).is, 'incidental');
  });
  it('of an animal that the book does not name nothing is said', () => {
    assert.deepEqual([of(slate, 'raccoon').is, of(slate, 'raccoon').rule, of(slate, 'raccoon').duties.length], ['silent', null, 0]);
  });
});

describe('the hours in which sets may be made', () => {
  const season = {
    id: 'mink',
    said: '',
    species: 'mink' as const,
    area: '',
    opens: '11-10',
    closes: '01-31',
    from: null,
    hours: { from: '05:00', to: '21:00' },
  };
  const on = (date: string, over: object = {}) => makingHours({ seasons: [{ ...season, ...over }] }, 'mink', { date, area: 'north' });
  it('are those of the season that holds the day, and name their rule', () => {
    assert.deepEqual(on('2026-12-01'), { from: '05:00', to: '21:00', rule: 'mink' });
    assert.deepEqual(on('2027-01-31'), { from: '05:00', to: '21:00', rule: 'mink' });
    assert.equal(on('2026-10-01'), null);
    assert.equal(on('2026-12-01', { area: 'south' }), null);
    assert.equal(on('2026-12-01', { hours: null }), null);
  });
  it('on its first day begin with the later of the two', () => {
    assert.equal(on('2026-11-10', { from: '07:00' })?.from, '07:00');
    assert.equal(on('2026-11-10', { from: '04:00' })?.from, '05:00');
    assert.equal(on('2026-11-11', { from: '07:00' })?.from, '05:00');
    assert.deepEqual(on('2026-11-10', { from: '07:00', hours: null }), { from: '07:00', to: null, rule: 'mink' });
  });
});

describe('the two invented books', () => {
  it('every rule is a line, and every field of it can be typed', () => {
    for (const book of [tarn, slate])
      for (const part of PARTS)
        for (const rule of book[part]) {
          assert.doesNotMatch(ruleLine(part, rule as never, reader), /undefined|null|NaN/);
          const typed = new Set(PART_FORMS[part].fields.map((f) => f.name.split('.')[0]));
          for (const key of Object.keys(rule)) assert.ok(key === 'id' || typed.has(key), `${part}: ${key} cannot be typed`);
        }
  });
  it('differ in every part that both fill', () => {
    for (const part of PARTS) {
      if (tarn[part].length === 0 || slate[part].length === 0) continue;
      assert.notDeepEqual(tarn[part], slate[part], part);
    }
  });
  it('a book is the same after it was written to a file and read again', () => {
    for (const book of [tarn, slate]) assert.deepEqual(rulebookSchema.parse(JSON.parse(JSON.stringify(book))), book);
  });
});
