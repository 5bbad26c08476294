import type { Knex } from 'knex';

/** A family of animals: what it uses, how many lived there, and when it was called done. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table colony (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      name text not null, species text not null, waters jsonb not null, stations jsonb not null, first jsonb, why text not null,
      clear double precision not null check (clear between 0.5 and 0.99), beliefs jsonb not null, done jsonb, note text not null,
      constraint colony_of_water check (jsonb_array_length(waters) > 0))`);
  await knex.raw('create index colony_of_crew on colony (crew_id)');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
