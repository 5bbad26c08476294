import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { changesOf, changesText } from '#core/record/changes';
import { fold, type Folded } from '#core/record/fold';
import type { Body } from '#core/record/kinds';
import { upgrade, type Zeros } from '#core/record/upgrade';
import { inches } from '#core/units/factors';

const entry = (id: string, body: unknown, over: Partial<Folded> = {}): Folded => ({
  id,
  corrects: null,
  opened: null,
  withdrawn: false,
  version: 2,
  body,
  ...over,
});
const undone = (id: string, corrects: string, over: Partial<Folded> = {}): Folded => entry(id, {}, { corrects, withdrawn: true, ...over });

describe('the truth of a thing out of its entries', () => {
  const first = entry('1', { id: 's', a: 1, b: 1, c: 1 });
  const second = entry('2', { id: 's', a: 2, b: 1, c: 1 }, { opened: '1' });
  const third = entry('3', { id: 's', a: 2, b: 3, c: 1 }, { opened: '2' });
  it('is the last body when each was written on the one before', () => assert.deepEqual(fold([first, second, third]), third.body));
  it('is nothing before the first', () => assert.equal(fold([]), null));
  it('taking one back leaves what was written later', () =>
    assert.deepEqual(fold([first, second, third, undone('4', '2')]), { id: 's', a: 1, b: 3, c: 1 }));
  it('taking the last back gives the one before, and all of them nothing', () => {
    assert.deepEqual(fold([first, second, undone('4', '2')]), first.body);
    assert.equal(fold([first, second, undone('4', '2'), undone('5', '1')]), null);
  });
  it('a correction changes what it changed and nobody changed since', () => {
    const right = entry('4', { id: 's', a: 9, b: 1, c: 7 }, { corrects: '1' });
    assert.deepEqual(fold([first, third, right]), { id: 's', a: 2, b: 3, c: 7 });
  });
  it('taking a correction back takes the entry with it that it corrected', () => {
    const right = entry('4', { id: 's', a: 9, b: 1, c: 7 }, { corrects: '1' });
    assert.equal(fold([first, right, undone('5', '4')]), null);
  });
  it('a withdrawal of the first version emptied the thing, whatever was written before', () =>
    assert.equal(fold([first, second, undone('4', '2', { version: 1 })]), null));
  it('what is entered anew after it was taken back stands', () =>
    assert.deepEqual(fold([first, undone('2', '1'), entry('3', { id: 's', a: 5 })]), { id: 's', a: 5 }));
  it('two who change different fields of one body lose nothing, in either order', () =>
    fc.assert(
      fc.property(fc.integer(), fc.integer(), (a, b) => {
        const one = entry('2', { id: 's', a, b: 1, c: 1 }, { opened: '1' });
        const two = entry('3', { id: 's', a: 1, b, c: 1 }, { opened: '1' });
        const both = { id: 's', a, b, c: 1 };
        assert.deepEqual(fold([first, one, two]), both);
        assert.deepEqual(fold([first, two, one]), both);
      }),
    ));
});

describe('what a person sees changed', () => {
  const gauge: Body<'gauge'> = { id: 'g', water: 'w', name: 'board', surface: 'pond', zero: 0, earlier: [] };
  it('is told field by field, from what to what', () => {
    const changes = changesOf('gauge', gauge, { ...gauge, name: 'stake', zero: inches(2) }, 'us', { zone: 'UTC', hours: 12 });
    assert.equal(changesText(changes), 'Name of the gauge: board → stake; Zero over the datum: 0 in → 2 in.');
  });
  it('is nothing where nothing was, and at most six are listed', () => {
    assert.deepEqual(changesOf('gauge', gauge, gauge, 'us', { zone: 'UTC', hours: 12 }), []);
    const many = Array.from({ length: 8 }, (_, n) => ({ label: `f${n}`, from: '', to: 'x' }));
    assert.match(changesText(many), /f0: empty → x.*; and 2 more\.$/);
    assert.equal(
      changesText([{ label: 'Placed by', from: 'id-1', to: 'id-2' }], { 'id-1': 'Wren', 'id-2': 'Corin' }),
      'Placed by: Wren → Corin.',
    );
  });
});

describe('a body of the first version', () => {
  const at = '2026-11-20T12:00:00.000Z';
  const zeros: Zeros = { gauge: () => 0.1, surface: () => 0.2, station: () => 0.3 };
  const up = (kind: Parameters<typeof upgrade>[0], body: Record<string, unknown>) =>
    upgrade(kind, body, 1, zeros, new Date(at)) as Record<string, unknown>;
  const near = (a: unknown, b: number) => assert.ok(Math.abs(Number(a) - b) < 1e-9, `${String(a)} is not ${b}`);
  it('a reading, a logger and a forecast are kept as the gauge showed them', () => {
    near(up('reading', { gauge: 'g', at, level: 1 }).level, 0.9);
    near((up('logged', { gauge: 'g', points: [{ at: 0, level: 1 }] }).points as { level: number }[])[0]?.level, 0.9);
    const [point] = up('forecast', { gauge: 'g', points: [{ at: 0, low: 1, middle: 2, high: 3 }] }).points as {
      low: number;
      high: number;
    }[];
    near(point?.low, 0.9);
    near(point?.high, 2.9);
  });
  it('a depth keeps the level that was written beside it, for where no reading tells', () => {
    const station = up('station', {
      water: 'w',
      surface: 'pond',
      bed: { depth: 1, level: 2, at },
      measures: [{ level: 1, value: 3 }],
      across: null,
      crest: 1,
    });
    near((station.bed as { noted: number }).noted, 1.8);
    assert.ok(!('level' in (station.bed as object)));
    assert.deepEqual(station.measures, [{ value: 3 }]);
    near((station.crest as { height: number }).height, 0.8);
    near(up('stationLevel', { station: 's', at, level: 2, depth: 1 }).noted, 1.7);
  });
  it('a setting loses its copies of the levels, and a renamed type its old id', () => {
    const set = up('set', {
      type: 'dangling-bait',
      station: 's',
      settings: [{ id: '1', at, numbers: {}, choices: {}, pond: 1, tail: null }],
    });
    assert.equal(set.type, 'post-bait');
    const [setting] = set.settings as { noted: { pond: number } }[];
    near(setting?.noted.pond, 0.7);
    assert.ok(setting && !('pond' in setting) && !('tail' in setting.noted));
    assert.equal(up('set', { type: 'ice-hanging-baited', settings: [] }).type, 'ice-hanging');
  });
  it('a break has its first state, a water the moment of its levels', () => {
    const opening = up('opening', { id: 'o', water: 'w', opened: at, width: 0.3, sill: 1 });
    const [state] = opening.states as { width: number; sill: number; at: string }[];
    assert.deepEqual([state?.width, state?.at], [0.3, at]);
    near(state?.sill, 0.8);
    const water = up('water', { id: 'w', safe: { level: 1, what: 'road' }, areas: [{ level: 1, area: 5 }], pipes: [] });
    near((water.safe as { level: number }).level, 0.8);
    assert.equal((water.areas as { at: string }[])[0]?.at, at);
    assert.equal(up('water', { id: 'w', safe: null }).safe, null);
  });
  it('of today is left alone, and what never changed too', () => {
    const body = { gauge: 'g', at, level: 1 };
    assert.equal(upgrade('reading', body, 2, zeros, new Date(at)), body);
    assert.equal(up('device', { tag: 'K-1' }).tag, 'K-1');
  });
});
