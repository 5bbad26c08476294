import type { Knex } from 'knex';

/** What is asked for one crew, whatever is in the record: an id is one crew's own, so the ways to what hangs on it hold the crew too. */
export async function up(knex: Knex): Promise<void> {
  const { rows } = await knex.raw<{ rows: { name: string; says: string }[] }>(`
    select i.indexrelid::regclass::text as name, pg_get_indexdef(i.indexrelid) as says
    from pg_index i join pg_class t on t.oid = i.indrelid
    where t.relnamespace = current_schema()::regnamespace and not i.indisunique
      and exists (select 1 from pg_attribute a where a.attrelid = t.oid and a.attname = 'crew_id')
      and not exists (select 1 from pg_constraint c where c.conindid = i.indexrelid)
    order by 1`);
  for (const { name, says } of rows) {
    if (/\bcrew_id\b/.test(says) || OF_ALL.includes(name)) continue;
    await knex.raw('drop index ??', [name]);
    await knex.raw(says.replace(/\((\w+)/, '($1, crew_id'));
  }
  await knex.raw('create index entry_in_order on entry (crew_id, seq)');
}

/** Read for all crews: by tools, and by whoever looks for work. */
const OF_ALL: readonly string[] = ['entry_by_seq', 'job_waits', 'job_ends'];

export function down(): never {
  throw new Error('migrations only go forward');
}
