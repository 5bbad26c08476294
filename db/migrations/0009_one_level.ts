import type { Knex } from 'knex';

/**
 * Entries say in what shape their body is, which form wrote them together, and on what truth they were written. Levels are kept as they were seen:
 * on the gauge, with their instant; no copy beside a depth. The tables of current truth are written anew from the entries afterwards.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('alter table entry add column batch uuid, add column opened uuid, add column version integer not null default 1');
  await knex.raw('alter table entry alter column version drop default');
  await knex.raw(`
    create or replace function entry_is_kept() returns trigger language plpgsql as $$
    begin
      if tg_op = 'UPDATE' and (new.seq, new.id, new.crew_id, new.kind, new.subject, new.occurred_at, new.recorded_at, new."by", new.corrects, new.withdrawn, new.reason, new.body, new.body_hash, new.batch, new.opened, new.version)
        is not distinct from (old.seq, old.id, old.crew_id, old.kind, old.subject, old.occurred_at, old.recorded_at, old."by", old.corrects, old.withdrawn, old.reason, old.body, old.body_hash, old.batch, old.opened, old.version) then
        return new;
      end if;
      raise exception 'an entry is never rewritten' using errcode = 'restrict_violation', constraint = 'entry_is_kept';
    end $$`);
  await knex.raw('drop index entry_by_subject');
  await knex.raw('create index entry_by_subject on entry (crew_id, subject, seq)');
  await knex.raw('create index entry_by_batch on entry (crew_id, batch)');
  await knex.raw(`create index entry_by_set on entry (crew_id, (body ->> 'set')) where body ->> 'set' is not null`);
  await knex.raw('alter table setting drop column pond, drop column tail, add column noted jsonb');
  await knex.raw('alter table stock_move add column count double precision, drop constraint stock_move_amount_check');
  await knex.raw('alter table stock_move add constraint stock_moves_something check (amount <> 0 or count is not null)');
  await knex.raw(`alter table trap_set add column reserved jsonb not null default '{}'`);
  await knex.raw('alter table station drop column bed_depth, drop column bed_level, drop column bed_at, add column bed jsonb');
  await knex.raw('alter table station drop column crest');
  await knex.raw('alter table station add column crest jsonb');
  await knex.raw('alter table station_level drop column level, add column noted double precision');
  await knex.raw(
    `alter table opening drop column width, drop column sill, add column states jsonb not null default '[]', add column set_id uuid`,
  );
  await knex.raw(
    `alter table opening add constraint opening_has_set foreign key (crew_id, set_id) references trap_set (crew_id, id) deferrable initially deferred`,
  );
}

export async function down(): Promise<void> {
  throw new Error('migrations only go forward');
}
