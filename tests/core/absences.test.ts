import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { absencesIn } from '#lib/exchange/absences';
import { toCalendar } from '#lib/exchange/calendar';

const ZONE = 'America/Chicago';
const NOW = new Date('2026-11-25T12:00:00Z');
const calendar = (...events: string[]): string =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//EN',
    ...events.flatMap((e) => ['BEGIN:VEVENT', 'UID:1', ...e.split('|'), 'END:VEVENT']),
    'END:VCALENDAR',
  ].join('\r\n');
const read = (...events: string[]) =>
  absencesIn(calendar(...events), ZONE, NOW).map((a) => [a.title, a.from.toISOString(), a.to.toISOString()]);

describe('days away out of a calendar (RFC 5545)', () => {
  it('a whole day is from the evening before it to the morning after, on the days of the line', () => {
    assert.deepEqual(read('SUMMARY:Away|DTSTART;VALUE=DATE:20261128|DTEND;VALUE=DATE:20261130'), [
      ['Away', '2026-11-27T23:00:00.000Z', '2026-11-30T13:00:00.000Z'],
    ]);
    // without an end it lasts one day
    assert.deepEqual(read('SUMMARY:One|DTSTART;VALUE=DATE:20261128'), [['One', '2026-11-27T23:00:00.000Z', '2026-11-29T13:00:00.000Z']]);
  });
  it('a time is as it stands, in its own zone or the world’s', () => {
    assert.deepEqual(read('SUMMARY:A|DTSTART:20261126T140000Z|DTEND:20261126T200000Z'), [
      ['A', '2026-11-26T14:00:00.000Z', '2026-11-26T20:00:00.000Z'],
    ]);
  });
  it('what comes again comes as often as it falls into ninety days', () => {
    const weekly = read('SUMMARY:Work|DTSTART;VALUE=DATE:20261101|DTEND;VALUE=DATE:20261102|RRULE:FREQ=WEEKLY');
    assert.equal(weekly.length, 13);
    assert.equal(weekly[0]?.[1], '2026-11-28T23:00:00.000Z');
  });
  it('what is over or far off is left out, and what has begun begins now', () => {
    assert.deepEqual(
      read('SUMMARY:Old|DTSTART:20260101T000000Z|DTEND:20260102T000000Z', 'SUMMARY:Far|DTSTART:20280101T000000Z|DTEND:20280102T000000Z'),
      [],
    );
    assert.deepEqual(read('SUMMARY:Now|DTSTART:20261124T000000Z|DTEND:20261126T000000Z'), [
      ['Now', NOW.toISOString(), '2026-11-26T00:00:00.000Z'],
    ]);
  });
  it('anything else is said to be no calendar', () => {
    for (const text of ['', 'hello', '<ics/>', 'BEGIN:VCARD\r\nEND:VCARD'])
      assert.throws(() => absencesIn(text, ZONE, NOW), /no calendar file/);
  });
  it('reads back what Zaprud itself writes', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 80 }), fc.integer({ min: 1, max: 200 }), (day, hours) => {
        const from = new Date(NOW.getTime() + day * 86_400_000);
        const to = new Date(from.getTime() + hours * 3_600_000);
        const text = toCalendar([{ id: 'x', title: 'Check, pond; “north”', note: '', when: { from, to } }], NOW);
        assert.deepEqual(absencesIn(text, ZONE, NOW), [{ title: 'Check, pond; “north”', from, to }]);
      }),
      { numRuns: 30 },
    );
  });
});
