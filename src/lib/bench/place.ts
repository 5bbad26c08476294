import type { TrapSet } from '#core/record/kinds';
import type { SetType } from '#core/sets/setType';
import type { Station } from '#core/stations/placed';
import type { System } from '#core/units/factors';
import type { Moment, Surfaces } from '#core/water/levelAt';
import type { Written } from '#core/record/written';
import type { Season } from '#lib/season/season';

/** Where a set is built at the bench, and by whom. */
export interface Place {
  season: Season;
  station: Station;
  type: SetType;
  /** the set as the record holds it; undefined when it is new */
  before: Written<TrapSet> | undefined;
  now: Date;
  by: string;
  system: System;
  surfacesAt: (moments: readonly Moment[]) => Surfaces | Promise<Surfaces>;
}
