import type { Knex } from 'knex';
import type { Body, Crew, Gauge, Person, Site } from '#core/record/kinds';
import type { WaterBody } from '#core/water/placed';
import { upsert, type Owner } from '../record/upsert';
import type { Written } from '#core/record/written';
import { answer, type Asked } from './asked';

export async function putCrew(trx: Knex, { id, name, halfLives }: Crew, { entry }: Owner): Promise<void> {
  await trx('crew')
    .insert({ id, name, half_lives: JSON.stringify(halfLives ?? {}), entry_id: entry })
    .onConflict('id')
    .merge();
}

export const putPerson = (trx: Knex, person: Person, { crew, entry }: Owner) => upsert(trx, 'person', { ...person, entry_id: entry }, crew);
export const putSite = (trx: Knex, site: Site, { crew, entry }: Owner) => upsert(trx, 'site', { ...site, entry_id: entry }, crew);

export const putWater = (trx: Knex, { site, ...water }: WaterBody, { crew, entry }: Owner) =>
  upsert(trx, 'water', { ...water, site_id: site, entry_id: entry }, crew);
export const putGauge = (trx: Knex, { water, ...gauge }: Gauge, { crew, entry }: Owner) =>
  upsert(trx, 'gauge', { ...gauge, water_id: water, entry_id: entry }, crew);

export const putStation = (trx: Knex, { water, parent, photo, ...station }: Body<'station'>, { crew, entry }: Owner) =>
  upsert(trx, 'station', { ...station, water_id: water, parent_id: parent, photo_id: photo, entry_id: entry }, crew);

type StationRow = Omit<Written<Body<'station'>>, 'water' | 'parent' | 'photo'> & {
  water_id: string;
  parent_id: string | null;
  photo_id: string | null;
};

const STATION = [
  'id',
  'water_id',
  'number',
  'name',
  'kind',
  'surface',
  'along',
  'lat',
  'lon',
  'bed',
  'crest',
  'parent_id',
  'measures',
  'across',
  'lies',
  'photo_id',
  'note',
  'entry_id as entry',
];

const stationOf = ({ water_id, parent_id, photo_id, ...row }: StationRow): Written<Body<'station'>> => ({
  ...row,
  water: water_id,
  parent: parent_id,
  photo: photo_id,
});

/** The crew's stations along their waters; of one water when `water` is given. */
export const askStations = (db: Knex, crew: string, water?: string): Asked<StationRow, Written<Body<'station'>>[]> => ({
  query: db('station')
    .select(STATION)
    .where({ crew_id: crew, ...(water ? { water_id: water } : {}) })
    .orderBy(['water_id', 'along']),
  read: (rows) => rows.map(stationOf),
});
export const stations = (db: Knex, crew: string, water?: string) => answer(db, askStations(db, crew, water));

type WaterRow = Omit<Written<WaterBody>, 'site'> & { site_id: string };

export const askWaters = (db: Knex, crew: string): Asked<WaterRow, Written<WaterBody>[]> => ({
  query: db('water')
    .select(
      'id',
      'site_id',
      'name',
      'kind',
      'profile',
      'safe',
      'rise',
      'catchment',
      'runoff',
      'seep',
      'spill',
      'areas',
      'pipes',
      'ice',
      'note',
      'entry_id as entry',
    )
    .where({ crew_id: crew })
    .orderBy('name'),
  read: (rows) => rows.map(({ site_id, ...water }) => ({ ...water, site: site_id })),
});
export const waters = (db: Knex, crew: string) => answer(db, askWaters(db, crew));

type GaugeRow = Omit<Written<Gauge>, 'water'> & { water_id: string };

export const askGauges = (db: Knex, crew: string): Asked<GaugeRow, Written<Gauge>[]> => ({
  query: db('gauge')
    .select('id', 'water_id', 'name', 'surface', 'zero', 'earlier', 'entry_id as entry')
    .where({ crew_id: crew })
    .orderBy('surface'),
  read: (rows) => rows.map(({ water_id, ...gauge }) => ({ ...gauge, water: water_id })),
});
export const gauges = (db: Knex, crew: string) => answer(db, askGauges(db, crew));

export const sites = (db: Knex, crew: string): Promise<Written<Site>[]> =>
  db('site')
    .select('id', 'name', 'lat', 'lon', 'owner', 'access', 'endangered', 'users', 'area', 'entry_id as entry')
    .where({ crew_id: crew })
    .orderBy('name');

export const people = (db: Knex, crew: string): Promise<Written<Person>[]> =>
  db('person').select('id', 'name', 'system', 'times', 'measures', 'minutes', 'entry_id as entry').where({ crew_id: crew }).orderBy('name');

/** The crew with its own half-lives of sign. */
export async function crewOf(db: Knex, crew: string): Promise<Written<Crew> | undefined> {
  const row: (Omit<Written<Crew>, 'halfLives'> & { half_lives: Crew['halfLives'] }) | undefined = await db('crew')
    .select('id', 'name', 'half_lives', 'entry_id as entry')
    .where({ id: crew })
    .first();
  return row && { id: row.id, name: row.name, halfLives: row.half_lives, entry: row.entry };
}

/** The crews of this record, the first one first: two at most, as more than one is all that is asked. */
export const crews = (db: Knex): Promise<string[]> => db('crew').orderBy('id').limit(2).pluck('id');

/** The person of that id with the crew, or else the first person of the record. */
export async function whoIs(db: Knex, person: string | undefined): Promise<{ crew: string; person: Person } | null> {
  const query = () =>
    db('person')
      .select('crew_id', 'id', 'name', 'system', 'times', 'measures', 'minutes')
      .orderByRaw('(select min(seq) from entry where entry.crew_id = person.crew_id and entry.subject = person.id)');
  const chosen = person ? await query().where({ id: person }).first() : undefined;
  const row = chosen ?? (await query().first());
  if (!row) return null;
  const { crew_id, ...rest } = row as Person & { crew_id: string };
  return { crew: crew_id, person: rest };
}
