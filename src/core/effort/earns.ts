import { sawOf } from '../colony/looks';
import type { Check, TrapSet } from '../record/kinds';
import { taskOf, type Task } from '../run/work';
import { rateRatio, type Counted, type Ratio } from './compare';

/** What one set came to: its animal alone, its hours and its minutes. */
export interface Earned {
  hours: { low: number; high: number };
  caught: number;
  /** misses, escapes, sprung empty and knocked, of its animal or of an unknown one */
  contacts: number;
  minutes: number;
  /** how many of its times were written, and how many there are */
  written: number;
  times: number;
}

/** Sets that are alike in something, together. */
export interface Group extends Earned {
  key: string;
  sets: number;
  /** against all the others: how many times as often it catches; null where that is not known */
  against: Ratio | null;
}

/** What a set took and gave. @param minutes of each task, where none was written */
export function earnedOf(set: TrapSet, visits: readonly Check[], hours: Earned['hours'], minutes: Readonly<Record<Task, number>>): Earned {
  const times = visits.flatMap((visit): { written: boolean; minutes: number }[] => {
    const outcomes = visit.devices.map((d) => d.outcome);
    const task = taskOf({ outcomes, change: visit.change, isAlive: visit.devices.some((d) => d.catch?.alive) });
    if (visit.took !== null) return [{ written: true, minutes: visit.took }];
    return task ? [{ written: false, minutes: minutes[task] }] : [];
  });
  const placed = { written: set.took !== null, minutes: set.took ?? minutes.place };
  const all = [placed, ...times];
  const saw = visits.flatMap((v) => v.devices.flatMap((d) => sawOf(d, set.species) ?? []));
  return {
    hours,
    caught: saw.filter((s) => s === 'caught').length,
    contacts: saw.filter((s) => s === 'touched' || s === 'sprung' || s === 'meddled').length,
    minutes: all.reduce((sum, t) => sum + t.minutes, 0),
    written: all.filter((t) => t.written).length,
    times: all.length,
  };
}

const sumOf = (sets: readonly Earned[]): Earned => {
  const of = (pick: (e: Earned) => number): number => sets.reduce((sum, e) => sum + pick(e), 0);
  return {
    hours: { low: of((e) => e.hours.low), high: of((e) => e.hours.high) },
    ...{ caught: of((e) => e.caught), contacts: of((e) => e.contacts), minutes: of((e) => e.minutes) },
    ...{ written: of((e) => e.written), times: of((e) => e.times) },
  };
};

const counted = ({ caught, hours }: Earned): Counted => ({ caught, hours: (hours.low + hours.high) / 2 });

/** Sets by what they have in common, what brings most an hour of work first; each against all the others together. */
export function groupsOf<S extends Earned>(sets: readonly S[], keyOf: (set: S) => string): Group[] {
  const keys = [...new Set(sets.map(keyOf))];
  const perMinute = ({ caught, minutes }: Earned): number => (minutes > 0 ? caught / minutes : 0);
  return keys
    .map((key): Group => {
      const own = sets.filter((s) => keyOf(s) === key);
      const others = sets.filter((s) => keyOf(s) !== key);
      const all = sumOf(own);
      return { key, sets: own.length, ...all, against: others.length === 0 ? null : rateRatio(counted(all), counted(sumOf(others))) };
    })
    .sort((a, b) => perMinute(b) - perMinute(a) || b.hours.high - a.hours.high);
}
