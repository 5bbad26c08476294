import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { fieldsOf, withLeaf } from '#core/record/fields';
import { SCHEMAS, type Body, type Draft, type Kind } from '#core/record/kinds';
import { entrySentence } from '#core/record/sentence';
import { inches } from '#core/units/factors';

const ID = (n: number): string => `00000000-0000-7000-8000-00000000000${n}`;
const AT = '2026-11-20T14:00:00.000Z';
const names = { [ID(1)]: 'Header Pond', [ID(2)]: '12 east run', [ID(3)]: 'board' };

/** One good body of every kind that scouting writes; each test bends one thing of it. */
const GOOD = {
  sign: { id: ID(9), station: ID(2), at: AT, kind: 'wetSlide', species: 'beaver', freshness: 'hours', direction: '', note: 'fresh' },
  stationLevel: { id: ID(9), station: ID(2), at: AT, depth: inches(14), note: '' },
  ground: {
    id: ID(9),
    site: ID(4),
    kind: 'boundary of permission',
    name: 'leave',
    shape: {
      type: 'Polygon',
      coordinates: [
        [
          [0, 0],
          [0, 1],
          [1, 1],
          [0, 0],
        ],
      ],
    },
    note: '',
  },
  earlier: {
    id: ID(9),
    water: ID(1),
    who: 'a neighbour',
    season: 'last winter',
    used: 'snares',
    species: 'beaver',
    caught: 2,
    nights: null,
    note: '',
  },
  survey: {
    id: ID(9),
    water: ID(1),
    station: ID(2),
    at: AT,
    note: '',
    found: {
      kind: 'lodge',
      seen: ['weeds'],
      ledge: 40,
      pile: null,
      radius: null,
      holes: [{ felt: 'sticks', distance: 2, bearing: 90, ice: null }],
    },
  },
  camera: {
    id: ID(9),
    station: ID(2),
    camera: 'C1',
    from: AT,
    to: AT,
    source: 'simulated',
    events: [{ at: AT, species: 'beaver', count: 2, size: 'large' }],
    note: '',
  },
  intent: { id: ID(9), line: ID(5), station: ID(2), doing: 'planned', type: 'Baited bank', because: '' },
  opening: {
    id: ID(9),
    water: ID(1),
    shape: 'V',
    states: [{ id: ID(9), at: AT, width: inches(12), sill: inches(27) }],
    opened: AT,
    mended: null,
    by: 'us',
    note: '',
  },
  reading: {
    id: ID(9),
    gauge: ID(3),
    at: AT,
    level: inches(24),
    bound: 'crest',
    source: 'debris',
    since: '2026-11-18T14:00:00.000Z',
    clarity: 'muddy',
    set: null,
    note: '',
  },
} as const satisfies { [K in Kind]?: unknown };

const parse = (kind: keyof typeof GOOD, over: object = {}) => SCHEMAS[kind].safeParse({ ...GOOD[kind], ...over });

describe('what scouting writes', () => {
  for (const kind of Object.keys(GOOD) as (keyof typeof GOOD)[])
    it(`a good ${kind} is taken, and its defaults are filled`, () => {
      const parsed = parse(kind);
      assert.ok(parsed.success, JSON.stringify(parsed.error?.issues));
      assert.deepEqual(SCHEMAS[kind].parse(parsed.data), parsed.data, 'what was taken is taken again as it is');
    });
  const faults: [keyof typeof GOOD, object, RegExp][] = [
    ['sign', { kind: 'unicorn' }, /Sign is one of/],
    ['sign', { lat: 95 }, /Latitude is at most 90/],
    ['stationLevel', { depth: 20 }, /between 0 and 15 m/],
    ['ground', { name: ' ' }, /Name is needed/],
    [
      'ground',
      {
        shape: {
          type: 'Polygon',
          coordinates: [
            [
              [0, 0],
              [0, 1],
              [1, 1],
              [1, 0],
            ],
          ],
        },
      },
      /closes where it began/,
    ],
    ['ground', { shape: { type: 'LineString', coordinates: [[0, 0]] } }, /two points at least/],
    ['earlier', { caught: 1.5 }, /whole number/],
    ['survey', { found: { kind: 'lodge', seen: [], ledge: 400, pile: null, radius: null, holes: [] } }, /at most 360/],
    ['survey', { found: { kind: 'brook', marks: [] } }, /.+/],
    ['camera', { events: Array.from({ length: 5001 }, () => GOOD.camera.events[0]) }, /At most 5000/],
    ['intent', { doing: 'left' }, /Say why it is left unset/],
    ['intent', { type: '' }, /Say what is to be set/],
    ['intent', { doing: 'prepared' }, /needs the date/],
    ['opening', { mended: '2026-11-19T14:00:00.000Z' }, /plugged before it was opened/],
    ['opening', { states: [{ id: ID(9), at: AT, width: 0.001, sill: inches(27) }] }, /between 1 in and 65 ft/],
    ['reading', { clarity: 'pink' }, /Water clarity is one of/],
  ];
  for (const [kind, over, say] of faults)
    it(`a ${kind} with ${Object.keys(over).join()} bent is refused in words: ${say.source.slice(0, 30)}`, () => {
      const parsed = parse(kind, over);
      assert.ok(!parsed.success);
      assert.match(parsed.error.issues.map((i) => i.message).join(' '), say);
    });
});

describe('and what the book says of it', () => {
  const said = <K extends keyof typeof GOOD>(kind: K, over: object = {}): string =>
    entrySentence(kind as Kind, parse(kind, over).data as Body<Kind>, names, 'us');
  it('each in one line', () => {
    assert.equal(said('sign'), '12 east run: wet slide, beaver, hours old, fresh');
    assert.equal(said('sign', { photo: ID(8) }), '12 east run: wet slide, beaver, hours old, fresh, with a photo');
    assert.equal(said('stationLevel'), '12 east run: 14 in deep');
    assert.equal(said('ground'), 'boundary of permission leave');
    assert.equal(said('earlier'), 'Header Pond: a neighbour, last winter, snares, 2 beaver');
    assert.equal(said('survey'), '12 east run: winter lodge read, 1 hole');
    assert.equal(said('camera'), 'C1 at 12 east run: 1 event (simulated)');
    assert.equal(said('intent'), '12 east run: Baited bank, planned');
    assert.equal(said('intent', { doing: 'left', because: 'rest it' }), '12 east run: left unset: rest it');
    assert.equal(said('opening'), 'Header Pond: V-shaped break 12 in wide, bottom at 27 in, opened by us');
    assert.equal(said('reading'), 'board: 24 in (a high-water mark), muddy');
  });
  it('a reading from before clarity was asked is said without it', () => {
    const { clarity: _, since: __, ...old } = { ...GOOD.reading, bound: 'exact', source: 'gauge' } as Draft<'reading'>;
    assert.equal(entrySentence('reading', old as Body<'reading'>, names, 'us'), 'board: 24 in');
  });
});

describe('the correction form of what scouting wrote', () => {
  const fields = (kind: keyof typeof GOOD) => fieldsOf(kind, parse(kind).data, 'us', 'America/Chicago');
  it('shows no shape and no events of a camera: those are drawn and read from files', () => {
    assert.ok(!fields('ground').some((f) => f.path[0] === 'shape'));
    assert.ok(!fields('camera').some((f) => f.path[0] === 'events'));
  });
  it('shows each probe hole with its length on the tape', () => {
    const hole = fields('survey').find((f) => f.path.join('.') === 'found.holes.0.distance');
    assert.equal(hole?.text, '6 ft 6¾ in');
    const moved = withLeaf(parse('survey').data, ['found', 'holes', 0, 'distance'], 3) as Body<'survey'>;
    assert.equal(moved.found.kind === 'lodge' && moved.found.holes[0]?.distance, 3);
  });
  it('shows a measure as a length where it is one, as a number where it is not', () => {
    const station = SCHEMAS.station.parse({
      id: ID(2),
      water: ID(1),
      number: 1,
      name: 'run',
      kind: 'run',
      surface: 'pond',
      along: 0,
      note: '',
      measures: [
        { what: 'depth', value: inches(20), at: AT },
        { what: 'bearing', value: 95, at: AT },
      ],
    });
    const values = fieldsOf('station', station, 'us', 'America/Chicago').filter((f) => f.path[2] === 'value');
    assert.deepEqual(
      values.map((f) => [f.kind, f.text]),
      [
        ['length', '20 in'],
        ['number', '95'],
      ],
    );
  });
});
