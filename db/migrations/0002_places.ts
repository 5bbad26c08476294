import type { Knex } from 'knex';

/** Places belong to the crew and outlive seasons; the crew stands in every key, so that two crews cannot be crossed. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`create table crew (id uuid primary key, name text not null, entry_id uuid not null references entry (id))`);
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  await knex.raw(
    `create table person (${keys}, name text not null, system text not null check (system in ('us', 'metric')), measures jsonb not null, constraint person_of_crew unique (crew_id, id))`,
  );
  await knex.raw(`
    create table site (${keys}, name text not null, lat double precision not null check (lat between -90 and 90), lon double precision not null check (lon between -180 and 180),
      owner text not null, access text not null, endangered text not null, constraint site_of_crew unique (crew_id, id))`);
  await knex.raw(`
    create table water (${keys}, site_id uuid not null, name text not null, kind text not null, profile jsonb not null, note text not null,
      constraint water_of_crew unique (crew_id, id),
      constraint water_has_site foreign key (crew_id, site_id) references site (crew_id, id) deferrable initially deferred)`);
  await knex.raw(`
    create table gauge (${keys}, water_id uuid not null, name text not null, surface text not null check (surface in ('pond', 'tail')), zero double precision not null check (zero between -30 and 30),
      constraint gauge_of_crew unique (crew_id, id), constraint one_gauge_a_surface unique (water_id, surface),
      constraint gauge_has_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred)`);
  await knex.raw(`
    create table station (${keys}, water_id uuid not null, number integer not null check (number between 1 and 9999), name text not null, kind text not null,
      surface text not null check (surface in ('pond', 'tail')), along double precision not null check (along between 0 and 100000), lat double precision, lon double precision,
      bed_depth double precision check (bed_depth between 0 and 15), bed_level double precision, bed_at minute_time, crest double precision, note text not null,
      constraint station_of_crew unique (crew_id, id), constraint station_number_once unique (crew_id, number) deferrable initially deferred,
      constraint station_has_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred)`);
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
