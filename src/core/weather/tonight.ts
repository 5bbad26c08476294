import type { Told } from '../words/finding';
import type { System } from '../units/factors';
import { coldest, rainOf, snowOf, unknownHours, type WeatherHour } from './hours';

const HOUR = 3_600_000;
/** Rain that washes lure off, mm; frost that stiffens triggers, °C; a day that is wet, mm. [practice] */
const WASHES = 4;
const STIFF = -3;
const WET_DAY = 5;

export const tempText = (celsius: number, system: System): string =>
  `${Math.round(system === 'us' ? (celsius * 9) / 5 + 32 : celsius)} ${system === 'us' ? '°F' : '°C'}`.replace('-', '−');
export const rainText = (mm: number, system: System): string => (system === 'us' ? `${(mm / 25.4).toFixed(2)} in` : `${Math.round(mm)} mm`);

/**
 * What the weather asks of tonight's sets: rain before dark and in the night, cold on triggers, renewed scent marking after a wet day.
 *
 * @param now ms
 * @param dusk ms
 * @param dawn ms
 * @source common practice, each figure marked so
 */
export function tonight(hours: readonly WeatherHour[], now: number, dusk: number, dawn: number, system: System): Told[] {
  const found: Told[] = [];
  const say = (id: string, verdict: Told['verdict'], about: string, figure: string, sentence: string): void =>
    void found.push({ id, verdict, about, figure, sentence, origin: 'practice' });
  if (unknownHours(hours, now, dawn) > 6) {
    say(
      'unknown',
      'unknown',
      'Weather',
      'not known',
      'Nothing is known of most of the hours to morning: read the station or a file first.',
    );
    return found;
  }
  const before = rainOf(hours, now, Math.max(now, dusk));
  const night = rainOf(hours, Math.max(now, dusk), dawn);
  if (before >= WASHES)
    say(
      'rainBeforeDark',
      'warns',
      'Rain before dark',
      rainText(before, system),
      `${rainText(before, system)} are expected before dark: lure that lies open washes off, so put it on late or under a roof. Small creeks rise with it.`,
    );
  if (night >= WASHES)
    say(
      'rainAtNight',
      'warns',
      'Rain tonight',
      rainText(night, system),
      `${rainText(night, system)} are expected in the night: breaks cut wider and streams rise. Look at the sets a rise cuts off before dark.`,
    );
  const low = coldest(hours, now, dawn);
  if (low !== null && low <= STIFF)
    say(
      'frozenTriggers',
      'warns',
      'Cold',
      tempText(low, system),
      `Down to ${tempText(low, system)}: wet triggers and dogs in air freeze, pans under mud stiffen. What stands wholly under water goes on working until the ice reaches it.`,
    );
  const last = rainOf(hours, now - 36 * HOUR, now - 6 * HOUR);
  if (last >= WET_DAY && before + night < WASHES)
    say(
      'scentMarking',
      'holds',
      'After a wet day',
      rainText(last, system),
      `${rainText(last, system)} fell and it turns dry: scent marking is renewed after a wet day, a good night for mounds.`,
    );
  const snow = snowOf(hours, now, dawn);
  if (snow >= 2)
    say(
      'snow',
      'warns',
      'Snow',
      system === 'us' ? `${(snow / 2.54).toFixed(0)} in` : `${snow.toFixed(0)} cm`,
      'New snow hides holes and slows their freezing; tracks before it are gone, those after it are fresh.',
    );
  if (found.length === 0)
    say('quiet', 'holds', 'Weather', low === null ? '' : tempText(low, system), 'Neither rain nor hard frost is expected by morning.');
  return found;
}
