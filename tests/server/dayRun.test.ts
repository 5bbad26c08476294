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

const { post, get, rows, saved, refused, uuid } = webOf(() => program);
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

describe('a day that two share', () => {
  const share = async (over: Record<string, string> = {}): Promise<Record<string, string>> => {
    const [wren, corin] = await Promise.all(
      ['Wren Ostby', 'Corin Vale'].map(async (name) => String((await rows('person', { name }))[0]?.id)),
    );
    return {
      ...{ entry: uuid(), day: '2026-11-25', person0: wren ?? '', person1: corin ?? '' },
      ...{ stops0: [setOf('12'), setOf('24')].join(','), stops1: setOf('33'), ...over },
    };
  };
  const seen = async (): Promise<string> => (await get('/morning/run')).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');

  it('asks for two persons that are not the same, and for a day that is not past', async () => {
    const { person0 = '' } = await share();
    const before = (await rows('day_share')).length;
    refused(await post('/morning/run?/share', await share({ person1: person0 })), 400, 'One person cannot go two ways');
    refused(await post('/morning/run?/share', await share({ person1: '' })), 400, 'choose a person for each list');
    refused(await post('/morning/run?/share', await share({ day: '2026-11-20' })), 400, 'look at the marked fields');
    assert.equal((await rows('day_share')).length, before);
  });
  it('stands for both; what one looked at is done on every list; said anew it takes the place of the old', async () => {
    saved(await post('/morning/run?people=2&/share', await share()), /morning\/run\?people=2/);
    assert.match(await seen(), /Wren Ostby has 2 sets.*Corin Vale has 1 set/);
    const [stay] = (await rows('stay', { set_id: setOf('24') })).map((s) => String(s.id));
    const form = { entry: uuid(), id: uuid(), [`${stay}.outcome`]: 'untouched', change: 'as it was', at: '2026-11-25T05:20' };
    saved(await post(`/check/${setOf('24')}?/save`, form), /morning/);
    assert.match(await seen(), /Wren Ostby has 2 sets, 1 left/);
    const before = (await rows('day_share')).length;
    const [said] = (await rows('day_share')).filter(
      (s) => JSON.stringify(s.parts).includes(setOf('24')) && JSON.stringify(s.parts).length < 400,
    );
    const anew = await share({ stops0: setOf('12'), stops1: '', opened: String(said?.entry_id) });
    saved(await post('/morning/run?/share', anew), /morning\/run/);
    assert.equal((await rows('day_share')).length, before);
    assert.match(await seen(), /Wren Ostby has 1 set.*Corin Vale has 0 sets/);
  });
});

describe('what a run takes along', () => {
  const load = async (query: string): Promise<string> => (await get(`/bench/carry?${query}`)).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');
  it('is weighed against what carries it, with its spares and what more it makes', async () => {
    const page = await load('way=sled');
    assert.match(page, /\d+(\.5)? lb of the 132\.5 lb that the sled carries \(practice\)/);
    assert.match(page, /on nine runs of ten: of \d+ looks of yours \d+ found one to replace/);
    assert.match(page, /\d+ more lodge run then body-grip 330 is gone/);
    const back = await load('way=on+foot&most=20+lb');
    assert.match(back, /lb of the 20 lb that a back carries: .* too much, \d ways/);
    assert.match(back, /no more lodge run then it is full/);
  });
  it('says what comes back: the cable that caught, for its lock and swivel', async () =>
    assert.match(await load(''), /Comes back K-51 of 22 flume gap ?: lock and swivel come back, the cable is scrap/));
  it('has the flat stones of a set that is to be raised', async () =>
    assert.match(await load(''), /flat stones, 6¾ in under the stand of 15/));
  it('refuses what is no weight beside its field, and keeps it', async () => {
    const page = await get('/bench/carry?way=sled&most=plenty');
    assert.ok(page.includes('is not a weight Zaprud can read') && page.includes('value="plenty"'));
    assert.ok((await get('/bench/carry?way=sled&most=-3')).includes('What it carries is more than 0'));
  });
});

describe('whose minutes', () => {
  it('People tells what was written, between which two, and by how many stops', async () => {
    const page = (await get('/people')).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');
    assert.match(page, /A look only .*?\d(\.\d)? min, mostly \d(\.\d)? to \d(\.\d)?, by \d+ stops/);
    assert.match(page, /15 min until 3 were written/);
  });
});
