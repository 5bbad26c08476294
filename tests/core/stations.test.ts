import { tell } from '#core/words/finding';
import { waysText } from '#core/stations/ways';
import { isDammed } from '#core/stations/dammed';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { linearRegression } from 'simple-statistics';
import { bedProfile } from '#core/scene/bedProfile';
import { stationDiagram } from '#core/scene/stationDiagram';
import { STATION_KINDS } from '#core/stations/kinds';
import { latest, MEASURES, MEASURE_IDS, measuresFor } from '#core/stations/measures';
import { parseMeasure, parseProfile, printMeasure } from '#core/stations/measureText';
import { depthAt, relationOf } from '#core/stations/relation';
import { standingAt } from '#core/stations/standing';
import { feet, inches } from '#core/units/factors';
import { clarityText, crestText } from '#core/water/seenText';
import { stillToGo } from '#core/ledger/stillToGo';
import { US } from '../support/lay';
import { plainFrame } from '#core/units/frame';

const near = (a: number, b: number, within = 1e-9) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b}`);
const length = fc.double({ min: 0, max: 3, noNaN: true });

describe('a station’s own relation to its gauge', () => {
  it('is none without a reading, and slope 1 with a single one', () => {
    assert.equal(relationOf([]), null);
    const one = relationOf([{ depth: 0.5, level: 0.3 }]);
    assert.equal(one?.b, 1);
    near((one?.a ?? 0) + 0.3, 0.5);
  });
  it('two readings at two levels decide it', () => {
    const two = relationOf([
      { depth: inches(22), level: inches(19) },
      { depth: inches(27), level: inches(29) },
    ]);
    near(two?.b ?? 0, 0.5);
    near(((two?.a ?? 0) + 0.5 * inches(25)) / inches(1), 25);
  });
  it('two readings at one level do not', () =>
    assert.equal(
      relationOf([
        { depth: 0.5, level: 0.3 },
        { depth: 0.6, level: 0.3 },
      ])?.b,
      1,
    ));
  it('agrees with simple-statistics’ line through any readings', () =>
    fc.assert(
      fc.property(fc.array(fc.record({ depth: length, level: length }), { minLength: 2, maxLength: 12 }), (readings) => {
        const levels = readings.map((r) => r.level);
        fc.pre(Math.max(...levels) - Math.min(...levels) > 0.1);
        const { m, b } = linearRegression(readings.map((r) => [r.level, r.depth]));
        const own = relationOf(readings);
        near(own?.b ?? 0, m, 1e-6);
        near(own?.a ?? 0, b, 1e-6);
      }),
    ));
  it('says uncertain with its band until there are two, wider the further the gauge has gone', () => {
    const from = { depth: 0.5, level: 0.3 };
    const one = relationOf([from]);
    assert.ok(one);
    const here = depthAt(one, 0.3, from, 'us');
    const away = depthAt(one, 0.6, from, 'us');
    assert.ok(!here.certain && away.high - away.low > here.high - here.low);
    assert.match(away.sentence, /likely .* One reading here/);
    const two = relationOf([from, { depth: 0.7, level: 0.6 }]);
    assert.ok(two);
    assert.ok(depthAt(two, 0.45, from, 'us').certain);
    assert.match(depthAt(two, 0.45, from, 'us').sentence, /2 readings here: it moves 0\.7 in for every inch/);
    assert.match(depthAt(two, -2, from, 'us').sentence, /^dry by/);
  });
});

describe('standing there (figures of common practice)', () => {
  const stander = { waders: inches(40), knee: inches(20), own: true };
  const at = (depth: number | null, sink: number | null) => tell(standingAt({ depth, sink }, stander), 'us');
  it('under ice the ice speaks, however deep or shallow the water is (F11)', () => {
    for (const depth of [0.1, 0.5, 2]) {
      const thin = tell(standingAt({ depth, sink: 0.05, ice: { thin: 0.05, white: false, fell: 0 } }, stander), 'us');
      assert.equal(thin.verdict, 'fails');
      assert.match(thin.sentence, /^Ice: maybe only 2 in, 2 in short of the 4 in/);
      const thick = tell(standingAt({ depth, sink: 0.05, ice: { thin: 0.2, white: false, fell: 0 } }, stander), 'us');
      assert.equal(thick.verdict, 'unknown');
      assert.doesNotMatch(`${thin.sentence} ${thick.sentence}`, /waders|wade/);
    }
  });
  it('water and sink against the waders', () => {
    assert.equal(at(inches(20), inches(3)).verdict, 'holds');
    assert.equal(at(inches(33), inches(3)).verdict, 'warns');
    assert.match(at(inches(36), inches(5)).sentence, /Too deep to wade: 36 in water \+ 5 in mud; waders 40 in/);
  });
  it('sinking past the knee is refused at any depth', () => assert.match(at(null, inches(24)).sentence, /Stay out: you sink 24 in/));
  it('what was not measured is unknown, never good', () => {
    assert.equal(at(null, null).verdict, 'unknown');
    assert.equal(at(inches(10), null).verdict, 'unknown');
  });
  it('deeper water never makes it better', () => {
    const rank = { holds: 0, unknown: 0, warns: 1, fails: 2 };
    fc.assert(
      fc.property(length, length, fc.double({ min: 0, max: 0.5, noNaN: true }), (a, b, sink) => {
        const [low, high] = a < b ? [a, b] : [b, a];
        assert.ok(rank[at(low, sink).verdict] <= rank[at(high, sink).verdict]);
      }),
    );
  });
});

describe('measures', () => {
  it('every kind of place has its own, and each is lettered once in its drawing', () => {
    for (const kind of STATION_KINDS) {
      const ids = measuresFor(kind);
      assert.ok(ids.length >= 3, kind);
      const { dims, ground } = stationDiagram(kind);
      assert.deepEqual(
        dims.map((d) => d.what),
        ids,
      );
      assert.equal(new Set(dims.map((d) => d.letter)).size, ids.length);
      assert.ok(ground.length > 0 && dims.some((d) => d.from), kind);
      for (const { from, to, what } of dims)
        if (from && to)
          assert.ok(
            [from[0], to[0]].every((x) => x >= 0 && x <= 240) && [from[1], to[1]].every((y) => y >= 0 && y <= 150),
            `${kind} ${what}`,
          );
    }
    for (const id of MEASURE_IDS)
      assert.ok(
        STATION_KINDS.some((k) => measuresFor(k).includes(id)),
        `${id} is asked nowhere`,
      );
  });
  it('are typed in any form and read back as printed', () => {
    const parse = (what: (typeof MEASURE_IDS)[number], text: string) => parseMeasure(what, text, 'us', { knee: inches(20) });
    assert.deepEqual(parse('depth', 'knee'), { ok: true, value: inches(20) });
    assert.deepEqual(parse('bearing', '95°'), { ok: true, value: 95 });
    assert.deepEqual(parse('fixed', 'no'), { ok: true, value: 0 });
    for (const [what, text] of [
      ['bearing', '400'],
      ['runs', '1.5'],
      ['slope', 'steep'],
      ['depth', 'abc'],
    ] as const)
      assert.ok(!parse(what, text).ok, `${what} ${text}`);
    for (const what of MEASURE_IDS) {
      const value = { length: inches(7), speed: feet(3) }[MEASURES[what].unit as 'length'] ?? 1;
      const back = parse(what, printMeasure(what, value, 'us'));
      assert.ok(back.ok && Math.abs(back.value - value) < 1e-9, what);
    }
  });
  it('a bed profile is pairs of distance and depth, sorted by distance', () => {
    const read = parseProfile('6 ft, 14 in\n2 ft, 5 in\n', 'us', {});
    assert.ok(read.ok);
    near(read.points[0]?.distance ?? 0, feet(2));
    near(read.points[1]?.depth ?? 0, inches(14));
    assert.ok(!parseProfile('6 ft 14', 'us', {}).ok);
    assert.ok(!parseProfile('6 ft, 14 in', 'us', {}).ok, 'one point is no profile');
    assert.deepEqual(parseProfile('', 'us', {}), { ok: true, points: [] });
  });
  it('the newest of a measure counts', () => {
    const taken = ['2026-11-02', '2026-11-09', '2026-10-30'].map((day, value) => ({
      what: 'depth' as const,
      value,
      level: null,
      at: `${day}T10:00:00.000Z`,
    }));
    assert.equal(latest(taken, 'depth')?.value, 1);
    assert.equal(latest(taken, 'width'), undefined);
  });
});

describe('a bed across a place, drawn', () => {
  const points = [
    { distance: 0, depth: 0.1 },
    { distance: 1, depth: 0.8 },
    { distance: 2, depth: 0.3 },
  ];
  it('keeps distances and depths to one scale, and the surface where it stands now', () => {
    const profile = bedProfile(points, 0.2, 400);
    const [a, b, c] = profile.points as [{ x: number; y: number }, { x: number; y: number }, { x: number; y: number }];
    near((b.x - a.x) / (c.x - a.x), 0.5, 1e-9);
    near((b.y - a.y) / (b.x - a.x), 0.7, 1e-9);
    near((a.y - profile.surface.y) / (b.x - a.x), 0.3, 1e-9);
    assert.ok(profile.points.every((p) => p.x <= 400 && p.y < profile.height) && profile.surface.y > 0);
  });
  it('is refused with one point', () => assert.throws(() => bedProfile(points.slice(0, 1), 0, 400), RangeError));
});

describe('what a reading says besides its level', () => {
  const now = new Date('2026-11-25T12:00:00Z');
  const reading = (days: number, over: object) => ({
    at: new Date(now.getTime() - days * 86_400_000),
    level: 0.5,
    bound: 'exact' as const,
    clarity: 'not looked',
    since: null,
    doubt: null,
    ...over,
  });
  it('the last clarity looked at', () => {
    assert.equal(clarityText([reading(1, {})], now), null);
    assert.match(
      clarityText([reading(3, { clarity: 'clear' }), reading(2, { clarity: 'muddy' }), reading(1, {})], now) ?? '',
      /^Muddy.*2 days ago/s,
    );
  });
  it('a crest lies between two dates and says that it is inferred', () => {
    const crest = reading(5, { bound: 'crest', level: inches(24), since: new Date('2026-11-18T08:00:00Z') });
    assert.match(
      crestText([crest], plainFrame('us', { zone: 'America/Chicago', hours: 12 })) ?? '',
      /^High-water mark 24 in, between Nov 18 and Nov 20/,
    );
    assert.equal(crestText([reading(1, {})], plainFrame('us')), null);
  });
  it('how much is still to go, on the gauge’s own zero', () => {
    const safe = { level: inches(30), what: 'Bed drain' };
    const raised = { ...US, zero: { pond: inches(10), tail: 0 } };
    assert.equal(stillToGo(safe, inches(32.5), US), 'Bed drain: 2½ in still to go, down to 30 in.');
    assert.match(stillToGo(safe, inches(29), raised), /at or under the level to reach, 20 in, by 1 in/);
    assert.match(stillToGo(safe, null, US), /never read/);
  });
});

describe('the ways of a place', () => {
  const counted = (what: 'passages' | 'approaches', value: number) => ({
    measures: [{ what, value, at: '2026-11-20T12:00:00Z', level: null }],
  });
  it('are told with how many have no set (F63)', () => {
    assert.equal(waysText(counted('passages', 4), 0), '4 passages, none has a set.');
    assert.equal(waysText(counted('passages', 4), 1), '4 passages, 1 with a set: 3 without.');
    assert.equal(waysText(counted('approaches', 1), 1), '1 approach, 1 with a set.');
    assert.equal(waysText(counted('approaches', 2), 3), '2 approaches, 2 with a set.');
    assert.equal(waysText({ measures: [] }, 2), '');
  });
});

describe('a dam', () => {
  it('makes a pond of its own stream alone (F122)', () => {
    const dams = [{ water: 'a', kind: 'dam' as const }];
    assert.ok(isDammed({ id: 'a', kind: 'stream' }, dams));
    assert.ok(!isDammed({ id: 'b', kind: 'stream' }, dams));
    assert.ok(isDammed({ id: 'b', kind: 'pond' }, []));
  });
});
