import assert from 'node:assert/strict';
import { after, before, describe, it } from 'node:test';
import { connect } from '#server/database';
import { startProgram, type Program } from '../support/server';
import { webOf } from '../support/web';

/** Word left at home: who is out, overdue on every page, back by one tap. */
let program: Program;
before(async () => (program = await startProgram({ demo: true })));
after(() => program.end());

const { post, get, rows, saved, uuid } = webOf(() => program);
const seen = async (path: string): Promise<string> => (await get(path)).replace(/<[^>]*>/g, ' ').replace(/\s+/g, ' ');
const word = (over: Record<string, string> = {}): Record<string, string> => ({
  ...{ entry: uuid(), who: 'Wren Ostby', where: 'along the dike to the lodge', backBy: '2026-11-25T11:30' },
  ...{ home: 'the feed shed', then: 'call Corin' },
  ...over,
});

describe('word left at home', () => {
  it('asks who, where and by when, and keeps what was typed', async () => {
    const answer = await post('/morning/word?/leave', word({ where: '', backBy: '2026-11-24T11:30' }));
    assert.equal(answer.status, 400);
    assert.match(answer.text, /That is past already\. Say by when you will be back\./);
    assert.ok(answer.text.includes('value="the feed shed"'));
    assert.equal((await post('/morning/word?/leave', word({ where: '' }))).status, 400);
    assert.equal((await rows('left_word')).length, 1, 'the demo’s own alone');
  });
  it('stands with when it gets dark, where the trucks stand and what is dangerous on the way', async () => {
    saved(await post('/morning/word?/leave', word()), /morning\/word/);
    const page = await seen('/morning/word');
    for (const text of [
      'Wren Ostby: back by 11:30 am',
      'Sunset 4:23 pm, dark 4:56 pm.',
      'Sorting shed, truck: 45.5',
      'Moss Slough, 81 low lodge, hung, 82 low lodge pole: ',
      'Nothing is sent from here',
    ])
      assert.ok(page.includes(text), text);
    assert.ok(!(await seen('/book')).includes('back by 11:30 am and not back'));
  });
  it('overdue stands on every page of the crew until somebody says that he is back', async () => {
    const db = connect(program.url);
    await db('left_word').whereNull('back').update({ at: '2026-11-25T08:00:00Z', back_by: '2026-11-25T10:00:00Z' });
    await db.destroy();
    for (const path of ['/book', '/waters', '/shed'])
      assert.match(await seen(path), /Wren Ostby: back by 4:00 am and not back\. along the dike/, path);
    assert.match(await seen('/morning/word'), /Overdue by 1 h 22 min\. call Corin\./);
    const [own] = (await rows('left_word')).filter((w) => w.back === null);
    saved(await post('/morning/word?/back', { entry: uuid(), word: String(own?.id), opened: String(own?.entry_id) }), /morning/);
    assert.ok(!(await seen('/book')).includes('and not back'));
    assert.match(await seen('/morning/word'), /Nobody left word\./);
  });
  it('a second tap on back changes nothing', async () => {
    const [own] = await rows('left_word');
    const before = (await rows('entry', { kind: 'leftWord' })).length;
    saved(await post('/morning/word?/back', { entry: uuid(), word: String(own?.id) }), /morning\/word/);
    assert.equal((await rows('entry', { kind: 'leftWord' })).length, before);
  });
});
