import { bestOrder } from './order';
import { costOf, partOf, timed, type Run } from './tour';

type Two = readonly [readonly number[], readonly number[]];

/** How the stops are shared by two who begin at the same place and minute: the longer of the two days as short as it was found. */
export function sharedByTwo(run: Run): [number[], number[]] {
  const alone = bestOrder(run);
  const cuts = alone.map((_, k): Two => [alone.slice(0, k), alone.slice(k)]);
  const begun = cuts.reduce<Two>((a, b) => (costOfTwo(run, b) < costOfTwo(run, a) ? b : a), [alone, []]);
  const own = (order: readonly number[]): number[] => bestOrder(partOf(run, order)).flatMap((i) => order[i] ?? []);
  let [first, second] = evened(run, begun);
  [first, second] = [own(first), own(second)];
  return [[...first], [...second]];
}

function costOfTwo(run: Run, [a, b]: Two): number {
  const [one, two] = [timed(run, a), timed(run, b)];
  const longest = Math.max(one.back, two.back);
  // where a place that opens late holds one of them until then, the other does not stay at home: what both do is shared evenly too
  const busiest = Math.max(one.back - one.waits, two.back - two.waits);
  return costOf({ late: one.late + two.late, back: longest + busiest / 1e3 + (one.back + two.back) / 1e6 });
}

/** Stops are handed over one by one, each to its best place in the other's day, while that helps. */
function evened(run: Run, begun: Two): Two {
  let two = begun;
  let cost = costOfTwo(run, two);
  for (;;) {
    const next = handedOver(two).reduce<{ two: Two; cost: number } | null>((best, tried) => {
      const own = costOfTwo(run, tried);
      return own < (best?.cost ?? cost) - 1e-6 ? { two: tried, cost: own } : best;
    }, null);
    if (!next) return two;
    ({ two, cost } = next);
  }
}

function handedOver([a, b]: Two): Two[] {
  const given = (from: readonly number[], to: readonly number[]): [number[], number[]][] =>
    from.flatMap((stop, i) =>
      Array.from({ length: to.length + 1 }, (_, k) => [from.toSpliced(i, 1), to.toSpliced(k, 0, stop)] as [number[], number[]]),
    );
  return [...given(a, b), ...given(b, a).map(([from, to]): Two => [to, from])];
}
