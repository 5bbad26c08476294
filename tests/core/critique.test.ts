import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { NOTHING_AROUND, type Around, type Asked } from '#core/critique/asked';
import { critique, RULES } from '#core/critique/critique';
import type { Attract, Lure } from '#core/lure/lure';
import { overfull } from '#core/critique/line';
import { SEVERITIES } from '#core/critique/rule';
import { weighed } from '#core/critique/weigh';
import { armingCheck } from '#core/sets/arming';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { slideFindings, wireReachOf } from '#core/sets/circles';
import { layOut, usualDevices } from '#core/sets/standing';
import { inches, POUND } from '#core/units/factors';
import { CRITIQUE, remarkText, type CritiqueId } from '#core/words/critique';

/** What an old hand would say of a set: every rule in a design that is right and in one that is wrong (common practice, no source). */

/** A place against which nothing speaks. */
const AROUND: Around = {
  ...NOTHING_AROUND,
  month: 4,
  use: { verdict: 'holds', said: 'In use.' },
  seen: ['beaver', 'muskrat', 'mink', 'otter', 'raccoon'],
  ...{ spareSnares: 9, rain: 0, nights: 2, isSoft: false, isMoving: false },
};

const draws = (...lures: Lure[]): Attract[] => lures.map((what) => ({ what, where: 'on the bank', amount: 1, stock: null }));

const near = (what: Around['near'][number]['what'], apart: number): Partial<Around> => ({ near: [{ what, name: 'It', apart }] });

interface Over {
  numbers?: Record<string, number>;
  choices?: Record<string, string>;
  lures?: Attract[];
  size?: string;
  /** so many snares on a pole */
  loops?: number;
  species?: Asked['species'];
  state?: Asked['state'];
  anchor?: string;
  around?: Partial<Around>;
}

/** A set of a type at its defaults, bent where it is said. */
function asked(id: string, { numbers = {}, choices = {}, lures, size, loops, around = {}, ...own }: Over = {}): Asked {
  const type = setTypeOf(id);
  const usual = usualDevices(type);
  const many = loops ? Object.fromEntries(type.positions.slice(0, loops).map(({ id }) => [id, type.usual])) : null;
  const devices = many ?? (size ? Object.fromEntries(Object.entries(usual).map(([at, d]) => [at, { ...d, size }])) : usual);
  const kind = type.stations[0] ?? 'run';
  const then = { pond: 1, tail: 0.3 };
  const design = layOut(type, { numbers, choices, then, place: { kind, surface: 'pond', bed: null }, devices, lures }, 'us');
  const month = type.months?.[0] ?? 4;
  return {
    ...{ type, species: type.species[0] ?? 'beaver', state: 'live', anchor: 'alder root', surface: 'pond' },
    ...{ numbers, choices, lures, devices, design, then },
    ...own,
    around: { ...AROUND, month, ...around },
  };
}

const saysOf = (id: string, over?: Over): CritiqueId[] => critique(asked(id, over)).map((remark) => remark.id);

describe('a set of any type at its defaults, in a place that suits it', () => {
  for (const type of CATALOGUE) it(`${type.id}: nothing is remarked`, () => assert.deepEqual(saysOf(type.id), []));
});

/** Each rule by a design that is wrong, and one beside it that is right. */
const WRONG: [CritiqueId, type: string, wrong: Over, right: Over][] = [
  ['othersOnTheGround', 'box', { around: { users: 'dogs of the farm' } }, { around: { users: '' } }],
  ['tiedToWood', 'castor-foothold', { numbers: { tie: inches(18) }, choices: { anchorAs: 'root' } }, { choices: { anchorAs: 'root' } }],
  ['wrapHigh', 'castor-foothold', { choices: { wrap: 'high' } }, { choices: { wrap: 'high', anchorAs: 'root' } }],
  ['roadInReach', 'slide-snare', { around: near('road', 1) }, { around: near('road', 30) }],
  ['crestInReach', 'castor-foothold', { around: near('dam crest', 2) }, { around: near('road', 30) }],
  ['logInReach', 'castor-stick-snare', { around: near('log', 1) }, { around: near('log', 12) }],
  ['softBed', 'castor-foothold', { around: { isSoft: true } }, { around: { isSoft: null } }],
  ['levelSwings', 'pole-platform', { around: { isMoving: true } }, { around: { isMoving: null } }],
  ['leeward', 'castor-foothold', { around: { leeward: 'west' } }, { lures: draws('peeled sticks'), around: { leeward: 'west' } }],
  ['guideNone', 'wall-blind', { choices: { guide: 'none' } }, { choices: { guide: 'stick' } }],
  ['guideNone', 'slide-foothold', { choices: { guide: 'none' } }, {}],
  ['guideStone', 'otter-crossover', { choices: { guide: 'stone' } }, { choices: { guide: 'stick' } }],
  [
    'iceReaches',
    'lodge-run',
    { numbers: { topUnder: inches(5) }, around: { isFrozen: true, iceNext: inches(7) } },
    { numbers: { topUnder: inches(5) }, around: { isFrozen: true, iceNext: inches(3) } },
  ],
  ['twigsOn', 'ice-snare-pole', { choices: { twigs: 'on' } }, { choices: { twigs: 'off' } }],
  [
    'sticksBelow',
    'ice-snare-pole',
    { around: { felt: { own: 'sticks', clear: 'Hole 4' } } },
    { around: { felt: { own: 'clear', clear: 'Hole 4' } } },
  ],
  ['loopPlain', 'channel-snare', { choices: { loaded: 'no' } }, { choices: { loaded: 'yes' } }],
  ['braceFirm', 'slide-snare', { choices: { brace: 'braced' } }, { choices: { brace: 'pushed' } }],
  ['anchorUnsaid', 'lodge-run', { anchor: '' }, { anchor: '', state: 'planned' }],
  ['isPlugged', 'culvert-mouth', { around: { isPlugged: true } }, {}],
  ['notInUse', 'lodge-run', { around: { use: { verdict: 'fails', said: 'Likely not in use.' } } }, {}],
  ['otherAnimal', 'lodge-run', { around: { seen: ['muskrat'] } }, { around: { seen: ['muskrat', 'beaver'] } }],
  ['noSign', 'lodge-run', { around: { seen: [], use: { verdict: 'unknown', said: 'No sign recorded.' } } }, {}],
  ['passagesOpen', 'wall-blind', { around: { passages: { count: 4, set: 1 } } }, { around: { passages: { count: 4, set: 4 } } }],
  ['noPosition', 'lodge-run', { around: { hasPosition: false } }, { state: 'planned', around: { hasPosition: false } }],
  ['noDepth', 'lodge-run', { around: { hasDepth: false } }, { numbers: { depth: 0.8 }, around: { hasDepth: false } }],
  ['outOfMonths', 'castor-foothold', { around: { month: 11 } }, { around: { month: 4 } }],
  ['iceOverIt', 'pocket', { around: { isFrozen: true } }, { around: { isFrozen: false } }],
  ['jawOnFrost', 'box', { around: { coldest: -6 } }, { around: { coldest: 1 } }],
  [
    'panFreezes',
    'pocket',
    { numbers: { panUnder: 0 }, around: { coldest: -6 } },
    { numbers: { panUnder: inches(2) }, around: { coldest: -6 } },
  ],
  ['smallFoothold', 'castor-foothold', { size: '1½' }, { size: '4' }],
  ['smallGrip', 'lodge-run', { size: '220' }, { size: '330' }],
  ['largeGrip', 'den-run', { size: '220', species: 'muskrat' }, { size: '110' }],
  ['spentCable', 'channel-snare', { around: { spentCable: 'K-51' } }, {}],
  [
    'oneClassKnown',
    'lodge-run',
    { around: { met: { bodyGrip: 'A body-grip was used here before.' } } },
    { around: { met: { snare: 'A snare was.' } } },
  ],
  [
    'notchTooFirm',
    'box',
    { choices: { notch: 'firm' }, around: { looks: ['bait taken'] } },
    { choices: { notch: 'light' }, around: { looks: ['bait taken'] } },
  ],
  [
    'notchTooLight',
    'lodge-run',
    { choices: { notch: 'light' }, around: { looks: ['sprung empty', 'plugged'] } },
    { choices: { notch: 'light' } },
  ],
  ['firesEmpty', 'lodge-run', { around: { looks: ['sprung empty', 'sprung empty'] } }, { around: { looks: ['sprung empty'] } }],
  ['bedRocks', 'slide-foothold', { around: { looks: ['miss', 'sprung empty'] } }, { around: { looks: ['miss'] } }],
  ['moundFar', 'castor-foothold', { numbers: { panToMound: inches(22) } }, { numbers: { panToMound: inches(12) } }],
  ['loopKnocked', 'channel-snare', { around: { looks: ['knocked', 'untouched', 'knocked'] } }, { around: { looks: ['knocked'] } }],
  ['mudInTheBreak', 'dam-break-breach', { around: { looks: ['plugged'] } }, {}],
  ['lockAtTheTop', 'castor-stick-snare', { choices: { lock: 'top' } }, { choices: { lock: 'side' } }],
  [
    'overPatience',
    'wall-blind',
    { around: { looks: Array(7).fill('untouched') as string[] } },
    { around: { looks: Array(6).fill('untouched') as string[] } },
  ],
  ['wentRound', 'lodge-run', { around: { wentRound: 20 } }, { around: { wentRound: 4 } }],
  ['logSteep', 'log-crossing', { around: { slope: 20 } }, { around: { slope: 8 } }],
  ['peltSlipping', 'lodge-run', { around: { pelts: { slipping: 1, eaten: 0 } } }, { around: { pelts: { slipping: 0, eaten: 0 } } }],
  ['eatenHere', 'lodge-run', { around: { pelts: { slipping: 0, eaten: 2 } } }, { around: { pelts: { slipping: 1, eaten: 0 } } }],
  ['stopsShort', 'slide-foothold', { choices: { hold: 'slide' }, around: { layShort: 1 } }, { choices: { hold: 'slide' } }],
  ['failedHere', 'lodge-run', { around: { failedHere: 5 } }, { around: { failedHere: 2 } }],
  [
    'kindUntouched',
    'lodge-run',
    { around: { alike: { sets: 3, looks: 9, caught: 0 }, caughtBy: ['Dive pole'] } },
    { around: { alike: { sets: 3, looks: 9, caught: 1 }, caughtBy: ['Dive pole'] } },
  ],
  [
    'fenceKnown',
    'lodge-run',
    { numbers: { widthBed: inches(40) }, around: { met: { bodyGrip: 'Used here.' } } },
    { numbers: { widthBed: inches(40) } },
  ],
  ['tailShort', 'channel-snare', { numbers: { tail: inches(30) } }, { numbers: { tail: inches(60) } }],
  [
    'tailWeaker',
    'slide-snare',
    { size: '7×19 1/8', choices: { extension: 'light' } },
    { size: '7×19 1/8', choices: { extension: 'heavy' } },
  ],
  ['loopLarge', 'channel-snare', { numbers: { loop: inches(14) } }, { numbers: { loop: inches(14) }, species: 'otter' }],
  ['loopSmall', 'slide-snare', { numbers: { loop: inches(6) } }, { numbers: { loop: inches(9) } }],
  ['strangerClosed', 'lodge-run', { around: { closed: ['otter'] } }, { choices: { trigger: 'side' }, around: { closed: ['otter'] } }],
  [
    'dogAtThePan',
    'castor-foothold',
    { numbers: { panUnder: inches(2) }, around: { users: 'dogs at noon' } },
    { numbers: { panUnder: inches(2) }, around: { users: 'hatchery hands' } },
  ],
  ['dogAtTheLoop', 'castor-slick-snare', { around: { users: 'a dog' } }, { around: { users: '' } }],
  ['noRoof', 'float', { choices: { roof: 'no' } }, { choices: { roof: 'yes' } }],
  ['againstTheBook', 'lodge-run', { around: { against: ['otter closed today (closed-otter)'] } }, {}],
  ['firmForMink', 'bottom-edge', { choices: { notch: 'firm' } }, { choices: { notch: 'middle' } }],
  ['baitOld', 'castor-foothold', { around: { nights: 9 } }, { around: { nights: 7 } }],
  [
    'otherSchool',
    'slide-foothold',
    { choices: { foot: 'hind' }, around: { schools: { foot: 'one' } } },
    { choices: { foot: 'front' }, around: { schools: { foot: 'one' } } },
  ],
  ['dragged', 'castor-foothold', { around: { dragged: 1, schools: { bag: 'other' } } }, { around: { schools: { bag: 'other' } } }],
  ['dogHeld', 'wall-hanging', { choices: { dog: 'wall' } }, { choices: { dog: 'free' } }],
  ['panHeavy', 'wall-blind', { species: 'mink', numbers: { panPull: 4 * POUND } }, { species: 'mink', numbers: { panPull: POUND } }],
  ['panLight', 'castor-foothold', { numbers: { panPull: 2 * POUND } }, { numbers: { panPull: 5 * POUND } }],
  ['loopsCost', 'ice-snare-pole', { loops: 6, around: { spareSnares: 1 } }, { loops: 6, around: { spareSnares: 6 } }],
  ['cameraIdle', 'lodge-run', { around: { watchedIdle: 'dry' } }, { around: { watchedIdle: '' } }],
  ['lureOnBlind', 'wall-blind', { lures: draws('fish') }, { lures: [] }],
  ['drawsAnother', 'pocket', { species: 'muskrat', lures: draws('fish') }, { species: 'muskrat', lures: draws('root or apple') }],
  ['nothingDraws', 'castor-foothold', { lures: [] }, { lures: draws('sac oil') }],
  ['castorQuiet', 'lure-pole', { lures: draws('castor lure'), around: { month: 9 } }, { lures: draws('food lure'), around: { month: 9 } }],
  [
    'lureWashed',
    'lure-pole',
    { lures: draws('castor lure'), around: { rain: 14 } },
    { lures: draws('castor lure').map((l) => ({ ...l, where: 'under a roof' as const })), around: { rain: 14 } },
  ],
  ['idleAhead', 'lodge-run', { around: { idleAhead: 'Works until 4 pm.' } }, {}],
  ['cutOff', 'lodge-run', { around: { cutOff: 'Not at the check.' } }, {}],
  ['noPhoto', 'lodge-run', { around: { hasPhoto: false } }, { state: 'planned', around: { hasPhoto: false } }],
];

describe('a rule of the critique', () => {
  for (const [id, type, wrong, right] of WRONG)
    it(`${id}: is told of what is wrong and silent beside it`, () => {
      assert.ok(saysOf(type, wrong).includes(id), saysOf(type, wrong).join());
      assert.ok(!saysOf(type, right).includes(id));
    });
  it('has a case each, but for a prepared set without a tag', () => {
    assert.deepEqual(
      RULES.map((r) => r.id).filter((id) => !WRONG.some(([own]) => own === id)),
      ['noDevice'],
    );
    assert.deepEqual(
      critique({ ...asked('lodge-run', { state: 'prepared' }), devices: {} }).map((r) => r.id),
      ['noDevice'],
    );
  });
  it('is silent where somebody knows better, and only that one', () => {
    const own = asked('lodge-run', { around: { wentRound: 20, hasPhoto: false } });
    assert.deepEqual(
      critique(own, { wentRound: 'the neighbour’s dog' }).map((r) => r.id),
      ['noPhoto'],
    );
  });
  it('comes after what weighs more', () => {
    const all = critique(asked('box', { around: { users: 'dogs', hasPhoto: false, isPlugged: true, wentRound: 9 } }));
    const weights = all.map((r) => SEVERITIES.indexOf(r.severity));
    assert.deepEqual(
      weights,
      [...weights].sort((a, b) => a - b),
    );
    assert.equal(all[0]?.id, 'othersOnTheGround');
  });
  it('mends what it remarks: with its change in the form it is silent', () => {
    for (const [id, type, wrong] of WRONG) {
      const remark = critique(asked(type, wrong)).find((r) => r.id === id);
      if (!remark?.mend) continue;
      const [kind, key] = remark.mend.field.split('.') as [string, string];
      const bent =
        kind === 'lure'
          ? { ...wrong, lures: remark.mend.value === 'blind' ? [] : undefined }
          : kind === 'n'
            ? { ...wrong, numbers: { ...wrong.numbers, [key]: Number(remark.mend.value) } }
            : { ...wrong, choices: { ...wrong.choices, [key]: String(remark.mend.value) } };
      assert.ok(!saysOf(type, bent).includes(id), id);
    }
  });
  it('speaks the units of its reader, in short sentences that end', () => {
    for (const [id, type, wrong] of WRONG)
      for (const system of ['us', 'metric'] as const) {
        const remark = critique(asked(type, wrong)).find((r) => r.id === id);
        const { about, sentence } = remark ? remarkText(remark, system) : { about: '', sentence: '' };
        assert.ok(about.length < 28 && about === CRITIQUE[id].about, id);
        assert.match(sentence, /^[A-Z0-9].*[.?]$/, id);
        assert.doesNotMatch(sentence, system === 'us' ? /\d (cm|m|kg)\b|°C/ : /\d (in|ft|lb)\b|°F/, id);
      }
  });
  it('tells at most so many in a hundred passes lead to a touch: 1 − 0.025^(1/20) is 17 %', () => {
    const remark = critique(asked('lodge-run', { around: { wentRound: 20 } })).find((r) => r.id === 'wentRound');
    assert.match(remark ? remarkText(remark, 'us').sentence : '', /at most 17%/);
  });
});

describe('a line with many sets', () => {
  const owed = (day: string, sets: number, minutes: number) => Array.from({ length: sets }, () => ({ day, minutes }));
  it('is more than a day where the checks of one day take longer than its light', () => {
    const due = [...owed('2026-11-12', 20, 30), ...owed('2026-11-13', 20, 28)];
    assert.deepEqual(overfull(due, () => 570)?.values, { sets: 20, minutes: 600, light: 570 });
    assert.equal(
      overfull(due, () => 601),
      null,
    );
  });
  it('is not judged on a day of which the light is not known', () =>
    assert.equal(
      overfull(owed('2026-11-12', 99, 30), () => null),
      null,
    ));
  it('tells hours, not minutes', () => {
    const found = overfull(owed('2026-11-12', 20, 30), () => 570);
    assert.match(found ? remarkText(found, 'us').sentence : '', /^20 checks fall due on one day: 10 h at the sets alone, and it has 9.5 h/);
  });
});

describe('what a design says of itself', () => {
  it('weighs by its verdict, a big body-grip on dry ground the most, and nothing where it holds or cannot be told', () => {
    assert.equal(weighed({ says: 'mouth', verdict: 'fails' }), 'dangerous');
    assert.equal(weighed({ says: 'swing', verdict: 'fails' }), 'will fail');
    assert.equal(weighed({ says: 'skyline', verdict: 'warns' }), 'likely to fail');
    assert.equal(weighed({ says: 'current', verdict: 'warns' }), 'could be better');
    assert.equal(weighed({ says: 'fence', verdict: 'holds' }), null);
    assert.equal(weighed({ says: 'stakeUnknown', verdict: 'unknown' }), null);
  });
  it('weighs nothing that is likely to fail in any type at its defaults', () => {
    for (const type of CATALOGUE) {
      const heavy = asked(type.id).design.findings.filter((f) => !['could be better', null].includes(weighed(f)));
      assert.deepEqual(
        heavy.map((f) => f.says),
        [],
        type.id,
      );
    }
  });
  it('a neighbour is told of beside a slide that it could meet, by the length of its wire, and not farther off', () => {
    const [hold] = asked('castor-foothold').design.holds;
    assert.ok(hold?.kind === 'slide');
    const reach = wireReachOf(hold);
    const near = (apart: number | null) => slideFindings(reach, [{ name: '9 mound', apart, reach: 1 }]).map((f) => f.says);
    assert.ok(reach > 1.5);
    assert.deepEqual([near(reach + 0.9), near(reach + 1.1), near(null)], [['circlesSlide'], [], []]);
  });
  it('a stand is no anchor: it takes neither cable nor stake, and does not hold', () => {
    const { design } = asked('lodge-run', { choices: { anchorAs: 'stand' } });
    assert.ok(design.findings.some((f) => f.says === 'standTie' && f.verdict === 'fails'));
    assert.deepEqual(design.holds, []);
    assert.ok(!design.supplies.some((s) => s.kind === 'cable'));
  });
  it('a trap on two cut sticks takes no stand, and is not asked which way up that stands', () => {
    const on = (stand: string) => {
      const { type, design, devices } = asked('lodge-run', { choices: { stand } });
      const asks = armingCheck(type, { ...devices }, { stand }).flatMap((g) => g.asks.map((a) => a.id.split(':')[1]));
      return {
        stands: design.parts.filter((p) => p.kind === 'stand').length,
        swings: design.findings.find((f) => f.says === 'swing')?.verdict,
        asks,
      };
    };
    assert.equal(on('any').stands, 1);
    assert.ok(on('any').asks.includes('rightWayUp'));
    assert.deepEqual([on('sticks').stands, on('sticks').swings], [0, 'holds']);
    assert.deepEqual(
      on('any').asks.filter((a) => !on('sticks').asks.includes(a)),
      ['rightWayUp'],
    );
  });
  it('a fence on one side alone stands there, and the other side is told to be open', () => {
    const numbers = { widthBed: inches(24), width: inches(24), mouth: inches(24) };
    const fenceOf = (fence: string) => {
      const { design } = asked('culvert-mouth', { numbers, choices: { fence } });
      return {
        ys: design.parts.filter((p) => p.id.startsWith('fence')).map((p) => Math.sign(p.y)),
        open: design.findings.find((f) => f.says === 'fence')?.verdict,
      };
    };
    assert.deepEqual([...new Set(fenceOf('both').ys)].sort(), [-1, 1]);
    assert.deepEqual([...new Set(fenceOf('left').ys)], [-1]);
    assert.deepEqual([...new Set(fenceOf('right').ys)], [1]);
    assert.notEqual(fenceOf('left').open, 'holds');
  });
  it('guides are drawn as they were chosen: sticks, stones, none', () => {
    const kinds = (guide: string) =>
      asked('otter-crossover', { choices: { guide } })
        .design.parts.filter((p) => p.id.startsWith('guide'))
        .map((p) => p.kind);
    assert.deepEqual([kinds('stick'), kinds('stone'), kinds('none')], [['stick', 'stick'], ['stone', 'stone'], []]);
  });
});
