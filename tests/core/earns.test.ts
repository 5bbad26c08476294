import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import jstat from 'jstat';
import { apart, perHour, rateRatio } from '#core/effort/compare';
import { earnedOf, groupsOf, type Earned } from '#core/effort/earns';
import type { Check, TrapSet } from '#core/record/kinds';
import { middleOf, minutesOf } from '#core/run/work';
import { againstText, hourText } from '#core/words/earns';

const near = (a: number, b: number, within: number): void => assert.ok(Math.abs(a - b) < within, `${a} is not ${b}`);

describe('two rates beside each other', () => {
  const nine = { caught: 9, hours: 60 };
  const three = { caught: 3, hours: 80 };
  it('9 in 60 against 3 in 80 are 4.0 times, 0.998 to 22.97: they cannot be told apart (from the trade’s own sheet)', () => {
    const found = rateRatio(nine, three);
    near(found?.ratio ?? 0, 4, 1e-9);
    near(found?.low ?? 0, 0.998, 0.001);
    near(found?.high ?? 0, 22.97, 0.01);
    assert.equal(apart(nine, three), null);
    assert.equal(againstText(found), 'cannot tell apart');
  });
  it('is the share of an independent library turned into a ratio (Clopper & Pearson by the beta of jstat)', () => {
    for (const [c1, h1, c2, h2] of [
      [9, 60, 3, 80],
      [12, 40, 2, 90],
      [1, 10, 7, 12],
    ] as const) {
      const [low, high] = [jstat.beta.inv(0.025, c1, c2 + 1), jstat.beta.inv(0.975, c1 + 1, c2)];
      const found = rateRatio({ caught: c1, hours: h1 }, { caught: c2, hours: h2 });
      near(found?.low ?? 0, ((low / (1 - low)) * h2) / h1, 1e-4);
      near(found?.high ?? 0, ((high / (1 - high)) * h2) / h1, 1e-3);
    }
  });
  it('turned round it is one over it; the ratio lies within its limits', () =>
    fc.assert(
      fc.property(fc.nat(12), fc.nat(12), fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }), (c1, c2, h1, h2) => {
        const [one, other] = [
          { caught: c1, hours: h1 },
          { caught: c2, hours: h2 },
        ];
        const [there, back] = [rateRatio(one, other), rateRatio(other, one)];
        if (!there || !back) return assert.equal(c1 + c2, 0);
        assert.ok(there.low <= there.ratio && there.ratio <= there.high);
        if (c1 > 0 && c2 > 0) near((there.low * back.high) / 1, 1, 1e-6);
        assert.equal(apart(one, other) === 'higher', apart(other, one) === 'lower');
      }),
    ));
  it('what caught nothing, and what never worked, is said to be so', () => {
    assert.equal(rateRatio({ caught: 0, hours: 5 }, { caught: 0, hours: 9 }), null);
    assert.equal(rateRatio({ caught: 4, hours: 0 }, three), null);
    // all eight of eight: the share is at least 0.025^(1/8) = 0.631
    assert.equal(againstText(rateRatio({ caught: 8, hours: 10 }, { caught: 0, hours: 90 })), '15 times as often, at least');
    assert.equal(againstText(null), 'nothing to compare');
    assert.match(againstText(rateRatio({ caught: 0, hours: 90 }, { caught: 8, hours: 10 })), /^less often: 0\.0 to 0\.1 times$/);
  });
  it('an hour of work: three in two hours are 1.5, 0.3 to 4.4 (Garwood 1936: 3 → 0.619 to 8.767)', () => {
    const found = perHour(3, 120);
    near(found?.low ?? 0, 0.619 / 2, 0.001);
    near(found?.high ?? 0, 8.767 / 2, 0.001);
    assert.equal(hourText(3, 120), '1.5 (0.3 to 4.4)');
    assert.equal(hourText(0, 60), 'at most 3.7');
    assert.equal(hourText(0, 0), 'no work yet');
  });
});

describe('what a set took and gave', () => {
  const set = { species: 'beaver', took: null } as unknown as TrapSet;
  const visit = (outcome: string, over: object = {}): Check =>
    ({
      ...{ change: outcome === 'catch' ? 'remade' : 'as it was', took: null },
      devices: [{ outcome, cause: 'not asked', flags: [], catch: outcome === 'catch' ? { species: 'beaver', alive: false } : null }],
      ...over,
    }) as unknown as Check;
  const minutes = middleOf(minutesOf({ place: 5, look: 2, remake: 6, catch: 12 }));
  it('its own animal alone, contacts apart, minutes as written, else by task', () => {
    const otter = visit('catch', {
      devices: [{ outcome: 'catch', cause: 'not asked', flags: [], catch: { species: 'otter', alive: false } }],
    });
    const found = earnedOf(
      set,
      [visit('untouched'), visit('catch'), visit('miss', { took: 9 }), otter, visit('not reached')],
      { low: 40, high: 48 },
      minutes,
    );
    assert.deepEqual([found.caught, found.contacts, found.written, found.times], [1, 1, 1, 5]);
    assert.equal(found.minutes, 5 + 2 + 12 + 9 + 12);
  });
  it('alike sets are added up, the best an hour of work first, each against all the others', () => {
    const own = (key: string, caught: number, spent: number): Earned & { key: string } => ({
      ...{ key, caught, contacts: 0, minutes: spent, written: 0, times: 1, hours: { low: 200, high: 280 } },
    });
    const groups = groupsOf([own('run', 4, 60), own('mound', 1, 60), own('run', 2, 30)], (s) => s.key);
    assert.deepEqual(
      groups.map((g) => [g.key, g.sets, g.caught, g.minutes, g.hours.high]),
      [
        ['run', 2, 6, 90, 560],
        ['mound', 1, 1, 60, 280],
      ],
    );
    near(groups[0]?.against?.ratio ?? 0, 3, 1e-9);
    assert.equal(groupsOf([own('run', 4, 60)], (s) => s.key)[0]?.against, null);
  });
});
