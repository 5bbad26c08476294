import type { Knex } from 'knex';

/** Stock by kind with what came and went, kits, a fourth class of device; a set is found again by its hole and its photos. */
export async function up(knex: Knex): Promise<void> {
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  await knex.raw(`alter table device drop constraint device_class_check`);
  await knex.raw(`alter table device add constraint device_class_known check (class in ('bodyGrip', 'foothold', 'snare', 'enclosed'))`);
  await knex.raw(`alter table trap_set add column hole text not null default '', add column photo_left uuid, add column photo_found uuid`);
  await knex.raw(`
    create table stock (${keys}, name text not null, kind text not null, unit text not null check (unit in ('pieces', 'length', 'portions', 'weight')),
      low double precision check (low >= 0), cost double precision check (cost >= 0), note text not null,
      constraint stock_of_crew unique (crew_id, id), constraint stock_name_once unique (crew_id, name))`);
  await knex.raw(`
    create table stock_move (${keys}, stock_id uuid not null, at minute_time not null, why text not null, amount double precision not null check (amount <> 0), set_id uuid, note text not null,
      constraint move_has_stock foreign key (crew_id, stock_id) references stock (crew_id, id) deferrable initially deferred,
      constraint move_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index stock_move_by_stock on stock_move (stock_id, at)');
  await knex.raw(
    `create table kit (${keys}, name text not null, items jsonb not null, note text not null, constraint kit_name_once unique (crew_id, name))`,
  );
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
