import type { SeenAtSet } from '#core/counting/atSet';
import type { DeviceWhere } from '#core/gear/where';
import { momentsOfIce } from '#core/ice/sheets';
import type { Body, Earlier, Gauge, Ground, Ice, LeftWord, Line, Share, StationLevel, ToldRise, TrapSet } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import type { InForce } from '#core/rules/inForce';
import type { Time } from '#core/run/work';
import type { Look } from '#core/sets/view';
import { momentsOf } from '#core/stations/placed';
import type { Moment } from '#core/water/levelAt';
import type { Reading } from '#core/water/series';
import type { WeatherStretch } from '#core/weather/hours';
import type { PackedReadings } from './packed';

/** What the record says of a season: nothing in it is computed, everything else follows from it. */
export interface Facts {
  line: Written<Line>;
  rules: InForce | null;
  /** the area of the rulebook in which each water lies, where one was named */
  areas: Record<string, string>;
  sets: Written<TrapSet>[];
  places: Written<Body<'station'>>[];
  waters: Written<Body<'water'>>[];
  boards: Written<Gauge>[];
  shed: DeviceWhere[];
  words: Written<LeftWord>[];
  /** who goes where, of today and the days to come */
  shares: Written<Share>[];
  /** times that the reader wrote */
  times: Time[];
  /** the last look at every stay */
  looks: Record<string, Look>;
  depths: (Pick<StationLevel, 'station' | 'depth' | 'at'> & { noted?: number | undefined })[];
  seen: Written<Ice>[];
  told: Written<ToldRise>[];
  ground: Ground[];
  openings: Written<Body<'opening'>>[];
  earlier: Written<Earlier>[];
  seenLate: Record<string, SeenAtSet[]>;
  /** readings of the last weeks, as the gauges showed them, and since when they are all there */
  packed: PackedReadings;
  since: Date;
  /** the readings beside every moment that something was measured at, by `momentKey` */
  beside: Map<string, Reading[]>;
  weather: WeatherStretch[];
}

/** The moments at which something of a season was measured. */
export function momentsOfFacts(
  { sets, places, depths, seen, waters }: Omit<Facts, 'beside' | 'packed' | 'weather' | 'since'>,
  now: Date,
): Moment[] {
  return [...momentsOfSets(sets, places), ...momentsOfPlaces(places, depths), ...momentsOfIce(seen, waters, now)];
}

/** When sets were laid: the levels they were measured from. */
export function momentsOfSets(all: readonly TrapSet[], places: readonly { id: string; water: string }[]): Moment[] {
  const water = new Map(places.map((p) => [p.id, p.water]));
  return all.flatMap(({ station, settings }) => {
    const own = water.get(station);
    if (!own) return [];
    return settings.flatMap(({ at }) => (['pond', 'tail'] as const).map((surface) => ({ water: own, surface, at })));
  });
}

/** When something was measured at stations. */
function momentsOfPlaces(places: Body<'station'>[], depths: { station: string; at: string }[]): Moment[] {
  const of = Object.fromEntries(places.map((p) => [p.id, p]));
  const own = ({ water, surface }: Body<'station'>, at: string): Moment => ({ water, surface, at });
  return [
    ...places.flatMap((place) => momentsOf(place).map((at) => own(place, at))),
    ...depths.flatMap(({ station, at }) => (of[station] ? [own(of[station], at)] : [])),
  ];
}
