import type { Knex } from 'knex';

/** What is read of a water before the season: its ground on the map, own levels of stations, earlier trapping, guided readings, cameras, and what is planned. */
export async function up(knex: Knex): Promise<void> {
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  await knex.raw(`alter table crew add column half_lives jsonb not null default '{}'`);
  await knex.raw(`alter table person add column minutes jsonb not null default '{}'`);
  await knex.raw(`alter table site add column users text not null default ''`);
  await knex.raw(`alter table water add column safe jsonb`);
  await knex.raw(`
    alter table station add column parent_id uuid, add column measures jsonb not null default '[]', add column across jsonb,
      add constraint station_has_parent foreign key (crew_id, parent_id) references station (crew_id, id) deferrable initially deferred,
      add constraint station_not_its_own_parent check (parent_id <> id)`);
  await knex.raw(`alter table reading add column since minute_time, add column clarity text not null default 'not looked'`);
  const bounds: { rows: { conname: string }[] } = await knex.raw(
    `select conname from pg_constraint where conrelid = 'reading'::regclass and contype = 'c' and pg_get_constraintdef(oid) ~ '(bound|source)'`,
  );
  for (const { conname } of bounds.rows) await knex.raw('alter table reading drop constraint ??', [conname]);
  await knex.raw(`
    alter table reading add constraint reading_bound check (bound in ('exact', 'atMost', 'crest')),
      add constraint reading_source check (source in ('gauge', 'set', 'simulated', 'debris')),
      add constraint crest_has_its_time check ((bound = 'crest') = (since is not null)),
      add constraint crest_time_in_order check (since is null or since <= at)`);
  await knex.raw(`
    create table photo (id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred,
      type text not null check (type in ('image/jpeg', 'image/webp', 'image/png')), bytes bytea not null check (octet_length(bytes) < 2000000),
      constraint photo_of_crew unique (crew_id, id))`);
  await knex.raw(`
    alter table sign add column photo_id uuid, add column lat double precision, add column lon double precision,
      add constraint sign_has_photo foreign key (crew_id, photo_id) references photo (crew_id, id) deferrable initially deferred`);
  const station = `constraint %_has_station foreign key (crew_id, station_id) references station (crew_id, id) deferrable initially deferred`;
  const water = `constraint %_has_water foreign key (crew_id, water_id) references water (crew_id, id) deferrable initially deferred`;
  const of = (table: string, columns: string, ...links: string[]) =>
    knex.raw(`create table ${table} (${keys}, ${columns}, ${links.map((link) => link.replace('%', table)).join(', ')})`);
  await of(
    'station_level',
    `station_id uuid not null, at minute_time not null, depth double precision not null check (depth between 0 and 15), level double precision not null, note text not null`,
    station,
  );
  await of(
    'ground',
    `site_id uuid not null, water_id uuid, kind text not null, name text not null, shape jsonb not null, properties jsonb not null, note text not null`,
    `constraint ground_has_site foreign key (crew_id, site_id) references site (crew_id, id) deferrable initially deferred`,
    water,
  );
  await of(
    'earlier',
    `water_id uuid not null, station_id uuid, who text not null, season text not null, used text not null, species text not null,
     caught integer check (caught between 0 and 999), nights double precision check (nights >= 0), note text not null`,
    water,
    station,
  );
  await of(
    'survey',
    `water_id uuid not null, station_id uuid, at minute_time not null, found jsonb not null, note text not null`,
    water,
    station,
  );
  await of(
    'camera',
    `station_id uuid not null, camera text not null, watched_from minute_time not null, watched_to minute_time not null, source text not null, note text not null,
     constraint camera_time_in_order check (watched_from <= watched_to)`,
    station,
  );
  await knex.raw(`
    create table camera_event (camera_id uuid not null references camera (id) on delete cascade, nth integer not null, at timestamptz not null, species text not null,
      count integer not null check (count between 1 and 40), size text not null, primary key (camera_id, nth))`);
  await of(
    'intent',
    `line_id uuid not null, station_id uuid not null, doing text not null check (doing in ('planned', 'prepared', 'left')), type text not null, opens date, because text not null,
     constraint intent_once unique (line_id, station_id),
     constraint intent_has_line foreign key (crew_id, line_id) references line (crew_id, id) deferrable initially deferred`,
    station,
  );
  await knex.raw('create index station_level_by_station on station_level (station_id, at)');
  await knex.raw('create index camera_by_station on camera (station_id, watched_from)');
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
