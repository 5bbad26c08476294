import type { Knex } from 'knex';

/** A line is a season; a set holds devices for a while; a visit checks some of them. The database itself refuses what cannot have been. */
export async function up(knex: Knex): Promise<void> {
  const keys = `id uuid primary key, crew_id uuid not null references crew (id) deferrable initially deferred, entry_id uuid not null references entry (id)`;
  const later = 'deferrable initially deferred';
  await knex.raw(`
    create table line (${keys}, name text not null, season text not null, zone text not null, lat double precision not null, lon double precision not null, rule jsonb not null, rulebook text not null,
      constraint line_of_crew unique (crew_id, id))`);
  await knex.raw(`
    create table device (${keys}, tag text not null, class text not null check (class in ('bodyGrip', 'foothold', 'snare')), size text not null, condition text not null, note text not null,
      constraint device_of_crew unique (crew_id, id), constraint tag_once unique (crew_id, tag))`);
  await knex.raw(`
    create table trap_set (${keys}, line_id uuid not null, number integer not null check (number between 1 and 9999), name text not null, type text not null, species text not null, station_id uuid not null,
      state text not null check (state in ('planned', 'prepared', 'live', 'pulled')), opens date, armed jsonb, anchor text not null, by uuid, left_because text not null, note text not null,
      constraint set_of_crew unique (crew_id, id), constraint set_number_once unique (line_id, number),
      constraint set_has_line foreign key (crew_id, line_id) references line (crew_id, id) ${later},
      constraint set_has_station foreign key (crew_id, station_id) references station (crew_id, id) ${later},
      constraint set_has_person foreign key (crew_id, by) references person (crew_id, id) ${later})`);
  await knex.raw(`
    create table setting (id uuid primary key, crew_id uuid not null, set_id uuid not null, at minute_time not null, numbers jsonb not null, choices jsonb not null, pond double precision, tail double precision,
      constraint setting_time_once unique (set_id, at),
      constraint setting_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) ${later})`);
  await knex.raw(`
    create table stay (id uuid primary key, crew_id uuid not null, set_id uuid not null, position text not null, device_id uuid not null,
      live_from minute_time not null, live_to minute_time not null default 'infinity',
      constraint pulled_after_placed check (live_from <= live_to),
      constraint stay_life unique (id, live_from, live_to),
      constraint stay_of_set unique (id, set_id),
      constraint stay_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) ${later},
      constraint stay_has_device foreign key (crew_id, device_id) references device (crew_id, id) ${later},
      constraint device_in_one_set exclude using gist (device_id with =, tstzrange(live_from::timestamptz, live_to::timestamptz) with &&) ${later},
      constraint position_holds_one exclude using gist (set_id with =, position with =, tstzrange(live_from::timestamptz, live_to::timestamptz) with &&) ${later})`);
  await knex.raw('create index stay_by_set on stay (set_id)');
  await knex.raw(`
    create table reading (${keys}, gauge_id uuid not null, at minute_time not null, level double precision not null check (level between -10 and 30),
      bound text not null check (bound in ('exact', 'atMost')), source text not null, set_id uuid, note text not null,
      constraint reading_has_gauge foreign key (crew_id, gauge_id) references gauge (crew_id, id) ${later},
      constraint reading_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) ${later})`);
  await knex.raw('create index reading_by_time on reading (gauge_id, at)');
  await knex.raw(`
    create table check_visit (${keys}, set_id uuid not null, at minute_time not null, by uuid, change text not null, change_note text not null, asked jsonb, note text not null,
      constraint visit_at unique (id, at), constraint visit_of_set unique (id, set_id),
      constraint visit_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) ${later},
      constraint visit_has_person foreign key (crew_id, by) references person (crew_id, id) ${later})`);
  await knex.raw('create index visit_by_set on check_visit (set_id, at)');
  await knex.raw(`
    create table check_device (id uuid primary key, crew_id uuid not null, visit_id uuid not null, set_id uuid not null, at timestamptz not null, stay_id uuid not null,
      live_from timestamptz not null, live_to timestamptz not null, outcome text not null, cause text not null, flags jsonb not null, searched text not null,
      constraint device_checked_once unique (visit_id, stay_id),
      constraint check_of_visit foreign key (visit_id, at) references check_visit (id, at) on update cascade on delete cascade,
      constraint check_in_its_set foreign key (visit_id, set_id) references check_visit (id, set_id) on update cascade on delete cascade,
      constraint check_of_stay_of_set foreign key (stay_id, set_id) references stay (id, set_id),
      constraint check_of_stay foreign key (stay_id, live_from, live_to) references stay (id, live_from, live_to) on update cascade,
      constraint check_within_life check (at between live_from and live_to))`);
  await knex.raw('create index check_by_stay on check_device (stay_id, at)');
  await knex.raw(`
    create table catch (id uuid primary key, crew_id uuid not null, check_id uuid not null constraint catch_of_check references check_device (id) on delete cascade,
      species text not null, sex text not null, age text not null, weight double precision constraint catch_weighs_something check (weight > 0 and weight < 100), estimated boolean not null,
      strikes jsonb not null, alive boolean not null, bites text not null, fate text not null)`);
  await knex.raw('create index catch_by_check on catch (check_id)');
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
