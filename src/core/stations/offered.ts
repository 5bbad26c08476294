import type { DeviceClass } from '../devices/sizes';
import type { Offered } from '../sets/offer';
import { inches } from '../units/factors';
import type { Known } from '../water/levels';
import { latest, type MeasureId } from './measures';
import { bedOf, type Station } from './placed';

/** A boot that sinks past the knee stands on no firm pond side, m. [practice] */
const KNEE = inches(18);

/** Depths that are measured where a set would stand; a kind of place asks one of them. */
const DEPTHS: readonly MeasureId[] = ['depth', 'channelDepth', 'toeDepth', 'wallDepth', 'trapDepth'];

/** What a station knows of itself when a type of set is looked for. @param known the levels now @param ice whether ice lies over it @param met devices that its animals may know */
export function offeredAt(station: Station, known: Known, ice: boolean, met: readonly DeviceClass[] = []): Offered {
  const value = (what: MeasureId): number | undefined => latest(station.measures, what)?.value;
  const steady = value('steady');
  const sink = value('sink');
  return {
    kind: station.kind,
    depth: depthNow(station, known[station.surface]),
    width: value('widthSurface') ?? value('width'),
    roof: value('roof'),
    ice,
    soft: sink === undefined ? undefined : sink > KNEE,
    moving: steady === undefined ? undefined : steady === 0,
    met,
  };
}

/** The water there now: over its bed, else as it was measured and the level moved since. */
function depthNow(station: Station, level: number | undefined): number | undefined {
  const bed = bedOf(station);
  if (bed !== null && level !== undefined) return level - bed;
  const taken = latest(station.measures, ...DEPTHS);
  if (!taken) return station.sounded?.depth;
  return taken.value + (taken.level === null || level === undefined ? 0 : level - taken.level);
}
