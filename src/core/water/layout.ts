import type { Axis } from './levels';
import { axesOf } from './linear';
import type { Finding } from '../words/finding';
import { datumLine, type Need } from './need';
import type { Part } from './part';

/** A length that may be changed at the water to bring a device back into its band. */
export interface Free {
  device: string;
  /** how the change is spoken: `Set it`, `Lower the support` */
  say: { down: string; up: string };
  /** elevation under which the device's lowest part cannot go (the bed), m; null when not measured */
  floor: number | null;
  /** thickness of the flat stone it lies on, m: it can be taken out */
  stone?: number;
}

/** What a set consists of at its place, and what has to be where. */
export interface Layout {
  parts: Part[];
  /** the bed or face under it along the travel, metres: x and elevation */
  ground: [number, number][];
  needs: Need[];
  free: Free[];
  /** what the numbers say besides the level: fence, reach, cable */
  findings: Finding[];
}

/** The surface that judges a device: the axis its needs are taken from, pond when none is. */
export function axisOf(layout: Layout, device: string): Axis {
  for (const need of layout.needs) {
    if (need.device !== device) continue;
    if (typeof need.from === 'string' || 'line' in need.from) {
      const own = axesOf(datumLine(need.from))[0];
      if (own) return own;
    }
    const part = layout.parts.find((p) => p.id === need.of.part);
    const axis = part && axesOf(part.z)[0];
    if (axis) return axis;
  }
  return 'pond';
}
