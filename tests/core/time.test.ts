import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import * as astronomy from 'astronomy-engine';
import fc from 'fast-check';
import { DateTime } from 'luxon';
import { dayStrip } from '#core/time/dayStrip';
import { deadlineAfter, latestStart, nightsOf, ruleText, setDeadline, type CheckRule } from '#core/time/deadline';
import { clockOf, clockText, datedText, dateText, spanText, wallSaid, whenText, type Hours } from '#core/time/clock';
import { addDays, instantOf, readLocalTime, toField, wholeMinute } from '#core/time/localTime';
import { seasonOf } from '#core/time/season';
import { lastLight, sunOf } from '#core/time/sun';

const zone = 'America/Chicago';
const place = { lat: 46.1, lon: -91.4 };

describe('local time', () => {
  it('is read in the zone of the line', () => {
    const read = readLocalTime('2026-11-25T07:31', zone);
    assert.deepEqual(read, { ok: true, at: new Date('2026-11-25T13:31:00Z') });
  });
  it('a time that the clocks skip is refused', () => {
    const read = readLocalTime('2026-03-08T02:30', zone);
    assert.match(read.ok ? '' : read.sentence, /skip 02:30 on 2026-03-08/);
    for (const [hours, said] of [
      [12, 'The clocks skip 2:30 am on Mar 8, 2026:'],
      [24, 'The clocks skip 02:30 on 8 Mar 2026:'],
    ] as const) {
      const told = readLocalTime('2026-03-08T02:30', zone, null, wallSaid(hours));
      assert.ok(!told.ok && told.sentence.startsWith(said), said);
    }
  });
  it('a time that the clocks repeat is asked, and either can be meant', () => {
    const asked = readLocalTime('2026-11-01T01:30', zone);
    assert.match(asked.ok ? '' : asked.sentence, /twice/);
    assert.deepEqual(readLocalTime('2026-11-01T01:30', zone, 'first'), { ok: true, at: new Date('2026-11-01T06:30:00Z') });
    assert.deepEqual(readLocalTime('2026-11-01T01:30', zone, 'second'), { ok: true, at: new Date('2026-11-01T07:30:00Z') });
  });
  it('nonsense is refused with an example', () => {
    for (const bad of ['', 'noon', '2026-13-40T07:00', '2026-11-25'])
      assert.match(JSON.stringify(readLocalTime(bad, zone)), /Write it like/);
  });
  it('what a field shows reads back to the same minute', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('2026-01-01'), max: new Date('2026-12-31'), noInvalidDate: true }), (date) => {
        const at = wholeMinute(date);
        const first = readLocalTime(toField(at, zone), zone, 'first');
        const second = readLocalTime(toField(at, zone), zone, 'second');
        return first.ok && second.ok && [first.at.getTime(), second.at.getTime()].includes(at.getTime());
      }),
    );
  });
  it('says yesterday and tomorrow by the calendar', () => {
    const now = new Date('2026-11-25T11:22:00Z');
    const told = (hours: Hours) =>
      ['2026-11-24T23:00:00Z', '2026-11-25T15:30:00Z', '2026-11-26T15:30:00Z', '2026-11-12T15:30:00Z'].map((at) =>
        whenText(new Date(at), now, { zone, hours }),
      );
    assert.deepEqual(told(12), ['yesterday 5:00 pm', '9:30 am', 'tomorrow 9:30 am', 'Nov 12 9:30 am']);
    assert.deepEqual(told(24), ['yesterday 17:00', '09:30', 'tomorrow 09:30', '12 Nov 09:30']);
  });
  it('a clock of twelve hours says the same minute as luxon does, at noon and midnight too', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
        const at = DateTime.fromISO('2026-12-08T00:00', { zone }).plus({ minutes: minute });
        const twelve = { zone, hours: 12 as const };
        assert.equal(clockText(at.toJSDate(), twelve), at.toFormat('h:mm a').toLowerCase());
        assert.equal(datedText(at.toJSDate(), twelve), `Dec 8, 2026 ${clockText(at.toJSDate(), twelve)}`);
      }),
    );
  });
  it('what is told on twelve hours may be typed so', () => {
    assert.deepEqual(readLocalTime('2026-12-08 3:12 pm', zone), readLocalTime('2026-12-08T15:12', zone));
    assert.deepEqual(readLocalTime('2026-12-08 12:05 AM', zone), readLocalTime('2026-12-08T00:05', zone));
    assert.equal(readLocalTime('2026-12-08 15:12 pm', zone).ok, false);
  });
  it('hours and dates go with the units until somebody says otherwise', () => {
    assert.deepEqual(
      [
        clockOf({ times: null, system: 'us' }, zone),
        clockOf({ times: null, system: 'metric' }, zone),
        clockOf({ times: '24h', system: 'us' }, zone),
      ].map(({ hours }) => hours),
      [12, 24, 24],
    );
  });
  it('spans are spoken', () => {
    assert.deepEqual(
      [40, 60, 185, 48 * 60].map((m) => spanText(m * 60_000)),
      ['40 min', '1 h', '3 h 05 min', '2 days'],
    );
  });
});

describe('the sun', () => {
  it('rises and sets within 60 s of astronomy-engine through a year', () => {
    const observer = new astronomy.Observer(place.lat, place.lon, 0);
    for (let month = 1; month <= 12; month += 1) {
      const date = `2026-${String(month).padStart(2, '0')}-15`;
      const sun = sunOf(date, zone, place);
      const midnight = instantOf(date, '00:00', zone);
      const rise = astronomy.SearchRiseSet(astronomy.Body.Sun, observer, +1, midnight, 1);
      const set = astronomy.SearchRiseSet(astronomy.Body.Sun, observer, -1, midnight, 1);
      const dawn = astronomy.SearchAltitude(astronomy.Body.Sun, observer, +1, midnight, 1, -6);
      for (const [ours, theirs] of [
        [sun.sunrise, rise],
        [sun.sunset, set],
        [sun.dawn, dawn],
      ] as const) {
        assert.ok(ours && theirs && Math.abs(ours.getTime() - theirs.date.getTime()) < 60_000, `${date}: ${ours} against ${theirs?.date}`);
      }
    }
  });
  it('never setting leaves the end of the date as the last light', () => {
    assert.deepEqual(
      lastLight('2026-06-21', 'Arctic/Longyearbyen', { lat: 78.2, lon: 15.6 }, 30),
      instantOf('2026-06-22', '00:00', 'Arctic/Longyearbyen'),
    );
  });
});

describe('a deadline', () => {
  const since = new Date('2026-10-31T13:00:00Z'); // 08:00 local, the day before the clocks go back
  it('of 24 hours is elapsed time, also over a clock change', () => {
    assert.deepEqual(deadlineAfter(since, { kind: 'elapsed', hours: 24 }, zone, place), new Date('2026-11-01T13:00:00Z'));
  });
  it('of every day is the end of the next local date', () => {
    assert.deepEqual(deadlineAfter(since, { kind: 'calendarDay', days: 1 }, zone, place), new Date('2026-11-02T06:00:00Z'));
  });
  it('by daylight ends with the last light of the next date', () => {
    const rule: CheckRule = { kind: 'daylight', days: 1, after: 30 };
    assert.deepEqual(deadlineAfter(since, rule, zone, place), lastLight('2026-11-01', zone, place, 30));
    assert.equal(ruleText(rule), 'every day, by 30 min after sunset');
    const allowed = [
      rule,
      { kind: 'elapsed', hours: 72 },
      { kind: 'elapsed', hours: 12 },
      { kind: 'calendarDay', days: 2 },
    ] satisfies CheckRule[];
    assert.deepEqual(allowed.map(nightsOf), [1, 3, 1, 2]);
  });
  it('of a set is the earliest of its devices', () => {
    const later = new Date(since.getTime() + 3_600_000);
    assert.deepEqual(setDeadline([later, since], { kind: 'elapsed', hours: 24 }, zone, place), new Date('2026-11-01T13:00:00Z'));
    assert.equal(setDeadline([], { kind: 'elapsed', hours: 24 }, zone, place), null);
  });
  it('never comes earlier when the look was later', () => {
    const rules: CheckRule[] = [
      { kind: 'elapsed', hours: 24 },
      { kind: 'calendarDay', days: 1 },
      { kind: 'daylight', days: 2, after: 30 },
    ];
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 * 1440 }),
        fc.integer({ min: 0, max: 2880 }),
        fc.constantFrom(...rules),
        (start, more, rule) => {
          const a = new Date(Date.UTC(2026, 0, 1) + start * 60_000);
          const b = new Date(a.getTime() + more * 60_000);
          return deadlineAfter(a, rule, zone, place) <= deadlineAfter(b, rule, zone, place);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('sets the latest start by the tightest of them', () => {
    const at = (clock: string) => instantOf('2026-11-25', clock, zone);
    const owed = (clock: string, minutes = 5) => ({ at: at(clock), minutes });
    assert.deepEqual(latestStart([owed('10:00'), owed('09:30'), owed('09:31')]), at('09:21'));
    // a hole through a foot of ice is half an hour (F106)
    assert.deepEqual(latestStart([owed('09:30'), owed('10:00', 30)]), at('09:25'));
    assert.equal(latestStart([]), null);
  });
});

describe('the day strip', () => {
  const now = instantOf('2026-11-25', '05:22', zone);
  const strip = dayStrip(now, { zone, hours: 12 }, place, [
    { set: 'a', at: instantOf('2026-11-25', '09:30', zone) },
    { set: 'b', at: instantOf('2026-11-25', '02:00', zone) },
    { set: 'c', at: instantOf('2026-11-26', '09:30', zone) },
  ]);
  it('runs from night to night without a gap', () => {
    assert.deepEqual(
      strip.lights.map((l) => l.light),
      ['night', 'twilight', 'day', 'twilight', 'night'],
    );
    assert.equal(strip.lights[0]?.start, 0);
    assert.equal(strip.lights.at(-1)?.end, 1);
    strip.lights.slice(1).forEach((l, i) => assert.equal(l.start, strip.lights[i]?.end));
  });
  it('keeps an overdue set in sight and counts what comes later', () => {
    assert.deepEqual(
      strip.deadlines.map((d) => [d.set, d.overdue]),
      [
        ['a', false],
        ['b', true],
      ],
    );
    assert.equal(strip.deadlines[1]?.at, 0);
    assert.equal(strip.later, 1);
  });
  it('before three in the morning still shows the evening behind it', () => {
    const early = dayStrip(instantOf('2026-11-25', '01:10', zone), { zone, hours: 12 }, place, []);
    assert.deepEqual(early.from, instantOf('2026-11-24', '03:00', zone));
  });
  it('a day on which clocks change has 23 or 25 hours and whole labels', () => {
    const short = dayStrip(instantOf('2026-03-07', '12:00', zone), { zone, hours: 12 }, place, []);
    assert.equal((short.to.getTime() - short.from.getTime()) / 3_600_000, 23);
    assert.ok(short.hours.every(({ text }) => /^(3|6|9|noon|midnight)$/.test(text)));
  });
  it('counts dates over a month', () => assert.equal(addDays('2026-11-30', 1), '2026-12-01'));
});

describe('dates for the eye', () => {
  it('a date is told without its year while it is this one’s', () => {
    assert.equal(dateText('2026-12-05', '2026-11-25', 24), '5 Dec');
    assert.equal(dateText('2027-01-03', '2026-11-25', 24), '3 Jan 2027');
    assert.deepEqual([dateText('2026-12-05', '2026-11-25', 12), dateText('2027-01-03', '2026-11-25', 12)], ['Dec 5', 'Jan 3, 2027']);
  });
  it('a season is named by its winter (practice)', () => {
    assert.deepEqual(['2026-07-01', '2026-11-29', '2027-06-30', '1999-12-01'].map(seasonOf), ['2026-27', '2026-27', '2026-27', '1999-00']);
  });
  it('where the place is not known no hour of light is told, and the strip draws none', () => {
    const nowhere = { lat: null, lon: null };
    assert.deepEqual(sunOf('2026-11-25', 'America/Chicago', nowhere), { dawn: null, sunrise: null, sunset: null, dusk: null });
    const strip = dayStrip(new Date('2026-11-25T17:00:00Z'), { zone: 'America/Chicago', hours: 12 }, nowhere, []);
    assert.deepEqual([strip.lights, strip.sunrise, strip.sunset], [[], null, null]);
    assert.ok(strip.hours.length > 6);
  });
});
