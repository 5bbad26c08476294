import { armAndWaders } from '#core/units/bodyGauge';
import { error } from '@sveltejs/kit';
import { setTypeOf } from '#core/sets/catalogue';
import { laidAt, layOut, settingAt, type Ground } from '#core/sets/standing';
import { whereItLies } from '#core/sets/whereItLies';
import { reachOf, type Neighbour } from '#core/sets/circles';
import type { Device, TrapSet } from '#core/record/kinds';
import type { Gauge } from '#core/units/length';
import { latest } from '#core/stations/measures';
import { ownShore } from '#core/ground/ownShore';
import type { Station } from '#core/stations/placed';
import { index, type Season } from './season';
import type { Asker } from './who';

/** What says how a set at a station stood at any moment of the season. */
export const groundOf = (season: Season, station: Station, hands: Gauge = {}): Ground => ({
  station,
  follows: season.follows[station.id] ?? null,
  surfaces: season.surfaces,
  shed: index<Device>(season.shed),
  hands,
});

/** The design of a set as it stands, with its station. */
export function designOf(season: Season, set: TrapSet, asker: Asker) {
  const station = season.stations.find((s) => s.id === set.station);
  if (!station) error(404, 'That set names a location that is not in this record.');
  const type = setTypeOf(set.type);
  const laid = laidAt(set, asker.now, groundOf(season, station, armAndWaders(asker.who.person.measures)));
  return {
    station,
    type,
    setting: settingAt(set, asker.now),
    devices: laid.devices,
    then: laid.then,
    design: layOut(type, laid, asker.who.person.system),
  };
}

/** Where the way of a set leads: into the bank that a measured run comes out of; null where no bearing was measured. */
const facingOf = ({ measures }: Station): number | null => {
  const out = latest(measures, 'bearing');
  return out ? (out.value + 180) % 360 : null;
};

/** Where each device of a set can lie when it is missing, in the order to look, with the shore that was drawn of its water. */
export const liesOf = (
  { design, type, then, station }: ReturnType<typeof designOf>,
  set: TrapSet,
  { ground, waters }: Season,
  asker: Asker,
) => {
  const { lat, lon, water } = station;
  const drawn = lat === null || lon === null ? null : ownShore(ground, water, [lon, lat], facingOf(station));
  const shore = drawn ?? (waters.find((w) => w.id === water)?.kind === 'pond' ? ('open' as const) : null);
  return design.holds.map((hold) => ({
    shore,
    device: type.positions.find((p) => p.id === hold.device)?.label ?? hold.device,
    found: whereItLies(design, type, { anchor: set.anchor, system: asker.who.person.system, level: then[station.surface] ?? 0, hold }),
  }));
};

/** Nearer than this along the shore two live catches are looked at together, m. */
const NEAR = 30;

/** The live sets near a station on its water, with how far their catches reach. */
export function neighboursOf(season: Season, station: Station, own: string | undefined, asker: Asker): Neighbour[] {
  const places = Object.fromEntries(
    season.stations.filter((s) => s.water === station.water && Math.abs(s.along - station.along) < NEAR).map((s) => [s.id, s]),
  );
  return season.sets.flatMap((set): Neighbour[] => {
    const place = places[set.station];
    if (!place || set.state !== 'live' || set.id === own) return [];
    const [hold] = designOf(season, set, asker).design.holds;
    const apart = place.id === station.id ? null : Math.abs(place.along - station.along);
    return hold ? [{ name: `${set.number} ${set.name}`, apart, reach: reachOf(hold) }] : [];
  });
}
