import type { Knex } from 'knex';

/** Who goes to which sets on a day. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table day_share (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id),
      line_id uuid not null, day date not null, parts jsonb not null, note text not null,
      constraint day_share_once unique (crew_id, line_id, day),
      constraint day_share_of_line foreign key (crew_id, line_id) references line (crew_id, id) deferrable initially deferred)`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
