import type { Layout } from '../water/layout';

/** What a set takes from the shed and the wood: each kind once with its count, in the order of the parts list. */
export function cutAndCarry(layout: Layout): { what: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const { stock } of layout.parts) if (stock) counts.set(stock, (counts.get(stock) ?? 0) + 1);
  return [...counts].map(([what, count]) => ({ what, count }));
}
