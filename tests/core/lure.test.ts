import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { cutAndCarry } from '#core/gear/carry';
import { attractSchema, drawsOf, freshLure, lastsNights, LURE_PLACES, LURES, lureText, type Attract } from '#core/lure/lure';
import { lureFields, luresFrom } from '#core/lure/typed';
import { othersIn } from '#core/others/others';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { layOut, usualDevices } from '#core/sets/standing';
import { remakeOrders } from '#core/sets/remake';
import { atWorkUsually } from '#core/sets/order';
import type { SetType } from '#core/sets/setType';

/** What draws: common practice without a source. */

const one = (what: Attract['what'], where: Attract['where'] = 'on the bank', amount = 1): Attract => ({ what, where, amount, stock: null });
const then = { pond: 1, tail: 0.4 };
const laid = (type: SetType, lures?: Attract[]) =>
  layOut(
    type,
    {
      numbers: {},
      choices: {},
      lures,
      then,
      devices: usualDevices(type),
      place: { kind: type.stations[0] ?? 'run', surface: 'pond', bed: null },
    },
    'us',
  );
const anyAttract = fc.record(
  {
    what: fc.constantFrom(...LURES),
    where: fc.constantFrom(...LURE_PLACES),
    amount: fc.integer({ min: 1, max: 20 }),
    stock: fc.option(fc.uuid()),
  },
  { noNullPrototype: true },
);

describe('what draws to a set', () => {
  it('stands in the place of what its type is built with, on the gear list and in the drawing', () => {
    const type = setTypeOf('lure-pole');
    const [before, after] = [laid(type), laid(type, [one('sac oil', 'under a roof', 3)])];
    const lureOf = (design: typeof before) =>
      cutAndCarry(design)
        .filter((c) => c.kind === 'lure')
        .map((c) => [c.what, c.count]);
    assert.deepEqual(lureOf(before), [['castor lure', 2]]);
    assert.deepEqual(lureOf(after), [['sac oil', 3]]);
    assert.ok(after.parts.filter((p) => p.kind === 'bait').every((p) => p.stock === 'sac oil'));
    assert.equal(after.usualLure, 'castor lure');
  });
  it('leaves every type whole when nothing draws: what its water asks of it stays', () => {
    for (const type of CATALOGUE) {
      const [before, blind] = [laid(type), laid(type, [])];
      assert.deepEqual(blind.needs, before.needs, type.id);
      assert.ok(!blind.supplies.some((s) => s.kind === 'lure' || s.kind === 'bait'), type.id);
      const ids = new Set(blind.parts.map((p) => p.id));
      assert.ok(
        blind.needs.every((need) => ids.has(need.of.part)),
        type.id,
      );
    }
  });
  it('is nothing at every type that is blind', () => {
    const blind = CATALOGUE.filter((type) => type.blind);
    assert.equal(blind.length, 9);
    for (const type of blind) assert.ok(!laid(type).supplies.some((s) => s.kind === 'lure' || s.kind === 'bait'), type.id);
  });
  it('says who comes for it: fish in a set that stands dry draws a raccoon', () => {
    const type = setTypeOf('cubby');
    const asked = (lures: Attract[]) =>
      othersIn({
        ...{ type, species: 'mink' as const, choices: {}, panPull: undefined, surface: 'pond' as const, then, seen: [], users: '' },
        ...{ devices: Object.values(usualDevices(type)), design: laid(type, lures) },
      });
    const why = (lures: Attract[]) => asked(lures).find((o) => o.who === 'raccoon')?.because ?? [];
    assert.ok(why([one('fish')]).includes('comes for the bait'));
    assert.ok(!why([]).includes('comes for the bait'));
  });
  it('works as long as the first of it, twice as long under a roof; wood under ice is not counted by nights', () => {
    assert.equal(lastsNights([one('castor lure'), one('fish')]), 4);
    assert.equal(lastsNights([one('fish', 'under a roof')]), 8);
    assert.equal(lastsNights([one('green wood')]), null);
    assert.equal(lastsNights([]), null);
  });
  it('is told in words, and is on the sheet of a remake', () => {
    assert.equal(
      lureText([one('castor lure', 'on the bank', 2), one('sac oil', 'in the water')]),
      'castor lure, on the bank, 2 portions; sac oil, in the water',
    );
    const type = setTypeOf('castor-foothold');
    const [order] = remakeOrders(type, atWorkUsually(type), [one('sac oil')]);
    assert.ok(order?.steps.some((s) => s.do === 'Fresh over the old: sac oil, on the bank.'));
    assert.match(freshLure([]), /^A blind set/);
  });
  it('every lure draws somebody, and every kind of type that lives by bait has one that draws its animal', () => {
    for (const what of LURES) assert.ok(drawsOf(what).length > 0, what);
    for (const species of ['beaver', 'muskrat', 'mink', 'otter', 'raccoon'] as const)
      assert.ok(
        LURES.some((l) => drawsOf(l).includes(species)),
        species,
      );
  });
});

describe('what a form says of it', () => {
  const asForm = (fields: Record<string, string>) => luresFrom((name) => fields[name] ?? '');
  it('comes back as it was written, whatever it was', () => {
    fc.assert(
      fc.property(fc.option(fc.array(anyAttract, { maxLength: 3 }), { nil: undefined }), (lures) => {
        assert.deepEqual(asForm(lureFields(lures)), { lures, faults: {} });
      }),
    );
  });
  it('has a sentence at the field for what is no amount, and for nothing said', () => {
    const own = { lure: 'own', 'lure.0.what': 'fish', 'lure.0.amount': 'lots' };
    assert.match(asForm(own).faults['lure.0.amount'] ?? '', /“lots” is no number of portions/);
    assert.match(asForm({ lure: 'own' }).faults.lure ?? '', /one row at least/);
  });
  it('never makes what the record would not take', () => {
    fc.assert(
      fc.property(fc.array(anyAttract, { maxLength: 3 }), (lures) => {
        for (const lure of asForm(lureFields(lures)).lures ?? []) assert.ok(attractSchema.safeParse(lure).success);
      }),
    );
  });
});
