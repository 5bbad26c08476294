import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { faultsOf } from '#core/record/faults';
import { carry, sorted } from '#core/record/carry';
import { fieldsOf, withLeaf } from '#core/record/fields';
import { SCHEMAS, type Check, type TrapSet } from '#core/record/kinds';
import { catchText, entrySentence } from '#core/record/sentence';
import { inches, POUND } from '#core/units/factors';
import { AS_SET } from '../support/looked';

const id = (n: number) => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const at = '2026-11-25T13:31:00.000Z';

const check = (over: Record<string, unknown> = {}, device: Record<string, unknown> = {}): unknown => ({
  id: id(1),
  set: id(2),
  at,
  by: id(3),
  change: 'as it was',
  changeNote: '',
  asked: null,
  note: '',
  devices: [
    {
      id: id(4),
      stay: id(5),
      ...AS_SET,
      ...device,
    },
  ],
  ...over,
});
const beaver = {
  id: id(6),
  species: 'beaver',
  sex: 'female',
  age: 'adult',
  weight: 44 * POUND,
  estimated: true,
  strikes: ['neck'],
  alive: false,
  bites: 'none',
  fate: 'kept',
  pelt: 'good',
};
const set: TrapSet = {
  id: id(2),
  line: id(7),
  number: 12,
  name: 'east run',
  type: 'lodge-run',
  species: 'beaver',
  station: id(8),
  state: 'live',
  opens: null,
  settings: [{ id: id(9), at, numbers: { depth: inches(33) }, choices: { notch: 'middle' } }],
  reserved: {},
  took: null,
  stays: [{ id: id(5), position: 'outer', device: id(10), from: at, to: null }],
  armed: { at, answers: ['outer:hooksOff'] },
  anchor: 'root',
  by: null,
  leftBecause: '',
  note: '',
  hole: '',
  photoLeft: null,
  photoFound: null,
  overruled: {},
  situation: null,
  attested: [],
  exemption: '',
  judged: null,
};

/** The first sentence that a body is refused with, and where it stands. */
function refusal(kind: keyof typeof SCHEMAS, body: unknown): string {
  const parsed = SCHEMAS[kind].safeParse(body);
  return parsed.success ? '' : parsed.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join(' | ');
}

describe('what the record takes', () => {
  it('a check, a catch, a set', () => {
    assert.equal(refusal('check', check()), '');
    assert.equal(refusal('check', check({}, { outcome: 'catch', catch: beaver })), '');
    assert.equal(refusal('set', set), '');
  });
  const refused: [string, keyof typeof SCHEMAS, unknown, RegExp][] = [
    [
      'a catch of −3 kg',
      'check',
      check({}, { outcome: 'catch', catch: { ...beaver, weight: -3 } }),
      /devices\.0\.catch\.weight: A weight is more than 0/,
    ],
    ['a beaver of 80 kg', 'check', check({}, { outcome: 'catch', catch: { ...beaver, weight: 80 } }), /More than 45 kg for a beaver/],
    ['a catch without its animal', 'check', check({}, { outcome: 'catch' }), /A catch needs its animal/],
    ['an animal without a catch', 'check', check({}, { catch: beaver }), /only a catch has one/],
    ['missing without where it was looked for', 'check', check({}, { outcome: 'missing' }), /Missing is mostly a catch/],
    ['not reached without the reason', 'check', check({}, { outcome: 'not reached' }), /why it was not reached/],
    ['a check of nothing', 'check', check({ devices: [] }), /one trap at least/],
    ['a time with seconds', 'check', check({ at: '2026-11-25T13:31:40.000Z' }), /whole minute/],
    ['a field that is not known', 'check', check({ colour: 'red' }), /Unrecognized key/],
    ['a live set that is not armed', 'set', { ...set, armed: null }, /not live until its arming check/],
    ['a prepared set without its date', 'set', { ...set, state: 'prepared', stays: [] }, /date on which it is to be set/],
    [
      'a pull before the placing',
      'set',
      { ...set, stays: [{ ...set.stays[0], to: '2026-11-24T13:31:00.000Z' }] },
      /cannot be pulled before/,
    ],
    [
      'a foothold of size 330',
      'device',
      { id: id(1), tag: 'K-1', class: 'foothold', size: '330', condition: 'good', note: '' },
      /No such size of foothold/,
    ],
    [
      'a tag that is only blank',
      'device',
      { id: id(1), tag: '   ', class: 'foothold', size: '4', condition: 'good', note: '' },
      /Tag is needed/,
    ],
    [
      'a zone that does not exist',
      'line',
      { id: id(1), name: 'x', season: '1', zone: 'Nowhere/Town', lat: 0, lon: 0, rule: { kind: 'elapsed', hours: 24 }, rulebook: '' },
      /No such time zone/,
    ],
    [
      'a level of 90 m',
      'reading',
      { id: id(1), gauge: id(2), at, level: 90, bound: 'exact', source: 'gauge', set: null, note: '' },
      /between −10 and 30 m/,
    ],
    [
      'an id that is none',
      'reading',
      { id: 'x', gauge: id(2), at, level: 1, bound: 'exact', source: 'gauge', set: null, note: '' },
      /not an id/,
    ],
  ];
  for (const [what, kind, body, sentence] of refused) it(`not ${what}`, () => assert.match(refusal(kind, body), sentence));
});

describe('a correction of an older entry', () => {
  it('carries over what nobody changed since, and leaves what was changed later', () => {
    const base = { name: 'east run', anchor: 'root', stays: [{ id: 'a', from: '1', to: null }] };
    const corrected = { ...base, name: 'east lodge run', stays: [{ id: 'a', from: '0', to: null }] };
    const current = {
      ...base,
      anchor: 'stake',
      stays: [
        { id: 'a', from: '1', to: '9' },
        { id: 'b', from: '9', to: null },
      ],
    };
    assert.deepEqual(carry(base, corrected, current), {
      name: 'east lodge run',
      anchor: 'stake',
      stays: [
        { id: 'a', from: '0', to: '9' },
        { id: 'b', from: '9', to: null },
      ],
    });
  });
  it('what was changed in both stays as it is now', () => assert.deepEqual(carry({ a: 1 }, { a: 2 }, { a: 3 }), { a: 3 }));
  it('a list item added or taken out by the correction is so today', () => {
    assert.deepEqual(carry([{ id: 'a' }], [{ id: 'a' }, { id: 'b' }], [{ id: 'a', x: 1 }]), [{ id: 'a', x: 1 }, { id: 'b' }]);
    assert.deepEqual(carry([{ id: 'a' }, { id: 'b' }], [{ id: 'b' }], [{ id: 'a' }, { id: 'b' }, { id: 'c' }]), [{ id: 'b' }, { id: 'c' }]);
  });
  const body = fc.dictionary(
    fc.constantFrom('a', 'b', 'c'),
    fc.oneof(fc.integer(), fc.dictionary(fc.constantFrom('x', 'y'), fc.integer())),
  );
  it('of the newest entry is the correction itself; of nothing changed is nothing', () => {
    fc.assert(
      fc.property(body, body, (base, corrected) => {
        assert.deepEqual(sorted(carry(base, corrected, base)), sorted(corrected));
        assert.deepEqual(sorted(carry(base, base, corrected)), sorted(corrected));
      }),
    );
  });
});

describe('the fields of an entry', () => {
  it('show every leaf but own ids, in the person’s units and the line’s zone', () => {
    const fields = fieldsOf('set', set, 'us', 'America/Chicago');
    const by = Object.fromEntries(fields.map((f) => [f.path.join('.'), f]));
    assert.equal(by['settings.0.numbers.depth']?.text, '33 in');
    assert.equal(by['settings.0.at']?.text, '2026-11-25 07:31');
    assert.deepEqual(by.state?.options, ['planned', 'prepared', 'live', 'pulled']);
    assert.ok(!fields.some((f) => /(^|\.)(id|line|stay)$/.test(f.path.join('.'))));
    assert.equal(by.station?.text, id(8));
    assert.equal(by['stays.0.device']?.kind, 'link');
  });
  it('of a check reach down to the weight of its catch', () => {
    const fields = fieldsOf('check', check({}, { outcome: 'catch', catch: beaver }), 'us', 'UTC');
    assert.equal(fields.find((f) => f.label === 'Weight')?.text, '44 lb');
    assert.equal(fields.find((f) => f.path.at(-1) === 'strikes')?.text, 'neck');
    assert.equal(fields.find((f) => f.path.at(-1) === 'estimated')?.text, 'yes');
  });
  it('a leaf is replaced and nothing else', () => {
    const changed = withLeaf(set, ['settings', 0, 'numbers', 'depth'], 1);
    assert.equal(changed.settings[0]?.numbers.depth, 1);
    assert.equal(set.settings[0]?.numbers.depth, inches(33));
    assert.equal(changed.stays, set.stays);
    assert.throws(() => withLeaf({ a: 1 }, ['a', 'b'], 2), RangeError);
  });
  it('of a line show its rule', () => {
    const line = { id: id(1), name: 'x', season: '1', zone: 'UTC', lat: 0, lon: 0, rule: { kind: 'elapsed', hours: 24 }, rulebook: '' };
    assert.ok(fieldsOf('line', line, 'us', 'UTC').some((f) => f.path.join('.') === 'rule.hours' && f.text === '24'));
  });
});

describe('an entry in words', () => {
  const names = { [id(2)]: '12 east run', [id(20)]: 'Header Pond, board' };
  it('says who was caught', () => {
    const body = SCHEMAS.check.parse(check({ change: 'remade' }, { outcome: 'catch', catch: beaver })) as Check;
    assert.equal(entrySentence('check', body, names, 'us'), '12 east run: beaver, adult female, 44 lb est., neck, remade');
    assert.equal(
      catchText({ ...beaver, species: 'otter', weight: null, alive: true, fate: 'released' } as never, 'us'),
      'otter, adult female, neck, alive, released',
    );
    assert.match(catchText({ ...beaver, lay: 'short of the deep end' } as never, 'us'), /, neck, short of the deep end/);
    const eaten = SCHEMAS.check.parse(check({}, { outcome: 'bait taken', baitBy: 'birds' })) as Check;
    assert.equal(entrySentence('check', eaten, names, 'us'), '12 east run: bait taken by birds');
  });
  it('says a reading, its bound and where it comes from', () => {
    const reading = {
      id: id(1),
      gauge: id(20),
      at,
      level: inches(31.75),
      bound: 'atMost' as const,
      source: 'set' as const,
      since: null,
      doubt: null,
      clarity: 'not looked' as const,
      set: null,
      note: '',
    };
    assert.equal(entrySentence('reading', reading, names, 'us'), 'Header Pond, board: at most 31¾ in (a set as gauge)');
  });
  it('says a gauge with its water, once', () => {
    const gauge = (name: string, surface: 'pond' | 'tail') =>
      entrySentence('gauge', SCHEMAS.gauge.parse({ id: id(8), water: id(9), name, surface, zero: 0 }), { [id(9)]: 'Mill Creek' }, 'us');
    assert.equal(gauge('gauge', 'pond'), 'Gauge of Mill Creek');
    assert.equal(gauge('nail in the root', 'tail'), 'Gauge nail in the root below the dam of Mill Creek');
  });
  it('says alike outcomes once, an unknown cause as unknown, and the note', () => {
    const found = (devices: Record<string, unknown>[], over: Record<string, unknown> = {}) => {
      const all = devices.map((d, n) => ({
        id: id(20 + n),
        stay: id(30 + n),
        ...AS_SET,
        ...d,
      }));
      return entrySentence('check', SCHEMAS.check.parse(check({ devices: all, ...over })), names, 'us');
    };
    assert.equal(found([{}, {}, {}]), '12 east run: all 3 untouched');
    assert.equal(found([{}, {}]), '12 east run: both untouched');
    assert.equal(
      found([{}, { outcome: 'sprung empty', cause: 'do not know' }, {}]),
      '12 east run: 2 × untouched; sprung empty, by what is not known',
    );
    assert.equal(
      found([{ outcome: 'sprung empty', cause: 'neighbour on the shared tie' }]),
      '12 east run: sprung empty by the catch on the same tie',
    );
    assert.equal(found([{}], { note: 'fresh mud on the crest' }), '12 east run: untouched, fresh mud on the crest');
    assert.equal(
      entrySentence('set', { ...set, name: 'lodge run' }, names, 'us'),
      'Set 12 lodge run: live',
      'a name that is its type is said once',
    );
  });
  it('says a set with its state', () => assert.equal(entrySentence('set', set, names, 'us'), 'Set 12 east run, lodge run: live'));
});

describe('a number out of the range of its type', () => {
  const deep = { ...set, settings: [{ ...set.settings[0], numbers: { depth: 40 } }] } as typeof set;
  const refusedAt = 'settings.0.numbers.depth';
  it('is refused in words where it is new', () =>
    assert.match(faultsOf('set', deep, null)[refusedAt] ?? '', /^Depth of the run lies between/));
  it('and never blocks the pull of a set that stood so before', () =>
    assert.deepEqual(faultsOf('set', { ...deep, state: 'pulled' }, deep), {}));
  it('but is refused when it is changed', () => assert.ok(refusedAt in faultsOf('set', deep, set)));
});
