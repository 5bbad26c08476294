import type { FLAGS, Outcome } from '../record/checks';
import type { Check, CheckedDevice, TrapSet } from '../record/kinds';
import { momentText, type Clock } from '../time/clock';
import type { Verdict } from '../water/need';

/** As what a device was left: the outcome of its look, or what was ticked beside it. */
export type LeftAs = Outcome | (typeof FLAGS)[number];

/** A device that was found so, and left so: it catches nothing until somebody sets it again. */
export interface Spent {
  outcome: LeftAs;
  /** ISO: when it was found */
  at: string;
}

interface Words {
  label: string;
  found: string;
  order: string;
  verdict: Extract<Verdict, 'spent' | 'frozen'>;
}

const sprung: Words = { label: 'sprung', found: 'sprung', order: 'Set it again', verdict: 'spent' };

/** The outcomes after which a device that is left as it was does not fish, and what is said of it. */
const SPENDS: Partial<Record<LeftAs, Words>> = {
  catch: sprung,
  'sprung empty': sprung,
  miss: sprung,
  knocked: { label: 'knocked down', found: 'knocked', order: 'Set it up again', verdict: 'spent' },
  plugged: { label: 'plugged', found: 'plugged', order: 'Clear it and set it again', verdict: 'spent' },
  escaped: sprung,
  stolen: { label: 'stolen', found: 'stolen', order: 'Put another in its place', verdict: 'spent' },
  buried: { label: 'buried', found: 'buried', order: 'Dig it out and set it again', verdict: 'spent' },
  missing: { label: 'missing', found: 'missing', order: 'Look for it', verdict: 'spent' },
  'bait taken': { label: 'bait gone', found: 'with its bait taken', order: 'Bait it again', verdict: 'spent' },
  'bait gone': { label: 'bait gone', found: 'without its bait', order: 'Bait it again', verdict: 'spent' },
  damaged: { label: 'damaged', found: 'damaged', order: 'Put another in its place', verdict: 'spent' },
  'cable twisted': { label: 'cable twisted', found: 'with its cable twisted', order: 'Put another in its place', verdict: 'spent' },
  'trigger bent': { label: 'trigger bent', found: 'with its trigger bent', order: 'Bend the trigger and set it again', verdict: 'spent' },
  'frozen in': { label: 'frozen in', found: 'frozen in', order: 'Chop it free', verdict: 'frozen' },
};

/** The outcomes and ticks that leave a device spent. */
export const SPENDING = Object.keys(SPENDS) as LeftAs[];

/** As what a look leaves a device spent: what was ticked of it stands before its outcome; null where it fishes on. */
export const spentAs = ({ outcome, flags }: Pick<CheckedDevice, 'outcome' | 'flags'>): LeftAs | null =>
  [...flags, outcome].find((found) => SPENDING.includes(found)) ?? null;

/** When a set was armed or changed at the bench, ISO: what lay spent before is set again. */
export const armingsOf = ({ armed, settings }: Pick<TrapSet, 'armed' | 'settings'>): string[] => [
  ...(armed ? [armed.at] : []),
  ...settings.map((s) => s.at),
];

/** What a look at a device changed of it: a time and an outcome that left it spent, null where it was set again, undefined where all stayed as it was. */
const changedBy = (visit: Check, stay: string): Spent | null | undefined => {
  const own = visit.devices.find((d) => d.stay === stay);
  if (visit.change !== 'as it was') return null;
  const left = own && spentAs(own);
  return left ? { outcome: left, at: visit.at } : undefined;
};

/**
 * The times during which a device lay spent, from the look that found it to the visit or arming that set it again.
 *
 * @param visits of its set, in any order
 * @param armings when the set was armed or changed at the bench, ISO
 * @param until the end of its stay, or now
 */
export function spentTimes(stay: string, visits: readonly Check[], armings: readonly string[], until: Date): { from: Date; to: Date }[] {
  const steps = [
    ...visits.flatMap((visit) => {
      const left = changedBy(visit, stay);
      return left === undefined ? [] : [{ at: new Date(visit.at), spent: left !== null }];
    }),
    ...armings.map((at) => ({ at: new Date(at), spent: false })),
  ].sort((a, b) => Number(a.at) - Number(b.at) || Number(b.spent) - Number(a.spent));
  const found: { from: Date; to: Date }[] = [];
  let since: Date | null = null;
  for (const { at, spent } of steps) {
    if (spent) since ??= at;
    else if (since) {
      found.push({ from: since, to: at });
      since = null;
    }
  }
  return since && since < until ? [...found, { from: since, to: until }] : found;
}

/** What is said of a spent device: two words, what was found when, and the order. */
export function spentWords({ outcome, at }: Spent, clock: Clock): Omit<Words, 'found'> & { sentence: string } {
  const { found, ...words } = SPENDS[outcome] ?? sprung;
  const when = new Date(at);
  return {
    ...words,
    sentence: `Found ${found} ${momentText(when, clock)} and left so. It catches nothing until it is set again.`,
  };
}
