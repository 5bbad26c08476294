import type { Knex } from 'knex';

/** Weather, ice, loggers and what was forecast; what fills and drains a pond; a gauge whose zero was moved. */
export async function up(knex: Knex): Promise<void> {
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  await knex.raw(`
    alter table water
      add column catchment double precision check (catchment between 1 and 1e9), add column runoff double precision check (runoff between 0 and 1),
      add column seep double precision check (seep between 0 and 0.5), add column spill double precision check (spill between 0.05 and 500),
      add column areas jsonb not null default '[]', add column pipes jsonb not null default '[]', add column ice text`);
  await knex.raw(`alter table gauge add column earlier jsonb not null default '[]'`);
  await knex.raw(`
    alter table opening
      add column count integer not null default 1 check (count between 1 and 6), add column expect text not null default 'not mended',
      add column widens boolean not null default false`);
  await knex.raw(
    `create table weather (${keys}, station text not null, made minute_time not null, source text not null check (source in ('simulated', 'file')), hours jsonb not null, note text not null)`,
  );
  await knex.raw('create index weather_by_time on weather (crew_id, made)');
  await knex.raw(`
    create table ice (${keys}, water_id uuid not null, station_id uuid, at minute_time not null, seen text not null, thickness double precision not null check (thickness between 0 and 1.5),
      white boolean not null, snow double precision not null check (snow between 0 and 2), by uuid, note text not null,
      constraint ice_has_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred,
      constraint ice_has_station foreign key (crew_id, station_id) references station (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index ice_by_water on ice (water_id, at)');
  await knex.raw(`
    create table logged (${keys}, gauge_id uuid not null, name text not null, "from" minute_time not null, "to" minute_time not null, rows integer not null, note text not null,
      constraint logged_has_gauge foreign key (crew_id, gauge_id) references gauge (crew_id, id) deferrable initially deferred)`);
  await knex.raw(`
    create table logged_point (logged_id uuid not null references logged (id) on delete cascade deferrable initially deferred, gauge_id uuid not null, crew_id uuid not null,
      at timestamptz not null, level double precision not null check (level between -10 and 30))`);
  await knex.raw('create index logged_point_by_gauge on logged_point (gauge_id, at)');
  await knex.raw('create index logged_point_by_logged on logged_point (logged_id)');
  await knex.raw(`
    create table forecast (${keys}, gauge_id uuid not null, made minute_time not null, points jsonb not null, note text not null,
      constraint forecast_has_gauge foreign key (crew_id, gauge_id) references gauge (crew_id, id) deferrable initially deferred)`);
  await knex.raw('create index forecast_by_gauge on forecast (gauge_id, made)');
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
