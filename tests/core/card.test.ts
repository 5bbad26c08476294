import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { toldChoices } from '#core/sets/asked';
import { CARD_FORMAT, CARD_VERSION, cardSchema, readFile, REPLY_FORMAT, replyFileSchema, type Card } from '#core/card/card';
import { inRows, openCard } from '#core/card/opened';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { usualDevices } from '#core/sets/standing';
import { feet, inches } from '#core/units/factors';

/** A set of a type as its owner's program would write it. */
function card(type = 'lodge-run', over: Partial<Card> = {}): Card {
  const own = setTypeOf(type);
  return {
    format: CARD_FORMAT,
    version: CARD_VERSION,
    from: 'Wren',
    written: '2026-11-25T11:22:00.000Z',
    set: {
      id: '019b76da-a800-77b5-a865-cfd21bdb40f4',
      number: 15,
      name: 'west run',
      type: own.id as Card['set']['type'],
      species: own.species[0] ?? 'beaver',
      state: 'live',
      anchor: 'alder root',
      since: '2026-11-20T11:22:00.000Z',
    },
    numbers: {},
    choices: {},
    devices: usualDevices(own),
    place: {
      ...{ name: 'west run', kind: own.stations[0] ?? 'run', surface: 'pond', along: feet(60), bed: 0 },
      ...{ water: 'Mill Pond', waterKind: 'pond', profile: [] },
    },
    then: { pond: inches(40), tail: 0 },
    now: { pond: inches(40), tail: 0 },
    gauges: { pond: inches(4), tail: 0 },
    ahead: [{ hours: 24, low: inches(38), middle: inches(39), high: inches(40) }],
    outcomes: [],
    told: ['In use.'],
    questions: 'Too deep?',
    ...over,
  };
}
const UTC = { zone: 'UTC', hours: 24 } as const;
const asFile = (value: unknown): string => JSON.stringify(value);

describe('a card', () => {
  it('of every type is drawn and judged by another program, in both units', () => {
    for (const type of CATALOGUE) {
      const read = readFile(asFile(card(type.id)), cardSchema);
      assert.ok(read.ok, type.id + (read.ok ? '' : read.sentence));
      for (const system of ['us', 'metric'] as const) {
        const it = openCard(read.value, system, UTC);
        assert.ok(it.design.parts.length > 0 && it.section.sets.length === 1, type.id);
        assert.equal(it.ahead.length, 1);
      }
    }
  });
  it('is read in the units and from the gauge of its reader: 39 in over the datum is 35 in on a gauge that hangs 4 in higher (metric marks are half centimetres)', () => {
    assert.equal(openCard(card(), 'us', UTC).ahead[0]?.level, '34 in to 36 in');
    assert.equal(openCard(card(), 'metric', UTC).ahead[0]?.level, '86.5 cm to 91.5 cm');
  });
  it('says how the set will stand at the level that is expected', () => {
    const numbers = { depth: inches(40), topUnder: inches(3) };
    const dry = card('lodge-run', { numbers, ahead: [{ hours: 12, low: 0, middle: inches(4), high: inches(8) }] });
    assert.equal(openCard(dry, 'us', UTC).states[0]?.verdict === 'outOfWater', false);
    assert.match(openCard(dry, 'us', UTC).ahead[0]?.stands ?? '', /dry|shallow|out of/);
  });
  it('carries no place on earth and no person but its writer', () => {
    const text = asFile(card());
    assert.doesNotMatch(text, /"lat"|"lon"|owner|site/);
    assert.equal(readFile(asFile({ ...card(), lat: 45 }), cardSchema).ok, false);
  });
  it('tells looks in a row that found the same as one, and what was changed by itself', () => {
    const look = (day: number, found: string, changed = '') => ({ at: `2026-11-${day}T09:00:00.000Z`, found, changed });
    assert.deepEqual(
      inRows([look(10, 'untouched'), look(11, 'untouched'), look(12, 'miss', 'remade'), look(13, 'untouched')]).map((r) => [
        r.found,
        r.count,
      ]),
      [
        ['untouched', 2],
        ['miss', 1],
        ['untouched', 1],
      ],
    );
  });
  for (const [why, file, says] of [
    ['no JSON', '{ "format": ', /not JSON/],
    ['something else', asFile({ format: 'a shopping list' }), /no card of a set/],
    ['a later program', asFile({ ...card(), version: 2 }), /later program/],
    ['a type that is not known', asFile({ ...card(), set: { ...card().set, type: 'bucket' } }), /set\.type: This type of set/],
    ['a size that is not known', asFile({ ...card(), devices: { outer: { class: 'bodyGrip', size: '900' } } }), /size of trap/],
    ['a level on the moon', asFile({ ...card(), now: { pond: 1e9 } }), /now\.pond/],
  ] as const)
    it(`is refused where it is ${why}, with its place in the file`, () => {
      const read = readFile(file, cardSchema);
      assert.ok(!read.ok);
      assert.match(read.sentence, says);
    });
});

describe('a reply', () => {
  const reply = {
    format: REPLY_FORMAT,
    version: CARD_VERSION,
    set: card().set.id,
    from: 'an old hand',
    written: card().written,
    text: 'Lower it.',
  };
  it('is read as it was saved', () => assert.deepEqual(readFile(asFile(reply), replyFileSchema), { ok: true, value: reply }));
  it('is refused empty, of a later program, or where it is a card', () => {
    for (const [bad, says] of [
      [{ ...reply, text: ' ' }, /empty/],
      [{ ...reply, version: 9 }, /paste its text/],
      [card(), /no reply to a card/],
    ] as const) {
      const read = readFile(asFile(bad), replyFileSchema);
      assert.match(read.ok ? '' : read.sentence, says);
    }
  });
});

describe('what a card says of how a set is built', () => {
  const told = (choices: Record<string, string>) =>
    toldChoices(setTypeOf('lodge-run'), choices).map(({ label, value }) => `${label}: ${value}`);
  it('leaves out what nobody said, what another choice rules out, and what is rarely otherwise', () => {
    assert.deepEqual(told({ anchorAs: 'root', wrap: 'high', bottom: 'firm', stand: 'any', second: 'one', notch: 'light' }), [
      'Tied to: a live root',
      'Notch: light',
    ]);
  });
  it('tells a wrap above the ground and a second tie where they were chosen', () => {
    assert.deepEqual(told({ anchorAs: 'stake', wrap: 'high', bottom: 'unknown', second: 'two' }), [
      'Tied to: a stake',
      'Wrap on the stake: above the ground',
      'Ties: two, to two anchors',
    ]);
  });
});

describe('the clock of a card', () => {
  it('is that of its place; a card of before has none, and a zone that does not exist is refused', () => {
    const zoned = (zone?: string) => cardSchema.safeParse({ ...card(), ...(zone === undefined ? {} : { zone }) }).success;
    assert.deepEqual([zoned('America/Chicago'), zoned(), zoned('Moon/Tranquility')], [true, true, false]);
  });
});
