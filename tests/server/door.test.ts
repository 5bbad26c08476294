import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { v7 } from 'uuid';
import { connect, connectAsProgram, inCrew } from '#server/database';
import { record } from '#server/record/write';
import { hashOf } from '#server/door/tokens';
import { everyForm } from '../support/forms';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Who may come in, and what is answered to whom. What another server hands on stands for devices elsewhere. */
let program: Program;
let people: Record<string, string>;
let crew: string;
/** every kind of page and form, as the first crew meets them at the machine itself */
let rooms: Awaited<ReturnType<typeof everyForm>>;

before(async () => {
  program = await startProgram({ demo: true });
  const rowsOf = await rows('person');
  people = Object.fromEntries(rowsOf.map((p) => [String(p.name), String(p.id)]));
  crew = String(rowsOf[0]?.crew_id);
  rooms = await everyForm(get);
  assert.ok(rooms.pages.length > 100 && rooms.forms.length > 50, `${rooms.pages.length} pages, ${rooms.forms.length} forms`);
});
after(() => program.end());

const { post, get, rows, uuid, refused } = webOf(() => program);

interface Far {
  cookie?: string;
  form?: Record<string, string | string[]>;
  from?: string;
}
async function far(path: string, { cookie = '', form, from = '192.168.1.20' }: Far = {}) {
  const fields = Object.entries(form ?? {}).flatMap(([name, value]) => [value].flat().map((v): [string, string] => [name, v]));
  const answer = await fetch(program.base + path, {
    redirect: 'manual',
    headers: { 'x-forwarded-for': from, accept: 'text/html', origin: program.base, ...(cookie ? { cookie } : {}) },
    ...(form ? { method: 'POST', body: new URLSearchParams(fields) } : {}),
  });
  const given = answer.headers.getSetCookie().find((c) => c.startsWith('device=')) ?? '';
  return {
    status: answer.status,
    location: answer.headers.get('location') ?? '',
    text: await answer.text(),
    cookie: given.split(';')[0] ?? '',
  };
}

/** Lets a device in as a person in a role, as its owner does. */
async function letIn(name: string, role: string, more: Record<string, string | string[]> = {}): Promise<string> {
  const known = people[name];
  const page = await post('/people/door?/invite', {
    entry: uuid(),
    person: known ?? '',
    newName: known ? '' : name,
    role,
    how: 'link',
    ...more,
  });
  const [, code = ''] = />((?:[A-Z2-9]{4} ){5}[A-Z2-9]{4})</.exec(page.text) ?? [];
  assert.notEqual(code, '', page.text.slice(0, 600));
  return (await far('/pair', { form: { code, name: `${name} phone` } })).cookie;
}

/** A page without what differs from one answer to the next. */
const said = (html: string): string => html.replace(/nonce="[^"]*"|nonce-[^']*|[0-9a-f]{8}-[0-9a-f-]{27}|__sveltekit_\w+/g, '');

const [NAME, PASSPHRASE] = ['Ostby at home', 'culvert heron ladder nine'];
const signIn = (login: string, passphrase: string, from?: string) =>
  far('/signin', { form: { login, passphrase, name: 'Browser' }, ...(from ? { from } : {}) });

/** Forgets every try in vain. @returns how many there were */
async function forgiven(): Promise<number> {
  const db = connect(program.url);
  const tried = await db('door_miss').delete();
  await db.destroy();
  return tried;
}

describe('a name with a passphrase', () => {
  let recovery = '';
  it('is refused beside its field where it is short, known to everybody or holds the name, and never comes back in the page', async () => {
    for (const [passphrase, sentence] of [
      ['short one', /That is 9 characters: take 12 or more/],
      ['passwordpassword', /Everybody tries that one first|repeats a few signs/],
      ['qwertyuiop123456', /Everybody tries that one first/],
      ['ostby at home 77', /It holds the name it goes with/],
    ] as const) {
      const page = await post('/people/door?/signIn', { login: NAME, passphrase });
      refused(page, 400, sentence);
      assert.ok(!page.text.includes(passphrase), passphrase);
    }
  });
  it('lets its person in from elsewhere, as a hash alone in the record, and a code is shown once', async () => {
    const page = await post('/people/door?/signIn', { login: NAME, passphrase: PASSPHRASE });
    [, recovery = ''] = />((?:[A-Z2-9]{5}-){4}[A-Z2-9]{5})</.exec(page.text) ?? [];
    assert.notEqual(recovery, '', page.text.slice(0, 400));
    const [account] = await rows('account', { login: NAME });
    assert.match(String(account?.passphrase), /^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    assert.ok(!JSON.stringify(account).includes(recovery));
    const { cookie, status, location } = await signIn(NAME.toUpperCase(), PASSPHRASE);
    assert.deepEqual([status, location], [303, '/']);
    assert.match((await far('/morning', { cookie })).text, /Wren Ostby/);
    await far('/signout', { cookie, form: {} });
    assert.equal((await far('/morning', { cookie })).location, '/signin', 'what was signed out is out, though the cookie is sent again');
  });
  it('answers a wrong name and a wrong passphrase alike', async () => {
    const [one, other] = [
      await signIn(NAME, 'culvert heron ladder ten', '10.0.0.1'),
      await signIn('Nobody at all', PASSPHRASE, '10.0.0.1'),
    ];
    assert.equal(one.status, 403);
    assert.equal(one.text.replaceAll(NAME, ''), other.text.replaceAll('Nobody at all', ''));
    assert.equal(one.cookie, '');
  });
  it('waits after a few wrong ones: that name from wherever, and that address whatever the name', async () => {
    for (let n = 0; n < 8; n += 1) await signIn(NAME, `wrong wrong wrong ${n}`, `10.0.1.${n}`);
    assert.match((await signIn(NAME, PASSPHRASE, '10.0.2.1')).text, /Too many tries\. Wait ten minutes/);
    for (let n = 0; n < 24; n += 1) await signIn(`somebody ${n}`, PASSPHRASE, '10.0.3.1');
    assert.match((await signIn('somebody else', PASSPHRASE, '10.0.3.1')).text, /Too many tries/);
    assert.doesNotMatch((await signIn('somebody else', PASSPHRASE, '10.0.3.2')).text, /Too many tries/);
    await forgiven();
  });
  it('answers no more than those few of many that come at once', async () => {
    const all = await Promise.all(Array.from({ length: 24 }, (_, n) => signIn(NAME, `wrong wrong wrong ${n}`, `10.0.4.${n}`)));
    const answered = all.filter(({ text }) => text.includes('do not go together')).length;
    assert.ok(answered <= 8, `${answered} of 24 were looked at`);
    assert.equal(all.filter(({ text }) => text.includes('Too many tries')).length, 24 - answered);
    await forgiven();
    // a right one leaves nothing behind
    await signIn(NAME, PASSPHRASE, '10.0.5.1');
    assert.equal(await forgiven(), 0);
  });
  it('is changed by the printed code, once, and signs every device out', async () => {
    const { cookie } = await signIn(NAME, PASSPHRASE);
    const form = { login: NAME, code: recovery.toLowerCase(), passphrase: 'otter sill gravel moon' };
    assert.match((await far('/signin/recover', { form })).text, /The passphrase is changed/);
    assert.equal((await far('/morning', { cookie })).location, '/signin');
    assert.match((await far('/signin/recover', { form })).text, /That name and code do not go together/);
    assert.equal((await signIn(NAME, PASSPHRASE)).status, 403);
    assert.equal((await signIn(NAME, 'otter sill gravel moon')).status, 303);
  });
  it('is asked for before it is changed from elsewhere', async () => {
    const { cookie } = await signIn(NAME, 'otter sill gravel moon');
    const change = (now: string) => far('/people/door?/signIn', { cookie, form: { login: NAME, passphrase: 'dam reed mallet snow', now } });
    assert.match((await change('a guess')).text, /That is not the passphrase you sign in with now/);
    assert.equal((await change('otter sill gravel moon')).status, 200);
    assert.equal((await far('/morning', { cookie })).status, 200, 'the device at which it was changed stays in');
  });
});

describe('a role', () => {
  it('helper: reads the line, writes checks, corrects nothing, and invites nobody', async () => {
    const cookie = await letIn('Corin Vale', 'helper');
    assert.equal((await far('/morning', { cookie })).status, 200);
    const page = await far('/waters?/water', { cookie, form: { entry: uuid(), id: uuid(), name: 'Helper’s pond', kind: 'pond' } });
    assert.notEqual(page.status, 303);
    assert.ok(!(await rows('water')).some((w) => w.name === 'Helper’s pond'));
    const [check] = await rows('entry', { kind: 'check', withdrawn: false });
    const undone = await far(`/book/${String(check?.id)}?/withdraw`, { cookie, form: { entry: uuid(), reason: 'no' } });
    assert.match(undone.text, /A helper corrects nothing/);
    assert.equal((await far('/people/door?/invite', { cookie, form: { entry: uuid(), role: 'owner' } })).status, 403);
  });
  it('helper: what a phone of his sends beside checks waits for the crew to decide, the settings of another too', async () => {
    const cookie = await letIn('Corin Vale', 'helper');
    const [sign] = await rows('entry', { kind: 'sign' });
    const persons = await rows('entry', { kind: 'person' });
    const settings = (whose: (id: unknown) => boolean) => persons.find(({ body }) => whose((body as { id: string }).id))?.body as object;
    for (const [kind, body] of [
      ['sign', { ...(sign?.body as object), id: v7() }],
      ['person', settings((id) => id !== people['Corin Vale'])],
    ] as const) {
      const id = v7();
      const form = [{ id, kind, occurredAt: '2026-11-25T11:00:00.000Z', by: people['Corin Vale'], body }];
      const answer = await fetch(`${program.base}/field/outbox`, {
        method: 'POST',
        body: JSON.stringify({ version: 2, forms: [form] }),
        headers: { 'content-type': 'application/json', 'x-forwarded-for': '192.168.1.20', cookie },
      });
      assert.equal(answer.status, 200, await answer.clone().text());
      const { answers } = (await answer.json()) as { answers: { fate: string; reason: string }[] };
      assert.deepEqual(
        [answers[0]?.fate, answers[0]?.reason],
        ['held', 'A helper writes checks: this is for the one whose line it is.'],
        kind,
      );
      assert.equal((await rows('entry', { id })).length, 0);
    }
  });
  it('client: reads the water that is shared with him, without places, and nothing else of the line exists', async () => {
    const waters = await rows('water');
    const [mine, other] = waters;
    const cookie = await letIn('A client', 'reader', { waters: String(mine?.id) });
    const page = await far(`/shared/${String(mine?.id)}`, { cookie });
    assert.ok(page.text.includes(String(mine?.name)));
    for (const { lat } of await rows('station', { water_id: String(mine?.id) }))
      if (lat !== null) assert.ok(!page.text.includes(Number(lat).toFixed(3)), 'no coordinate');
    const nowhere = await far(`/shared/${uuid()}`, { cookie });
    const foreign = await far(`/shared/${String(other?.id)}`, { cookie });
    assert.deepEqual([foreign.status, said(foreign.text)], [nowhere.status, said(nowhere.text)]);
    const { pages, forms } = rooms;
    for (const path of pages.filter((p) => !p.startsWith('/shared') && p !== '/morning')) {
      const { status, text } = await far(path, { cookie });
      assert.equal(status, 404, path);
      assert.ok(!text.includes(String(other?.name)), path);
    }
    const before = Number((await rows('entry')).length);
    for (const { action, fields } of forms) {
      const { status } = await far(action, { cookie, form: Object.fromEntries(fields) });
      assert.ok(status === 404 || action === '/signout', `${action}: ${status}`);
    }
    for (const path of ['/field/facts', '/places.json', '/waters/export/line.gpx', '/morning/calendar.ics'])
      assert.ok(((await far(path, { cookie })).text.length ?? 0) < 2000, path);
    assert.equal((await rows('entry')).length, before);
  });
  it('ends with what it was given for: a key that was taken opens nothing from then on', async () => {
    const cookie = await letIn('Somebody new', 'trapper');
    assert.equal((await far('/morning', { cookie })).status, 200);
    const [person] = await rows('person', { name: 'Somebody new' });
    await post('/people/door?/remove', { person: String(person?.id) });
    assert.equal((await far('/morning', { cookie })).location, '/signin');
    assert.equal((await rows('account', { person_id: String(person?.id) })).length, 0);
    assert.equal((await rows('person', { name: 'Somebody new' })).length, 1, 'what he wrote keeps its name');
  });
  it('nobody takes his own key, and an invitation without a name or a water says so beside the field', async () => {
    refused(
      await post('/people/door?/invite', { entry: uuid(), person: '', newName: '', role: 'trapper', how: 'code' }),
      400,
      /type a new name/,
    );
    refused(
      await post('/people/door?/invite', { entry: uuid(), person: '', newName: 'Client two', role: 'reader', how: 'code' }),
      400,
      /tick at least one/,
    );
    assert.equal((await post('/people/door?/remove', { person: people['Wren Ostby'] ?? '' })).status, 400);
  });
});

describe('a session', () => {
  it('ends by itself: after its time, and when the device was not here for long', async () => {
    const cookie = await letIn('Corin Vale', 'trapper');
    const hash = hashOf(cookie.slice('device='.length));
    const db = connect(program.url);
    const now = '2026-11-25T11:22:00Z';
    for (const [seen_at, ends_at] of [
      ['2026-01-01T00:00:00Z', '2027-01-01T00:00:00Z'],
      [now, '2026-11-25T11:00:00Z'],
    ]) {
      await db('paired_device').where({ token_hash: hash }).update({ seen_at, ends_at });
      assert.equal((await far('/morning', { cookie })).location, '/signin', `${seen_at} ${ends_at}`);
    }
    await db('paired_device').where({ token_hash: hash }).update({ seen_at: now, ends_at: '2027-01-01T00:00:00Z' });
    assert.equal((await far('/morning', { cookie })).status, 200);
    await db.destroy();
  });
  it('is answered sixty times a minute for what costs much, and goes on with everything else', async () => {
    const cookie = await letIn('Corin Vale', 'trapper');
    const ask = () => far('/waters/export/zaprud.csv', { cookie });
    const [use] = (await ask(), await rows('dear_use'));
    const db = connect(program.url);
    // the clock of the program may pass into the next minute meanwhile
    const next = new Date(new Date(String(use?.minute)).getTime() + 60_000);
    await db('dear_use').update({ uses: 60 });
    await db('dear_use').insert({ ...use, minute: next, uses: 60 });
    await db.destroy();
    const { status, text } = await ask();
    assert.equal(status, 429);
    assert.match(text, /try again in a minute/);
    assert.equal((await far('/morning', { cookie })).status, 200);
    assert.equal((await far('/waters/export/zaprud.csv', { cookie: await letIn('Corin Vale', 'trapper') })).status, 200, 'another device');
  });
});

describe('a second crew in one record', () => {
  const [other, person, token] = [v7(), v7(), 'a-token-of-the-other-crew'];
  before(async () => {
    const db = connect(program.url);
    const of = { crew: other, occurredAt: new Date('2026-11-01T12:00:00Z'), by: null };
    await record(
      db,
      { ...of, id: v7(), kind: 'crew', body: { id: other, name: 'Elsewhere' } },
      { ...of, id: v7(), kind: 'person', body: { id: person, name: 'Tam Elsewhere', system: 'us', measures: {} } },
      {
        ...of,
        id: v7(),
        kind: 'line',
        body: {
          id: v7(),
          name: 'Elsewhere line',
          season: '2026-27',
          zone: 'UTC',
          lat: 45,
          lon: -70,
          rule: { kind: 'elapsed', hours: 24 },
          rulebook: '',
        } as never,
      },
    );
    const at = '2026-11-25T11:00:00Z';
    await db('account').insert({ crew_id: other, person_id: person, role: 'owner', made_at: at });
    await db('paired_device').insert({
      ...{ id: v7(), crew_id: other, person_id: person, name: 'phone', token_hash: hashOf(token) },
      ...{ paired_at: at, seen_at: at, ends_at: '2027-11-25T11:00:00Z' },
    });
    await db.destroy();
  });

  it('makes even this machine sign in: whose it is cannot be guessed any more', async () => {
    const answer = await fetch(`${program.base}/morning`, { redirect: 'manual', headers: { accept: 'text/html' } });
    assert.equal(answer.headers.get('location'), '/signin');
  });
  it('every page, download and form with ids of the first: nothing comes back, nothing is written, as for an id that nothing has', async () => {
    const { pages, forms } = rooms;
    const cookie = `device=${token}`;
    const names = (await Promise.all(['water', 'site', 'person', 'line'].map((table) => rows(table, { crew_id: crew }))))
      .flat()
      .map((row) => String(row.name));
    const before = await state();
    const none = '01900000-0000-7000-8000-ffffffffffff';
    for (const path of pages) {
      const [theirs, nothing] = [await far(path, { cookie }), await far(path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, none), { cookie })];
      assert.equal(theirs.status, nothing.status, path);
      assert.ok(theirs.status < 500, path);
      for (const name of names) assert.ok(!theirs.text.includes(name), `${path} tells ${name}`);
    }
    for (const { action, fields } of forms.filter((f) => f.action !== '/signout')) {
      // what the first crew wrote is not typed by the second: ids are all it has
      const bare = fields.map(([name, value]) => [name, names.some((own) => value.includes(own)) ? 'x' : value]);
      const { status, text } = await far(action, { cookie, form: Object.fromEntries(bare) as Record<string, string> });
      assert.ok(status < 500, `${action}: ${status}`);
      for (const name of names) assert.ok(!text.includes(name), `${action} tells ${name}`);
    }
    assert.deepEqual(await state(), before, 'nothing of the first crew was written');
  });
  it('photos, facts and exports of the first are none of its', async () => {
    const cookie = `device=${token}`;
    for (const { id } of await rows('photo', { crew_id: crew })) assert.equal((await far(`/photo/${String(id)}`, { cookie })).status, 404);
    for (const path of ['/field/facts', '/places.json', '/waters/export/line.gpx', '/morning/run/stops.gpx', '/rules/book.json'])
      assert.doesNotMatch((await far(path, { cookie })).text, /south mound|K-07/, path);
  });

  const state = async () => {
    const db = connect(program.url);
    const counted = await db('entry').where({ crew_id: crew }).count('* as n');
    const devices = await db('paired_device').where({ crew_id: crew, ended_at: null }).count('* as n');
    await db.destroy();
    return [counted, devices];
  };
});

describe('the database itself', () => {
  it('has every table keyed by its crew and held apart, but the few that are of no crew', async () => {
    const db = connect(program.url);
    const { rows: found } = await db.raw<{ rows: { name: string; crew: boolean; apart: boolean; keyed: boolean }[] }>(`
      select c.relname as name, c.relrowsecurity and c.relforcerowsecurity as apart,
        exists (select 1 from pg_attribute a where a.attrelid = c.oid and a.attname = 'crew_id') as crew,
        coalesce((select bool_or(a.attname = 'crew_id') from pg_index i join pg_attribute a on a.attrelid = c.oid and a.attnum = any(i.indkey)
          where i.indrelid = c.oid and i.indisprimary), true) as keyed
      from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r' order by 1`);
    await db.destroy();
    const ofNobody = ['door_challenge', 'door_miss', 'knex_migrations', 'knex_migrations_lock', 'note_of_the_house'];
    assert.deepEqual(
      found.filter(({ crew: own }) => !own).map(({ name }) => name),
      ['crew', ...ofNobody],
    );
    assert.deepEqual(
      found.filter(({ name, apart }) => !apart && !ofNobody.includes(name)),
      [],
    );
    assert.deepEqual(
      found.filter(({ keyed, crew: own }) => own && !keyed).map(({ name }) => name),
      ['pairing_code'],
      'a code is looked for before its crew is known',
    );
  });
  it('shows the program nothing that it did not say for whom, and a forgotten “where” shows one crew alone', async () => {
    const db = connectAsProgram(program.url);
    const crewsOf = async () => [...new Set<string>(await db('person').pluck('crew_id'))];
    assert.deepEqual(await crewsOf(), []);
    assert.deepEqual(await inCrew({ crew, role: 'owner' }, crewsOf), [crew]);
    const [{ user } = { user: '' }] = (await db.raw<{ rows: { user: string }[] }>('select current_user as user')).rows;
    assert.equal(user, 'zaprud_program');
    const { rows: owned } = await db.raw<{ rows: unknown[] }>(`select 1 from pg_tables where tableowner = current_user`);
    assert.deepEqual(owned, []);
    await assert.rejects(
      inCrew({ crew, role: 'owner' }, () => db('entry').update({ reason: 'rewritten' })),
      /permission denied/,
    );
    await assert.rejects(
      inCrew({ crew: v7(), role: 'owner' }, () =>
        db('photo').insert({ id: v7(), crew_id: crew, type: 'image/jpeg', bytes: Buffer.from('x') }),
      ),
      /row-level security/,
    );
    await db.destroy();
  });
});
