import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Colonies on the server: what they are called, who is left of them in every room, what they learned, and when they are called done. */
let program: Program;
let named: Record<string, string>;
let waters: Record<string, string>;

before(async () => {
  program = await startProgram({ demo: true });
  named = Object.fromEntries((await rows('colony')).map((c) => [String(c.name), String(c.id)]));
  waters = Object.fromEntries((await rows('water')).map((w) => [String(w.name), String(w.id)]));
});
after(() => program.end());

const { post, get, rows, saved, refused, uuid } = webOf(() => program);
const at = (name: string): string => `/colonies/${named[name] ?? ''}`;
const textOf = (html: string): string => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ');
const form = (over: Record<string, string | string[]> = {}): Record<string, string | string[]> => ({
  ...{
    entry: uuid(),
    colony: uuid(),
    name: 'Slough family',
    low: '3',
    high: '5',
    why: 'seen at dusk',
    clear: '90',
    note: '',
    'belief.bodyGrip': '',
  },
  ...{ water: waters['Moss Slough'] ?? '', place: [] },
  ...over,
});

describe('a colony of the record', () => {
  it('stands with its odds, the same in the list, on its page and at its water', async () => {
    const said = /(?:Nobody left|Nobody home|Gone, or [^<]*|\d(?: to \d)? left, [^<]*|Cannot tell: [^<]*)\./;
    const race = said.exec(await get(at('Race pair and young')))?.[0] ?? 'nothing';
    for (const page of ['/colonies', `/waters/${waters['Hatchery Race'] ?? ''}/count`]) assert.ok((await get(page)).includes(race), page);
    assert.match(await get(at('Race pair and young')), /Chance of each number left/);
    // its pair was caught, and it is said of which sorts of trap a night counts for how much, from other waters
    const page = textOf(await get(at('Race pair and young')));
    assert.match(page, /Adults left: none, nine in ten; young: 0 to 1, /);
    assert.match(page, /a night of each sort counts .* body-grip 1\.\d \(\d+ in \d+ nights\)/);
  });
  it('that was met by misses at body-grips and turned away shies from them, and no body-grip is tried first there', async () => {
    assert.match(await get(at('Header families')), /They shy from body-grips, /);
    const plan = textOf(await get(`/waters/plan?species=beaver&water=${waters['Header Pond'] ?? ''}`));
    assert.match(plan, /those left here have learned a body-grip/);
    const guide = textOf(await get(`/waters/${waters['Header Pond'] ?? ''}/guide`));
    assert.match(guide, /At 17 ice rack 1\. Lodge run, bare snare/);
  });
  it('whose lodge is old and before whose camera nothing passed is not home', async () =>
    assert.match(await get(at('Upper lodge')), /Nobody home, (?:nine in ten|nineteen in twenty|forty-nine in fifty)\./));
  it('is drawn night by night, each place a row, its table read out', async () => {
    const page = textOf(await get(at('Header families')));
    assert.match(page, /12 east lodge run/);
    assert.match(page, /caught: beaver/);
    assert.match(page, /mended: leak mended/);
    assert.match(page, /Traps in range/);
  });
  it('that does not exist is not found', async () =>
    assert.match(await get(`/colonies/${uuid()}`), /There is no such colony in this record/));
});

describe('naming a colony', () => {
  const moss = (): string => `/colonies/${waters['Moss Slough'] ?? ''}?/save`;
  it('refuses half a range, a range upside down, no water and a wish to be surer than anybody is, and keeps what was typed', async () => {
    refused(await post(moss(), form({ high: '' })), 400, /Type the least and the most, or leave both empty\./);
    refused(await post(moss(), form({ low: '9' })), 400, /put the smaller number first/);
    refused(await post(moss(), form({ water: [] })), 400, /uses one water at least/);
    refused(await post(moss(), form({ clear: '100' })), 400, /Nobody is surer than 99%/);
    refused(await post(moss(), form({ clear: '' })), 400, /between 50 and 99%/);
    refused(await post(moss(), form({ 'belief.snareLand': '100' })), 400, /Nothing is sure before it was met: 95% at most/);
    refused(await post(moss(), form({ 'belief.snareLand': '60', 'belief.bodyGrip': '50' })), 400, /Together they are more than 99%/);
    const again = await post(moss(), form({ name: '', why: 'kept words' }));
    refused(again, 400, /Name is needed/);
    assert.match(again.text, /kept words/);
    assert.equal((await rows('colony')).length, 3);
  });
  it('keeps it, once, and what lived there at first counts from then on', async () => {
    const before_ = textOf(await get(`/colonies/${waters['Moss Slough'] ?? ''}`));
    assert.match(before_, /Name this colony/);
    const sent = form();
    saved(await post(moss(), sent), new RegExp(`/colonies/${String(sent.colony)}\\?saved=1`));
    saved(await post(moss(), sent), /saved=1/);
    assert.equal((await rows('colony')).length, 4);
    named['Slough family'] = String(sent.colony);
    assert.match(await get(at('Slough family')), /3 to 5 lived here at first, you wrote: seen at dusk/);
    assert.doesNotMatch(await get('/colonies'), new RegExp(`/colonies/${waters['Moss Slough'] ?? ''}"`));
  });
  it('takes what somebody holds of its nights, refuses what leaves no quiet night, and works by it', async () => {
    const [own] = (await rows('colony')).filter((c) => c.name === 'Slough family');
    const page = `/colonies/${String(own?.id)}`;
    const opened = String(own?.entry_id);
    const typed = { colony: String(own?.id), opened, low: '3', high: '5' };
    const full = await post(`${page}?/save`, form({ ...typed, 'likely.works.caught': '60', 'likely.works.touched': '50' }));
    refused(full, 400, /keep each line under 99%/);
    assert.match(full.text, /60/);
    refused(await post(`${page}?/save`, form({ ...typed, 'likely.shy.turned': '0' })), 400, /Nothing is impossible: 0\.05% at least/);
    saved(await post(`${page}?/save`, form({ ...typed, 'likely.works.caught': '25' })), /saved=1/);
    const [kept] = (await rows('colony')).filter((c) => c.name === 'Slough family');
    assert.deepEqual(kept?.likely, [{ row: 'works', saw: 'caught', share: 0.25 }]);
    assert.match(await get(page), /name="likely\.works\.caught"[^>]*value="25"/);
  });
  it('from an older page is answered with what changed, and nothing is lost', async () => {
    const [own] = await rows('colony', { id: named['Slough family'] });
    const opened = String(own?.entry_id);
    saved(
      await post(`${at('Slough family')}?/save`, form({ colony: named['Slough family'] ?? '', opened, name: 'Low lodge family' })),
      /saved=1/,
    );
    refused(
      await post(`${at('Slough family')}?/save`, form({ colony: named['Slough family'] ?? '', opened, why: 'older' })),
      409,
      /changed this .*Your values are still here/,
    );
    assert.equal((await rows('colony', { id: named['Slough family'] }))[0]?.name, 'Low lodge family');
  });
});

describe('a colony that is done', () => {
  const done = (over: Record<string, string> = {}) =>
    post(`${at('Upper lodge')}?/done`, { doneEntry: uuid(), lookBack: '2026-12-16', ...over });
  it('is looked at again on a day to come', async () => {
    refused(await done({ lookBack: '2026-11-25' }), 400, /Look again on a day that is to come/);
    refused(await done({ lookBack: 'soon' }), 400, /is not a date/);
    saved(await done(), /saved=1/);
    assert.match(textOf(await get(at('Upper lodge'))), /Called done Nov 25 ?, \d\d% sure then that none was left\. Look again Dec 16/);
    assert.match(await get('/colonies'), /Called done Nov 25; look again Dec 16\./);
    assert.match(await get('/morning/calendar.ics'), /SUMMARY:Look again: Upper lodge/);
    assert.doesNotMatch(await get('/morning'), /to be looked at again/);
  });
  it('is brought back by Rounds on that day', async () => {
    await program.stop();
    await program.start('2026-12-16T15:00:00Z');
    assert.match(textOf(await get('/morning')), /Upper lodge : called done Nov 25, to be looked at again/);
  });
  it('may be opened again', async () => {
    saved(await post(`${at('Upper lodge')}?/open`, { doneEntry: uuid() }), /saved=1/);
    assert.doesNotMatch(await get('/morning'), /to be looked at again/);
    assert.equal((await rows('colony', { name: 'Upper lodge' }))[0]?.done, null);
  });
});

describe('what earns its minutes', () => {
  it('is told by the sides of a school, of the sets that it touches alone', async () => {
    const page = textOf(await get('/book/earns?species=beaver&by=school%20device'));
    assert.match(page, /Body-grip first|body-grip first/);
    assert.match(page, /foothold and snare first/);
    // an unknown way is told by type
    assert.match(textOf(await get('/book/earns?species=beaver&by=school%20nothing')), /Lodge run/);
  });
});

describe('what an animal felt that got away', () => {
  it('is kept with its check, told in the book, and no other word is taken', async () => {
    const [set] = await rows('trap_set', { number: 41 });
    const [stay] = await rows('stay', { set_id: set?.id });
    const name = (field: string): string => `${String(stay?.id)}.${field}`;
    const check = (felt: string) => ({
      entry: uuid(),
      id: uuid(),
      [name('outcome')]: 'miss',
      [name('felt')]: felt,
      change: 'pulled',
      at: '2026-11-25T05:20',
    });
    const bad = await post(`/check/${String(set?.id)}?/save`, check('angry'));
    assert.equal(bad.status, 400);
    assert.equal((await rows('check_device', { felt: 'angry' })).length, 0);
    const good = check('pinched');
    saved(await post(`/check/${String(set?.id)}?/save`, good), /morning/);
    assert.deepEqual(
      (await rows('check_device', { visit_id: good.id })).map((d) => [d.outcome, d.felt]),
      [['miss', 'pinched']],
    );
    assert.match(await get(`/book?set=${String(set?.id)}`), /miss, pinched/);
  });
});

describe('what a check tells beside its outcome', () => {
  const checked = async (number: number, outcome: string, more: Record<string, string>) => {
    const [set] = await rows('trap_set', { number });
    const [stay] = await rows('stay', { set_id: set?.id });
    const own = Object.fromEntries(Object.entries(more).map(([key, value]) => [key.replace('stay.', `${String(stay?.id)}.`), value]));
    const id = uuid();
    const sent = { entry: uuid(), id, [`${String(stay?.id)}.outcome`]: outcome, change: 'as it was', at: '2026-11-25T05:20', ...own };
    return { id, set, answer: await post(`/check/${String(set?.id)}?/save`, sent) };
  };
  it('ice at its hole is one reading of the water, and moves every set of it', async () => {
    const { set, answer } = await checked(82, 'untouched', { ice: '6 1/2 in' });
    saved(answer, /morning/);
    const [place] = await rows('station', { id: set?.station_id });
    const ice = (await rows('ice', { water_id: place?.water_id })).find((i) => String(i.note).startsWith('measured at set 82'));
    assert.ok(Math.abs(Number(ice?.thickness) - 0.1651) < 1e-6);
    assert.match(textOf(await get(`/waters/${String(place?.water_id)}/ice`)), /6½ in/);
    const thick = await checked(82, 'untouched', { ice: '90 in' });
    refused(thick.answer, 400, /between 0 and 1\.5 m/);
  });
  it('a catch that lay short of the deep end is said at the bench of its slide', async () => {
    const { set, id, answer } = await checked(31, 'catch', { 'stay.alive': 'no', 'stay.lay': 'short of the deep end' });
    saved(answer, /morning/);
    const [device] = await rows('check_device', { visit_id: id });
    assert.equal((await rows('catch', { check_id: device?.id }))[0]?.lay, 'short of the deep end');
    assert.match(textOf(await get(`/bench/${String(set?.id)}`)), /A catch lay short of the deep end once/);
  });
  it('a break that was plugged is plugged in every room; when, is asked, and lies between its opening and the look', async () => {
    const open = (await rows('opening')).find((o) => o.mended === null && o.set_id);
    const [set] = await rows('trap_set', { id: open?.set_id });
    const look = (mended: string) => checked(Number(set?.number), 'untouched', { breakNow: 'plugged', mended });
    refused((await look('2026-01-01T05:00')).answer, 400, /plugged after it was opened, and before this look/);
    saved((await look('2026-11-25T04:00')).answer, /morning/);
    const [now] = await rows('opening', { id: open?.id });
    assert.equal(new Date(String(now?.mended)).toISOString(), '2026-11-25T10:00:00.000Z');
    assert.doesNotMatch(await get(`/check/${String(set?.id)}?outcome=untouched`), /Plugged at about|The break</);
  });
  it('a bait that birds took teaches nothing of the colony, and stands in the book', async () => {
    const { set, id, answer } = await checked(81, 'bait taken', { 'stay.baitBy': 'birds' });
    saved(answer, /morning/);
    assert.equal((await rows('check_device', { visit_id: id }))[0]?.bait_by, 'birds');
    assert.match(await get(`/book?set=${String(set?.id)}`), /bait taken by birds/);
  });
});

describe('what was looked at and left', () => {
  it('stands at its place with the reason', async () => {
    const [meant] = await rows('intent', { doing: 'left' });
    const [place] = await rows('station', { id: meant?.station_id });
    assert.ok(meant && place);
    const page = textOf(await get(`/waters/${String(place.water_id)}/${String(place.id)}/years`));
    assert.ok(page.includes(`left unset, ${String(meant.because).replace(/\.$/, '')}`), page.slice(0, 800));
  });
});
