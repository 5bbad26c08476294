import { way, type Position } from '../ground/geodesic';

/** How long it takes from stop to stop: a truck between the access points, and from there by foot, boat or sled. */

export const MODES = {
  foot: { label: 'on foot', kmh: 4 },
  wading: { label: 'wading', kmh: 1.5 },
  boat: { label: 'by boat', kmh: 4 },
  sled: { label: 'by sled', kmh: 15 },
} as const;
export type Mode = keyof typeof MODES;

/** A truck on tracks and lanes, km/h; a way is longer than the straight line; to load, park and start a truck takes some minutes. [practice] */
export const TRUCK_KMH = 30;
export const DETOUR = 1.3;
export const PARKING = 3;

/** Minutes to a place of which nobody noted where it lies. [practice] */
export const UNPLACED = 5;

export interface Ends {
  /** null where nobody noted where it lies */
  at: Position | null;
  /** what ground it belongs to: access points of other ground do not serve it */
  ground: string;
}

/** A place at which a truck can stand. */
export interface Access {
  at: Position;
  ground: string;
  name: string;
}

interface Reached {
  access: Access | null;
  /** minutes between the place and its access point, or the truck where none is known */
  off: number;
}

const minutes = (metres: number, kmh: number): number => (metres * DETOUR * 60) / (kmh * 1000);

const between = (a: Position, b: Position, kmh: number): number => minutes(way(a, b).distance, kmh);

function reached({ at, ground }: Ends, accesses: readonly Access[], kmh: number): Reached {
  const own = accesses.filter((a) => a.ground === ground);
  if (!at) return { access: own[0] ?? null, off: UNPLACED };
  return own.reduce<Reached>(
    (nearest, access) => {
      const off = between(at, access.at, kmh);
      return nearest.access === null || off < nearest.off ? { access, off } : nearest;
    },
    { access: null, off: 0 },
  );
}

/**
 * Minutes between all places, as long both ways: straight lines with `DETOUR`, by truck between two access points where that is quicker.
 * Between two stops of one access point the truck stays where it is. [practice]
 *
 * @param places the first is where the day begins and ends
 * @returns a row a place; a place that lies nowhere is `UNPLACED` from every other
 * @source distances on WGS84: GeographicLib, the package; speeds are common practice
 */
export function travelMatrix(places: readonly Ends[], accesses: readonly Access[], mode: Mode): number[][] {
  const { kmh } = MODES[mode];
  const to = places.map((place) => reached(place, accesses, kmh));
  const drive = (a: Access, b: Access): number => between(a.at, b.at, TRUCK_KMH) + PARKING;
  return places.map((from, i) =>
    places.map((there, j) => {
      if (i === j) return 0;
      const [a, b] = [to[i], to[j]];
      if (!a || !b || !from.at || !there.at)
        return (a?.access && b?.access && a.access !== b.access ? drive(a.access, b.access) : 0) + UNPLACED;
      if (a.access && b.access && a.access !== b.access) return a.off + drive(a.access, b.access) + b.off;
      // who knows no access point drives where that is worth parking
      const straight = between(from.at, there.at, kmh);
      return a.access || b.access ? straight : Math.min(straight, between(from.at, there.at, TRUCK_KMH) + PARKING);
    }),
  );
}
