import type { Knex } from 'knex';
import type { Crew, Gauge, Person, Site, Station, WaterBody } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';

const iso = (at: Date | null): string | null => at && at.toISOString();

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

export function putStation(trx: Knex, { water, bed, parent, ...station }: Station, { crew, entry }: Owner) {
  return upsert(
    trx,
    'station',
    {
      ...station,
      water_id: water,
      parent_id: parent,
      bed_depth: bed?.depth ?? null,
      bed_level: bed?.level ?? null,
      bed_at: bed?.at ?? null,
      entry_id: entry,
    },
    crew,
  );
}

interface StationRow extends Omit<Station, 'water' | 'bed' | 'parent'> {
  water_id: string;
  parent_id: string | null;
  bed_depth: number | null;
  bed_level: number | null;
  bed_at: Date | null;
}

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
  'bed_depth',
  'bed_level',
  'bed_at',
  'crest',
  'parent_id',
  'measures',
  'across',
  'note',
];

function stationOf({ water_id, parent_id, bed_depth, bed_level, bed_at, ...row }: StationRow): Station {
  const bed =
    bed_depth === null || bed_level === null || bed_at === null ? null : { depth: bed_depth, level: bed_level, at: iso(bed_at) ?? '' };
  return { ...row, water: water_id, parent: parent_id, bed };
}

/** The crew's stations along their waters; of one water when `water` is given. */
export async function stations(db: Knex, crew: string, water?: string): Promise<Station[]> {
  const rows: StationRow[] = await db('station')
    .select(STATION)
    .where({ crew_id: crew, ...(water ? { water_id: water } : {}) })
    .orderBy(['water_id', 'along']);
  return rows.map(stationOf);
}

export async function waters(db: Knex, crew: string): Promise<WaterBody[]> {
  const rows: (Omit<WaterBody, 'site'> & { site_id: string })[] = await db('water')
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
    )
    .where({ crew_id: crew })
    .orderBy('name');
  return rows.map(({ site_id, ...water }) => ({ ...water, site: site_id }));
}

export async function gauges(db: Knex, crew: string): Promise<Gauge[]> {
  const rows: (Omit<Gauge, 'water'> & { water_id: string })[] = await db('gauge')
    .select('id', 'water_id', 'name', 'surface', 'zero', 'earlier')
    .where({ crew_id: crew })
    .orderBy('surface');
  return rows.map(({ water_id, ...gauge }) => ({ ...gauge, water: water_id }));
}

export const sites = (db: Knex, crew: string): Promise<(Site & { entry_id: string })[]> =>
  db('site')
    .select('id', 'name', 'lat', 'lon', 'owner', 'access', 'endangered', 'users', 'entry_id')
    .where({ crew_id: crew })
    .orderBy('name');

export const people = (db: Knex, crew: string): Promise<Person[]> =>
  db('person').select('id', 'name', 'system', 'measures', 'minutes').where({ crew_id: crew }).orderBy('name');

/** The crew with its own half-lives of sign. */
export async function crewOf(db: Knex, crew: string): Promise<Crew | undefined> {
  const row: (Omit<Crew, 'halfLives'> & { half_lives: Crew['halfLives'] }) | undefined = await db('crew')
    .select('id', 'name', 'half_lives')
    .where({ id: crew })
    .first();
  return row && { id: row.id, name: row.name, halfLives: row.half_lives };
}

/** The person of that id with the crew, or else the first person of the record. */
export async function whoIs(db: Knex, person: string | undefined): Promise<{ crew: string; person: Person } | null> {
  const query = () =>
    db('person')
      .select('crew_id', 'id', 'name', 'system', 'measures', 'minutes')
      .orderByRaw('(select min(seq) from entry where entry.subject = person.id)');
  const chosen = person ? await query().where({ id: person }).first() : undefined;
  const row = chosen ?? (await query().first());
  if (!row) return null;
  const { crew_id, ...rest } = row as Person & { crew_id: string };
  return { crew: crew_id, person: rest };
}
