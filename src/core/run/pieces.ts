import { LATE, type Run } from './tour';

/** No piece. */
export const NONE = -1;

/**
 * Pieces of a day by number. Each is told by the places at which it begins and ends and by four figures: how long it takes, how much of that lies
 * past its last minutes, from when and until when it can begin. Two pieces one behind the other are told by the same, so that a change is weighed
 * without going through the day. A stop reached late delays none after it here; what is late costs more than any delay.
 *
 * @source T. Vidal et al., A hybrid genetic algorithm with adaptive diversity management for a large class of vehicle routing problems with
 * time-windows, Computers and Operations Research 40 (2013), from memory
 */
export class Pieces {
  private readonly figures: Float64Array;
  private readonly places: Int32Array;
  private readonly travel: Float64Array;

  constructor(
    travel: Run['travel'],
    most: number,
    private readonly side = travel.length,
  ) {
    this.travel = Float64Array.from(travel.flat());
    this.figures = new Float64Array(most * 4);
    this.places = new Int32Array(most * 2);
  }

  put(piece: number, place: number, [takes, from, until]: readonly [number, number, number]): void {
    this.places.set([place, place], piece * 2);
    this.figures.set([takes, 0, from, until], piece * 4);
  }

  copy(from: number, to: number): void {
    this.places.copyWithin(to * 2, from * 2, from * 2 + 2);
    this.figures.copyWithin(to * 4, from * 4, from * 4 + 4);
  }

  /** Two pieces put one behind the other make a third; it may be one of the two. */
  join(a: number, b: number, to: number): void {
    const [i, j] = [a * 4, b * 4];
    const [takes, late, from, until] = [this.figure(i), this.figure(i + 1), this.figure(i + 2), this.figure(i + 3)];
    const [next, nextLate, nextFrom, nextUntil] = [this.figure(j), this.figure(j + 1), this.figure(j + 2), this.figure(j + 3)];
    const [first, last] = [this.place(a * 2), this.place(b * 2 + 1)];
    const way = this.way(this.place(a * 2 + 1), this.place(b * 2));
    const between = takes - late + way;
    const waits = Math.max(nextFrom - between - until, 0);
    const over = Math.max(from + between - nextUntil, 0);
    const k = to * 4;
    this.figures[k] = takes + next + way + waits;
    this.figures[k + 1] = late + nextLate + over;
    this.figures[k + 2] = Math.max(nextFrom - between, from) - waits;
    this.figures[k + 3] = Math.min(nextUntil - between, until) + over;
    this.places[to * 2] = first;
    this.places[to * 2 + 1] = last;
  }

  /** The cost of a day made of these pieces, given up above `least`. A day begins at a fixed minute: its clock and what is late tell all of it. */
  cost(day: readonly number[], least = Infinity): number {
    let clock = 0;
    let late = 0;
    let place = 0;
    for (let i = 0; i < day.length; i += 1) {
      const piece = day[i] ?? NONE;
      if (piece === NONE) continue;
      const at = piece * 4;
      const reached = clock + this.way(place, this.place(piece * 2));
      const from = this.figure(at + 2);
      const until = this.figure(at + 3);
      const own = this.figure(at + 1);
      clock = (reached > from ? reached : from) + this.figure(at) - own;
      late += own;
      if (reached > until) {
        late += reached - until;
        clock -= reached - until;
      }
      if (late * LATE + clock > least) return Infinity;
      place = this.place(piece * 2 + 1);
    }
    return late * LATE + clock + late + this.way(place, 0);
  }

  private figure(i: number): number {
    return this.figures[i] ?? 0;
  }

  private place(i: number): number {
    return this.places[i] ?? 0;
  }

  private way(a: number, b: number): number {
    return this.travel[a * this.side + b] ?? 0;
  }
}
