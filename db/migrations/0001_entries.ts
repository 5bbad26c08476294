import type { Knex } from 'knex';

/** The book: every change is an entry that is never rewritten. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('create extension if not exists btree_gist');
  await knex.raw(`create domain minute_time as timestamptz constraint time_in_whole_minutes check (date_trunc('minute', value) = value)`);
  await knex.raw(`
    create table entry (
      seq bigint generated always as identity primary key,
      id uuid not null constraint entry_id_once unique,
      crew_id uuid not null,
      kind text not null,
      subject uuid not null,
      occurred_at timestamptz not null,
      recorded_at timestamptz not null,
      by uuid,
      corrects uuid constraint corrected_once unique constraint corrects_an_entry references entry (id),
      withdrawn boolean not null default false,
      reason text not null default '',
      body jsonb not null,
      body_hash text not null,
      state text not null default 'applied' constraint entry_state check (state in ('applied', 'held'))
    )`);
  await knex.raw('create index entry_by_subject on entry (crew_id, kind, subject)');
  await knex.raw('create index entry_by_time on entry (crew_id, occurred_at desc, seq desc)');
  await knex.raw(`
    create function entry_is_kept() returns trigger language plpgsql as $$
    begin
      if tg_op = 'UPDATE' and (new.seq, new.id, new.crew_id, new.kind, new.subject, new.occurred_at, new.recorded_at, new."by", new.corrects, new.withdrawn, new.reason, new.body, new.body_hash)
        is not distinct from (old.seq, old.id, old.crew_id, old.kind, old.subject, old.occurred_at, old.recorded_at, old."by", old.corrects, old.withdrawn, old.reason, old.body, old.body_hash) then
        return new;
      end if;
      raise exception 'an entry is never rewritten' using errcode = 'restrict_violation', constraint = 'entry_is_kept';
    end $$`);
  await knex.raw('create trigger entry_is_kept before update or delete on entry for each row execute function entry_is_kept()');
  await knex.raw('create trigger entry_is_not_emptied before truncate on entry execute function entry_is_kept()');
  await knex.raw(`create table note_of_the_house (key text primary key, value jsonb not null)`);
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
