import type { Names } from '#core/record/sentence';
import { db } from './database';
import { devices } from './repositories/gear';
import { gauges, people, sites, stations, waters } from './repositories/places';
import { setNames } from './repositories/sets';

export interface Choice {
  value: string;
  text: string;
}

/** What the things of a crew are called, for the sentences of the book; and by the name of a link, what it may point to. */
export async function namesOf(crew: string): Promise<{ all: Names; sets: Names; links: Record<string, Choice[]> }> {
  const [boards, water, places, sets, crewPeople, shed, grounds] = await Promise.all([
    gauges(db(), crew),
    waters(db(), crew),
    stations(db(), crew),
    setNames(db(), crew),
    people(db(), crew),
    devices(db(), crew),
    sites(db(), crew),
  ]);
  const waterName = Object.fromEntries(water.map((w) => [w.id, w.name]));
  const choices = <T extends { id: string }>(list: T[], text: (thing: T) => string): Choice[] =>
    list.map((thing) => ({ value: thing.id, text: text(thing) }));
  const links = {
    water: choices(water, (w) => w.name),
    station: choices(places, (s) => `${s.number} ${s.name}`),
    gauge: choices(boards, (g) => `${waterName[g.water] ?? ''}, ${g.name}`),
    by: choices(crewPeople, (p) => p.name),
    device: choices(shed, (d) => d.tag),
    site: choices(grounds, (s) => s.name),
    set: Object.entries(sets).map(([value, text]) => ({ value, text })),
  };
  return {
    all: Object.fromEntries(
      Object.values(links)
        .flat()
        .map(({ value, text }) => [value, text]),
    ),
    sets,
    links,
  };
}
