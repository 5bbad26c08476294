import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** The run of a day on the server: which stops it has, the file of them, and the minutes that were written. */
let program: Program;
let sets: Record<string, string>;

before(async () => {
  program = await startProgram({ demo: true });
  sets = Object.fromEntries((await rows('trap_set')).map((s) => [String(s.number), String(s.id)]));
});
after(() => program.end());

const { post, get, rows, saved, uuid } = webOf(() => program);
const setOf = (number: string): string => sets[number] ?? '';

describe('the run of a day', () => {
  it('has a stop for each check that is owed, with what is done there, and no stop for what is not due', async () => {
    const today = await get('/morning/run');
    for (const text of ['18 stops, the first deadline first', '24 south mound', 'Lower the bed 10 in'])
      assert.ok(today.includes(text), text);
  });
  it('refuses a beginning that is past beside its field, and keeps it', async () => {
    const page = await get('/morning/run?from=2026-11-24T05:00');
    assert.match(page, /That is past already\. Say when you begin\./);
    assert.ok(page.includes('value="2026-11-24T05:00"'));
  });
  it('goes on from now where the beginning was this morning', async () => {
    const page = await get('/morning/run?from=2026-11-25T04:10');
    assert.ok(!page.includes('past already'));
    assert.match(page, /value="2026-11-25T05:2\d"/);
  });
  it('a set that was looked at leaves the run, with the minutes it took', async () => {
    const [stay] = (await rows('stay', { set_id: setOf('41') })).map((s) => String(s.id));
    const entry = uuid();
    const form = { entry, id: uuid(), [`${stay}.outcome`]: 'untouched', change: 'as it was', took: '4.5', at: '2026-11-25T05:20' };
    saved(await post(`/check/${setOf('41')}?/save`, form), /morning/);
    assert.equal((await rows('check_visit', { id: form.id }))[0]?.took, 4.5);
    assert.match(await get('/morning/run'), /17 stops, the first deadline first/);
  });
  it('minutes that cannot be are refused with what can', async () => {
    const [stay] = (await rows('stay', { set_id: setOf('12') })).map((s) => String(s.id));
    const form = { entry: uuid(), id: uuid(), [`${stay}.outcome`]: 'untouched', change: 'as it was', took: '4000' };
    const answer = await post(`/check/${setOf('12')}?/save`, form);
    assert.equal(answer.status, 400);
    assert.match(answer.text, /Minutes at a set are between 0\.5 and 600\./);
  });
  it('GPX holds the stops in the order asked for, each at its place', async () => {
    const file = await get(`/morning/run/stops.gpx?stops=${setOf('24')},${setOf('12')}`);
    assert.deepEqual(
      [...file.matchAll(/<name>([^<]*)<\/name>/g)].map(([, name]) => name),
      ['1: 24 south mound', '2: 12 east lodge run'],
    );
    assert.match(file, /<wpt lat="45\.5\d+" lon="-90\.4\d+">/);
  });
});

describe('whose minutes', () => {
  it('People tells what was written, between which two, and by how many stops', async () => {
    const page = (await get('/people')).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');
    assert.match(page, /A look only .*?\d(\.\d)? min, mostly \d(\.\d)? to \d(\.\d)?, by \d+ stops/);
    assert.match(page, /15 min until 3 were written/);
  });
});
