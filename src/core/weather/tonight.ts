import { found, type Finding } from '../words/finding';
import { coldest, rainOf, snowOf, unknownHours, type WeatherHour } from './hours';

const HOUR = 3_600_000;
/** Rain that washes lure off, mm; frost that stiffens triggers, °C; a day that is wet, mm. [practice] */
const WASHES = 4;
const STIFF = -3;
const WET_DAY = 5;
/** Snow that hides holes and tracks, cm. [practice] */
const HIDES = 2;

/** ms */
export interface Night {
  now: number;
  dusk: number;
  dawn: number;
}

/**
 * What the weather asks of tonight's sets: rain before dark and in the night, cold on triggers, renewed scent marking after a wet day.
 *
 * @source common practice, each figure marked so
 */
export function tonight(hours: readonly WeatherHour[], { now, dusk, dawn }: Night): Finding[] {
  if (unknownHours(hours, now, dawn) > 6) return [found('weatherUnknown', 'unknown', 'practice', {})];
  const before = rainOf(hours, now, Math.max(now, dusk));
  const night = rainOf(hours, Math.max(now, dusk), dawn);
  const last = rainOf(hours, now - 36 * HOUR, now - 6 * HOUR);
  const low = coldest(hours, now, dawn);
  const snow = snowOf(hours, now, dawn);
  const all = [
    before >= WASHES && found('rainBeforeDark', 'warns', 'practice', { rain: before }),
    night >= WASHES && found('rainAtNight', 'warns', 'practice', { rain: night }),
    low !== null && low <= STIFF && found('frozenTriggers', 'warns', 'practice', { low }),
    last >= WET_DAY && before + night < WASHES && found('scentMarking', 'holds', 'practice', { rain: last }),
    snow >= HIDES && found('snow', 'warns', 'practice', { snow }),
  ].filter((finding) => finding !== false);
  return all.length > 0 ? all : [found('quietNight', 'holds', 'practice', { low })];
}
