import type { Draft } from '#core/record/kinds';
import type { DemoContext } from './scouting';

/** Stock as the crew keeps it: name, kind, unit, how much was bought, when it is low, what one costs (invented). Lengths in m. */
// prettier-ignore
const STOCK: [name: string, kind: Draft<'stock'>['kind'], unit: Draft<'stock'>['unit'], bought: number, low: number | null, cost: number | null][] = [
  ['7×7 3/32 cable', 'cable', 'length', 76, 15, 0.9],
  ['anchor cable', 'cable', 'length', 60, 12, 0.8],
  ['tether cable', 'cable', 'length', 12, 6, 0.8],
  ['slide wire', 'wire', 'length', 45, 9, 0.35],
  ['9 gauge support wire', 'wire', 'length', 30, 6, 0.25],
  ['locks', 'lock', 'pieces', 18, 12, 0.6],
  ['swivels', 'swivel', 'pieces', 22, 12, 0.9],
  ['one-way lock and stop', 'made', 'pieces', 6, 4, 3.5],
  ['stand', 'stand', 'pieces', 9, 6, 11],
  ['stake 24 in', 'stake', 'pieces', 14, 10, 2.5],
  ['bank stake 24 in', 'stake', 'pieces', 8, 6, 2.5],
  ['castor lure', 'lure', 'portions', 40, 15, 0.7],
  ['beaver oil', 'lure', 'portions', 12, 5, 1.6],
  ['root or apple', 'bait', 'portions', 30, 10, 0.1],
  ['green wood', 'bait', 'portions', 24, null, null],
  ['setter', 'tool', 'pieces', 2, 1, 24],
];

/** The shed beside the tags: stock, what was used of it, and two kits. */
export function addShed({ at, idOf, make, add }: DemoContext): void {
  const founded = at(33, '16:00');
  const of = (name: string): string => idOf(`stock ${name}`);
  const moved = (name: string, why: Draft<'stockMove'>['why'], amount: number, day: number, set: string | null = null, note = ''): void => {
    const when = at(day, '17:10');
    add('stockMove', { id: make(when), stock: of(name), at: when.toISOString(), why, count: null, amount, set, note }, when);
  };
  for (const [name, kind, unit, bought, low, cost] of STOCK) {
    add('stock', { id: of(name), name, kind, unit, low, cost, note: '' }, founded);
    const when = at(33, '16:10');
    add(
      'stockMove',
      { id: make(when), stock: of(name), at: when.toISOString(), why: 'bought', count: null, amount: bought, set: null, note: '' },
      when,
    );
  }
  for (const [day, portions] of [
    [19, 4],
    [12, 6],
    [8, 5],
    [3, 7],
  ] as const)
    moved('castor lure', 'used', -portions, day);
  moved('7×7 3/32 cable', 'used', -34, 20, null, 'ten snares made up');
  moved('locks', 'used', -10, 20, null, 'ten snares made up');
  moved('swivels', 'used', -10, 20, null, 'ten snares made up');
  moved('anchor cable', 'used', -41, 20);
  moved('slide wire', 'used', -16, 18);
  moved('root or apple', 'used', -12, 9);
  add(
    'kit',
    {
      id: idOf('kit 330'),
      name: '330 with its stand',
      items: [
        { stock: of('stand'), amount: 1 },
        { stock: of('anchor cable'), amount: 1.83 },
        { stock: of('stake 24 in'), amount: 1 },
      ],
      note: '',
    },
    founded,
  );
  add(
    'kit',
    {
      id: idOf('kit slide'),
      name: 'slide for a foothold',
      items: [
        { stock: of('slide wire'), amount: 3.05 },
        { stock: of('one-way lock and stop'), amount: 1 },
        { stock: of('bank stake 24 in'), amount: 1 },
      ],
      note: '',
    },
    founded,
  );
}
