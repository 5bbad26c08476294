import type { Knex } from 'knex';

/** Who went out, where, by which way, and back by when. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table left_word (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      line_id uuid not null, who text not null, "where" text not null, at minute_time not null, back_by minute_time not null,
      home text not null, "then" text not null, back minute_time, check (back_by > at),
      constraint left_word_of_line foreign key (crew_id, line_id) references line (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index left_word_out on left_word (crew_id) where back is null');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
