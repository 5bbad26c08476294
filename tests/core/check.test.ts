import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { asksNow, likelyOutcome, oneChange, untouchedInARow, WHERE_MISSING } from '#core/check/advice';
import { seenAsLevel } from '#core/check/seenAsLevel';
import { countWord, movedSays, setsSay } from '#core/morning/headline';
import { doingAt } from '#core/ahead/doing';
import type { Verdict } from '#core/water/need';
import { NO_REMEDY } from '#core/water/remedy';
import type { DeviceState } from '#core/water/state';
import { setTypeOf } from '#core/sets/catalogue';
import { usualDevices } from '#core/sets/standing';
import { seeded } from '#core/sim/random';
import { simulatePond, simulateStream, simulateWeather } from '#core/sim/season';
import { inches } from '#core/units/factors';
import { layFrom, US } from '../support/lay';

const visit = (...outcomes: string[]) =>
  ({ devices: outcomes.map((outcome) => ({ outcome })) }) as Parameters<typeof untouchedInARow>[0][number];

describe('a check', () => {
  it('begins with what the level already says', () => {
    assert.deepEqual((['fine', 'outOfWater', 'tooDeep', 'heldUnder', 'frozen', 'unknown', 'aground'] as const).map(likelyOutcome), [
      'untouched',
      'out of water',
      'flooded',
      'flooded',
      'frozen in',
      'untouched',
      'out of water',
    ]);
  });
  it('counts untouched in a row, newest first, all devices of a visit', () => {
    assert.equal(untouchedInARow([visit('untouched'), visit('untouched', 'untouched'), visit('catch'), visit('untouched')]), 2);
    assert.equal(untouchedInARow([visit('untouched', 'miss')]), 0);
    assert.equal(untouchedInARow([]), 0);
  });
  it('asks at the second, not at the first', () => {
    assert.equal(asksNow([visit('catch')]), false);
    assert.equal(asksNow([visit('untouched')]), true);
  });
  it('offers one change by what is answered (common practice, no source)', () => {
    const answer = (seenOnCamera: string, inUse: string, usedBefore = '') => oneChange({ seenOnCamera, inUse, usedBefore }, ['bodyGrip']);
    assert.match(answer('no', 'no'), /not in use/);
    assert.match(answer('yes', 'yes'), /change tonight/);
    assert.match(answer('no', 'yes', 'body-grips'), /bare snare/);
    assert.match(answer('no', 'yes'), /one more night/);
    assert.match(answer('do not know', 'do not know'), /fresh sign/);
    assert.match(oneChange({ seenOnCamera: 'no', inUse: 'yes', usedBefore: 'snares' }, ['snare']), /foothold/);
    for (const stands of ['snare', 'foothold', 'bodyGrip'] as const)
      for (const usedBefore of ['body-grips', 'snares', 'footholds'])
        // what stands there is never offered (F99)
        assert.doesNotMatch(
          oneChange({ seenOnCamera: 'no', inUse: 'yes', usedBefore }, [stands]).replace(/^.*: /, ''),
          { snare: /snare/, foothold: /foothold/, bodyGrip: /body-grip/ }[stands],
        );
  });
  it('looks for a missing trap from the anchor outward and on the camera last', () => {
    assert.match(WHERE_MISSING[0] ?? '', /anchor/);
    assert.match(WHERE_MISSING.at(-1) ?? '', /camera/);
  });
});

describe('a set as a gauge', () => {
  const POND = inches(41);
  const place = { kind: 'castor mound' as const, surface: 'pond' as const, bed: null };
  const lay = (id: string, numbers = {}) =>
    layFrom(setTypeOf(id), { numbers, choices: {}, pond: POND, tail: inches(10) }, place, usualDevices(setTypeOf(id)), 'us');
  const seen = (text: string, id = 'castor-foothold', device = 'trap') =>
    seenAsLevel(text, { layout: lay(id), device, known: { pond: POND, tail: inches(10) } }, 'in');
  const level = (text: string, id?: string, device?: string) => {
    const read = seen(text, id, device);
    return read.ok ? Math.round((read.level / 0.0254) * 100) / 100 : read.sentence;
  };

  it('pan 4 in dry is a reading: the pan was set 3 in under 41, so the level is 34', () =>
    assert.deepEqual([level('pan 4 in dry'), level('4 dry'), level('The pan 4" dry')], [34, 34, 34]));
  it('3 in under is one too', () => assert.equal(level('3 in under'), 41));
  it('dry alone is an upper bound', () =>
    assert.deepEqual(seen('dry'), { ok: true, surface: 'pond', level: POND - inches(3), bound: 'atMost' }));
  it('of a loop speaks of its lowest point', () =>
    assert.equal(level('lowest point 2 in dry', 'channel-snare', 'snare'), 41 - 6.67 - 2 - 0.0));
  it('on the lower face of a dam it reads the tailwater', () => {
    const read = seen('top 14 in over', 'dam-crossover-face');
    assert.ok(read.ok && read.surface === 'tail' && Math.abs(read.level - inches(10)) < 1e-9);
  });
  it('a float tells nothing, and nonsense is refused with an example', () => {
    assert.match(String(level('3 in under', 'float', 'left')), /follows the water/);
    assert.match(String(level('quite wet')), /pan 4 in dry/);
    assert.match(String(level('abc dry')), /not a length/);
  });
  it('what is said back and forth is the same level', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 80 }), fc.constantFrom('dry', 'under'), (quarters, word) => {
        const inchesOver = quarters / 4;
        const expected = 38 + (word === 'dry' ? -inchesOver : inchesOver);
        return Math.abs((level(`${inchesOver} in ${word}`) as number) - expected) < 0.01;
      }),
    );
  });
});

const MORNING = new Date('2026-11-25T11:22:00Z');
/** Two readings, in inches over the datum: yesterday at 16:45 and this morning. */
const read = (before: number, last: number) => ({
  from: { at: new Date('2026-11-24T16:45:00Z'), level: inches(before), bound: 'exact' as const },
  to: { at: new Date('2026-11-25T11:10:00Z'), level: inches(last), bound: 'exact' as const },
});

const stood = (...verdicts: Verdict[]) => setsSay(verdicts.map((verdict) => ({ verdict })));

describe('what stands over the rounds', () => {
  it('the water that moved most, from which reading to which, and how the sets stand', () => {
    const moved = movedSays(
      [
        { name: 'Header Pond', change: read(42.5, 33.25), read: MORNING, frame: { ...US, zero: { pond: inches(2), tail: 0 } } },
        { name: 'Race', change: read(20, 22), read: MORNING, frame: US },
      ],
      MORNING,
    );
    assert.equal(moved, 'Header Pond fell 9¼ in since yesterday 4:45 pm, 40½ in to 31¼ in.');
    assert.equal(stood('outOfWater', 'outOfWater', 'nearEdge', 'fine'), 'Two sets not working, one near the limit.');
  });
  it('does not say that water held which nobody read', () => {
    const race = { name: 'Race', change: null, read: new Date('2026-11-25T11:00:00Z'), frame: US };
    assert.equal(movedSays([race], MORNING), 'No earlier reading to compare.');
    assert.equal(movedSays([{ ...race, read: null }], MORNING), 'No water was read yet.');
    assert.equal(
      movedSays([{ ...race, read: new Date('2026-11-24T10:22:00Z') }], MORNING),
      'Not read since yesterday 10:22 am.',
      'two readings there may be, both old: none of them tells of this night',
    );
    assert.equal(stood('unknown'), 'One without a reading.');
    assert.equal(
      movedSays(
        [
          { ...race, change: read(20, 20) },
          { ...race, name: 'Pond' },
        ],
        MORNING,
      ),
      'What was read held within an inch.',
    );
    assert.deepEqual([stood('fine'), stood()], ['Every set is working.', 'No set is live.']);
    assert.equal(setsSay([{ verdict: 'fine' }, { verdict: 'fine', foretold: true }]), 'Every set is working, by the forecast.');
    assert.equal(countWord(40), '40');
  });
});

describe('what is done at a set', () => {
  const state = (verdict: DeviceState['verdict'], more: Partial<DeviceState> = {}): DeviceState => ({
    ...{ device: 'trap', verdict, axis: 'pond' as const, level: 1, band: null, aim: null, perhaps: null, label: '', spare: null },
    ...{ sentence: 'The pan is dry.', beyond: '', remedy: NO_REMEDY, ...more },
  });
  const lower = (n: number) => ({ order: `Lower it ${n} in`, then: 'Then works.', by: -inches(n) });
  const outlook = { sentence: 'Dry by ten.', remedy: lower(10), tells: true, idle: true };

  it('the forecast’s change stands before the one for the level now: one figure in every room', () => {
    const doing = doingAt(state('outOfWater', { remedy: lower(8) }), outlook);
    assert.deepEqual(doing, { order: 'Lower it 10 in', why: 'The pan is dry. Dry by ten. Then works.', by: -inches(10), isRemade: true });
    assert.equal(doingAt(state('outOfWater', { remedy: lower(8) }), { ...outlook, remedy: NO_REMEDY }).order, 'Lower it 8 in');
    assert.equal(doingAt(state('outOfWater', { remedy: lower(8) }), null).by, -inches(8));
  });
  it('what hands do not reach is not changed', () => {
    const doing = doingAt(state('fine', { beyond: 'It lies 40 in deep.', remedy: lower(8) }), outlook);
    assert.match(doing.order, /^Out of reach/);
    assert.equal(doing.by, 0);
    assert.match(doing.why, /40 in deep/);
  });
  it('else its type says what to look at', () => {
    const order = (verdict: DeviceState['verdict'], type = 'float'): string => doingAt(state(verdict), null, setTypeOf(type).looks).order;
    assert.match(order('unknown'), /read the gauge/);
    assert.match(order('heldUnder'), /slack/);
    assert.match(order('aground'), /deeper/);
    assert.match(order('fine'), /float level/);
    assert.match(order('fine', 'dam-crossover-face'), /from below/);
    assert.equal(order('fine', 'lodge-run'), 'Look');
    assert.deepEqual(doingAt(null, null), { order: 'Look', why: '', by: 0, isRemade: false });
  });
});

describe('the simulated season', () => {
  const weather = simulateWeather(7, 22, 15);
  it('is the same for the same seed', () => {
    assert.deepEqual(simulateWeather(7, 22, 15), weather);
    const [a, b] = [seeded(3), seeded(3)];
    assert.deepEqual([a(), a()], [b(), b()]);
  });
  it('drops the pond in the last night and lifts the stream after the storm', () => {
    const pond = simulatePond(1, weather, inches(41), inches(9.25));
    assert.ok(Math.abs((pond.evening[20] ?? 0) - (pond.morning[21] ?? 0) - inches(9.25)) < 1e-9);
    const stream = simulateStream(1, weather, inches(18), inches(6));
    assert.ok((stream.evening[15] ?? 0) - (stream.evening[14] ?? 0) > inches(8));
    assert.ok((stream.evening[19] ?? 0) < (stream.evening[15] ?? 0) - inches(6));
  });
});
