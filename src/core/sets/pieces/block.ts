import { fixed, type Linear } from '../../water/linear';
import type { Bearer, Part, PartKind } from '../../water/part';

/** The things of a set as blocks, called by what carries them: that decides how they move with the water. */

/** Along the travel, across it, and the elevation of the foot; m. */
type Spot = readonly [x: number, y: number, z: number | Linear];
/** How high, how long along the travel, how wide across it; m. */
type Size = readonly [height: number, wide: number, across: number];

export const borne =
  (bearer: Bearer) =>
  (kind: PartKind, id: string, [x, y, z]: Spot, [height, wide, across]: Size, more: Partial<Part> = {}): Part => ({
    ...{ id, kind, bearer, x, y, z: typeof z === 'number' ? fixed(z) : z, height, wide, across },
    ...more,
  });

export const onBed = borne('bed');
export const onBank = borne('bank');
export const afloat = borne('float');
export const inIce = borne('ice');
