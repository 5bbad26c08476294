import type { Knex } from 'knex';

/** A break in a dam is kept with its shape and times, so that the forecast knows what runs out. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table water add column rise double precision check (rise between 0 and 1)');
  await knex.raw(`
    create table opening (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      water_id uuid not null, shape text not null check (shape in ('rectangle', 'V', 'trapezoid')), width double precision not null check (width between 0.02 and 20),
      sill double precision not null, opened minute_time not null, mended minute_time, by text not null, note text not null,
      constraint opening_time_in_order check (mended is null or mended >= opened),
      constraint opening_has_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index opening_by_water on opening (water_id, opened)');
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
