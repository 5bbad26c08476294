import { type Clock } from '../time/clock';
import type { Body, Gauge, Ground, Ice, Line, ToldRise, TrapSet } from '../record/kinds';
import type { Sheet } from '../ice/sheets';
import type { Station } from '../stations/placed';
import type { System } from '../units/factors';
import { plainFrame, type Frame } from '../units/frame';
import type { Gauge as Measures } from '../units/length';
import type { Surfaces } from '../water/levelAt';
import type { WaterBody } from '../water/placed';
import type { Reading } from '../water/series';
import type { Water } from '../water/state';
import type { WeatherHour } from '../weather/hours';

/** What is known of a season as far as it tells what comes: by water, by gauge, by the hour. */
export interface Facts {
  line: Line;
  clock: Clock;
  sets: readonly TrapSet[];
  stations: readonly Station[];
  waters: readonly WaterBody[];
  gauges: readonly Gauge[];
  surfaces: Surfaces;
  /** in what the reader reads the levels of each water */
  frames: Record<string, Frame>;
  /** by gauge: the readings that forecasts are fitted to, and the weather told since then */
  readings: Record<string, Reading[]>;
  hours: WeatherHour[];
  sheets: Record<string, Sheet>;
  /** rises that somebody told of late */
  told: readonly ToldRise[];
  /** all that was seen of ice, oldest first */
  ice: readonly Ice[];
  ground: Ground[];
  openings: readonly Body<'opening'>[];
  /** levels now, by water */
  levels: Record<string, Water>;
}

/** Who reads it, and when. */
export interface Reader {
  now: Date;
  who: { person: { system: System }; words: Measures };
}

/** The frame of a water; a plain one where the season knows no such water. */
export const frameOf = (season: Pick<Facts, 'frames' | 'clock'>, water: string, system: System): Frame =>
  season.frames[water] ?? plainFrame(system, season.clock);
