import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { everyForm, kindOf, NASTY, type PageForm } from '../support/forms';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Every form of the program, sent with what no form of its own sends: it answers in words and never with a fault (F206). */
let program: Program;
const { post, get, refused } = webOf(() => program);
let forms: PageForm[] = [];

before(async () => {
  program = await startProgram({ demo: true });
  ({ forms } = await everyForm(get));
  // who asks is looked up once, before anything is locked
  await get('/people');
});
after(() => program.end());

/** Two of them, others for every form. */
const some = (n: number): string[] => [0, 1].map((i) => NASTY[(n + i * 4) % NASTY.length] ?? '');

/** What came back as a fault of the program, each with what was sent. */
async function faults(sent: (form: PageForm, n: number) => Record<string, string | string[]>[]): Promise<string[]> {
  const found: string[] = [];
  for (const [n, form] of forms.entries())
    for (const fields of sent(form, n)) {
      const { status } = await post(form.action, fields);
      if (status >= 500) found.push(`${status} ${kindOf(form.action)} ${JSON.stringify(fields).slice(0, 300)}`);
    }
  return found;
}

describe('more than the pool can answer (F208)', () => {
  it('is told as unavailable, with what was typed, and stands in the log; once it can be reached it answers again', async () => {
    const [form] = forms;
    assert.ok(form);
    const db = connect(program.url);
    const held = await db.transaction();
    await held.raw('lock table person in access exclusive mode');
    const waiting = Array.from({ length: 10 }, () => get('/people'));
    await new Promise((resolve) => setTimeout(resolve, 300));
    const [page, sent] = await Promise.all([fetch(`${program.base}/morning`), post(form.action, { note: 'two otters at the weir' })]);
    await held.rollback();
    await db.destroy();
    await Promise.all(waiting);
    assert.equal(page.status, 503);
    refused(sent, 503, 'two otters at the weir', 'nothing was saved', 'Send again');
    assert.match(await get('/people'), /Wren Ostby/);
    assert.match(program.output.join(''), /POST \S+: the database does not answer/);
  });
});

describe('an address that names nothing', () => {
  it('is answered as one that names what is not there, and what is no form as none', async () => {
    for (const path of ['/waters/@zq/guide?species=beaver', '/bench/zq', '/check/..%2f..', '/colonies/zq', '/photo/zq', '/book/zq'])
      assert.equal((await fetch(program.base + path)).status, 404, path);
    for (const path of ['/pair', '/bench/card/reply.json']) {
      const answer = await fetch(program.base + path, { method: 'POST', body: '{', headers: { 'content-type': 'image/jpeg' } });
      assert.equal(answer.status, 400, path);
    }
  });
});

describe('any form', () => {
  it('is found: those of every room', () => {
    assert.ok(forms.length > 45, `${forms.length} forms`);
  });
  it('that comes empty, or twice over, is answered', async () => {
    assert.deepEqual(await faults((form) => [{}, Object.fromEntries(form.fields.map(([name, value]) => [name, [value, value]]))]), []);
  });
  it('with nonsense in every field at once is answered', async () => {
    assert.deepEqual(await faults((form, n) => some(n).map((bad) => Object.fromEntries(form.fields.map(([name]) => [name, bad])))), []);
  });
  it('with a number of its own that no page gave is answered', async () => {
    const own = ['entry', 'id', 'opened', 'corrects', 'onto', 'station', 'set', 'gauge'];
    const bent = (form: PageForm, n: number) =>
      own
        .filter((name) => form.fields.some(([field]) => field === name))
        .map((name, i) => ({ ...Object.fromEntries(form.fields), [name]: NASTY[(n + i) % NASTY.length] ?? '' }));
    assert.deepEqual(await faults(bent), []);
  });
});
