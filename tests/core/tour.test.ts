import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import highsLoader from 'highs';
import { chainsOf } from '#core/run/chains';
import { dayPlan, waysOut } from '#core/run/dayPlan';
import { bestOrder } from '#core/run/order';
import { sharedByTwo } from '#core/run/shared';
import { costOf, partOf, START, timed, type Run, type Stop } from '#core/run/tour';

/** The order of a day: against every order, and against an independent solver (the package highs, MIT). */

interface Spot {
  x: number;
  y: number;
}

const spot = fc.record({ x: fc.integer({ min: 0, max: 60 }), y: fc.integer({ min: 0, max: 60 }) });
const distances = (spots: readonly Spot[]): number[][] => spots.map((a) => spots.map((b) => Math.hypot(a.x - b.x, a.y - b.y)));
const stop = (i: number, over: Partial<Stop> = {}): Stop => ({ id: `s${i}`, minutes: 2, opens: null, due: null, ...over });

/** The same places each time. @param seed of the run */
function places(n: number, seed: number): Spot[] {
  let state = seed;
  const next = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
  return Array.from({ length: n }, () => ({ x: next() * 60, y: next() * 60 }));
}

function* everyWay(left: readonly number[]): Generator<number[]> {
  if (left.length === 0) yield [];
  for (const next of left) for (const rest of everyWay(left.filter((i) => i !== next))) yield [next, ...rest];
}
const leastOf = (run: Run, orders: Iterable<number[]>): number => {
  let least = Infinity;
  for (const order of orders) least = Math.min(least, costOf(timed(run, order)));
  return least;
};

const window = fc.option(fc.integer({ min: 0, max: 200 }), { nil: null });
const small = (most: number) =>
  fc
    .record({
      spots: fc.array(spot, { minLength: 2, maxLength: most + 1 }),
      windows: fc.array(fc.record({ opens: window, due: window, minutes: fc.integer({ min: 1, max: 20 }) }), {
        minLength: most,
        maxLength: most,
      }),
      lunch: fc.option(fc.record({ from: fc.integer({ min: 0, max: 150 }), minutes: fc.constant(30) }), { nil: null }),
    })
    .map(({ spots, windows, lunch }): Run => ({
      travel: distances(spots),
      lunch,
      stops: spots.slice(1).map((_, i) => stop(i, windows[i])),
    }));

describe('the order of up to nine stops', () => {
  it('is the best of all orders, with waiting, deadlines that break and lunch', () =>
    fc.assert(
      fc.property(small(6), (run) => {
        const all = run.stops.map((_, i) => i);
        assert.ok(Math.abs(costOf(timed(run, bestOrder(run))) - leastOf(run, everyWay(all))) < 1e-6);
      }),
      { numRuns: 60 },
    ));
  it('nine stops: no order of the 362,880 is better', () => {
    const spots = places(10, 4);
    const due = [40, null, 90, null, null, 130, null, 60, null];
    const run: Run = { travel: distances(spots), lunch: null, stops: due.map((d, i) => stop(i, { due: d })) };
    const found = costOf(timed(run, bestOrder(run)));
    assert.ok(Math.abs(found - leastOf(run, everyWay(due.map((_, i) => i)))) < 1e-6);
  });
  it('holds what was pinned, and the rest is the best round it', () =>
    fc.assert(
      fc.property(small(6), fc.nat(5), fc.nat(5), fc.boolean(), (run, a, b, ends) => {
        const [one, two] = [a % run.stops.length, b % run.stops.length];
        if (one === two) return;
        const stops = run.stops.map((s, i) => ({
          ...s,
          ...(i === one ? { after: `s${two}` } : {}),
          ...(i === two && ends ? { last: true } : i === two ? {} : {}),
        }));
        const pinned = { ...run, stops };
        const order = bestOrder(pinned);
        assert.equal(order.indexOf(one), order.indexOf(two) + 1);
        if (ends) assert.equal(order.at(-1), one);
        const kept = (o: number[]): boolean => o.indexOf(one) === o.indexOf(two) + 1 && (!ends || o.at(-1) === one);
        const ways = [...everyWay(stops.map((_, i) => i))].filter(kept);
        assert.ok(Math.abs(costOf(timed(pinned, order)) - leastOf(pinned, ways)) < 1e-6);
      }),
      { numRuns: 40 },
    ));
});

describe('pins', () => {
  it('make chains; one that names no stop, or leads back to itself, holds nothing', () => {
    const stops = [
      stop(0, { after: START }),
      stop(1, { after: 's0' }),
      stop(2, { after: 'gone' }),
      stop(3, { after: 's4' }),
      stop(4, { after: 's3' }),
    ];
    assert.deepEqual(chainsOf({ stops }), { head: [0, 1], tail: [], free: [[2], [4, 3]] });
  });
});

/** The shortest way through all places and back, by an independent solver: rounds that leave a place out are forbidden one after the other. */
async function shortestRound(travel: readonly (readonly number[])[]): Promise<{ length: number; order: number[] }> {
  const highs = await highsLoader();
  const n = travel.length;
  const name = (a: number, b: number): string => `x_${Math.min(a, b)}_${Math.max(a, b)}`;
  const pairs = travel.flatMap((_, a) => travel.flatMap((__, b) => (a < b ? [[a, b] as const] : [])));
  const cuts: string[] = [];
  for (;;) {
    const degree = travel.map((_, a) => `${travel.flatMap((__, b) => (a === b ? [] : [name(a, b)])).join(' + ')} = 2`);
    const problem = [
      'Minimize',
      pairs.map(([a, b]) => `${travel[a]?.[b]?.toFixed(6)} ${name(a, b)}`).join(' + '),
      'Subject To',
      ...degree,
      ...cuts,
      'Binary',
      pairs.map(([a, b]) => name(a, b)).join(' '),
      'End',
    ].join('\n');
    const { Columns, ObjectiveValue } = highs.solve(problem) as { Columns: Record<string, { Primal?: number }>; ObjectiveValue: number };
    const next = travel.map((_, a) => travel.flatMap((__, b) => (a !== b && (Columns[name(a, b)]?.Primal ?? 0) > 0.5 ? [b] : [])));
    const unseen = new Set(travel.keys());
    const rounds: number[][] = [];
    for (const first of travel.keys()) {
      if (!unseen.has(first)) continue;
      const round = [first];
      unseen.delete(first);
      for (let at: number | undefined = first; at !== undefined;) {
        at = next[at]?.find((b) => unseen.has(b));
        if (at === undefined) break;
        round.push(at);
        unseen.delete(at);
      }
      rounds.push(round);
    }
    const [only] = rounds;
    if (rounds.length === 1 && only) return { length: ObjectiveValue, order: only };
    for (const round of rounds)
      if (round.length <= n / 2)
        cuts.push(`${round.flatMap((a) => [...travel.keys()].flatMap((b) => (round.includes(b) ? [] : [name(a, b)]))).join(' + ')} >= 2`);
  }
}

describe('the order of many stops', () => {
  for (const [n, seed] of [
    [20, 7],
    [40, 11],
    [60, 3],
  ] as const)
    it(`${n} stops: within 2 % of the optimum of the solver highs, with windows built round it as well`, async () => {
      const travel = distances(places(n + 1, seed));
      const { length, order } = await shortestRound(travel);
      const free: Run = { travel, lunch: null, stops: Array.from({ length: n }, (_, i) => stop(i, { minutes: 0 })) };
      assert.ok(timed(free, bestOrder(free)).back <= length * 1.02, `${timed(free, bestOrder(free)).back} against ${length}`);

      // windows round the moments of the shortest round: it stays the best there is (as Dumas et al. 1995 built their instances)
      const round = order.slice(1).map((place) => place - 1);
      const at = new Map(timed(free, round).stops.map((s) => [s.stop, s.at]));
      const stops = free.stops.map((s, i) => {
        const own = at.get(i) ?? 0;
        return i % 2 === 0 ? { ...s, opens: Math.max(0, own - 40), due: own + 40 } : s;
      });
      const run = { ...free, stops };
      const tour = timed(run, bestOrder(run));
      assert.ok(tour.late < 1e-6, `${tour.late} min late`);
      assert.ok(tour.back <= length * 1.02, `with windows ${tour.back} against ${length}`);
    });
  it('every stop once, and the same order each time', () =>
    fc.assert(
      fc.property(small(16), (run) => {
        const order = bestOrder(run);
        assert.deepEqual(
          [...order].sort((a, b) => a - b),
          [...run.stops.keys()],
        );
        assert.deepEqual(bestOrder(run), order);
      }),
      { numRuns: 25 },
    ));
});

describe('a day that two share', () => {
  it('holds every stop once, and neither day is longer than the one of a single person', () =>
    fc.assert(
      fc.property(small(12), (run) => {
        const free = { ...run, stops: run.stops.map((s) => ({ ...s, opens: null, due: null })) };
        const [a, b] = sharedByTwo(free);
        assert.deepEqual(
          [...a, ...b].sort((x, y) => x - y),
          [...run.stops.keys()],
        );
        const alone = timed(free, bestOrder(free)).back;
        assert.ok(Math.max(timed(free, a).back, timed(free, b).back) <= alone + 1e-6);
      }),
      { numRuns: 12 },
    ));
  it('a place that opens late keeps one there and the other not at home: what both do is shared evenly', () => {
    const spots = places(10, 5);
    const run: Run = {
      travel: distances([{ x: 30, y: 30 }, ...spots]),
      lunch: null,
      stops: spots.map((_, i) => stop(i, { minutes: 10, ...(i === 3 ? { opens: 900 } : {}) })),
    };
    const [one, two] = sharedByTwo(run).map((order) => timed(run, order));
    assert.ok(one && two);
    const busy = [one, two].map((t) => t.back - t.waits);
    assert.ok(Math.min(...busy) > 0.6 * Math.max(...busy), busy.join(' and '));
  });
});

describe('a day that cannot be done in time', () => {
  // four stops in a line, 30 minutes apart; the two far ones are due at minute 60
  const travel = [0, 30, 60, -30, -60].map((a) => [0, 30, 60, -30, -60].map((b) => Math.abs(a - b)));
  const run: Run = { travel, lunch: null, stops: [stop(0), stop(1, { due: 60 }), stop(2), stop(3, { due: 60 })] };
  it('says which is late, and what helps: an earlier start, two people, or leaving one out', () => {
    const plan = dayPlan(run);
    const ways = waysOut(run, plan);
    const late = plan.tours.flatMap((t) => t.stops.filter((s) => s.late > 0));
    assert.equal(late.length, 1);
    // to the far one, back past the start and to the other: 60 + 2 + 2 × 2 + 120 minutes at most, due at 60
    assert.equal(ways?.earlier, 125);
    assert.deepEqual(ways.without.length, 1);
    assert.ok(ways.shared);
    // each goes out to one far one and looks at the near one on the way back
    assert.deepEqual(ways.shared, [124, 124]);
  });
  it('a stop that was overdue before the day begins breaks no further deadline: the others come first', () => {
    const stops = [stop(0, { due: -30 }), stop(1), stop(2), stop(3, { due: 60 })];
    const plan = dayPlan({ ...run, stops });
    assert.equal(plan.tours[0]?.stops[0]?.stop, 3);
    assert.equal(plan.tours[0].late, 0);
    assert.equal(waysOut({ ...run, stops }, plan), null);
  });
  it('what a pin costs is the difference to the day without it', () => {
    const free = { ...run, stops: run.stops.map((s) => ({ ...s, due: null })) };
    const first = { ...free, stops: free.stops.map((s, i) => (i === 1 ? { ...s, after: START } : i === 3 ? { ...s, after: 's1' } : s)) };
    const { pins, tours } = dayPlan(first);
    assert.ok(pins);
    assert.ok(Math.abs(pins.minutes - ((tours[0]?.back ?? 0) - timed(free, bestOrder(free)).back)) < 1e-9);
    assert.equal(dayPlan(free).pins, null);
    assert.equal(waysOut(free, dayPlan(free)), null);
  });
});

describe('a break among the stops', () => {
  // a round of four, ten minutes from one to the next and back
  const travel = Array.from({ length: 5 }, (_, a) =>
    Array.from({ length: 5 }, (_, b) => 10 * Math.min(Math.abs(a - b), 5 - Math.abs(a - b))),
  );
  const round = (over: (i: number) => Partial<Stop>): Run => ({ travel, lunch: null, stops: [0, 1, 2, 3].map((i) => stop(i, over(i))) });
  const orderOf = (run: Run): number[] => dayPlan(run).tours[0]?.stops.map((s) => s.stop) ?? [];
  it('is left for the end where that costs little, and says what it costs', () => {
    const run = round((i) => (i === 0 ? { likesLast: true } : {}));
    assert.equal(orderOf(run).at(-1), 0);
    // round the other way it costs nothing
    assert.equal(dayPlan(run).last?.minutes ?? 0, 0);
    const inside = round((i) => (i === 1 ? { likesLast: true } : {}));
    const { last, tours } = dayPlan(inside);
    const free = timed(inside, bestOrder(inside));
    if (last) assert.ok(last.id === 's1' && last.minutes <= 15 && Math.abs((tours[0]?.back ?? 0) - free.back - last.minutes) < 1e-9);
    else assert.deepEqual(orderOf(inside), bestOrder(inside));
  });
  it('is not where a deadline would break by it, where somebody holds it elsewhere, or where another is held last', () => {
    const due = round((i) => (i === 1 ? { likesLast: true, due: 22 } : {}));
    assert.equal(dayPlan(due).last, null);
    assert.equal(dayPlan(due).tours[0]?.late, 0);
    const held = round((i) => (i === 1 ? { likesLast: true, after: START } : {}));
    assert.equal(orderOf(held)[0], 1);
    const other = round((i) => (i === 1 ? { likesLast: true } : i === 2 ? { last: true } : {}));
    assert.equal(orderOf(other).at(-1), 2);
  });
  it('never makes a day more than a quarter of an hour longer, nor later anywhere', () =>
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(60), fc.nat(60)), { minLength: 2, maxLength: 6 }), fc.nat(5), (spots, which) => {
        const run: Run = {
          travel: distances([{ x: 30, y: 30 }, ...spots.map(([x, y]) => ({ x, y }))]),
          lunch: null,
          stops: spots.map((_, i) => stop(i, { minutes: 5, ...(i === which % spots.length ? { likesLast: true } : {}) })),
        };
        const [free, own] = [timed(run, bestOrder(run)), dayPlan(run)];
        const tour = own.tours[0];
        assert.ok(tour && tour.back <= free.back + 15 + 1e-6 && tour.late <= free.late + 0.05);
        if (own.last) assert.equal(run.stops[tour.stops.at(-1)?.stop ?? -1]?.id, own.last.id);
      }),
      { numRuns: 60 },
    ));
});

describe('a day reckoned by hand', () => {
  const travel = [
    [0, 10, 20],
    [10, 0, 15],
    [20, 15, 0],
  ];
  it('10 min there, 5 of work, 15 on, waits to minute 45, 5 of work, lunch of 30, 20 back', () => {
    const run: Run = {
      travel,
      lunch: { from: 40, minutes: 30 },
      stops: [stop(0, { minutes: 5 }), stop(1, { minutes: 5, opens: 45, due: 44 })],
    };
    const tour = timed(run, [0, 1]);
    assert.deepEqual(
      tour.stops.map((s) => [s.at, s.leaves, s.late]),
      [
        [10, 15, 0],
        [45, 50, 1],
      ],
    );
    assert.deepEqual([tour.back, tour.travel, tour.waits, tour.late], [100, 45, 15, 1]);
  });
  it('a part of a day keeps the ways between its own stops', () =>
    assert.deepEqual(partOf({ travel, lunch: null, stops: [stop(0), stop(1)] }, [1]).travel, [
      [0, 20],
      [20, 0],
    ]));
});
