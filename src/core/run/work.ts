import type { CHANGES, Outcome } from '../record/checks';

/** How long work takes: by practice, by what a person typed, or by the times he wrote. */

/** Minutes of work by task, walking included for `place`. [practice]; each person may set his own. */
export const WORK_MINUTES = {
  place: { label: 'Placing a set, walking included', minutes: 5 },
  ice: { label: 'Placing a set through ice', minutes: 30 },
  look: { label: 'A look only', minutes: 2 },
  remake: { label: 'A remake', minutes: 6 },
  catch: { label: 'A catch and its remake', minutes: 12 },
  live: { label: 'A live catch and its remake', minutes: 20 },
  missing: { label: 'Looking for a missing trap', minutes: 15 },
  chop: { label: 'Opening a hole in the ice', minutes: 10 },
} as const;
export type Task = keyof typeof WORK_MINUTES;
export const TASKS = Object.keys(WORK_MINUTES) as Task[];

/** Practice stands in until so many times were written. [practice] */
export const TIMES_WANTED = 3;

/** A time that somebody wrote. */
export interface Time {
  task: Task;
  minutes: number;
  /** the type of set, of what was placed */
  type?: string;
}

/** What a task takes, minutes, with its spread: the middle of what was written, and between which two nine of ten of its times lie. */
export interface Takes {
  minutes: number;
  low: number;
  high: number;
  /** times it rests on; 0 for what was typed or is practice */
  times: number;
  from: 'practice' | 'typed' | 'written';
}

/** By how much a time that nobody wrote may be off, as a share. [practice] */
const SPREAD = 0.4;

/** A person's minutes by task: what he typed, else what he wrote often enough, else practice. */
export function minutesOf(typed: Readonly<Record<string, number>>, written: readonly Time[] = []): Record<Task, Takes> {
  const of = (task: Task): Takes => {
    const own = written.filter((t) => t.task === task).map((t) => t.minutes);
    if (typed[task] === undefined && own.length >= TIMES_WANTED)
      return { minutes: share(own, 0.5), low: share(own, 0.05), high: share(own, 0.95), times: own.length, from: 'written' };
    const minutes = typed[task] ?? WORK_MINUTES[task].minutes;
    const from = typed[task] === undefined ? 'practice' : 'typed';
    return { minutes, low: minutes * (1 - SPREAD), high: minutes * (1 + SPREAD), times: 0, from };
  };
  return Object.fromEntries(TASKS.map((task) => [task, of(task)])) as Record<Task, Takes>;
}

/** What placing a set of one type takes: by the times of that very type, where enough were written and nobody typed another; else as any set of its kind. */
export function placingOf(type: string, any: Takes, written: readonly Time[]): Takes {
  const own = written.filter((t) => t.type === type).map(({ minutes }): Time => ({ task: 'place', minutes }));
  return any.from === 'typed' || own.length < TIMES_WANTED ? any : minutesOf({}, own).place;
}

/** The types of which enough times were written to stand for themselves, the oftenest first. */
export function placedOften(written: readonly Time[]): string[] {
  const count = new Map<string, number>();
  for (const { type } of written) if (type) count.set(type, (count.get(type) ?? 0) + 1);
  return [...count]
    .filter(([, n]) => n >= TIMES_WANTED)
    .sort((a, b) => b[1] - a[1])
    .map(([type]) => type);
}

/** The middle of every task, minutes. */
export const middleOf = (takes: Readonly<Record<Task, Takes>>): Record<Task, number> =>
  Object.fromEntries(TASKS.map((task) => [task, takes[task].minutes])) as Record<Task, number>;

/** The value under which a share of numbers lies, between two of them in proportion. @param part 0 to 1 @throws RangeError without numbers @source R. Hyndman and Y. Fan, Sample quantiles in statistical packages, The American Statistician 50 (1996), definition 7 */
export function share(numbers: readonly number[], part: number): number {
  const sorted = [...numbers].sort((a, b) => a - b);
  const at = (sorted.length - 1) * part;
  const [below, above] = [sorted[Math.floor(at)], sorted[Math.ceil(at)]];
  if (below === undefined || above === undefined) throw new RangeError('no numbers');
  return below + (above - below) * (at - Math.floor(at));
}

/** What a check was, as work; null where it was not reached or only moved or pulled. */
export function taskOf(check: { outcomes: readonly Outcome[]; change: (typeof CHANGES)[number]; isAlive: boolean }): Task | null {
  const { outcomes, change, isAlive } = check;
  if (outcomes.length === 0 || outcomes.includes('not reached') || change === 'moved' || change === 'pulled') return null;
  if (outcomes.some((o) => o === 'missing' || o === 'stolen')) return 'missing';
  if (outcomes.includes('catch')) return isAlive ? 'live' : 'catch';
  return change === 'remade' ? 'remake' : 'look';
}
