import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import ICAL from 'ical.js';
import { clockTyped, LETTERS, outcomeOf } from '#core/run/letters';
import { OUTCOMES } from '#core/record/checks';
import fc from 'fast-check';
import { MOST_AWAY, whileAway } from '#core/run/away';
import { appointmentsOf, type OwedCheck } from '#core/time/appointments';
import { toCalendar } from '../../src/lib/exchange/calendar';

/** The round beside the screen: on paper, and in a calendar. */

describe('a letter on the paper', () => {
  it('is one for each outcome, and comes back however it was written', () => {
    assert.equal(new Set(Object.values(LETTERS)).size, OUTCOMES.length);
    for (const outcome of OUTCOMES) {
      assert.match(LETTERS[outcome], /^[a-z]$/);
      assert.deepEqual([LETTERS[outcome], ` ${LETTERS[outcome].toUpperCase()} `, outcome].map(outcomeOf), [outcome, outcome, outcome]);
    }
  });
  it('that is none is no outcome', () => assert.deepEqual(['q', '', 'untouche', 'uu'].map(outcomeOf), [null, null, null, null]));
});

describe('a time as it is scribbled', () => {
  for (const [text, time] of [
    ['815', '08:15'],
    ['8:15', '08:15'],
    ['0815', '08:15'],
    ['8.15', '08:15'],
    ['8', '08:00'],
    ['8:15 pm', '20:15'],
    ['12:05am', '00:05'],
    ['12:05pm', '12:05'],
    ['2359', '23:59'],
    ['24:00', null],
    ['8:75', null],
    ['noon', null],
    ['', null],
  ] as const)
    it(`“${text}” is ${time ?? 'none'}`, () => assert.equal(clockTyped(text), time));
});

const clock = { zone: 'America/Chicago', hours: 12 as const };
const pond = { id: 'w1', name: 'Header Pond' };
const check = (set: string, deadline: string, over: Partial<OwedCheck> = {}): OwedCheck => ({
  ...{ set, name: set, water: pond, deadline: new Date(deadline), minutes: 5 },
  ...over,
});

describe('what has a date', () => {
  const all = appointmentsOf(
    {
      checks: [
        check('12 east run', '2026-11-25T15:20:00Z'),
        check('15 west run', '2026-11-25T15:00:00Z'),
        check('81 low lodge', '2026-11-25T19:00:00Z', { water: { id: 'w2', name: 'Moss Slough' }, minutes: 30 }),
        // after midnight at the line, though the same day in Greenwich
        check('20 point', '2026-11-26T06:30:00Z'),
      ],
      opens: [{ id: 's9', name: '41 head gate mound', date: '2026-12-01' }],
      lookBacks: [{ id: 'k1', name: 'Race pair', date: '2026-12-14' }],
      duties: [{ id: 'c1 otter', what: 'otter at 35', whom: 'the district', by: new Date('2026-11-26T12:00:00Z') }],
    },
    clock,
  );
  it('is one appointment a water and a day, that ends at the first deadline and is as long as the work at its sets', () => {
    assert.deepEqual(
      all.map((a) => a.title),
      [
        'Check 2 sets at Header Pond by 9:00 am',
        'Check 81 low lodge at Moss Slough by 1:00 pm',
        'Check 20 point at Header Pond by 12:30 am',
        'Tell the district: otter at 35',
        'May be set: 41 head gate mound',
        'Look again: Race pair',
      ],
    );
    const [first] = all;
    assert.ok(first && 'from' in first.when);
    assert.equal(first.when.to.getTime() - first.when.from.getTime(), 10 * 60_000);
    assert.equal(first.note, '15 west run: by 9:00 am\n12 east run: by 9:20 am');
  });
  it('is read back by a reader of iCalendar as it was told: times in UTC, opening days as whole days, a line longer than 75 folded', () => {
    const [one] = all;
    assert.ok(one);
    const long = { ...one, note: `${'a very long note; with, signs\\ of its own '.repeat(6)}end` };
    const text = toCalendar([long, ...all.slice(1)], new Date('2026-11-25T11:22:00Z'));
    assert.ok(text.split('\r\n').every((line) => Buffer.byteLength(line) <= 75));
    assert.match(text, /^BEGIN:VCALENDAR\r\n/);
    assert.match(text, /\r\nDTSTART:20261125T145000Z\r\nDTEND:20261125T150000Z\r\n/);
    assert.match(text, /\r\nDTSTART;VALUE=DATE:20261201\r\n/);
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    assert.deepEqual(
      events.map((e) => e.summary),
      all.map((a) => a.title),
    );
    assert.equal(events[0]?.description, long.note);
    assert.equal(events[0]?.endDate.toJSDate().toISOString(), '2026-11-25T15:00:00.000Z');
    const opens = events.find((e) => e.summary.startsWith('May be set'));
    assert.deepEqual([opens?.startDate.isDate, opens?.startDate.toString()], [true, '2026-12-01']);
    assert.equal(new Set(events.map((e) => e.uid)).size, events.length);
  });
});

describe('days on which nobody can come', () => {
  const zone = 'America/Chicago';
  const place = { lat: 45.5, lon: -90.5 };
  const away = { leaving: new Date('2026-11-26T23:00:00Z'), back: new Date('2026-11-29T13:00:00Z'), zone, place };
  const set = (id: string, every: Parameters<typeof whileAway>[0][number]['every'], deadline: Date | null = null) => ({
    id,
    every,
    deadline,
  });
  it('a set of every 24 hours owes two checks from Thursday 5 pm to Sunday 7 am, one of every day two, a weekly one none', () => {
    const found = whileAway(
      [
        set('weekly', { kind: 'calendarDay', days: 7 }),
        set('daily', { kind: 'calendarDay', days: 1 }),
        set('hours', { kind: 'elapsed', hours: 24 }),
      ],
      away,
    );
    assert.deepEqual(
      found.map((f) => [f.id, f.stays, f.checks.map((c) => c.toISOString())]),
      [
        ['hours', false, ['2026-11-27T23:00:00.000Z', '2026-11-28T23:00:00.000Z']],
        ['daily', false, ['2026-11-28T06:00:00.000Z', '2026-11-29T06:00:00.000Z']],
        ['weekly', true, []],
      ],
    );
  });
  it('says what is owed even before the leaving', () => {
    const due = new Date('2026-11-26T15:00:00Z');
    assert.deepEqual(
      whileAway([set('a', { kind: 'elapsed', hours: 24 }, due), set('b', { kind: 'elapsed', hours: 24 }, away.back)], away).map(
        (f) => f.owedBefore,
      ),
      [due, null],
    );
  });
  it('over the end of daylight time a day has 25 hours: a set of every day is owed by midnight all the same', () => {
    const autumn = { ...away, leaving: new Date('2026-10-31T22:00:00Z'), back: new Date('2026-11-02T13:00:00Z') };
    assert.deepEqual(whileAway([set('d', { kind: 'calendarDay', days: 1 })], autumn)[0]?.checks, [new Date('2026-11-02T06:00:00Z')]);
  });
  it('back before leaving is refused, and more than 90 days', () => {
    assert.throws(() => whileAway([], { ...away, back: away.leaving }), RangeError);
    const late = new Date(away.leaving.getTime() + (MOST_AWAY * 24 + 1) * 3_600_000);
    assert.throws(() => whileAway([], { ...away, back: late }), RangeError);
  });
  it('counts every check of a set of four hours in ten days', () => {
    const back = new Date(away.leaving.getTime() + 10 * 86_400_000);
    assert.equal(whileAway([set('often', { kind: 'elapsed', hours: 4 })], { ...away, back })[0]?.checks.length, 59);
  });
  it('stays exactly where nothing falls due, and never owes a check outside of the time away', () =>
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 200 }), fc.integer({ min: 1, max: 400 }), (hours, gone) => {
        const back = new Date(away.leaving.getTime() + gone * 3_600_000);
        const [found] = whileAway([set('a', { kind: 'elapsed', hours })], { ...away, back });
        assert.ok(found);
        assert.equal(found.checks.length, Math.ceil(gone / hours) - 1);
        assert.equal(found.stays, found.checks.length === 0);
        assert.ok(found.checks.every((c) => c > away.leaving && c < back));
      }),
    ));
});
