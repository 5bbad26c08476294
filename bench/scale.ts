import type { Knex } from 'knex';
import { connect } from '#server/database';
import { hashOf } from '#server/door/tokens';
import { databaseIn, startCluster } from '../tests/support/cluster';
import { fill, NOW, startProgram, type Program } from '../tests/support/server';
import { tenfold } from './tenfold';

/**
 * Prints how page times stand to those of a record with one crew when a thousand share one PostgreSQL, and what grows; asserts nothing. Build
 * first. `CREWS=1000 ENTRIES=5000 node --import tsx bench/scale.ts`
 */
const CREWS = Number(process.env.CREWS ?? 1000);
const ENTRIES = Number(process.env.ENTRIES ?? 5000);
const TURNS = Number(process.env.TURNS ?? 15);
const PAGES = ['/morning', '/waters', '/bench', '/book', '/colonies', '/shed', '/field/facts', '/morning/run'];

const median = (list: number[]): number => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? NaN;
const say = (what: string, is: string): void => console.log(`${what.padEnd(58)} ${is.padStart(26)}`);
const began = performance.now();
const minutes = (): string => `${((performance.now() - began) / 60_000).toFixed(1)} min`;

/** Whatever is found by itself before a crew is known cannot be there twice. */
const OWN = ['account', 'paired_device', 'pairing_code', 'passkey', 'job', 'job_part'];

/** The one crew of a record as many: every row again under other crews, the entries of all in turn, as they would have come. */
async function multiply(db: Knex, crews: number): Promise<void> {
  await db.raw(`create table many as select gen_random_uuid() as id, n from generate_series(2, ?) as n`, [crews]);
  const tables: { name: string; columns: string }[] = (
    await db.raw<{ rows: { name: string; columns: string }[] }>(`
      select table_name as name, string_agg(quote_ident(column_name), ', ') filter (where column_name not in ('crew_id', 'seq')) as columns
      from information_schema.columns where table_schema = 'public' group by 1 having bool_or(column_name = 'crew_id') order by 1`)
  ).rows;
  const [first] = (await db('crew').select('id')) as { id: string }[];
  await db.transaction(async (trx) => {
    await trx.raw('set local session_replication_role = replica');
    await trx.raw(`insert into crew (id, name, entry_id) select many.id, 'Crew ' || n, crew.entry_id from many, crew`);
  });
  for (const { name, columns } of tables.filter((t) => !OWN.includes(t.name)))
    await db.transaction(async (trx) => {
      await trx.raw('set local session_replication_role = replica');
      const order = name === 'entry' ? 'order by seq' : '';
      await trx.raw(
        `insert into ${name} (crew_id, ${columns}) select many.id, ${columns
          .split(', ')
          .map((c) => `own.${c}`)
          .join(', ')} from (select * from ${name} where crew_id = ? ${order}) as own, many`,
        [first?.id ?? ''],
      );
    });
  await db.raw('drop table many');
  await db.raw('vacuum analyze');
}

/** Lets one person of a crew in. @returns the cookie */
async function letIn(db: Knex, crew: string): Promise<string> {
  const [person] = (await db('person').where({ crew_id: crew }).orderBy('name').select('id')) as { id: string }[];
  const token = `bench ${crew}`;
  await db('account').insert({ crew_id: crew, person_id: person?.id, role: 'owner', made_at: NOW }).onConflict().ignore();
  await db('paired_device').insert({
    ...{ id: crew, crew_id: crew, person_id: person?.id, name: 'bench', token_hash: hashOf(token) },
    ...{ paired_at: NOW, seen_at: NOW, ends_at: '2028-01-01T00:00:00Z' },
  });
  return `device=${encodeURIComponent(token)}`;
}

async function took({ base }: Program, path: string, cookie: string): Promise<number> {
  const at = performance.now();
  const answer = await fetch(base + path, { headers: { cookie, accept: 'text/html' }, redirect: 'manual' });
  await answer.arrayBuffer();
  if (answer.status !== 200) throw new Error(`${path}: ${answer.status}`);
  return performance.now() - at;
}

const cluster = startCluster();
try {
  const one = await fill(await cluster.database(), true);
  const small = connect(one);
  await tenfold(small, ENTRIES);
  await small.destroy();
  const many = await databaseIn(cluster.folder, new URL(one.replace('@/', '@x/')).pathname.slice(1), 'many');
  const large = connect(many);
  await multiply(large, CREWS);
  say('made', minutes());
  const count = async (table: string): Promise<number> => Number((await large(table).count({ n: '*' }))[0]?.n);
  say('crews, entries', `${await count('crew')}, ${((await count('entry')) / 1e6).toFixed(2)} million`);
  const { rows: sizes } = await large.raw<{ rows: { all: number; entry: number; keys: number }[] }>(
    `select pg_database_size(current_database()) as all, pg_total_relation_size('entry') as entry, pg_indexes_size('entry') as keys`,
  );
  const [size] = sizes;
  if (size) {
    const gigabytes = (bytes: number): string => `${(bytes / 2 ** 30).toFixed(2)} GB`;
    say('record, its entries, the keys of those', [size.all, size.entry, size.keys].map(gigabytes).join(', '));
    say('a crew', `${(size.all / CREWS / 2 ** 20).toFixed(1)} MB`);
  }
  const crews: string[] = await large('crew').orderBy('id').pluck('id');
  const strangers = crews.filter((_, n) => n % Math.ceil(CREWS / TURNS) === 0);
  const known = connect(one);
  const [own] = (await known('crew').pluck('id')) as string[];
  const alone = {
    program: await startProgram({ demo: true, at: one, env: { ZAPRUD_DOOR: 'closed' } }),
    cookie: await letIn(known, own ?? ''),
  };
  const among = await startProgram({ demo: true, at: many, env: { ZAPRUD_DOOR: 'closed' } });
  const cookies: string[] = [];
  for (const crew of strangers) cookies.push(await letIn(large, crew));
  await known.destroy();
  for (const path of PAGES) {
    const [a, b, c]: [number[], number[], number[]] = [[], [], []];
    for (let n = -2; n < TURNS; n += 1) {
      const turn = [
        await took(alone.program, path, alone.cookie),
        await took(among, path, cookies[0] ?? ''),
        await took(among, path, cookies[Math.max(n, 0) % cookies.length] ?? ''),
      ] as const;
      if (n < 0) continue;
      for (const [list, ms] of [a, b, c].map((list, k) => [list, turn[k] ?? NaN] as const)) list.push(ms);
    }
    const [x, y, z] = [median(a), median(b), median(c)];
    say(`${path}: one crew, times for one of many, another each time`, `${x.toFixed(0)} ms, ${(y / x).toFixed(2)}, ${(z / x).toFixed(2)}`);
  }
  const { rows: open } = await large.raw<{ rows: { n: number }[] }>(
    `select count(*)::int as n from pg_stat_activity where datname = current_database() and backend_type = 'client backend'`,
  );
  say('connections of a server and of this', String(open[0]?.n));
  await alone.program.end();
  await among.end();
  await large.destroy();
  say('in all', minutes());
} finally {
  cluster.remove();
}
