import { NO_REMEDY, remedySays } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { spentAs, SPENDING, spentTimes, spentWords } from '#core/check/spent';
import { exposureOf } from '#core/effort/exposure';
import { OUTCOMES, type Outcome } from '#core/record/checks';
import type { Check } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import { statesOf, usualDevices } from '#core/sets/standing';
import { inches } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';
import { layFrom } from '../support/lay';

const HOUR = 3_600_000;
const START = Date.parse('2026-11-20T12:00:00Z');
const at = (hour: number): Date => new Date(START + hour * HOUR);
const STAY = 'stay';

/** A look at one device: what was found, and what was done then. */
const look = (hour: number, outcome: Outcome, change: Check['change'] = 'as it was', stay = STAY): Check => ({
  id: `v${hour}`,
  set: 's',
  took: null,
  photo: null,
  at: at(hour).toISOString(),
  by: null,
  change,
  changeNote: '',
  asked: null,
  note: '',
  devices: [
    { id: `d${hour}`, stay, outcome, cause: 'not asked', flags: [], searched: '', felt: 'not said', baitBy: 'not said', catch: null },
  ],
});
const hours = (visits: Check[], armings: number[] = [], until = 100): [number, number][] =>
  spentTimes(
    STAY,
    visits,
    armings.map((h) => at(h).toISOString()),
    at(until),
  ).map(({ from, to }) => [(from.getTime() - START) / HOUR, (to.getTime() - START) / HOUR]);

describe('a device that was left as it was found', () => {
  it('lies spent from the look to the visit that sets it again', () =>
    assert.deepEqual(hours([look(10, 'sprung empty'), look(34, 'untouched'), look(58, 'untouched', 'remade')]), [[10, 58]]));
  it('or to its arming at the bench, or to now', () => {
    assert.deepEqual(hours([look(10, 'knocked')], [20]), [[10, 20]]);
    assert.deepEqual(hours([look(10, 'knocked')], [5]), [[10, 100]]);
  });
  it('is not spent when it was set again at once, nor by the look at its neighbour', () => {
    assert.deepEqual(hours([look(10, 'catch', 'remade')]), []);
    assert.deepEqual(hours([look(10, 'catch', 'as it was', 'other')]), []);
  });
  it('a catch, a miss, an escape, mud, a lost or stolen trap, bait taken and ice leave it spent; water and a check that was not made do not', () =>
    assert.deepEqual(
      OUTCOMES.filter((o) => hours([look(10, o)]).length > 0),
      ['catch', 'sprung empty', 'knocked', 'plugged', 'miss', 'escaped', 'missing', 'stolen', 'buried', 'frozen in', 'bait taken'],
    ));
  it('the times never overlap and never end after now', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            hour: fc.integer({ min: 0, max: 120 }),
            outcome: fc.constantFrom(...OUTCOMES),
            change: fc.constantFrom('as it was' as const, 'remade' as const, 'moved' as const),
          }),
          { maxLength: 12 },
        ),
        fc.array(fc.integer({ min: 0, max: 100 }), { maxLength: 4 }),
        (looks, armings) => {
          const times = hours(
            looks.filter((l) => l.hour < 100).map((l) => look(l.hour, l.outcome, l.change)),
            armings,
          );
          return times.every(([from, to], i) => from <= to && to <= 100 && from >= (times[i - 1]?.[1] ?? 0));
        },
      ),
    ));
  it('catches nothing in those hours: of 100 in band 10 of 20 before and 48 after it count nothing (reckoned by hand)', () => {
    const standing = [{ from: at(0), to: at(100), band: null }];
    const spent = spentTimes(STAY, [look(20, 'sprung empty'), look(68, 'untouched', 'remade')], [], at(100));
    const { hoursSet, inBand } = exposureOf(standing, [{ at: at(20), before: at(0) }], [], spent);
    assert.deepEqual([hoursSet, inBand], [100, { low: 100 - 10 - 48, high: 100 - 10 - 48 }]);
  });
});

describe('what was ticked beside an outcome (12.2)', () => {
  const ticked = (flags: Check['devices'][number]['flags'], change: Check['change'] = 'as it was'): Check => {
    const visit = look(10, 'untouched', change);
    return { ...visit, devices: visit.devices.map((d) => ({ ...d, flags })) };
  };
  it('bait gone and a twisted cable fish for nothing until they are remade, a visited place fishes on', () => {
    assert.deepEqual(hours([ticked(['bait gone'])]), [[10, 100]]);
    assert.deepEqual(hours([ticked(['damaged'])], [20]), [[10, 20]]);
    assert.deepEqual(hours([ticked(['bait gone'], 'remade')]), []);
    assert.deepEqual(hours([ticked(['place visited', 'went round'])]), []);
    assert.deepEqual(hours([look(10, 'bait taken')]), [[10, 100]]);
  });
  it('the tick stands before the outcome', () => {
    assert.equal(spentAs({ outcome: 'catch', flags: ['damaged'] }), 'damaged');
    assert.equal(spentAs({ outcome: 'untouched', flags: [] }), null);
    assert.equal(spentWords({ outcome: 'bait gone', at: '2026-11-25T09:10:00Z' }, { zone: 'UTC', hours: 12 }).order, 'Bait it again');
  });
});

describe('what is said of it', () => {
  const type = setTypeOf('dive-pole');
  const place = { kind: 'run' as const, surface: 'pond' as const, bed: null };
  const layout = layFrom(type, { numbers: {}, choices: {}, pond: inches(41) }, place, usualDevices(type), 'us');
  const state = (outcome: Outcome | null, pond = 41) => {
    const spent = outcome && { outcome, at: '2026-11-25T09:10:00Z' };
    const device = { stay: STAY, position: 'trap', label: 'Trap', device: 'd', tag: 'K-1', class: 'bodyGrip' as const, size: '330' };
    const view = { layout, devices: [{ ...device, since: '', lastLook: '', spent, missed: null }] };
    const [told] = statesOf(view, { known: { pond: inches(pond) }, age: {}, atMost: {} }, plainFrame('us'));
    return told;
  };
  it('its verdict is its own, whatever the water does, and what the water asks is ordered too', () => {
    assert.equal(state(null)?.verdict, 'fine');
    const sprung = state('sprung empty');
    assert.deepEqual([sprung?.verdict, sprung?.label, sprung?.remedy.order], ['spent', 'sprung', 'Set it again']);
    assert.equal(sprung?.sentence, 'Found sprung Nov 25 9:10 am and left so. It catches nothing until it is set again.');
    assert.match(remedySays(state('sprung empty', 30)?.remedy ?? NO_REMEDY), /^Set it again\. \S+ .* 11 in\. Then works at/);
  });
  it('held by ice is frozen until it is chopped free', () =>
    assert.deepEqual([state('frozen in')?.verdict, state('frozen in')?.remedy.order], ['frozen', 'Chop it free']));
  it('every outcome that spends has its words', () => {
    for (const outcome of SPENDING) {
      const { label, sentence, order } = spentWords({ outcome, at: '2026-11-25T09:10:00Z' }, { zone: 'UTC', hours: 12 });
      assert.match(label, /^[a-z ]+$/);
      assert.match(sentence, /^Found [a-z ]+ Nov 25/);
      assert.match(order, /^[A-Z].*[a-z]$/);
    }
  });
});
