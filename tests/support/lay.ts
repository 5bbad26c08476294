import type { Design } from '#core/sets/design';
import type { FilledPosition, Laying, Place, SetType } from '#core/sets/setType';
import { layOut } from '#core/sets/standing';
import type { System } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';
import type { Known } from '#core/water/levels';

/** A reader in inches, and one in centimetres, whose gauges hang at the datum. */
export const US = plainFrame('us');
export const METRIC = plainFrame('metric');

interface Setting {
  numbers: Record<string, number>;
  choices: Record<string, string>;
  pond?: number | null;
  tail?: number | null;
}

/** A type laid out from a setting and the levels it was measured from. */
export function layFrom(
  type: SetType,
  { numbers, choices, pond, tail }: Setting,
  place: Place,
  devices: Record<string, FilledPosition>,
  system: System,
  ahead: Pick<Laying, 'iceNext' | 'frostToCheck'> = {},
): Design {
  const then: Known = { ...(pond == null ? {} : { pond }), ...(tail == null ? {} : { tail }) };
  return layOut(type, { numbers, choices, then, place, devices }, system, ahead);
}
