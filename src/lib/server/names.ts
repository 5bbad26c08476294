import type { Names } from '#core/record/sentence';
import { db } from './database';
import { together } from './repositories/asked';

/** What a thing is called, as far as its table says. */
interface Named {
  id: string;
  name: string;
  number?: number;
  tag?: string;
  water_id?: string;
}

export interface Choice {
  value: string;
  text: string;
}

/** What the things of a crew are called, for the sentences of the book; and by the name of a link, what it may point to. */
export async function namesOf(crew: string): Promise<{ all: Names; sets: Names; links: Record<string, Choice[]> }> {
  const own = (table: string, columns: string[], order: string) => ({
    query: db()(table).select(columns).where({ crew_id: crew }).orderBy(order),
    read: (rows: Named[]) => rows,
  });
  const { boards, water, places, sets, crewPeople, shed, grounds } = await together(db(), {
    boards: own('gauge', ['id', 'name', 'water_id'], 'name'),
    water: own('water', ['id', 'name'], 'name'),
    places: own('station', ['id', 'number', 'name'], 'number'),
    sets: own('trap_set', ['id', 'number', 'name'], 'number'),
    crewPeople: own('person', ['id', 'name'], 'name'),
    shed: own('device', ['id', 'tag'], 'tag'),
    grounds: own('site', ['id', 'name'], 'name'),
  });
  const waterName = Object.fromEntries(water.map((w) => [w.id, w.name]));
  const choices = <T extends { id: string }>(list: T[], text: (thing: T) => string): Choice[] =>
    list.map((thing) => ({ value: thing.id, text: text(thing) }));
  const links = {
    water: choices(water, (w) => w.name),
    station: choices(places, (s) => `${s.number} ${s.name}`),
    gauge: choices(boards, (g) => `${waterName[g.water_id ?? ''] ?? ''}, ${g.name}`),
    by: choices(crewPeople, (p) => p.name),
    device: choices(shed, (d) => d.tag ?? ''),
    site: choices(grounds, (s) => s.name),
    set: choices(sets, (s) => `${s.number} ${s.name}`),
  };
  return {
    all: Object.fromEntries(
      Object.values(links)
        .flat()
        .map(({ value, text }) => [value, text]),
    ),
    sets: Object.fromEntries(links.set.map(({ value, text }) => [value, text])),
    links,
  };
}
