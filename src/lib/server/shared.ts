import { many } from '#core/units/many';
import { clockOf, dayText, whenText } from '#core/time/clock';
import { db } from './database';
import { catchesSince, checks } from './repositories/checks';
import { sharedWith } from './repositories/door';
import { stations, waters } from './repositories/places';
import { currentLine, sets } from './repositories/sets';

/** What a person may read as a client: for those of the crew every water, as its client would see it. */
async function watersOf({ who, role }: App.Locals): Promise<{ id: string; name: string; coordinates: boolean }[]> {
  const all = await waters(db(), who.crew);
  if (role !== 'reader') return all.map(({ id, name }) => ({ id, name, coordinates: true }));
  const shared = await sharedWith(db(), who.crew, who.person.id);
  return shared.flatMap(({ water, coordinates }) => all.filter((w) => w.id === water).map(({ id, name }) => ({ id, name, coordinates })));
}

export async function sharedWaters(locals: App.Locals): Promise<{ id: string; name: string }[]> {
  return (await watersOf(locals)).map(({ id, name }) => ({ id, name }));
}

/** How many of each species, the most first. */
function sortsOf(species: readonly string[]): { species: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const one of species) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].map(([one, count]) => ({ species: one, count })).sort((a, b) => b.count - a.count);
}

/**
 * What a client reads of a water in the season under way: what stands there, when it was looked at, what was taken. No count is said that
 * nobody made, and no place is told but where that was allowed.
 *
 * @returns null where the water is not his to read, or is none
 */
export async function sharedWater(locals: App.Locals, water: string) {
  const { who, now } = locals;
  const mine = (await watersOf(locals)).find(({ id }) => id === water);
  const line = mine && (await currentLine(db(), who.crew));
  if (!mine || !line) return mine ? { ...mine, standing: [], visits: [], taken: [], sorts: [] } : null;
  const clock = clockOf(who.person, line.zone);
  const places = (await stations(db(), who.crew, water)).map((s) => ({
    id: s.id,
    at: s.lat === null || s.lon === null ? null : { lat: s.lat, lon: s.lon },
  }));
  const of = new Map(places.map((p) => [p.id, p.at]));
  const own = (await sets(db(), who.crew, { line: line.id, states: ['live', 'pulled'] })).filter((set) => of.has(set.station));
  const ids = new Map(own.map((set) => [set.id, set.number]));
  const looked = (await checks(db(), who.crew, { line: line.id })).filter((visit) => ids.has(visit.set));
  const since = own.flatMap((s) => s.stays.map((stay) => stay.from)).sort()[0];
  const caught = since ? await catchesSince(db(), who.crew, { since: new Date(since), water }) : [];
  const days = new Map<string, number[]>();
  for (const { at, set } of looked) {
    const day = dayText(new Date(at), clock);
    days.set(day, [...(days.get(day) ?? []), ids.get(set) ?? 0]);
  }
  return {
    ...mine,
    standing: own
      .filter((set) => set.state === 'live')
      .map(({ number, stays, station }) => ({
        number,
        since: whenText(new Date(stays.map((s) => s.from).sort()[0] ?? now), now, clock),
        traps: many(stays.filter((s) => s.to === null).length, 'trap'),
        at: mine.coordinates ? (of.get(station) ?? null) : null,
      })),
    visits: [...days].map(([day, seen]) => ({ day, sets: [...new Set(seen)].sort((a, b) => a - b) })),
    sorts: sortsOf(caught.map(({ species }) => species)),
    taken: caught.map(({ species, age, at }) => ({ species, age, day: dayText(new Date(at), clock) })),
  };
}
