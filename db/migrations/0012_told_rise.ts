import type { Knex } from 'knex';

/** A rise that somebody told, with its doubt: it moves a forecast until the gauge is read again. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    create table told_rise (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred,
      entry_id uuid not null references entry (id), gauge_id uuid not null, at minute_time not null, until minute_time not null,
      rise double precision not null check (rise between -10 and 10), doubt double precision not null check (doubt between 0 and 5),
      who text not null, note text not null,
      constraint told_rise_has_gauge foreign key (crew_id, gauge_id) references gauge (crew_id, id) deferrable initially deferred,
      constraint told_rise_in_order check (at < until))`);
  await knex.raw('create index told_rise_by_gauge on told_rise (gauge_id, until)');
}

export function down(): never {
  throw new Error('migrations only go forward');
}
