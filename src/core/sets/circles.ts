import { BUILDS } from '../animals/species';
import { circlesMeetBy, sweepOf } from '../hold/reach';
import { found, type Finding } from '../words/finding';
import type { Hold } from './design';

/** How far the catch of a hold reaches from its anchor, m; on a slide from its deep end. */
export const reachOf = ({ kind, tether, held, build }: Pick<Hold, 'kind' | 'tether' | 'held' | 'build'>): number =>
  (kind === 'slide' ? 0 : tether) + sweepOf(BUILDS[build], held);

/** How far from its bank end the catch of a slide comes, m: along its wire to the deep end, and as far as it reaches there. */
export const wireReachOf = (hold: Pick<Hold, 'kind' | 'tether' | 'held' | 'build' | 'anchor' | 'deep'>): number =>
  reachOf(hold) + (hold.deep ? Math.hypot(hold.deep[0] - hold.anchor[0], hold.deep[1] - hold.anchor[2]) : 0);

/** A catch that is within reach of another: a name, how far apart the anchors are (null at one place, where nobody measured it), and how far it reaches, m. */
export interface Neighbour {
  name: string;
  apart: number | null;
  reach: number;
}

/**
 * A warning for each neighbour whose circle can meet that of a set's catch; never a refusal. Circles do not stop at the crest of a dam.
 *
 * @param reach of the set's own catch, m
 * @source common practice
 */
export function circleFindings(reach: number, neighbours: Neighbour[]): Finding[] {
  return neighbours.flatMap(({ name, apart, reach: other }, i): Finding[] => {
    const id = `circles${i + 1}`;
    if (apart === null) return [found('circlesHere', 'unknown', 'practice', { name, other, reach, least: reach + other }, { id })];
    const by = circlesMeetBy(apart, reach, other);
    if (by <= 0) return [];
    return [found('circles', 'warns', 'practice', { name, apart, other, reach, by }, { id })];
  });
}

/** What is told of each neighbour that a slide's catch could meet: which way its wire runs is not known beside it. @param reach along the wire, m @source common practice */
export const slideFindings = (reach: number, neighbours: readonly Neighbour[]): Finding[] =>
  neighbours.flatMap(({ name, apart, reach: other }, i): Finding[] =>
    apart !== null && apart < reach + other
      ? [found('circlesSlide', 'unknown', 'practice', { name, apart, other, reach }, { id: `circles${i + 1}` })]
      : [],
  );

/** The other holds of the same set, as neighbours of its first. */
export function withinSet(holds: Hold[]): Neighbour[] {
  const [first, ...others] = holds;
  if (!first || first.kind === 'slide') return [];
  return others.flatMap((hold): Neighbour[] => {
    const apart = Math.hypot(hold.anchor[0] - first.anchor[0], hold.anchor[1] - first.anchor[1]);
    return apart < 0.05 || hold.kind === 'slide' ? [] : [{ name: `The ${hold.device} device`, apart, reach: reachOf(hold) }];
  });
}
