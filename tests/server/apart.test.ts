import assert from 'node:assert/strict';
import { readFileSync } from 'node:fs';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { newId } from '#lib/form/newId';
import { everyForm } from '../support/forms';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** How the database answers every statement of every page, by its own plans (`auto_explain` of Debian's PostgreSQL). */
interface Plan {
  'Node Type': string;
  'Relation Name'?: string;
  'Index Cond'?: string;
  'Recheck Cond'?: string;
  Filter?: string;
  'One-Time Filter'?: string;
  Plans?: Plan[];
}
interface Asked {
  'Query Text': string;
  Plan: Plan;
}

let program: Program;
let ofCrew: string[];
before(async () => {
  program = await startProgram({ demo: true, own: true });
  // what the test itself looks up, as the owner, is looked up before
  await get('/morning');
  const db = connect(program.url);
  ofCrew = await db('information_schema.columns').where({ column_name: 'crew_id', table_schema: 'public' }).pluck('table_name');
  const [{ name } = { name: '' }] = (await db.raw<{ rows: { name: string }[] }>('select current_database() as name')).rows;
  for (const setting of [
    `session_preload_libraries = 'auto_explain'`,
    'auto_explain.log_min_duration = 0',
    `auto_explain.log_format = 'json'`,
    // in a small record the planner reads everything; in a large one it takes a key wherever there is one
    'enable_seqscan = off',
  ])
    await db.raw(`alter database ${name} set ${setting}`);
  // tools alone read all crews in their order; with one crew in the record the planner cannot tell that from the order of this one
  await db.raw('drop index entry_by_seq');
  await db.destroy();
  await program.stop();
  await program.start();
});
after(() => program.end());
const { get, post, uuid } = webOf(() => program);

const nodesOf = (plan: Plan): Plan[] => [plan, ...(plan.Plans ?? []).flatMap(nodesOf)];
/** What is looked for before a crew is known, by a key of its own. */
const AT_THE_DOOR = ['paired_device', 'account', 'pairing_code', 'passkey', 'job'];

describe('every statement of every page', () => {
  it('reads the rows of its crew by a key that begins with the crew, and not those of others to leave them out', async () => {
    const { pages } = await everyForm(get);
    for (const path of pages) await get(path);
    await post('/people?/add', { entry: uuid(), id: uuid(), newName: 'Somebody' });
    const copy = newId();
    await post('/people/copies?/ask', { id: copy });
    for (let n = 0; n < 100 && (await fetch(`${program.base}/people/copies/${copy}`)).status !== 200; n += 1)
      await new Promise((wait) => setTimeout(wait, 200));
    const log = readFileSync(`${program.postgres().folder}/pg.log`, 'utf8');
    const asked = [...log.matchAll(/ plan:\n((?:\t.*\n)+)/g)].map(([, json = '']) => JSON.parse(json) as Asked);
    const read = new Set<string>();
    const across = new Set<string>();
    for (const { Plan: plan, 'Query Text': text } of asked)
      for (const node of nodesOf(plan)) {
        const table = node['Relation Name'];
        if (!table || !ofCrew.includes(table) || node['Node Type'] === 'ModifyTable') continue;
        read.add(table);
        const by = node['Index Cond'] ?? node['Recheck Cond'] ?? '';
        if (!/crew_id = /.test(by) && !AT_THE_DOOR.includes(table))
          across.add(`${table}: ${node['Node Type']} ${by} in ${text.slice(0, 160)}`);
      }
    assert.ok(asked.length > 1000 && read.size > 35, `${asked.length} statements of ${read.size} tables`);
    assert.deepEqual([...across], []);
  });
});
