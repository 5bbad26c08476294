import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** A round on paper, typed back in; and the line's dates for a calendar. */
let program: Program;
let sets: Record<string, string>;
let stays: Record<string, string[]>;

before(async () => {
  program = await startProgram({ demo: true });
  const db = connect(program.url);
  sets = Object.fromEntries((await db('trap_set').select('id', 'number')).map((s: { id: string; number: number }) => [s.number, s.id]));
  stays = {};
  for (const { id, set_id } of await db('stay').where('live_to', 'infinity').orderBy('position', 'desc')) (stays[set_id] ??= []).push(id);
  await db.destroy();
});
after(() => program.end());

const { post, get, rows, saved, uuid } = webOf(() => program);
const setOf = (number: string): string => sets[number] ?? '';
const stayOf = (number: string): string => stays[setOf(number)]?.[0] ?? '';
const row = (number: string, found: string, at: string, over: Record<string, string> = {}): Record<string, string> => ({
  [`${stayOf(number)}.found`]: found,
  [`${setOf(number)}.at`]: at,
  ...Object.fromEntries(
    Object.entries(over).map(([name, value]) => [`${name === 'note' ? setOf(number) : stayOf(number)}.${name}`, value]),
  ),
});
const visits = (number: string, at: string): Promise<unknown[]> => rows('check_visit', { set_id: setOf(number), at });

describe('the paper of a round', () => {
  it('has a row a set with its tie, its deadline and what to do, and the letters', async () => {
    const page = await get('/morning/paper');
    for (const text of ['12 east lodge run', 'Found:', 'u untouched', 'c catch', 'by']) assert.ok(page.includes(text), text);
  });
  it('typed back: what says something is a check; a row that is refused stays with its reason, and nothing is written twice', async () => {
    const entry = uuid();
    const typed = {
      ...{ entry, day: '2026-11-25' },
      ...row('15', 'u', '510'),
      ...row('12', 'c', '5:12'),
      ...row('27', 'q', '515'),
      ...row('22', 'x', '516'),
      ...row('20', 's', ''),
    };
    const answer = await post('/morning/typed', typed);
    assert.equal(answer.status, 400);
    assert.match(answer.text, /1 saved\. Look at the marked rows/);
    for (const told of [/Say which animal/, /“q” is none of the letters/, /Missing is mostly a catch/, /When, as hours and minutes/])
      assert.match(answer.text, told);
    assert.equal((await visits('15', '2026-11-25T11:10:00Z')).length, 1);
    assert.equal((await visits('12', '2026-11-25T11:12:00Z')).length, 0);
    const mended = {
      ...typed,
      ...row('12', 'c', '5:12', { animal: 'beaver', alive: 'no' }),
      ...row('27', 'd', '515'),
      ...row('22', 'x', '516', { note: 'from the anchor, and over the dam' }),
      ...row('20', 's', '517'),
    };
    saved(await post('/morning/typed', mended), new RegExp(`/morning\\?typed=${entry}`));
    saved(await post('/morning/typed', mended), new RegExp(`/morning\\?typed=${entry}`));
    for (const [number, minute] of [
      ['15', '10'],
      ['12', '12'],
      ['27', '15'],
      ['22', '16'],
      ['20', '17'],
    ] as const)
      assert.equal((await visits(number, `2026-11-25T11:${minute}:00Z`)).length, 1, number);
    const [caught] = await rows('catch', { species: 'beaver', alive: false, age: 'unknown', sex: 'unknown', pelt: 'not looked' });
    assert.ok(caught, 'nothing is said of it that nobody looked at');
    assert.match(await get(`/morning?typed=${entry}`), /5 checks saved to the book/);
  });
  it('an address says nothing of checks that do not stand in the book', async () => {
    assert.doesNotMatch(await get(`/morning?typed=${uuid()}`), /saved to the book/);
    assert.doesNotMatch(await get('/morning?typed=12'), /saved to the book/);
  });
  it('empty is not saved, and says what is wanted', async () => {
    const answer = await post('/morning/typed', { entry: uuid(), day: '2026-11-25' });
    assert.match(answer.text, /Nothing was typed/);
  });
});

describe('the calendar of the line', () => {
  it('holds the checks of each water by their deadline, and the opening days', async () => {
    const text = (await get('/morning/calendar.ics')).replaceAll(/\r\n /g, '');
    assert.match(text, /^BEGIN:VCALENDAR/);
    assert.match(text, /SUMMARY:Check \d+ sets at Header Pond by \d+:\d\d [ap]m/);
    assert.match(text, /SUMMARY:May be set: /);
  });
});

describe('days on which nobody can come', () => {
  const away = (query: string): Promise<string> => get(`/morning/away?${query}`);

  it('asks which of two equal hours is meant, and takes the answer', async () => {
    const asked = await away('from=2026-11-01T01:30&to=2026-12-01T07:00');
    assert.match(asked, /The clocks show 1:30 am on Nov 1, 2026 twice/);
    assert.match(asked, /Which of the two\?/);
    assert.match(await away('from=2026-11-01T01:30&from.which=second&to=2026-12-01T07:00'), /That is past already/);
  });
  it('works out no more than 90 days and says so', async () => {
    assert.match(await away('from=2026-12-01T07:00&to=2027-03-01T06:00'), /cannot stand so long/);
    assert.match(await away('from=2026-12-01T07:00&to=2027-03-02T07:00'), /At most 90 days are worked out/);
  });
});
