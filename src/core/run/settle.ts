import { NONE, Pieces } from './pieces';
import type { Run } from './tour';

/** A minute after which nothing is. */
const NEVER = 1e7;

/** Moved pieces have at most so many chains. */
const LONGEST = 3;

/** The piece from `i` to `j` put behind position `k`, turned round or not; `k = i - 1` leaves it in its place. */
interface Change {
  i: number;
  j: number;
  k: number;
  back: boolean;
}

export interface Settled {
  order: number[];
  cost: number;
}

/** An order made better by moving pieces of it and turning them round, until nothing helps any more. */
export class Settler {
  private readonly pieces: Pieces;
  private readonly n: number;
  /** numbers of the pieces that stay at the ends of the day; `NONE` without any */
  private readonly head: number;
  private readonly tail: number;
  /** the order whose pieces are known */
  private laid: readonly number[] = [];

  /** @param chains what is put in order; `head` and `tail` stay where they are */
  constructor(run: Run, chains: readonly (readonly number[])[], head: readonly number[], tail: readonly number[]) {
    const n = chains.length;
    const own = 2 * n * n + n;
    this.n = n;
    this.pieces = new Pieces(run.travel, own + 3);
    const make = (chain: readonly number[], piece: number): number => {
      for (const [nth, index] of chain.entries()) {
        const { minutes = 0, opens = null, due = null } = run.stops[index] ?? {};
        const from = opens ?? 0;
        this.pieces.put(nth === 0 ? piece : own + 2, index + 1, [minutes, from, due === null ? NEVER : Math.max(due, from)]);
        if (nth > 0) this.pieces.join(piece, own + 2, piece);
      }
      return chain.length > 0 ? piece : NONE;
    };
    for (const [i, chain] of chains.entries()) make(chain, this.alone(i));
    this.head = make(head, own);
    this.tail = make(tail, own + 1);
  }

  /** @param near the chains about which something was changed; all where none are named */
  settle(start: readonly number[], near: readonly number[] = start): Settled {
    let order = [...start];
    let cost = this.pieces.cost([this.head, ...order.map((i) => this.alone(i)), this.tail]);
    const open = new Set(near);
    this.lay(order);
    for (let next = open.values().next(); !next.done; next = open.values().next()) {
      const found = this.around(order.indexOf(next.value), cost);
      open.delete(next.value);
      if (!found) continue;
      const { i, j, k } = found.change;
      for (const at of [i - 1, i, j, j + 1, k, k + 1]) if (order[at] !== undefined) open.add(order[at]);
      order = changed(order, found.change);
      cost = found.cost;
      this.lay(order);
    }
    return { order, cost };
  }

  private alone(i: number): number {
    return 2 * this.n * this.n + i;
  }

  private ahead(i: number, j: number): number {
    return i > j ? NONE : i * this.n + j;
  }

  private turned(i: number, j: number): number {
    return this.n * this.n + i * this.n + j;
  }

  /** Every piece of an order, both ways round; pieces that lie as they lay before are known. */
  private lay(order: readonly number[]): void {
    const isNew = (chain: number, at: number): boolean => this.laid[at] !== chain;
    const [from, to] = [order.findIndex(isNew), order.findLastIndex(isNew)];
    this.laid = order;
    for (let i = 0; i <= to; i += 1) {
      if (i >= from) {
        this.pieces.copy(this.alone(order[i] ?? 0), this.ahead(i, i));
        this.pieces.copy(this.alone(order[i] ?? 0), this.turned(i, i));
      }
      for (let j = Math.max(i + 1, from); j < this.n; j += 1) {
        const next = this.alone(order[j] ?? 0);
        this.pieces.join(this.ahead(i, j - 1), next, this.ahead(i, j));
        this.pieces.join(next, this.turned(i, j - 1), this.turned(i, j));
      }
    }
  }

  /** The best change that turns or moves a piece that ends at a position, or puts one beside it; null where none is better. */
  private around(at: number, cost: number): { change: Change; cost: number } | null {
    const { n } = this;
    const day = [this.head, NONE, NONE, NONE, NONE, this.tail];
    let least = cost - 1e-6;
    let best: Change | null = null;
    const consider = (i: number, j: number, k: number, back: boolean): void => {
      this.fill(day, i, j, k, back);
      const found = this.pieces.cost(day, least);
      if (found < least) [least, best] = [found, { i, j, k, back }];
    };
    const move = (i: number, j: number, k: number): void => {
      if (i < 0 || j >= n || (k >= i - 1 && k <= j)) return;
      consider(i, j, k, false);
      if (i < j) consider(i, j, k, true);
    };
    for (let other = 0; other < n; other += 1)
      if (other !== at) consider(Math.min(at, other), Math.max(at, other), Math.min(at, other) - 1, true);
    for (let more = 0; more < LONGEST; more += 1)
      for (let k = -1; k < n; k += 1) {
        move(at, at + more, k);
        if (more > 0) move(at - more, at, k);
        move(k, k + more, at);
        move(k, k + more, at - 1);
      }
    return best && { change: best, cost: least };
  }

  private fill(day: number[], i: number, j: number, k: number, back: boolean): void {
    const piece = back ? this.turned(i, j) : this.ahead(i, j);
    const isBefore = k < i;
    day[1] = this.ahead(0, isBefore ? k : i - 1);
    day[2] = isBefore ? piece : this.ahead(j + 1, k);
    day[3] = isBefore ? this.ahead(k + 1, i - 1) : piece;
    day[4] = this.ahead(isBefore ? j + 1 : k + 1, this.n - 1);
  }
}

function changed(order: readonly number[], { i, j, k, back }: Change): number[] {
  const piece = order.slice(i, j + 1);
  const rest = [...order.slice(0, i), ...order.slice(j + 1)];
  return rest.toSpliced(k < i ? k + 1 : k - (j - i), 0, ...(back ? piece.reverse() : piece));
}
