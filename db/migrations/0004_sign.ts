import type { Knex } from 'knex';

/** Sign belongs to the crew and its stations, not to a season. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table sign (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      station_id uuid not null, at minute_time not null, kind text not null, species text not null, freshness text not null check (freshness in ('hours', 'days', 'weeks', 'old')),
      count integer check (count between 1 and 999), direction text not null, note text not null,
      constraint sign_has_station foreign key (crew_id, station_id) references station (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index sign_by_station on sign (station_id, at)');
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
