import { addDays, instantOf, localDate } from './localTime';
import { lastLight, type Place } from './sun';

/**
 * How often a set must be checked. The figures are the user's rulebook, never ours.
 * `elapsed`: so many hours after the last check. `calendarDay`: by the end of the local date so many days later.
 * `daylight`: by the last lawful light of that date, `after` minutes behind sunset.
 */
export type CheckRule =
  { kind: 'elapsed'; hours: number } | { kind: 'calendarDay'; days: number } | { kind: 'daylight'; days: number; after: number };

/**
 * When a device must next be looked at.
 *
 * @param since its last check, or when it went live
 */
export function deadlineAfter(since: Date, rule: CheckRule, zone: string, place: Place): Date {
  if (rule.kind === 'elapsed') return new Date(since.getTime() + rule.hours * 3_600_000);
  const date = addDays(localDate(since, zone), rule.days);
  if (rule.kind === 'daylight') return lastLight(date, zone, place, rule.after);
  return instantOf(addDays(date, 1), '00:00', zone);
}

/** When the check after a moment is: by the deadline while it lies ahead, else by the rule from a look at that moment on. */
export function nextCheck(deadline: string | null, now: Date, { rule, zone, ...place }: RuleAt): Date {
  const due = deadline === null ? null : new Date(deadline);
  return due && due > now ? due : deadlineAfter(now, rule, zone, place);
}

/** A rule with where it holds. */
export type RuleAt = { rule: CheckRule; zone: string } & Place;

/** A set owes its check when the first of its devices does; null when none is live. */
export function setDeadline(lastLooks: Date[], rule: CheckRule, zone: string, place: Place): Date | null {
  const all = lastLooks.map((since) => deadlineAfter(since, rule, zone, place).getTime());
  return all.length === 0 ? null : new Date(Math.min(...all));
}

/** The rule in words, for the screen. */
export function ruleText(rule: CheckRule): string {
  if (rule.kind === 'elapsed') return `every ${rule.hours} hours from the last check`;
  const often = rule.days === 1 ? 'every day' : `every ${rule.days} days`;
  return rule.kind === 'calendarDay' ? `${often}, by the end of the date` : `${often}, by ${rule.after} min after sunset`;
}

/** A check that is owed, with the minutes that it takes. */
export interface Owed {
  at: Date;
  minutes: number;
}

/**
 * The latest start that still meets every deadline when sets are done in the order of their deadlines.
 *
 * @returns null without deadlines
 */
export function latestStart(owed: readonly Owed[]): Date | null {
  let [spent, start] = [0, Infinity];
  for (const { at, minutes } of [...owed].sort((a, b) => a.at.getTime() - b.at.getTime())) {
    spent += minutes * 60_000;
    start = Math.min(start, at.getTime() - spent);
  }
  return Number.isFinite(start) ? new Date(start) : null;
}

/** Nights that a rule allows between two checks, one at least. */
export const nightsOf = (rule: CheckRule): number =>
  rule.kind === 'elapsed' ? Math.max(1, Math.floor(rule.hours / 24)) : Math.max(1, rule.days);
