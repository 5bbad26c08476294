import type { Axis } from './levels';
import type { Layout } from './layout';
import type { Linear } from './linear';
import { datumLine } from './need';

/** How the surface at a place follows its gauge: `k + slope · level`, m in the water's datum. On a stream each place has its own. */
export interface Follows {
  k: number;
  slope: number;
}

/** The surface at the place when its gauge stands at a level. */
export const surfaceAt = ({ k, slope }: Follows, level: number): number => k + slope * level;

function put(line: Linear, axis: Axis, { k, slope }: Follows): Linear {
  const share = line[axis] ?? 0;
  return share === 0 ? line : { ...line, k: line.k + share * k, [axis]: share * slope };
}

/**
 * A layout whose surface is the place's own, told in levels of the gauge: everything that hung on the surface now hangs on the gauge by the place's relation.
 * Bands, states and remedies then speak in levels of the gauge.
 */
export function onGauge<L extends Layout>(layout: L, axis: Axis, follows: Follows): L {
  return {
    ...layout,
    parts: layout.parts.map((part) => ({
      ...part,
      z: put(part.z, axis, follows),
      ...(part.limits
        ? {
            limits: {
              ...(part.limits.min ? { min: put(part.limits.min, axis, follows) } : {}),
              ...(part.limits.max ? { max: put(part.limits.max, axis, follows) } : {}),
            },
          }
        : {}),
    })),
    needs: layout.needs.map((need) => {
      if (typeof need.from === 'object' && 'part' in need.from) return need;
      return { ...need, from: { line: put(datumLine(need.from), axis, follows) } };
    }),
  };
}
