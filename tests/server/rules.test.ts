import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { replayBeside } from '#server/record/beside';
import { rulebookSchema } from '#core/rules/book';
import { SLATE_PROVINCE } from '#core/rules/examples';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** The rulebook in the running program: typed, imported, in force, and held against a catch. */
let program: Program;
const { post, get, rows, saved, refused, uuid } = webOf(() => program);
before(async () => {
  program = await startProgram({ demo: true });
});
after(() => program.end());

const books = async () => (await rows('rulebook')) as { id: string; version: number; book: ReturnType<typeof rulebookSchema.parse> }[];
const own = async () => {
  const [line] = (await rows('line', { season: '3' })) as { book: string }[];
  const found = (await books()).find((b) => b.id === line?.book);
  assert.ok(found);
  return found;
};
const rule = (part: string, was: string, fields: Record<string, string | string[]>) =>
  post(`/rules?/rule&part=${part}&rule=${was}`, { entry: uuid(), part, rule: was, do: 'save', ...fields });

describe('a rule that is typed', () => {
  it('is refused beside its field where it cannot be, and the book stays', async () => {
    const before = await own();
    refused(
      await rule('seasons', '', { id: 'mink-late', species: 'mink', area: '', opens: '11-01', closes: '12-24' }),
      400,
      /This season of mink overlaps “season-mink”/,
    );
    refused(await rule('distances', 'far-dwelling', { id: 'far-dwelling', from: 'dwelling', least: 'far' }), 400, /far/);
    refused(await rule('hats', '', { id: 'x' }), 400, /Choose the part of the book/);
    refused(await rule('tell', '', { id: 'tell-incidental', of: 'incidental', whom: 'x', hours: '2' }), 400, /Two rules are called/);
    assert.deepEqual(await own(), before);
  });
  it('is kept in metres as it was typed in feet, and the version counts on', async () => {
    const { version } = await own();
    saved(
      await rule('distances', 'far-dwelling', { id: 'far-dwelling', from: 'dwelling', least: '300 ft', classes: ['bodyGrip'] }),
      /saved=1/,
    );
    const after = await own();
    assert.equal(after.version, version + 1);
    assert.ok(Math.abs((after.book.distances[0]?.least ?? 0) - 91.44) < 0.01);
    assert.deepEqual(after.book.distances[0]?.classes, ['bodyGrip']);
  });
  it('of an interval moves the deadlines of the sets that it speaks of', async () => {
    const due = (page: string): string => (page.match(/class="mono by[^>]*>[^<]*/g) ?? []).join();
    const before = due(await get('/morning'));
    saved(
      await rule('checks', 'check-daily', {
        id: 'check-daily',
        classes: ['snare'],
        underIce: 'no',
        ruleKind: 'elapsed',
        every: '72',
        after: '30',
      }),
      /saved=1/,
    );
    assert.notEqual(due(await get('/morning')), before);
    saved(
      await rule('checks', 'check-daily', { id: 'check-daily', underIce: 'no', ruleKind: 'elapsed', every: '24', after: '30' }),
      /saved=1/,
    );
    assert.equal(due(await get('/morning')), before);
  });
  it('is taken out, and the book says nothing of it from then on', async () => {
    saved(await rule('spare', 'spare-otter', { do: 'remove' }), /saved=1/);
    assert.deepEqual((await own()).book.spare, []);
  });
});

describe('a book from outside', () => {
  it('of another jurisdiction stands beside the one in force until it is chosen', async () => {
    const { id } = await own();
    saved(await post('/rules?/import', { entry: uuid(), text: JSON.stringify(SLATE_PROVINCE) }), /saved=1/);
    assert.equal((await books()).length, 2);
    assert.equal((await own()).id, id);
    const slate = (await books()).find((b) => b.book.jurisdiction.startsWith('Slate'));
    assert.ok(slate);
    const line = { ruleKind: 'elapsed', every: '24', after: '30', rulebook: '' };
    refused(await post('/rules?/line', { entry: uuid(), ...line, book: uuid() }), 400, /Choose one of the rulebooks/);
    saved(await post('/rules?/line', { entry: uuid(), ...line, book: slate.id }), /saved=1/);
    assert.match(await get('/rules'), /Slate province \(invented\)/);
    assert.deepEqual(JSON.parse(await get('/rules/book.json')), rulebookSchema.parse(SLATE_PROVINCE));
    saved(await post('/rules?/line', { entry: uuid(), ...line, book: id }), /saved=1/);
  });
});

describe('a catch in the closure', () => {
  it('owes its duty until somebody was told, not before it was made and not in the future', async () => {
    const [otter] = (await rows('catch', { species: 'otter' })) as { id: string }[];
    assert.ok(otter);
    const page = `/rules/catch/${otter.id}`;
    assert.match(await get(page), /Incidental: otter closed by your rulebook/);
    const [told] = (await rows('duty', { catch_id: otter.id })) as { entry_id: string }[];
    saved(await post(`/book/${told?.entry_id}?/withdraw`, { entry: uuid(), reason: 'nobody answered' }), /book/);
    assert.match(await get('/morning'), /otter at 20 inlet point.*tell the district office by/s);
    const tell = (at: string, over = {}) =>
      post(page, { entry: uuid(), id: uuid(), rule: 'tell-incidental', note: 'by letter', at, ...over });
    refused(await tell('2027-01-01T10:00'), 400, /Nobody was told in the future/);
    refused(await tell('2025-01-01T10:00'), 400, /told before the catch/);
    refused(await tell('2026-11-25T05:00', { rule: 'no-such' }), 400, /no such duty/);
    saved(await tell('2026-11-25T05:00'), /saved=1/);
    assert.doesNotMatch(await get('/morning'), /tell the district office/);
    assert.match(await get(page), /told .*by letter/);
  });
});

describe('who catches nothing', () => {
  it('keeps the answers with the set, and none that was not given', async () => {
    const [set] = (await rows('trap_set', { number: 15, state: 'live' })) as { id: string }[];
    const all = 'inUse=no&level=stood&fires=yes&seen=none&across=open&sky=under&before=nothing&lure=none&people=nobody&waited=long';
    refused(await post('/morning/nothing?begun=1&inUse=no', { entry: uuid(), id: uuid() }), 400, /Answer every question first/);
    saved(await post(`/morning/nothing?set=${set?.id}&${all}`, { entry: uuid(), id: uuid(), note: 'twig laid' }), /saved=1/);
    const [kept] = (await rows('interview', { note: 'twig laid' })) as { set_id: string; cause: string; again: string; note: string }[];
    assert.deepEqual([kept?.set_id, kept?.cause, kept?.again, kept?.note], [set?.id, 'notInUse', '2026-11-26', 'twig laid']);
    assert.match(await get('/book'), /The place is not in use\. about \d in 10, twig laid/);
  });
  it('the tables are those of the entries after all of it', async () => {
    const db = connect(program.url);
    const { differing } = await replayBeside(db, (path) => connect(program.url, path));
    await db.destroy();
    assert.deepEqual(differing, []);
  });
});
