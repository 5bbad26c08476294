import type { Names } from '#core/record/sentence';
import { db } from './database';
import { gauges, people, stations, waters } from './repositories/places';
import { setNames } from './repositories/sets';

/** What the things of a crew are called, for the sentences of the book. */
export async function namesOf(crew: string): Promise<{ all: Names; sets: Names }> {
  const [boards, water, places, sets, crewPeople] = await Promise.all([
    gauges(db(), crew),
    waters(db(), crew),
    stations(db(), crew),
    setNames(db(), crew),
    people(db(), crew),
  ]);
  const waterName = Object.fromEntries(water.map((w) => [w.id, w.name]));
  const all = Object.fromEntries([
    ...water.map((w) => [w.id, w.name]),
    ...places.map((s) => [s.id, `${s.number} ${s.name}`]),
    ...boards.map((g) => [g.id, `${waterName[g.water] ?? ''}, ${g.name}`]),
    ...crewPeople.map((p) => [p.id, p.name]),
    ...Object.entries(sets),
  ]) as Names;
  return { all, sets };
}
