import { bestOrder } from '#core/run/order';
import type { Run } from '#core/run/tour';

type Say = (what: string, is: string, budget?: string) => void;

/** The order of 60 stops, every third with a deadline; the same places each time. */
export function dayOrder(say: Say): void {
  let state = 7;
  const next = (): number => (state = (state * 48271) % 2147483647) / 2147483647;
  const spots = Array.from({ length: 61 }, () => [next() * 60, next() * 60] as const);
  const run: Run = {
    travel: spots.map(([x, y]) => spots.map(([a, b]) => Math.hypot(x - a, y - b))),
    lunch: { from: 240, minutes: 30 },
    stops: spots.slice(1).map((_, i) => ({ id: String(i), minutes: 2, opens: null, due: i % 3 === 0 ? 150 + next() * 500 : null })),
  };
  const times = Array.from({ length: 9 }, () => {
    const start = performance.now();
    bestOrder(run);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  say('the order of 60 stops with deadlines and lunch', `${((times[4] ?? NaN) / 200).toFixed(2)} of 200 ms`, 'budget 1');
}
