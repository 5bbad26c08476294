import type { DeviceClass } from '../devices/sizes';
import { inches } from '../units/factors';
import type { Picked } from '../words/schools';
import type { StationKind } from '../stations/kinds';

/** What is known of a place when a type is looked for; what nobody measured is left out. Lengths m. */
export interface Offered {
  kind: StationKind;
  /** water where a set would stand, now */
  depth?: number | undefined;
  width?: number | undefined;
  /** roof over the bed */
  roof?: number | undefined;
  /** ice over it */
  ice?: boolean | undefined;
  /** a boot sinks past the knee */
  soft?: boolean | undefined;
  /** its level moves */
  moving?: boolean | undefined;
  /** devices that its animals may know from earlier trapping */
  met?: readonly DeviceClass[] | undefined;
  /** devices that its animals have learned to shy from by what they met this season */
  shyOf?: readonly DeviceClass[] | undefined;
  /** the schools that its line picked */
  schools?: Picked | undefined;
}

/** Whether a place is of the sort that a type is tried first at; false where that was not measured. [practice] */
export type When = (place: Offered) => boolean;

/** A length of the place that was measured to be so large, or not so large; inches. */
export const atLeast =
  (what: 'depth' | 'width' | 'roof', least: number): When =>
  (place) =>
    (place[what] ?? -Infinity) >= inches(least);
export const under =
  (what: 'depth' | 'width' | 'roof', most: number): When =>
  (place) =>
    (place[what] ?? Infinity) < inches(most);
export const iced: When = ({ ice }) => ice === true;
export const soft: When = (place) => place.soft === true;
export const moving: When = (place) => place.moving === true;
