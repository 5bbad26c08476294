import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { asksNow, likelyOutcome, oneChange, untouchedInARow, WHERE_MISSING } from '#core/check/advice';
import { seenAsLevel } from '#core/check/seenAsLevel';
import { countWord, headline, instruction } from '#core/morning/headline';
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
  });
  it('looks for a missing trap from the tie outward and on the camera last', () => {
    assert.match(WHERE_MISSING[0] ?? '', /tie/);
    assert.match(WHERE_MISSING.at(-1) ?? '', /camera/);
  });
});

describe('a set as a gauge', () => {
  const POND = inches(41);
  const place = { kind: 'castor mound' as const, surface: 'pond' as const, bed: null };
  const lay = (id: string, numbers = {}) =>
    layFrom(setTypeOf(id), { numbers, choices: {}, pond: POND, tail: inches(10) }, place, usualDevices(setTypeOf(id)), 'us');
  const seen = (text: string, id = 'castor-foothold', device = 'trap') =>
    seenAsLevel(text, lay(id), device, { pond: POND, tail: inches(10) }, 'in');
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

describe('the headline of a morning', () => {
  it('says the water that moved most and how the sets stand', () => {
    const said = headline(
      [
        { name: 'Header Pond', change: read(42.5, 33.25), frame: { ...US, zero: { pond: inches(2), tail: 0 } } },
        { name: 'Race', change: read(20, 22), frame: US },
      ],
      ['outOfWater', 'outOfWater', 'nearEdge', 'fine'],
      MORNING,
    );
    assert.equal(said, 'Header Pond fell 9¼ in since yesterday 16:45, 40½ in to 31¼ in. Two sets not working, one near the limit.');
  });
  it('does not say that water held which nobody read', () => {
    assert.match(
      headline([{ name: 'Race', change: null, frame: US }], ['unknown'], MORNING),
      /^No earlier reading to compare. One without a reading/,
    );
    assert.match(
      headline(
        [
          { name: 'Race', change: read(20, 20), frame: US },
          { name: 'Pond', change: null, frame: US },
        ],
        ['fine'],
        MORNING,
      ),
      /What was read held within an inch. Every set is working/,
    );
    assert.equal(headline([], [], MORNING), 'No set is live.');
  });
  it('gives one instruction a set', () => {
    assert.equal(instruction('Set it 8 in lower.', 'outOfWater', setTypeOf('lodge-run').looks), 'Set it 8 in lower.');
    assert.match(instruction('', 'unknown', setTypeOf('lodge-run').looks), /read the gauge/);
    assert.match(instruction('', 'fine', setTypeOf('lodge-run').looks, 'It lies 40 in deep.'), /^Out of reach/);
    assert.match(instruction('', 'heldUnder', setTypeOf('float').looks), /slack/);
    assert.match(instruction('', 'aground', setTypeOf('float').looks), /deeper/);
    assert.match(instruction('', 'fine', setTypeOf('float').looks), /float level/);
    assert.match(instruction('', 'fine', setTypeOf('dam-crossover-face').looks), /from below/);
    assert.equal(instruction('', 'fine', setTypeOf('lodge-run').looks), 'Look.');
    assert.equal(countWord(40), '40');
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
