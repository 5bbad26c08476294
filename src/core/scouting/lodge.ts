import { activity } from '../sign/activity';
import { signKind } from '../sign/kinds';
import type { System } from '../units/factors';
import { feet } from '../units/factors';
import { printLength } from '../units/length';
import { found, type Finding, type FindingValues } from '../words/finding';

/** What is looked at on a lodge in winter; every one of them is a kind of sign. */
export const LODGE_SIGNS = ['frostedVent', 'tracksSnow', 'greenPile', 'weeds', 'drySticks'] as const;
export type LodgeSign = (typeof LODGE_SIGNS)[number];

/** What a chisel feels through a tapped hole. */
export const HOLE_FEELS = ['sticks', 'edge of the sticks', 'clear'] as const;
export type HoleFeel = (typeof HOLE_FEELS)[number];

/** A probe hole by its distance (m) and bearing (degrees) from the peak of the lodge. */
export interface Hole {
  felt: HoleFeel;
  distance: number;
  bearing: number;
  ice: number | null;
}

/** From sticks the next hole goes this far outward. [practice] */
const OUTWARD = feet(2);

/** What to do after a hole, in words. @source common practice */
export function afterHole({ felt, distance, bearing }: Hole, holes: readonly Hole[], system: System): string {
  const at = `${Math.round(bearing)}°`;
  if (felt === 'sticks')
    return `Sticks: go about ${printLength(OUTWARD, system)} outward on ${at}, to ${printLength(distance + OUTWARD, system)} from the peak, and try again.`;
  if (felt === 'edge of the sticks') return `Edge of the sticks at ${printLength(distance, system)} on ${at}: this is the place.`;
  const inner = holes
    .filter((h) => h.felt === 'sticks' && turned(h.bearing, bearing) < 15 && h.distance < distance)
    .sort((a, b) => b.distance - a.distance)[0];
  return inner
    ? `Clear: the edge lies between ${printLength(inner.distance, system)} and ${printLength(distance, system)} on ${at}.`
    : `Clear on ${at}: nothing under it. Try nearer to the lodge.`;
}

const turned = (a: number, b: number): number => Math.abs(((a - b + 540) % 360) - 180);
const round = (bearing: number): number => Math.round(((bearing % 360) + 360) % 360);

export interface LikelyRun {
  bearing: number;
  why: string;
}

/** How far left and right of the pile the two usual runs leave, degrees. [practice] */
const ASIDE = 40;

/** Where runs usually leave: two on the side of the living ledge, left and right of the pile, and a refuse exit at the back. @source common practice */
export function likelyRuns(ledge: number | null, pile: number | null): LikelyRun[] {
  const front = pile ?? ledge;
  if (front === null) return [];
  const by = pile === null ? 'of the living ledge' : 'of the feed pile';
  const back = ledge ?? front;
  return [
    { bearing: round(front - ASIDE), why: `usual run, left ${by}` },
    { bearing: round(front + ASIDE), why: `usual run, right ${by}` },
    { bearing: round(back + 180), why: 'refuse exit at the back, not at every lodge' },
  ];
}

/** From this use on a lodge counts as lived in. [practice] */
const LIVE = 0.4;
type LodgeSays = 'lodgeOneSign' | 'lodgeDisagrees' | 'lodgeLive' | 'lodgeDead';

/**
 * Whether a winter lodge is live, from what was seen on it. No single sign decides: with one alone the answer stays open.
 *
 * @source common practice; weights and half-lives of the sign table
 */
export function lodgeLife(seen: readonly LodgeSign[], now: Date): Finding {
  const named = (says: LodgeSays, verdict: Finding['verdict'], values: FindingValues<'lodgeLive'>): Finding =>
    found(says, verdict, 'practice', values, { id: 'lodgeLife' });
  if (seen.length === 0) return found('lodgeUnknown', 'unknown', 'practice', {}, { id: 'lodgeLife' });
  const telling = (side: 'use' | 'contrary') => seen.filter((s) => signKind(s).tells === side);
  const values = { use: telling('use'), contrary: telling('contrary') };
  if (seen.length === 1) return named('lodgeOneSign', 'warns', values);
  if (values.use.length > 0 && values.contrary.length > 0) return named('lodgeDisagrees', 'warns', values);
  const fresh = seen.map((kind) => ({ kind, freshness: 'hours' as const, at: now, species: 'beaver' }));
  return activity(fresh, now) > LIVE ? named('lodgeLive', 'holds', values) : named('lodgeDead', 'fails', values);
}

/** A hole on the plan of the lodge: metres east and north of the peak. */
export const offset = ({ distance, bearing }: Pick<Hole, 'distance' | 'bearing'>): { east: number; north: number } => ({
  east: distance * Math.sin((bearing * Math.PI) / 180),
  north: distance * Math.cos((bearing * Math.PI) / 180),
});

export const ICE_CAUTION =
  'No ice is safe. It is thinner over runs, vents, inlets and springs: chop ahead of each step, go tied, and keep spikes at hand. Local advice goes before these figures.';
