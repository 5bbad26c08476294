import { BUILDS } from '../animals/species';
import { animalReach } from '../hold/reach';
import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { Design, Hold } from './design';
import type { SetType } from './setType';

/** A place where a missing trap or its catch can lie. */
export interface Lies {
  /** what is done there, in the order to look */
  say: string;
  /** on the plan seen from above: along and across from the anchor, m; null where it lies beyond the drawing */
  at: [number, number] | null;
}

export interface WhereItLies {
  places: Lies[];
  /** how far the trap can lie from the anchor, and the animal beyond it, m */
  tether: number;
  reach: number;
  /** along and across, m */
  anchor: [number, number];
  device: [number, number];
  deep: [number, number] | null;
}

const HOLDS: Record<Hold['kind'], string> = {
  tie: 'tie',
  slide: 'bank stake of the slide',
  live: 'anchor of the tether',
  stake: 'stake',
  pole: 'pole',
  drowner: 'drowning weight',
};

/**
 * Where device and animal can lie when a set is found without its trap, from the tie outward, in the order to look. Missing is mostly a catch.
 *
 * @param anchor where the tie was said to go
 * @param hold which of its holds; the first when left out
 * @source common practice
 */
export function whereItLies(
  design: Pick<Design, 'holds' | 'parts'>,
  type: Pick<SetType, 'hides' | 'devices' | 'underIce'>,
  anchor: string,
  system: System,
  hold = design.holds[0],
): WhereItLies | null {
  if (!hold) return null;
  const print = (m: number): string => printLength(m, system);
  const { called } = BUILDS[hold.build];
  const reach = hold.tether + animalReach(BUILDS[hold.build], hold.held);
  const device = design.parts.find((p) => p.device === hold.device && p.kind !== 'slideStop');
  const [x, y] = hold.anchor;
  const deep: [number, number] | null = hold.deep ? [hold.deep[0], 0] : null;
  const places: Lies[] = [
    { say: `At the ${HOLDS[hold.kind]}${anchor ? `, ${anchor}` : ''}: is it there, and is its cable taut?`, at: [x, y] },
    ...(deep
      ? [{ say: `Draw the deep end, ${print(Math.hypot(x - deep[0], y))} out: on a slide an empty bed is the expected catch.`, at: deep }]
      : [
          {
            say: `Follow the cable to its end: the trap lies within ${print(hold.tether)} of the anchor, mostly in the deepest water there.`,
            at: [x - hold.tether * 0.7, y + hold.tether * 0.6] as [number, number],
          },
          {
            say: `Round the circle of ${print(reach)}: ${called} held by the ${hold.held} reaches so far. Look under roots, banks and ${type.underIce ? 'the ice' : 'weeds'}.`,
            at: [x - reach * 0.9, y - reach * 0.3] as [number, number],
          },
        ]),
    ...(type.hides ?? []).map((where): Lies => ({ say: `Then ${where}.`, at: null })),
    { say: 'Last night’s camera, if one hung there.', at: null },
    { say: 'Only then stolen: note it, and who was asked.', at: null },
  ];
  return { places, tether: hold.tether, reach, anchor: [x, y], device: [device?.x ?? 0, device?.y ?? 0], deep };
}
