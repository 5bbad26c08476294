import type { Knex } from 'knex';

/** What an experienced friend answered to the card of a set. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table reply (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      set_id uuid not null, at minute_time not null, "from" text not null, text text not null,
      constraint reply_to_set foreign key (crew_id, set_id) references trap_set (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index reply_by_set on reply (set_id, at)');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
