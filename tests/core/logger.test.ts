import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { inches } from '#core/units/factors';
import { packed, planLogger, THIN, thinned, unpacked } from '#core/water/logger';
import { outsideBand } from '#core/water/outsideBand';
import { hoursInBand, type Reading } from '#core/water/series';

const ZONE = 'America/Chicago';
const UNTIL = Date.parse('2026-11-25T12:00:00Z');
const rows = (cells: [string, string][], header = 'level (cm)'): Record<string, string>[] =>
  cells.map(([time, level]) => ({ time, [header]: level }));
const quarter = (n: number): string => {
  const at = new Date(Date.UTC(2026, 9, 1) + n * 900_000);
  return at.toISOString().slice(0, 16);
};
const plan = (list: Record<string, string>[]) => planLogger(list, { zone: ZONE, hours: 12 }, 'in', UNTIL);

describe('a logger’s file', () => {
  it('is read by its header’s unit, its times in the line’s zone', () => {
    const read = plan(
      rows([
        ['2026-11-01 00:30', '50'],
        ['2026-11-02 00:30', '52.5'],
      ]),
    );
    assert.equal(read.problem, null);
    assert.deepEqual(
      read.points.map((p) => p.level),
      [0.5, 0.525],
    );
    assert.equal(read.points[0]?.at, Date.parse('2026-11-01T00:30:00-05:00'));
    assert.equal(read.points[1]?.at, Date.parse('2026-11-02T00:30:00-06:00'), 'the clocks went back between the two');
  });
  it('says gap, jump, repeated times and a clock that runs backward, each with its count', () => {
    const list: [string, string][] = Array.from({ length: 200 }, (_, n) => [quarter(n), '40']);
    list[50] = [quarter(50), '90'];
    list.push([quarter(600), '40'], [quarter(599), '40'], [quarter(599), '41']);
    const said = plan(rows(list)).warnings.join(' ');
    assert.match(said, /1 gap, the longest/);
    assert.match(said, /2 jumps of over 4 in/);
    assert.match(said, /1 row repeat/);
    assert.match(said, /clock runs backward 1 time/);
  });
  it('takes nothing of mixed units, of another zone’s future, without its columns, or empty', () => {
    assert.match(
      plan(
        rows(
          [
            ['2026-11-01 00:30', '50 cm'],
            ['2026-11-01 01:30', '20 in'],
          ],
          'level',
        ),
      ).problem ?? '',
      /written in 2 units \(cm, in\)/,
    );
    assert.match(plan(rows([['2026-11-25 09:30', '50']])).problem ?? '', /1 row lies in the future: the clock or the zone/);
    assert.match(plan([{ when: 'x', how: '1' }]).problem ?? '', /needs a column “time” and a column “level”; it has “when”, “how”/);
    assert.match(plan([]).problem ?? '', /no rows/);
    assert.match(plan(rows([['2026-11-01 00:30', '5']], 'level (stones)')).problem ?? '', /not a unit of length/);
    assert.equal(plan(rows([['2026-11-25 09:30', '50']])).points.length, 0);
  });
  it('refuses a row in words and takes the rest', () => {
    const read = plan(
      rows([
        ['2026-11-01 00:30', '50'],
        ['sometime', '50'],
        ['2026-11-01 02:30', ''],
        ['2026-11-01 03:30', '9999'],
      ]),
    );
    assert.equal(read.points.length, 1);
    assert.deepEqual(
      read.refused.map((r) => r.row),
      [3, 4, 5],
    );
    assert.match(read.refused[2]?.reason ?? '', /no level: between/);
  });
  it('300,000 rows are read whole and kept thin', () => {
    const list = Array.from({ length: 300_000 }, (_, n) => ({
      time: new Date(UNTIL - (300_001 - n) * 60_000).toISOString(),
      'level (m)': String(1 + Math.sin(n / 9000) * 0.2),
    }));
    const read = plan(list);
    assert.equal(read.problem, null);
    assert.equal(read.rows, 300_000);
    assert.ok(read.points.length < 4000, String(read.points.length));
  });
});

describe('thinning', () => {
  const series = fc.array(fc.double({ min: -0.05, max: 0.05, noNaN: true }), { minLength: 2, maxLength: 120 }).map((steps) => {
    let level = 1;
    return steps.map((s, n) => ({ at: n * 900_000, level: (level += s) }));
  });
  it('no row lies further from the line between the kept points than it says', () =>
    fc.assert(
      fc.property(series, (points) => {
        const kept = thinned(points, THIN);
        for (const p of points) {
          const after = kept.findIndex((k) => k.at >= p.at);
          const [a, b] = [kept[Math.max(0, after - 1)], kept[after]];
          assert.ok(a && b);
          const line = b.at === a.at ? b.level : a.level + ((p.at - a.at) / (b.at - a.at)) * (b.level - a.level);
          assert.ok(Math.abs(line - p.level) <= THIN + 1e-9);
        }
        assert.equal(kept[0]?.at, points[0]?.at);
        assert.equal(kept.at(-1)?.at, points.at(-1)?.at);
      }),
    ));
  it('goes to the server and comes back within a tenth of a millimetre', () =>
    fc.assert(
      fc.property(series, (points) => {
        const back = unpacked(packed(points)) ?? [];
        assert.equal(back.length, points.length);
        back.forEach((p, i) => assert.ok(p.at === points[i]?.at && Math.abs(p.level - (points[i]?.level ?? 0)) < 6e-5));
      }),
    ));
  it('what is none, or runs backward, is not taken', () => {
    for (const text of ['', 'x', '5;', '0;0 1,-3 4', '0;0 999999999', '0;a b']) assert.equal(unpacked(text), null, text);
  });
});

describe('outside its band', () => {
  const readings: Reading[] = [0, 1, 2, 3].map((n) => ({
    at: new Date(n * 12 * 3_600_000),
    level: inches([40, 30, 30, 40][n] ?? 0),
    bound: 'exact',
  }));
  const [from, to] = [new Date(0), new Date(36 * 3_600_000)];
  it('from where the line crosses its end to where it comes back', () => {
    const [span, ...more] = outsideBand(readings, from, to, { min: inches(35), max: inches(99) });
    assert.equal(more.length, 0);
    assert.deepEqual([span?.from.getTime(), span?.to.getTime(), span?.side], [6 * 3_600_000, 30 * 3_600_000, 'under']);
  });
  it('tells its times in their order when the water falls through the whole band, and joins what goes on', () => {
    const falls: Reading[] = [45, 44, 30].map((l, n) => ({ at: new Date(n * 12 * 3_600_000), level: inches(l), bound: 'exact' }));
    const spans = outsideBand(falls, new Date(0), new Date(24 * 3_600_000), { min: inches(35), max: inches(40) });
    assert.deepEqual(
      spans.map((o) => o.side),
      ['over', 'under'],
    );
    assert.ok((spans[0]?.to.getTime() ?? 0) < (spans[1]?.from.getTime() ?? 0) && spans[0]?.from.getTime() === 0);
  });
  it('and inside it are the whole of the time, whatever the band', () =>
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 50 }), fc.integer({ min: 0, max: 20 }), (low, wide) => {
        const band = { min: inches(low), max: inches(low + wide) };
        const out = outsideBand(readings, from, to, band).reduce((sum, s) => sum + (s.to.getTime() - s.from.getTime()) / 3_600_000, 0);
        assert.ok(Math.abs(out + hoursInBand(readings, from, to, band).low - 36) < 0.1);
      }),
    ));
});
