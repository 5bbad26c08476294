import type { BITES } from '../animals/species';
import type { Outcome } from '../record/checks';
import { many } from '../units/many';

/** A check as far as it tells who met a trap. */
export interface Meeting {
  at: Date | string;
  devices: readonly { outcome: Outcome; catch: { species: string; bites: (typeof BITES)[number] } | null }[];
}

const SAID: readonly (readonly [Outcome, string, string])[] = [
  ['miss', 'miss', 'misses'],
  ['escaped', 'escaped', 'escaped'],
  ['sprung empty', 'sprung empty', 'sprung empty'],
  ['knocked', 'knocked', 'knocked'],
  ['plugged', 'plugged', 'plugged'],
];

const ms = (at: Date | string): number => new Date(at).getTime();

/**
 * What a colony met without being caught, how often nothing came since the last catch, and what its own wounds tell; a sentence each.
 *
 * @param checks of one water, in any order
 * @source common practice: fresh bite marks are those of other beaver, so others were near
 */
export function contactText(checks: readonly Meeting[]): string[] {
  if (checks.length === 0) return ['No set was checked here yet.'];
  const devices = checks.flatMap((c) => c.devices);
  const met = SAID.flatMap(([outcome, one, several]) => {
    const n = devices.filter((d) => d.outcome === outcome).length;
    return n === 0 ? [] : [`${n} ${n === 1 ? one : several}`];
  });
  const caught = checks.filter((c) => c.devices.some((d) => d.catch));
  const last = Math.max(...caught.map((c) => ms(c.at)));
  const since = checks.filter((c) => ms(c.at) > last).length;
  const bitten = devices.filter((d) => d.catch?.bites === 'fresh').length;
  return [
    `Met a trap and got away: ${met.length > 0 ? met.join(', ') : 'none noted'}.`,
    caught.length === 0
      ? `${many(checks.length, 'check')}, nothing caught yet.`
      : since === 0
        ? 'The last check had a catch.'
        : `${many(since, 'check')} of a set since the last catch.`,
    ...(bitten > 0 ? [`${many(bitten, 'catch', 'catches')} with fresh bite marks: others were near (rule of thumb).`] : []),
  ];
}

/** What was caught, by animal, most first: `13 beaver, 7 muskrat`. */
export function tallyText(species: readonly string[]): string {
  const kinds = [...new Set(species)].map((kind) => ({ kind, n: species.filter((s) => s === kind).length }));
  return kinds
    .sort((a, b) => b.n - a.n)
    .map(({ kind, n }) => `${n} ${kind}`)
    .join(', ');
}
