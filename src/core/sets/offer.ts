import { inches } from '../units/factors';
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
}

/** Whether a place is of the sort that a type is tried first at; false where that was not measured. [practice] */
export type When = (place: Offered) => boolean;

export const deeper =
  (least: number): When =>
  ({ depth }) =>
    depth !== undefined && depth >= inches(least);
export const shallower =
  (most: number): When =>
  ({ depth }) =>
    depth !== undefined && depth < inches(most);
export const narrow =
  (most: number): When =>
  ({ width }) =>
    width !== undefined && width <= inches(most);
export const roofed =
  (least: number): When =>
  ({ roof }) =>
    roof !== undefined && roof >= inches(least);
export const lowRoof =
  (most: number): When =>
  ({ roof }) =>
    roof !== undefined && roof < inches(most);
export const iced: When = ({ ice }) => ice === true;
export const soft: When = (place) => place.soft === true;
export const moving: When = (place) => place.moving === true;
