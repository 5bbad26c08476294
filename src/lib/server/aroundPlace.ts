import { movingOf } from '#core/ahead/moving';
import type { Around } from '#core/critique/asked';
import { besideLine, compass, type Position } from '#core/ground/geodesic';
import { isLeeward, meanWind } from '#core/ground/wind';
import { pointsOf } from '#core/ground/points';
import type { Survey, TrapSet } from '#core/record/kinds';
import { latest } from '#core/stations/measures';
import { offeredAt } from '#core/stations/offered';
import type { Station } from '#core/stations/placed';
import { iceAhead } from './iceAhead';
import type { Season } from '#lib/season/season';

/** Farther off than this nothing on the ground is in reach of a catch, m. */
const NEAR = 25;

/** What the ground, the ice and the wind say of a place until the next check. @param surveys guided readings of its water, newest first */
export function placeAround(
  season: Season,
  station: Station,
  set: TrapSet | undefined,
  { surveys, check, locals }: { surveys: readonly Survey[]; check: Date; locals: App.Locals },
): Pick<Around, 'isSoft' | 'isMoving' | 'slope' | 'iceNext' | 'felt' | 'leeward' | 'near'> {
  const isFrozen = season.sheets[station.water] !== undefined;
  const { soft = null, moving = null } = offeredAt(station, season.levels[station.water]?.known ?? {}, isFrozen);
  return {
    isSoft: soft,
    isMoving: moving,
    slope: latest(station.measures, 'slope')?.value ?? null,
    iceNext: isFrozen ? iceAhead(season, station, set, locals).iceNext : null,
    felt: feltAt(station, set, surveys),
    leeward: leewardAt(season, station, locals.now, check),
    near: nearTo(season, station),
  };
}

/** What the chisel felt through the hole that the set is numbered by, and the first that was clear. */
function feltAt(station: Station, set: TrapSet | undefined, surveys: readonly Survey[]): Around['felt'] {
  const found = surveys.find((s) => s.station === station.id && s.found.kind === 'lodge')?.found;
  if (found?.kind !== 'lodge' || found.holes.length === 0) return null;
  const clear = found.holes.findIndex((h) => h.felt !== 'sticks');
  return { own: found.holes[Number(set?.hole || NaN) - 1]?.felt ?? null, clear: clear === -1 ? '' : `Hole ${clear + 1}` };
}

const positionOf = ({ lat, lon }: Station): Position | null => (lat === null || lon === null ? null : [lon, lat]);

/** From where the wind comes over the water onto the bank of a place until the check; empty where it does not, or nobody drew or told. */
function leewardAt(season: Season, station: Station, now: Date, check: Date): string {
  const at = positionOf(station);
  const line = season.ground.find((g) => g.water === station.water && (g.kind === 'shore' || g.kind === 'stream line'));
  const wind = meanWind(
    movingOf(season, now)
      .hours.filter((h) => h.at >= now.getTime() && h.at < check.getTime())
      .map(({ from, wind: speed }) => ({ from, speed })),
  );
  if (!at || !line || !wind) return '';
  return isLeeward(line.kind as 'shore', pointsOf(line.shape).points, at, wind) ? compass(wind.from) : '';
}

/** Logs, crest and road near a place: logs by their way along the water, the others as they were drawn on the map. */
function nearTo(season: Season, station: Station): Around['near'] {
  const at = positionOf(station);
  const drawn = season.ground.flatMap((g): Around['near'] => {
    if (!at || (g.kind !== 'road' && g.kind !== 'dam crest')) return [];
    const beside = besideLine(pointsOf(g.shape).points, at);
    return beside && beside.off < NEAR ? [{ what: g.kind, name: g.name || `the ${g.kind}`, apart: beside.off }] : [];
  });
  const logs = season.stations.flatMap((s): Around['near'] => {
    const apart = Math.abs(s.along - station.along);
    return s.kind === 'log crossing' && s.water === station.water && s.id !== station.id && apart < NEAR
      ? [{ what: 'log', name: `${s.number} ${s.name}`, apart }]
      : [];
  });
  return [...drawn, ...logs];
}
