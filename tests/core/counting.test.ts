import { seenAtSet, seenBy } from '#core/counting/atSet';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { cameraTonight, worthOfNights, type CameraPlace } from '#core/counting/cameraTonight';
import { colonyRange, rangeText, type ColonyEvidence } from '#core/counting/colonyRange';
import { eventKey, planEvents } from '#core/counting/importEvents';
import { countOf, foundNight, nightOf, stillThere, type CameraEvent } from '#core/counting/nights';
import { contactText, tallyText, type Meeting } from '#core/counting/contacts';
import { simulateNight } from '#core/sim/camera';
import { feet } from '#core/units/factors';

const ZONE = 'America/Chicago';
const event = (at: string, count = 1, size: CameraEvent['size'] = 'large', species = 'beaver'): CameraEvent => ({
  at: new Date(at),
  species,
  count,
  size,
});

describe('what the cameras saw', () => {
  it('a night runs from noon to noon and has the date of its evening', () => {
    assert.equal(nightOf(new Date('2026-11-21T02:00:00Z'), ZONE), '2026-11-20');
    assert.equal(nightOf(new Date('2026-11-21T17:59:00Z'), ZONE), '2026-11-20');
    assert.equal(nightOf(new Date('2026-11-21T18:00:00Z'), ZONE), '2026-11-21');
  });
  it('counts most at once, size classes and nights without an event; only its species', () => {
    const events = [
      event('2026-11-20T23:40:00Z', 2, 'large'),
      event('2026-11-21T01:10:00Z', 3, 'small'),
      event('2026-11-23T00:10:00Z', 1, 'middle'),
      event('2026-11-23T01:10:00Z', 9, 'large', 'raccoon'),
    ];
    const count = countOf(events, [{ from: new Date('2026-11-20T21:00:00Z'), to: new Date('2026-11-24T15:00:00Z') }], 'beaver', ZONE);
    assert.deepEqual(
      count.nights.map((n) => [n.date, n.events, n.most]),
      [
        ['2026-11-20', 2, 3],
        ['2026-11-21', 0, 0],
        ['2026-11-22', 1, 1],
        ['2026-11-23', 0, 0],
      ],
    );
    assert.equal(count.quiet, 2);
    assert.equal(count.most?.count, 3);
    assert.deepEqual(count.sizes, { large: 2, small: 3, middle: 1 });
    assert.equal(count.floor, 6, 'two large, one middle and three small are six');
  });
  it('one more event never lowers the floor', () => {
    const any = fc.record({
      at: fc.date({ min: new Date('2026-11-01'), max: new Date('2026-11-20'), noInvalidDate: true }),
      species: fc.constant('beaver'),
      count: fc.integer({ min: 1, max: 6 }),
      size: fc.constantFrom('large', 'middle', 'small', 'unknown' as const),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), any, (events, more) => {
        const before = countOf(events, [], 'beaver', ZONE);
        const after = countOf([...events, more], [], 'beaver', ZONE);
        assert.ok(after.floor >= before.floor && after.floor >= more.count);
      }),
    );
  });
});

describe('who must still be there (common practice)', () => {
  const seen = { most: { count: 3, at: new Date('2026-11-20T23:40:00Z') }, sizes: { large: 2, middle: 0, small: 2 } };
  it('is told by size: kits in the trap are none of the two large ones', () => {
    assert.equal(stillThere(seen, []), 4);
    assert.equal(stillThere(seen, ['kit', 'kit', 'kit']), 2);
    assert.equal(stillThere(seen, ['adult', 'kit']), 2);
    assert.equal(stillThere(seen, ['unknown', 'unknown', 'adult']), 1);
    assert.equal(stillThere({ most: null, sizes: {} }, ['adult']), 0);
  });
  it('a look finds the catch of the night before its day, in the morning and in the afternoon', () => {
    assert.equal(foundNight(new Date('2026-11-21T13:00:00Z'), ZONE), '2026-11-20');
    assert.equal(foundNight(new Date('2026-11-21T22:00:00Z'), ZONE), '2026-11-20');
  });
  it('a night that was hardly watched is no silent one', () => {
    const watched = (from: string, to: string) => countOf([], [{ from: new Date(from), to: new Date(to) }], 'beaver', ZONE).quiet;
    assert.equal(watched('2026-11-20T21:00:00Z', '2026-11-21T18:00:00Z'), 1);
    assert.equal(watched('2026-11-20T21:00:00Z', '2026-11-21T22:00:00Z'), 1);
    assert.equal(watched('2026-11-20T21:00:00Z', '2026-11-22T13:00:00Z'), 2);
  });
});

describe('a first range for a colony (common practice)', () => {
  const of = (over: Partial<ColonyEvidence>) =>
    colonyRange(
      {
        floor: 0,
        young: false,
        lodgeAcross: null,
        damLength: null,
        pileExtent: null,
        told: null,
        caught: { count: 0, stillThere: 0, since: '' },
        ...over,
      },
      'us',
    );
  it('four to eight is usual', () => assert.deepEqual([of({}).low, of({}).high], [4, 8]));
  it('a small lodge is a pair’s, a large pile feeds more', () => {
    assert.deepEqual([of({ lodgeAcross: feet(9) }).low, of({ lodgeAcross: feet(9) }).high], [2, 4]);
    assert.deepEqual([of({ pileExtent: feet(25) }).low, of({ pileExtent: feet(25) }).high], [5, 9]);
  });
  it('the camera is a floor', () => assert.deepEqual([of({ floor: 10 }).low, of({ floor: 10 }).high], [10, 10]));
  it('what was caught since is taken off, with its day; the camera’s floor only by what was caught after its pictures', () => {
    const caught = { count: 3, stillThere: 0, since: '12 Nov' };
    const left = of({ caught });
    assert.deepEqual([left.low, left.high], [1, 5]);
    assert.match(left.reasons.at(-1) ?? '', /^3 caught here since 12 Nov: taken off$/);
    const six = of({ caught: { ...caught, stillThere: 6 }, floor: 7 });
    assert.deepEqual([six.low, six.high], [6, 6]);
    // more than the whole range: it is not that nobody is left
    const outrun = of({ caught: { ...caught, count: 13 } });
    assert.deepEqual([outrun.low, outrun.high, rangeText(outrun)], [0, null, 'How many beavers are left is not known.']);
    assert.match(outrun.reasons.at(-1) ?? '', /more lived here than its signs told/);
    assert.equal(rangeText({ low: 2, high: null }), '2 beavers at least are left, how many more is not known.');
    assert.equal(rangeText({ low: 4, high: 8 }), '4 to 8 beavers, as a first range.');
  });
  it('a dam too large for its lodge: look for a second', () => {
    assert.match(of({ lodgeAcross: feet(15), damLength: feet(350) }).second ?? '', /look for a second lodge/);
    assert.equal(of({ lodgeAcross: feet(15), damLength: feet(100) }).second, null);
  });
  it('never ends upside down, and never under the floor', () =>
    fc.assert(
      fc.property(
        fc.record({
          told: fc.option(
            fc.record({ low: fc.integer({ min: 1, max: 6 }), high: fc.integer({ min: 6, max: 14 }), why: fc.constant('counted') }),
          ),
          floor: fc.integer({ min: 0, max: 15 }),
          young: fc.boolean(),
          lodgeAcross: fc.option(fc.double({ min: 1, max: 12, noNaN: true })),
          damLength: fc.option(fc.double({ min: 1, max: 300, noNaN: true })),
          pileExtent: fc.option(fc.double({ min: 0, max: 12, noNaN: true })),
          caught: fc.record({
            count: fc.integer({ min: 0, max: 12 }),
            stillThere: fc.integer({ min: 0, max: 12 }),
            since: fc.constant('1 Nov'),
          }),
        }),
        (evidence) => {
          const { low, high, reasons } = colonyRange(evidence, 'us');
          assert.ok(
            low <= (high ?? Infinity) &&
              low >= (evidence.caught.count > 0 ? evidence.caught.stillThere : evidence.floor) &&
              low >= (evidence.caught.count > 0 ? 0 : 1) &&
              reasons.length > 0,
          );
        },
      ),
    ));
});

describe('where the one camera hangs tonight (common practice)', () => {
  const place = (over: Partial<CameraPlace>): CameraPlace => ({
    id: over.name ?? 'a',
    name: 'a',
    kind: 'run',
    activity: 0.9,
    untouched: null,
    mended: false,
    watched: 0,
    ...over,
  });
  it('at the question, not over the idle set', () => {
    const [first] = cameraTonight([
      place({ name: 'sure', activity: 0.95 }),
      place({ name: 'open', activity: 0.5 }),
      place({ name: 'idle', activity: 0.02, untouched: 3 }),
    ]);
    assert.equal(first?.id, 'open');
  });
  it('where what it shows changes what would be done: nothing is worth no nights, and no place less than nothing', () => {
    const worth = (over: Partial<CameraPlace>): number => worthOfNights({ ...place({ name: 'p' }), ...over });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.option(fc.nat(6)),
        fc.nat(4),
        fc.boolean(),
        (activity, untouched, watched, mended) => {
          const own = worth({ activity, untouched, watched, mended });
          assert.ok(own >= 0 && own <= 0.5, String(own));
          if (watched >= 3) assert.equal(own, 0);
        },
      ),
    );
    // a post that nobody uses, and one that everybody uses, are asked nothing
    for (const activity of [0, 0.02, 1]) assert.ok(worth({ activity }) < 0.02, String(activity));
    // by hand: shown 1 − 0.65³ of those in use, 1 − 0.97³ of the others; 0.5 · (0.8925 − 0.5) · seen
    const [shows, strays] = [1 - 0.65 ** 3, 1 - 0.97 ** 3];
    const seen = 0.5 * shows + 0.5 * strays;
    assert.ok(Math.abs(worth({ activity: 0.5 }) - seen * ((0.5 * shows) / seen - 0.5)) < 1e-12);
    // looks that found nothing open the question of a place that was thought used
    assert.ok(worth({ activity: 0.9, untouched: 3 }) > worth({ activity: 0.9, untouched: 0 }));
  });
  it('at the break when it was mended', () => {
    const [first] = cameraTonight([place({ name: 'open', activity: 0.45 }), place({ name: 'break', activity: 0.4, mended: true })]);
    assert.equal(first?.id, 'break');
    assert.match(first?.sentence ?? '', /who plugs it is the question/);
  });
  it('somewhere else after it hung there', () => {
    const [first] = cameraTonight([place({ name: 'open', activity: 0.5, watched: 3 }), place({ name: 'other', activity: 0.4 })]);
    assert.equal(first?.id, 'other');
  });
});

describe('a camera’s table', () => {
  const row = (over: Record<string, string> = {}) => ({
    time: '2026-11-20 18:42',
    camera: 'C1',
    species: 'beaver',
    count: '2',
    'size class': 'large',
    ...over,
  });
  it('takes local times in the line’s zone and times with an offset', () => {
    const { fresh } = planEvents([row(), row({ time: '2026-11-20T19:00:00-06:00' })], new Set(), ZONE);
    assert.deepEqual(
      fresh.map((e) => e.at),
      ['2026-11-21T00:42:00.000Z', '2026-11-21T01:00:00.000Z'],
    );
  });
  it('knows an event again: twice in the table, or in the record', () => {
    const first = planEvents([row(), row()], new Set(), ZONE);
    assert.deepEqual([first.fresh.length, first.here], [1, 1]);
    const again = planEvents([row()], new Set(first.fresh.map(eventKey)), ZONE);
    assert.deepEqual([again.fresh.length, again.here], [0, 1]);
  });
  for (const [what, over, say] of [
    ['a time that is none', { time: 'dusk' }, /not a date and time/],
    ['an animal that is none', { species: 'unicorn' }, /not one of: beaver/],
    ['a count of nothing', { count: '0' }, /not a count/],
    ['a size that is none', { 'size class': 'huge' }, /not one of: large/],
    ['an hour that the clocks skip', { time: '2026-03-08 02:30' }, /skip/],
  ] as const)
    it(`${what} is refused with its row and reason`, () => {
      const { refused, fresh } = planEvents([row(), row(over)], new Set(), ZONE);
      assert.equal(fresh.length, 1);
      assert.equal(refused[0]?.row, 3);
      assert.match(refused[0]?.reason ?? '', say);
    });
});

describe('the simulated camera', () => {
  const [sunset, sunrise] = [new Date('2026-11-20T22:25:00Z'), new Date('2026-11-21T13:10:00Z')];
  it('is the same for the same seed, and sees only what lives there, at night', () => {
    const family = { species: 'beaver', large: 2, middle: 0, small: 1, passes: 6 };
    assert.deepEqual(simulateNight(5, sunset, sunrise, family), simulateNight(5, sunset, sunrise, family));
    for (let seed = 0; seed < 40; seed += 1)
      for (const e of simulateNight(seed, sunset, sunrise, family)) {
        assert.ok(e.at >= sunset && e.at <= sunrise && e.size !== 'middle' && e.count <= 2);
      }
    assert.deepEqual(simulateNight(5, sunset, sunrise, { ...family, large: 0, small: 0 }), []);
  });
});

describe('a camera at a set (F56)', () => {
  const event = (hour: number, did: 'went round' | 'passed' | 'over it' | 'not seen') => ({
    at: new Date(Date.UTC(2026, 10, 24, hour)),
    species: 'beaver',
    did,
    set: null,
  });
  it('tells what it saw since the last look, and what those that went round ask for', () => {
    const events = [event(2, 'went round'), event(3, 'went round'), event(4, 'passed')];
    assert.match(
      seenAtSet(events, new Date(Date.UTC(2026, 10, 24, 1))),
      /^The camera here saw 3 animals .*\(beaver\); 2 went round: close the gap/,
    );
    assert.match(seenAtSet(events, new Date(Date.UTC(2026, 10, 24, 3, 30))), /saw 1 animal .*; 1 passed it\.$/);
    assert.match(seenAtSet([event(2, 'over it')], null), /went over it: put it higher, or a pole over it/);
    assert.equal(seenAtSet(events, new Date(Date.UTC(2026, 10, 24, 5))), '');
  });
  it('a camera before one set tells nothing of the other at its place', () => {
    const events = [event(2, 'went round'), { ...event(3, 'passed'), set: 'a' }, { ...event(4, 'over it'), set: 'b' }];
    assert.deepEqual(
      seenBy(events, 'a').map((e) => e.did),
      ['went round', 'passed'],
    );
    assert.doesNotMatch(seenAtSet(seenBy(events, 'a'), null), /over it/);
  });
  it('what it did is read from a file, and a word that is none is refused with its row', () => {
    const row = { time: '2026-11-24T02:00:00Z', species: 'beaver', did: 'Went round' };
    assert.equal(planEvents([row], new Set(), ZONE).fresh[0]?.did, 'went round');
    assert.match(
      planEvents([{ ...row, did: 'danced' }], new Set(), ZONE).refused[0]?.reason ?? '',
      /“danced” is not one of: not seen, passed/,
    );
  });
});

describe('what a colony met', () => {
  const visit = (day: number, outcome: Meeting['devices'][number]['outcome'], bites?: 'fresh' | 'none'): Meeting => ({
    at: new Date(Date.UTC(2026, 10, day, 14)),
    devices: [{ outcome, catch: bites ? { species: 'beaver', bites } : null }],
  });
  it('where nothing was caught no check is counted from a last catch (F66)', () => {
    assert.deepEqual(contactText([visit(3, 'untouched'), visit(4, 'miss')]), [
      'Met a trap and got away: 1 miss.',
      '2 checks, nothing caught yet.',
    ]);
    assert.deepEqual(contactText([]), ['No set was checked here yet.']);
  });
  it('the checks after the last catch are counted, in whatever order they come, and fresh bite marks name others (F65)', () => {
    assert.deepEqual(
      contactText([visit(6, 'untouched'), visit(4, 'catch', 'fresh'), visit(2, 'catch', 'none'), visit(5, 'miss'), visit(3, 'miss')]),
      [
        'Met a trap and got away: 2 misses.',
        '2 checks of a set since the last catch.',
        '1 catch with fresh bite marks: others were near (rule of thumb).',
      ],
    );
    assert.equal(contactText([visit(3, 'miss'), visit(4, 'catch', 'none')])[1], 'The last check had a catch.');
  });
  it('a tally has the animal met most first', () => {
    assert.equal(tallyText(['mink', 'beaver', 'muskrat', 'beaver', 'muskrat', 'beaver']), '3 beaver, 2 muskrat, 1 mink');
    assert.equal(tallyText([]), '');
  });
});
