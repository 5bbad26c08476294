import type { Knex } from 'knex';

/**
 * Every row belongs to a crew, by its key and by the rules of the database. The key of every table begins with the crew, so an id of one crew is
 * free in another and nothing hangs on what another wrote. The program works as `zaprud_program`, which owns nothing and sees the rows of the
 * crew that it is told (`zaprud.crew`). Whoever may not make roles works as the owner, held by the same rules; tools say `zaprud.all`.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    alter table camera_event add column crew_id uuid references crew (id);
    update camera_event set crew_id = camera.crew_id from camera where camera.id = camera_event.camera_id;
    alter table camera_event alter column crew_id set not null`);
  await keysBeginWithCrew(knex);
  await knex.raw('create index entry_by_seq on entry (seq)');
  await waitForTruth(knex);
  await knex.raw(ROLE);
  const tables: string[] = await knex('information_schema.columns')
    .where({ column_name: 'crew_id' })
    .whereRaw('table_schema = current_schema()')
    .pluck('table_name');
  await apart(knex, 'crew', 'id');
  for (const table of tables) await apart(knex, table, 'crew_id');
  await knex.raw(AT_THE_DOOR);
  const [program] = (await knex.raw<{ rows: unknown[] }>(`select 1 from pg_roles where rolname = 'zaprud_program'`)).rows;
  if (program) await grant(knex, ['crew', ...tables]);
}

interface Constraint {
  on: string;
  name: string;
  type: 'p' | 'u' | 'x' | 'f';
  says: string;
  /** of the table it stands on, and of the one it names */
  ofCrew: boolean;
  toCrew: boolean;
}

/** Keys, uniqueness and links, each made anew with the crew before what it names. */
async function keysBeginWithCrew(knex: Knex): Promise<void> {
  const { rows } = await knex.raw<{ rows: Constraint[] }>(`
    select c.conrelid::regclass::text as on, c.conname as name, c.contype as type, pg_get_constraintdef(c.oid) as says,
      exists (select 1 from pg_attribute a where a.attrelid = c.conrelid and a.attname = 'crew_id') as "ofCrew",
      exists (select 1 from pg_attribute a where a.attrelid = c.confrelid and a.attname = 'crew_id') as "toCrew"
    from pg_constraint c where c.connamespace = current_schema()::regnamespace and c.contype in ('p', 'u', 'x', 'f')
    order by c.contype <> 'p', c.contype = 'f', c.conname`);
  const own = rows.filter(({ on, name, type, ofCrew, toCrew }) => isOfRecord(on, name) && (type === 'f' ? toCrew : ofCrew));
  for (const { on, name } of own.toReversed()) await knex.raw('alter table ?? drop constraint ??', [on, name]);
  for (const { on, name, says } of own)
    if (says !== 'UNIQUE (crew_id, id)' || on === 'entry')
      await knex.raw(`alter table ?? add constraint ?? ${withCrew(says, on)}`, [on, name]);
}

/** What opens the door is looked for before a crew is known. */
const isOfRecord = (table: string, constraint: string): boolean =>
  !constraint.startsWith('pairing_code_pkey') && !constraint.startsWith('paired_device_token') && table !== 'pairing_miss';

const withCrew = (says: string, on: string): string => {
  const [, head = '', columns = '', rest = ''] = /^(PRIMARY KEY|UNIQUE|EXCLUDE USING gist|FOREIGN KEY) \(([^)]*)(.*)$/s.exec(says) ?? [];
  if (/\bcrew_id\b/.test(columns)) return says;
  if (head.startsWith('EXCLUDE')) return `${head} (crew_id with =, ${columns}${rest}`;
  const crew = on === 'crew' ? 'id' : 'crew_id';
  return `${head} (${crew}, ${columns}${head === 'FOREIGN KEY' ? rest.replace(/REFERENCES (\S+?)\(/, 'REFERENCES $1(crew_id, ') : rest}`;
};

/** What is no truth and names a person or a crew stays while truth is written anew from the entries. */
async function waitForTruth(knex: Knex): Promise<void> {
  const { rows } = await knex.raw<{ rows: { on: string; name: string }[] }>(`
    select conrelid::regclass::text as on, conname as name from pg_constraint
    where connamespace = current_schema()::regnamespace and contype = 'f' and not condeferrable and confrelid in ('crew'::regclass, 'person'::regclass)
      and conrelid in ('paired_device'::regclass, 'pairing_code'::regclass, 'photo'::regclass, 'held_entry'::regclass)`);
  for (const { on, name } of rows) await knex.raw('alter table ?? alter constraint ?? deferrable initially deferred', [on, name]);
}

async function apart(knex: Knex, table: string, key: string): Promise<void> {
  await knex.raw('alter table ?? enable row level security, force row level security', [table]);
  await knex.raw(`create policy own_crew on ?? using (?? = nullif(current_setting('zaprud.crew', true), '')::uuid)`, [table, key]);
  await knex.raw(`create policy whole on ?? to current_user using (current_setting('zaprud.all', true) = 'on')`, [table]);
}

const ROLE = `
  do $$ begin
    create role zaprud_program nologin;
  exception when duplicate_object or unique_violation or insufficient_privilege then null;
  end $$;
  do $$ begin
    execute format('grant zaprud_program to %I', current_user);
  exception when undefined_object or insufficient_privilege or invalid_grant_operation then null;
  end $$`;

const AT_THE_DOOR = `
  create policy at_the_door on crew for select using (current_setting('zaprud.door', true) = 'on');
  create policy at_the_door on paired_device using (current_setting('zaprud.door', true) = 'on');
  create policy at_the_door on pairing_code using (current_setting('zaprud.door', true) = 'on')`;

async function grant(knex: Knex, tables: readonly string[]): Promise<void> {
  await knex.raw(`do $$ begin execute format('grant usage on schema %I to zaprud_program', current_schema()); end $$`);
  for (const table of tables)
    await knex.raw(`grant select, insert${table === 'entry' ? '' : ', update, delete'} on ?? to zaprud_program`, [table]);
  await knex.raw(`
    grant select, insert, delete on pairing_miss to zaprud_program;
    grant select on knex_migrations, note_of_the_house to zaprud_program;
    do $$ begin execute format('grant usage on all sequences in schema %I to zaprud_program', current_schema()); end $$`);
}

export function down(): never {
  throw new Error('migrations only go forward');
}
