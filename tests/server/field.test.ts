import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { parse } from 'devalue';
import { BODY_VERSION, type Check, type TrapSet } from '#core/record/kinds';
import { bodyOf } from '#core/record/written';
import type { NewEntry } from '#core/record/entry';
import { idBeside, newId } from '#lib/form/newId';
import { withEntries } from '#lib/field/overlay';
import { photoId } from '#lib/photo';
import type { Answered } from '#lib/field/sent';
import { broughtUp, inShape, photosIn, type Since, type Snapshot } from '#lib/field/snapshot';
import { seasonIn, seasonOf } from '#lib/season/season';
import { whoOf } from '#lib/season/who';
import { startProgram, type Program } from '../support/server';
import { AS_SET } from '../support/looked';
import { picture } from '../support/picture';
import { webOf } from '../support/web';

/** A device out of reach: what it takes along, what it computes of it, and what becomes of what it sends. */
let program: Program;
let snapshot: Snapshot;

before(async () => {
  program = await startProgram({ demo: true });
  snapshot = await taken();
});
after(() => program.end());

const { get, post, rows, saved, refused, uuid } = webOf(() => program);
const taken = async (): Promise<Snapshot> => parse(await get('/field/facts')) as Snapshot;
const later = async (old: Snapshot): Promise<Snapshot> => broughtUp(old, parse(await get(`/field/facts?since=${old.newest}`)) as Since);

async function send(forms: NewEntry[][], version = BODY_VERSION): Promise<{ status: number; answers: Answered[] }> {
  const plain = forms.map((form) => form.map(({ crew: _, batch: __, ...entry }) => entry));
  const [wren] = await rows('person', { name: 'Wren Ostby' });
  const answer = await fetch(`${program.base}/field/outbox`, {
    method: 'POST',
    body: JSON.stringify({ version, forms: plain }),
    headers: { 'content-type': 'application/json', origin: program.base, cookie: `person=${String(wren?.id)}` },
  });
  return { status: answer.status, answers: answer.ok ? ((await answer.json()) as { answers: Answered[] }).answers : [] };
}

const setOf = (all: Snapshot, number: number): Snapshot['facts']['sets'][number] => {
  const set = all.facts.sets.find((s) => s.number === number);
  assert.ok(set);
  return set;
};

/** A look at a set as a device makes it, minutes after the snapshot. */
function check(
  all: Snapshot,
  number: number,
  outcome: Check['devices'][number]['outcome'],
  minutes: number,
  more: Partial<Check> = {},
): NewEntry {
  const set = setOf(all, number);
  const at = new Date(Math.floor(all.taken.getTime() / 60_000) * 60_000 - 3_600_000 + minutes * 60_000);
  const id = newId();
  const devices = set.stays
    .filter((s) => s.to === null)
    .map(({ id: stay }): Check['devices'][number] => ({
      ...{ ...AS_SET, id: idBeside(id, stay), stay, outcome },
      ...(outcome === 'catch'
        ? {
            catch: {
              ...{
                id: idBeside(id, `catch ${stay}`),
                species: set.species,
                sex: 'unknown',
                age: 'unknown',
                weight: null,
                estimated: false,
              },
              ...{
                strikes: [],
                alive: false,
                bites: 'not looked',
                fate: 'not said',
                pelt: 'not looked',
                eatenBy: 'not said',
                lay: 'not said',
                tag: '',
              },
            },
          }
        : {}),
    }));
  const body: Check = {
    ...{ id: newId(), set: set.id, at: at.toISOString(), by: all.person.id, change: 'as it was', changeNote: '', asked: null },
    ...{ took: null, photo: null, devices, note: '', ...more },
  };
  return { id, crew: all.crew, kind: 'check', occurredAt: at, by: all.person.id, body };
}

const reading = (all: Snapshot, gauge: string, level: number, minutes: number): NewEntry => {
  const at = new Date(Math.floor(all.taken.getTime() / 60_000) * 60_000 - 3_600_000 + minutes * 60_000);
  const body = { id: newId(), gauge, at: at.toISOString(), level, bound: 'exact', source: 'gauge', set: null, note: '' } as const;
  return { id: newId(), crew: all.crew, kind: 'reading', occurredAt: at, by: all.person.id, body };
};

/** What a device would say of every live set: its state, its order, its deadline. */
function said({ facts, person, crew }: Snapshot, now: Date) {
  const asker = { who: whoOf(crew, person), now };
  return seasonIn(seasonOf(facts, asker)).views.map(({ id, deadline, then, devices }) => ({ id, deadline, then, devices }));
}

/** Facts without what only the moment of their question tells apart. */
const settled = ({ facts, taken: at }: Snapshot) => ({
  ...facts,
  since: 0,
  packed: [...facts.packed].sort((a, b) => a.gauge_id.localeCompare(b.gauge_id)),
  beside: [...facts.beside].filter(([key]) => !key.endsWith(` ${at.getTime()}`)),
});

describe('what a device takes along', () => {
  it('says of every set what the program says of it', async () => {
    const page = await get('/morning');
    const { views } = seasonIn(seasonOf(snapshot.facts, { who: whoOf(snapshot.crew, snapshot.person), now: snapshot.taken }));
    const live = views.filter((v) => v.state === 'live');
    assert.ok(live.length > 15);
    for (const { number, name } of live) assert.ok(page.includes(`${number} ${name}`), `${number} ${name}`);
  });
  it('kept in an older shape is read as far as it goes: nothing lies at its places, and nobody said what was felt', () => {
    const now = snapshot;
    const places = now.facts.places.map(({ lies: _, ...place }) => place);
    const past = Object.fromEntries(
      Object.entries(now.past).map(([set, visits]) => [
        set,
        visits.map((v) => ({ ...v, devices: v.devices.map(({ felt: _, baitBy: __, ...d }) => d) })),
      ]),
    );
    const old = (shape: number) => inShape({ ...now, shape, past, facts: { ...now.facts, places } } as unknown as Snapshot);
    assert.ok(old(2).facts.places.every((p) => p.lies.length === 0));
    assert.ok(
      Object.values(old(2).past).every((visits) =>
        visits.every((v) => v.devices.every((d) => d.felt === 'not said' && d.baitBy === 'not said')),
      ),
    );
    assert.equal(old(2).catches, now.catches);
    assert.deepEqual([old(1).catches, old(1).facts.shares], [0, []]);
    assert.equal(inShape(now), now);
  });
  it('has its photos kept on the device: sets as they were left, their last checks, the places they stand at, each once', () => {
    const set = (id: string, station: string, state: string, photoLeft: string | null) => ({ id, station, state, photoLeft });
    const facts = {
      sets: [set('a', 'p', 'live', 'left'), set('b', 'q', 'pulled', 'old'), set('c', 'p', 'live', null)],
      places: [
        { id: 'p', photo: 'place' },
        { id: 'q', photo: 'elsewhere' },
      ],
    };
    const past = { a: [{ photo: 'check' }, { photo: null }, { photo: 'left' }], b: [{ photo: 'gone' }] };
    assert.deepEqual(photosIn({ facts, past } as never), ['left', 'check', 'place']);
  });
  it('is brought up to date by what came since, and then is what a new one is', async () => {
    const set = setOf(snapshot, 24);
    const [stay] = set.stays.filter((s) => s.to === null);
    const form = {
      entry: uuid(),
      id: uuid(),
      [`${stay?.id}.outcome`]: 'sprung empty',
      [`${stay?.id}.cause`]: 'animal',
      level: '30',
      change: 'as it was',
    };
    saved(await post(`/check/${set.id}?/save`, form), /morning/);
    const raw = await get(`/field/facts?since=${snapshot.newest}`);
    const [brought, anew] = [await later(snapshot), await taken()];
    assert.deepEqual(said(brought, anew.taken), said(anew, anew.taken));
    assert.deepEqual(settled(brought), settled(anew));
    assert.ok(!raw.includes('"openings"'), 'what nothing touched is not sent again');
    assert.ok(raw.length < (await get('/field/facts')).length / 2);
    snapshot = anew;
  });
});

describe('what a device wrote without a signal', () => {
  it('is on the device what it is in the record once it was sent', async () => {
    const gauge = snapshot.facts.boards.find((g) => g.surface === 'pond' && snapshot.facts.packed.some((p) => p.gauge_id === g.id));
    assert.ok(gauge);
    const at12 = check(snapshot, 12, 'catch', 5);
    const set = setOf(snapshot, 41);
    const at41 = check(snapshot, 41, 'knocked', 9, { change: 'remade', took: 7 });
    const armed: TrapSet = { ...bodyOf(set), armed: { at: (at41.body as Check).at, answers: set.armed?.answers ?? [] } };
    const remade: NewEntry = {
      id: newId(),
      crew: snapshot.crew,
      kind: 'set',
      occurredAt: at41.occurredAt,
      by: at41.by,
      opened: set.entry,
      body: armed,
    };
    const forms = [[at12, reading(snapshot, gauge.id, 0.62, 5)], [at41, remade], [check(snapshot, 24, 'not reached', 20, { devices: [] })]];
    const [lost] = forms[2] ?? [];
    (lost?.body as Check).devices = (check(snapshot, 24, 'not reached', 20).body as Check).devices.map((d) => ({
      ...d,
      searched: 'too much water',
    }));
    const device = withEntries(snapshot, forms.flat());
    assert.notDeepEqual(said(device, device.taken), said(snapshot, snapshot.taken));

    const { answers } = await send(forms);
    assert.deepEqual([...new Set(answers.map((a) => a.fate))], ['taken'], JSON.stringify(answers));
    const record = await later(snapshot);
    assert.deepEqual(said(device, record.taken), said(record, record.taken));
    for (const key of ['looks', 'packed', 'times'] as const) assert.deepEqual(device.facts[key], record.facts[key], key);
    assert.equal(device.caught.length, record.caught.length);
    assert.deepEqual(
      (device.past[set.id] ?? []).map((c) => c.id),
      (record.past[set.id] ?? []).map((c) => c.id),
    );

    const again = await send(forms);
    assert.deepEqual([...new Set(again.answers.map((a) => a.fate))], ['already here']);
    assert.equal((await rows('check_visit', { id: (at12.body as Check).id })).length, 1);
    snapshot = record;
  });

  it('is held where somebody changed the set meanwhile, and the look itself is taken', async () => {
    const set = setOf(snapshot, 12);
    const look = check(snapshot, 12, 'sprung empty', 30, { change: 'remade' });
    const mine: NewEntry = {
      ...{ id: newId(), crew: snapshot.crew, kind: 'set', occurredAt: look.occurredAt, by: look.by, opened: set.entry },
      body: { ...bodyOf(set), note: 'deeper bed' },
    };
    const theirs: NewEntry = { ...mine, id: newId(), body: { ...bodyOf(set), note: 'new stake' } };
    assert.deepEqual(
      (await send([[theirs]])).answers.map((a) => a.fate),
      ['taken'],
    );
    const { answers } = await send([[look, mine]]);
    assert.deepEqual(
      answers.map((a) => a.fate),
      ['taken', 'held'],
    );
    assert.match(answers[1]?.reason ?? '', /changed this .*: .*new stake/);
    assert.deepEqual(
      (await send([[look, mine]])).answers.map((a) => a.fate),
      ['already here', 'held'],
    );
    assert.equal((await rows('held_entry', { id: mine.id })).length, 1);
    const morning = await get('/morning');
    for (const text of ['Held, from the run: Set 12 east lodge run', 'From the run: Note: empty → deeper bed.'])
      assert.ok(morning.includes(text), text);
    saved(await post('/morning?/decide', { held: mine.id, decision: 'take' }), /\/morning$/);
    assert.equal((await rows('trap_set', { id: set.id }))[0]?.note, 'deeper bed');
    assert.ok(!(await get('/morning')).includes('Held, from the run: Set 12'));
    assert.deepEqual(
      (await send([[look, mine]])).answers.map((a) => a.fate),
      ['already here', 'already here'],
    );
  });

  it('is held where its clock ran ahead, and refused whole where it is no outbox', async () => {
    const ahead = check(snapshot, 41, 'untouched', 60 + 120);
    const { answers } = await send([[ahead]]);
    assert.equal(answers[0]?.fate, 'held');
    assert.match(answers[0]?.reason ?? '', /clock of that device ran ahead/);
    refused(await post('/morning?/decide', { held: uuid(), decision: 'take' }), 404, 'Nothing of that kind waits');
    saved(await post('/morning?/decide', { held: ahead.id, decision: 'leave' }), /\/morning$/);
    assert.deepEqual(
      (await send([[ahead]])).answers.map((a) => a.fate),
      ['left'],
    );
    assert.equal((await rows('check_visit', { id: (ahead.body as Check).id })).length, 0);
    assert.equal((await send([[{ ...ahead, id: 'no id' }]])).status, 400);
  });

  it('a form at which the record stumbles is held, and those behind it are taken', async () => {
    // PostgreSQL keeps this character in no text: nothing refuses it, and it cannot be written
    const bad = check(snapshot, 22, 'untouched', 2, { note: 'wind\u0000from the north' });
    const good = check(snapshot, 26, 'untouched', 3);
    const { status, answers } = await send([[bad], [good]]);
    assert.equal(status, 200);
    assert.deepEqual(
      answers.map((a) => a.fate),
      ['held', 'taken'],
    );
    assert.match(answers[0]?.reason ?? '', /stumbled over this one/);
    saved(await post('/morning?/decide', { held: bad.id, decision: 'take' }), /\/morning$/);
    assert.equal((await rows('check_visit', { id: (bad.body as Check).id }))[0]?.note, 'wind\ufffdfrom the north');
  });

  it('what nobody can read is held, named as such, and Rounds stands; half a character is kept as none', async () => {
    const nonsense = { ...check(snapshot, 15, 'untouched', 4), kind: 'sign' } as NewEntry;
    const half = check(snapshot, 15, 'untouched', 5, { ['\ud800\u0000']: 'a \\u0000 that was typed' } as never);
    const { status, answers } = await send([[nonsense], [half]]);
    assert.equal(status, 200);
    assert.deepEqual(
      answers.map((a) => a.fate),
      ['held', 'held'],
    );
    const page = await get('/morning');
    assert.match(page, /Sign, sent in a form that cannot be read/);
    const [kept] = await rows('held_entry', { id: half.id });
    assert.equal((kept?.body as Record<string, string>)['\ufffd\ufffd'], 'a \\u0000 that was typed');
    refused(await post('/morning?/decide', { held: nonsense.id, decision: 'take' }), 409);
    for (const { id } of [nonsense, half]) saved(await post('/morning?/decide', { held: id, decision: 'leave' }), /\/morning$/);
  });
});

describe('a photo taken out of reach', () => {
  const put = async (id: string, bytes: Uint8Array, type = 'image/jpeg'): Promise<number> => {
    const [wren] = await rows('person', { name: 'Wren Ostby' });
    const headers = { 'content-type': type, origin: program.base, cookie: `person=${String(wren?.id)}` };
    return (await fetch(`${program.base}/photo/${id}`, { method: 'PUT', body: bytes as BodyInit, headers })).status;
  };

  it('goes before its form, and once however often it is sent; what is no photo, or not this one, is refused', async () => {
    const jpeg = await picture();
    const id = photoId(snapshot.crew, jpeg);
    assert.deepEqual([await put(id, jpeg), await put(id, jpeg)], [204, 204]);
    assert.equal((await rows('photo', { id })).length, 1);
    assert.equal(await put(newId(), jpeg), 422);
    assert.equal(await put(id, new TextEncoder().encode('<svg onload=alert(1)>')), 422);
    assert.equal(await put(id, jpeg, 'text/plain'), 415);
    const cut = jpeg.subarray(0, 20);
    assert.equal(await put(photoId(snapshot.crew, cut), cut), 422, 'it begins like a photo, and cannot be opened');
    assert.equal(await put(id, new Uint8Array(460 * 1024).fill(1)), 422);
    const { answers } = await send([[check(snapshot, 45, 'catch', 4, { photo: id })]]);
    assert.equal(answers[0]?.fate, 'taken');
    const crew = newId();
    assert.notEqual(photoId(crew, jpeg), id, 'the same picture of another crew is another photo');
  });
  it('is refused where the crew’s photos fill their place', async () => {
    const full = await startProgram({ demo: true, env: { ZAPRUD_PHOTO_MEGABYTES: '0' } });
    const jpeg = new Uint8Array(await picture());
    const headers = { 'content-type': 'image/jpeg', origin: full.base };
    const answer = await fetch(`${full.base}/photo/${photoId(snapshot.crew, jpeg)}`, { method: 'PUT', body: jpeg, headers });
    await full.end();
    assert.equal(answer.status, 422);
  });
  it('that never arrived holds its form, and says so', async () => {
    const { answers } = await send([[check(snapshot, 51, 'untouched', 4, { photo: newId() })]]);
    assert.equal(answers[0]?.fate, 'held');
    assert.match(answers[0]?.reason ?? '', /The photo did not arrive/);
  });
});

describe('a set of two traps', () => {
  it('is asked to arm the one that fired alone; what was answered of the other stands', async () => {
    const now = await taken();
    const set = setOf(now, 12);
    const [outer, inner] = set.stays.filter((s) => s.to === null).map(({ id, position }) => ({ id, position }));
    assert.ok(outer && inner);
    const before = (set.armed?.answers ?? []).filter((a) => a.startsWith(inner.position));
    const form = {
      ...{ entry: uuid(), id: uuid(), change: 'remade', at: '2026-11-25T05:21' },
      ...{ [`${outer.id}.outcome`]: 'sprung empty', [`${inner.id}.outcome`]: 'untouched', [`${outer.id}.cause`]: 'animal' },
    };
    const asked = await post(`/check/${set.id}?/save`, form);
    refused(asked, 400, 'Not live yet: 5 questions of the arming check are open');
    const arm = ['hooksOff', 'wiresInside', 'dogFree', 'rightWayUp', 'swingClear'].map((q) => `${outer.position}:${q}`);
    saved(await post(`/check/${set.id}?/save`, { ...form, arm }), /morning/);
    const [row] = await rows('trap_set', { id: set.id });
    const { answers } = row?.armed as { answers: string[] };
    assert.deepEqual([...answers].sort(), [...before, ...arm].sort());
    // lowered, both were in the hand
    const lowered = { ...form, entry: uuid(), id: uuid(), lower: '2', at: '2026-11-25T05:22', arm };
    refused(await post(`/check/${set.id}?/save`, lowered), 400, 'Not live yet: 5 questions');
  });
});
