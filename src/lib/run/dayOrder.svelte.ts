import type { DayPlan, Ways } from '#core/run/dayPlan';
import { START, type Run, type Stop } from '#core/run/tour';
import { planner } from './planner';
import type { RunDay } from '#lib/run/page';

/** The order of a day as it is asked for: what the person holds in its place, and what the rest is planned round it. */
export class DayOrder {
  plan = $state<DayPlan | null>(null);
  /** undefined while it is looked for what would help */
  ways = $state<Ways | null | undefined>(undefined);
  /** by stop, the stop that it is visited right after */
  private held = $state<Record<string, string>>({});
  private ends = $state<string | null>(null);
  /** those that shall stand where the way is shortest, though they are best visited last */
  private freed = $state<readonly string[]>([]);
  private readonly ask = planner(({ plan, ways }) => ([this.plan, this.ways] = [plan, ways]));

  constructor(private readonly day: () => RunDay) {
    $effect(() => this.ask({ run: this.run, people: this.day().asked.people }));
  }

  readonly run = $derived.by((): Run => {
    const { stops, travel, asked, noon } = this.day();
    const lunch = Number(asked.lunch);
    return {
      travel,
      lunch: lunch === 0 ? null : { from: noon, minutes: lunch },
      stops: stops.map(({ id, visit, opens, due, isBreak }): Stop => {
        const after = this.held[id];
        return {
          id,
          minutes: visit.minutes,
          opens,
          due,
          ...(after === undefined ? {} : { after }),
          ...(this.ends === id ? { last: true } : {}),
          ...(isBreak && !this.freed.includes(id) ? { likesLast: true } : {}),
        };
      }),
    };
  });

  readonly isHeld = $derived(Object.keys(this.held).length > 0 || this.ends !== null);

  /** Why a stop stands where it stands; empty where the plan put it there. */
  heldAs(id: string): string {
    if (this.ends === id) return 'last';
    const after = this.held[id];
    if (after === undefined) return '';
    return after === START ? 'first' : `after ${this.day().stops.find((s) => s.id === after)?.label ?? ''}`;
  }

  /** Puts a stop one place earlier or later in its person's day and holds it there. */
  move(order: readonly string[], id: string, by: -1 | 1): void {
    this.moveTo(order, id, order.indexOf(id) + by);
  }

  /** Puts a stop at a place of its person's day, from 0, and holds it there. */
  moveTo(order: readonly string[], id: string, to: number): void {
    if (to < 0 || to >= order.length || order.indexOf(id) === to) return;
    const after = order.filter((o) => o !== id)[to - 1] ?? START;
    const kept = Object.entries(this.held).filter(([own, follows]) => own !== id && follows !== id && follows !== after);
    this.held = { ...Object.fromEntries(kept), [id]: after };
    if (this.ends === id) this.ends = null;
  }

  /** Lets a stop stand where the way is shortest. */
  notLast(id: string): void {
    this.freed = [...this.freed, id];
  }

  toTheEnd(id: string): void {
    this.letGo(id);
    this.freed = this.freed.filter((own) => own !== id);
    this.ends = id;
  }

  letGo(id: string): void {
    const { [id]: _, ...rest } = this.held;
    this.held = rest;
    if (this.ends === id) this.ends = null;
  }

  letAllGo(): void {
    this.held = {};
    this.ends = null;
  }
}
