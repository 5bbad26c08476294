import { error } from '@sveltejs/kit';
import { setTypeOf } from '#core/sets/catalogue';
import { devicesAt, layOutSetting, placeOf, settingAt } from '#core/sets/standing';
import { whereItLies } from '#core/sets/whereItLies';
import { reachOf, type Neighbour } from '#core/sets/circles';
import type { Device, Station, TrapSet } from '#core/record/kinds';
import { index, loadSeason, type Season } from './season';

/** The design of a set as it stands, with its station. */
export function designOf(season: Season, set: TrapSet, locals: App.Locals) {
  const station = season.stations.find((s) => s.id === set.station);
  if (!station) error(404, 'That set names a station that is not in this record.');
  const type = setTypeOf(set.type);
  const setting = settingAt(set, locals.now);
  const devices = devicesAt(set, locals.now, index<Device>(season.shed));
  const design = layOutSetting(type, setting, placeOf(station, season.follows[station.id]), devices, locals.who.person.system);
  return { station, type, setting, devices, design };
}

/** One set of the season with its design, for the pages about it. */
export async function oneSet(locals: App.Locals, id: string) {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const set = season?.sets.find((s) => s.id === id);
  if (!season || !set) error(404, 'There is no such set in this record.');
  return { season, set, ...designOf(season, set, locals) };
}

/** Where each device of a set can lie when it is missing, in the order to look. */
export const liesOf = ({ design, type, setting, station }: ReturnType<typeof designOf>, set: TrapSet, locals: App.Locals) =>
  design.holds.map((hold) => ({
    device: type.positions.find((p) => p.id === hold.device)?.label ?? hold.device,
    found: whereItLies(design, type, set.anchor, locals.who.person.system, setting[station.surface] ?? 0, hold),
  }));

/** Nearer than this along the shore two live catches are looked at together, m. */
const NEAR = 30;

/** The live sets near a station on its water, with how far their catches reach. */
export function neighboursOf(season: Season, station: Station, own: string | undefined, locals: App.Locals): Neighbour[] {
  const places = Object.fromEntries(
    season.stations.filter((s) => s.water === station.water && Math.abs(s.along - station.along) < NEAR).map((s) => [s.id, s]),
  );
  return season.sets.flatMap((set): Neighbour[] => {
    const place = places[set.station];
    if (!place || set.state !== 'live' || set.id === own) return [];
    const [hold] = designOf(season, set, locals).design.holds;
    return hold
      ? [{ name: `${set.number} ${set.name}`, apart: Math.max(Math.abs(place.along - station.along), 0.3), reach: reachOf(hold) }]
      : [];
  });
}
