import { clockText, type Clock } from './clock';
import { localDate } from './localTime';

/** What has a date on a line: checks by their deadline, sets that may be set from a day on, who is to be told of a catch. */

export interface Appointment {
  /** the same for the same thing whenever it is told: a calendar replaces what it had */
  id: string;
  title: string;
  note: string;
  /** a local date, for what lasts the whole day; else from begin to end */
  when: { date: string } | { from: Date; to: Date };
}

export interface OwedCheck {
  set: string;
  name: string;
  water: { id: string; name: string };
  deadline: Date;
  /** what it takes at the set */
  minutes: number;
}

export interface Opens {
  id: string;
  name: string;
  /** local date */
  date: string;
}

/** A colony that was called done, to be looked at again. */
export interface LookBack {
  id: string;
  name: string;
  /** local date */
  date: string;
}

export interface OwedDuty {
  id: string;
  what: string;
  whom: string;
  by: Date;
}

const MINUTE = 60_000;

/** The checks of one water on one day as one appointment: it ends at the first deadline, and is as long as the work at its sets. */
function checksOf(owed: readonly OwedCheck[], clock: Clock): Appointment[] {
  const groups = new Map<string, OwedCheck[]>();
  for (const check of owed) {
    const key = `${check.water.id} ${localDate(check.deadline, clock.zone)}`;
    groups.set(key, [...(groups.get(key) ?? []), check]);
  }
  return [...groups.entries()].flatMap(([key, group]): Appointment[] => {
    const sorted = [...group].sort((a, b) => a.deadline.getTime() - b.deadline.getTime());
    const [first] = sorted;
    if (!first) return [];
    const minutes = group.reduce((sum, { minutes: own }) => sum + own, 0);
    const count = group.length === 1 ? first.name : `${group.length} sets`;
    return [
      {
        id: `checks ${key}`,
        title: `Check ${count} at ${first.water.name} by ${clockText(first.deadline, clock)}`,
        note: sorted.map(({ name, deadline }) => `${name}: by ${clockText(deadline, clock)}`).join('\n'),
        when: { from: new Date(first.deadline.getTime() - minutes * MINUTE), to: first.deadline },
      },
    ];
  });
}

/** What tells that somebody lives there again. [practice] */
const LOOK_FOR = 'Called done: look for mended breaks, mud on the lodge and fresh cuttings.';

/** Everything with a date, the earliest first. Driving is not in it. */
export function appointmentsOf(
  asked: { checks: readonly OwedCheck[]; opens: readonly Opens[]; duties: readonly OwedDuty[]; lookBacks: readonly LookBack[] },
  clock: Clock,
): Appointment[] {
  const { checks, opens, duties, lookBacks } = asked;
  const at = ({ when }: Appointment): string => ('date' in when ? when.date : when.from.toISOString());
  return [
    ...checksOf(checks, clock),
    ...opens.map(({ id, name, date }): Appointment => ({ id: `opens ${id}`, title: `May be set: ${name}`, note: '', when: { date } })),
    ...lookBacks.map(({ id, name, date }): Appointment => ({
      id: `look back ${id}`,
      title: `Look again: ${name}`,
      note: LOOK_FOR,
      when: { date },
    })),
    ...duties.map(({ id, what, whom, by }): Appointment => ({
      id: `duty ${id}`,
      title: `Tell ${whom}: ${what}`,
      note: 'By your rulebook; your local code decides.',
      when: { from: new Date(by.getTime() - 15 * MINUTE), to: by },
    })),
  ].sort((a, b) => at(a).localeCompare(at(b)));
}
