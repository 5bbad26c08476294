import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import jstat from 'jstat';
import { comesBack, type Standing } from '#core/gear/back';
import { againstShed, cutAndCarry, type Carried } from '#core/gear/carry';
import { brought, moreOf } from '#core/gear/more';
import { sparesFor } from '#core/gear/spares';
import { weigh, weightOf } from '#core/gear/weigh';
import { CATALOGUE } from '#core/sets/catalogue';
import { sampleDesign } from '#core/sets/sample';

const of = (kind: Carried['kind'], what: string, count = 1, amount?: number): Carried => ({
  ...{ kind, what, count },
  ...(amount === undefined ? {} : { amount }),
});

describe('what a load weighs', () => {
  it('every piece of every type at its usual numbers is known, and what is cut at the water weighs nothing', () => {
    for (const type of CATALOGUE)
      for (const variant of [undefined, ...(type.variants ?? [])]) {
        const list = cutAndCarry(sampleDesign(type, variant, 'us'), type.tools);
        assert.deepEqual(weigh(list).unknown, [], type.id);
        assert.ok(list.every((item) => item.kind !== 'stick' || weightOf(item) === 0));
      }
  });
  it('ten 330s weigh fifty pounds; a saw with its fuel is no hand saw', () => {
    assert.ok(Math.abs((weightOf(of('device', 'body-grip 330', 10)) ?? 0) / 0.45359237 - 50) < 1e-9);
    assert.ok((weightOf(of('tool', 'saw and fuel')) ?? 0) > 10 * (weightOf(of('tool', 'saw')) ?? 0));
  });
  it('a thing that nobody knows is named, and not weighed as nothing', () =>
    assert.deepEqual(weigh([of('made', 'winch'), of('stand', 'stand')]), { total: 1, unknown: ['winch'] }));
});

describe('spares', () => {
  it('suffice nine times in ten by the negative binomial of an independent library (jstat), and one less would not', () => {
    for (const [looks, lost, today] of [
      [0, 0, 8],
      [40, 6, 12],
      [300, 2, 20],
      [25, 10, 9],
    ] as const) {
      const spares = sparesFor({ looks, lost }, today);
      const p = (40 + looks) / (40 + looks + today);
      assert.ok(jstat.negbin.cdf(spares, 1 + lost, p) >= 0.9 - 1e-9, `${looks} ${lost} ${today}`);
      if (spares > 0) assert.ok(jstat.negbin.cdf(spares - 1, 1 + lost, p) < 0.9, `${looks} ${lost} ${today} less one`);
    }
  });
  it('none for a run that looks at none; never fewer for more that were lost or more that are looked at', () =>
    fc.assert(
      fc.property(fc.nat(200), fc.nat(40), fc.nat(30), (looks, lost, today) => {
        assert.equal(sparesFor({ looks, lost }, 0), 0);
        assert.ok(sparesFor({ looks, lost: lost + 1 }, today) >= sparesFor({ looks, lost }, today));
        assert.ok(sparesFor({ looks, lost }, today + 1) >= sparesFor({ looks, lost }, today));
      }),
    ));
});

describe('what is left makes', () => {
  const shed = { devices: { 'body-grip 330': 9 }, stock: { 'tie cable': 10, stand: 20 } };
  const lodge = [of('device', 'body-grip 330', 2), of('stand', 'stand', 2), of('cable', 'tie cable', 1, 3), of('tool', 'setter')];
  it('three more lodges: the cable ends it, and with two sets on the load already, one more, by its traps', () => {
    assert.deepEqual(moreOf(againstShed(lodge, shed), [], null), { count: 3, ends: 'tie cable' });
    const load = [of('device', 'body-grip 330', 6)];
    assert.deepEqual(moreOf(againstShed(lodge, shed), load, null), { count: 1, ends: 'body-grip 330' });
  });
  it('the sled ends it where it is full before the shed is empty', () => {
    assert.deepEqual(moreOf(againstShed(lodge, shed), [], 8), { count: 1, ends: 'weight' });
    assert.deepEqual(moreOf(againstShed(lodge, shed), [], -2), { count: 0, ends: 'weight' });
  });
  it('nothing is said where nothing is kept by count', () => assert.equal(moreOf(againstShed([of('made', 'raft')], shed), [], 8), null));
  it('whatever the shed keeps, so many more can be made and not one beyond', () =>
    fc.assert(
      fc.property(fc.nat(40), fc.nat(40), fc.nat(10), (traps, cable, on) => {
        const kept = { devices: { 'body-grip 330': traps }, stock: { 'tie cable': cable } };
        const one = [of('device', 'body-grip 330', 2), of('cable', 'tie cable', 1, 3)];
        const load = [of('device', 'body-grip 330', on)];
        const count = moreOf(againstShed(one, kept), load, null)?.count ?? 0;
        assert.ok(count === 0 || (count * 2 + on <= traps && count * 3 <= cable));
        assert.ok((count + 1) * 2 + on > traps || (count + 1) * 3 > cable);
      }),
    ));
});

describe('what a remake brings', () => {
  it('a longer pole and the cable it lacks, not what stands there already, nor tools', () => {
    const before = [of('stick', 'pole 8 ft'), of('cable', 'tie cable', 1, 3), of('stand', 'stand', 1)];
    const after = [of('stick', 'pole 9 ft'), of('cable', 'tie cable', 1, 3.5), of('stand', 'stand', 1), of('tool', 'saw')];
    assert.deepEqual(brought(before, after), [of('stick', 'pole 9 ft'), of('cable', 'tie cable', 1, 0.5)]);
    assert.deepEqual(brought(after, after), []);
  });
});

describe('what comes back from a run (common practice)', () => {
  const trap = (over: Partial<Standing>): Standing => ({
    tag: 'K-1',
    set: '22 gap',
    class: 'snare',
    left: null,
    hasCaught: false,
    ...over,
  });
  const why = (over: Partial<Standing>) => comesBack([trap(over)]).map((b) => b.why);
  it('a snare whose cable caught or is twisted, and what was found damaged; a trap that stands stays', () => {
    assert.deepEqual(why({ hasCaught: true }), ['cable']);
    assert.deepEqual(why({ left: 'cable twisted' }), ['cable']);
    assert.deepEqual(why({ class: 'bodyGrip', hasCaught: true }), []);
    assert.deepEqual(why({ class: 'bodyGrip', left: 'trigger bent' }), ['damaged']);
    assert.deepEqual(why({ class: 'foothold', left: 'damaged' }), ['damaged']);
    assert.deepEqual([why({}), why({ left: 'sprung empty' }), why({ class: 'foothold', left: 'missing' })], [[], [], []]);
  });
});
