import { isStep, walkText } from '#core/ground/walk';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { getArea, getDistance } from 'ol/sphere.js';
import { Polygon } from 'ol/geom.js';
import { ownShore } from '#core/ground/ownShore';
import { alongLine, areaOf, besideLine, compass, lineLength, moved, way, type Position } from '#core/ground/geodesic';
import { inside, outsideSentence } from '#core/ground/permission';
import { measured, measuredSentence, parsePoints, pointsOf, printPoints, shapeOf, walkedOn } from '#core/ground/points';
import { isLeeward, meanWind, upwindSide, upwindText, windText } from '#core/ground/wind';
import { simulateFix, simulateWind } from '#core/sim/outside';

const near = (a: number, b: number, within: number) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b} within ${within}`);
const lon = fc.double({ min: -179, max: 179, noNaN: true });
const lat = fc.double({ min: -80, max: 80, noNaN: true });
const position = fc.tuple(lon, lat) as fc.Arbitrary<Position>;

describe('a water’s own shore, as it is seen from a place', () => {
  const at: Position = [-90.49, 45.51];
  const corner = (bearing: number, far: number): Position => moved(at, bearing, far);
  // a square pond of 40 m whose south-east shore lies 5 m from the place, with a dam on it
  const square = (toward: number) => {
    const side = (far: number, across: number): Position => moved(moved(at, toward, far), toward + 90, across);
    return [side(5, -20), side(5, 20), side(-35, 20), side(-35, -20)].map((p): [number, number] => [p[0], p[1]]);
  };
  const ground = (toward: number) => {
    const ring = square(toward);
    return [
      { water: 'w', kind: 'shore', shape: { type: 'Polygon' as const, coordinates: [[...ring, ring[0] as [number, number]]] } },
      { water: 'w', kind: 'dam crest', shape: { type: 'LineString' as const, coordinates: [ring[0], ring[1]] as [number, number][] } },
    ];
  };
  it('the bank lies ahead at its distance, whatever its bearing, the far side behind', () =>
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 359 }), (toward) => {
        const shore = ownShore(ground(toward), 'w', at);
        assert.ok(shore);
        near(shore.bank, 5, 0.01);
        near(Math.abs(((shore.toward - toward + 540) % 360) - 180), 0, 0.5);
        near(Math.max(...shore.ring.map(([x]) => x)), 5, 0.05);
        near(Math.min(...shore.ring.map(([x]) => x)), -35, 0.1);
        for (const [x] of shore.dams[0] ?? []) near(x, 5, 0.05);
      }),
    ));
  it('a place on land has the water behind it, and nothing is made up where none was drawn', () => {
    const shore = ownShore(ground(90), 'w', corner(90, 9));
    near(shore?.bank ?? 0, -4, 0.01);
    near(shore?.toward ?? 0, 90, 0.5);
    assert.equal(ownShore(ground(90), 'another', at), null);
    near(ownShore(ground(90), 'w', corner(90, 5))?.toward ?? 0, 90, 0.5);
    near(ownShore(ground(90), 'w', at, 30)?.toward ?? 0, 30, 1e-9);
  });
});

describe('geodesy', () => {
  it('gives the example published with GeographicLib: (40.6, −73.8) to (51.6, −0.5) is 5 551 759.400 m', () =>
    near(way([-73.8, 40.6], [-0.5, 51.6]).distance, 5_551_759.4, 0.0006));
  it('gives the area published with GeographicLib for its polygon of Antarctica, 13 662 703 680 020.1 m² (its example of PolygonArea, from memory)', () => {
    const ring: Position[] = [
      [-58, -63.1],
      [-74, -72.9],
      [-102, -71.9],
      [-102, -74.9],
      [-131, -74.3],
      [-163, -77.5],
      [163, -77.4],
      [172, -71.7],
      [140, -65.9],
      [113, -65.7],
      [88, -66.6],
      [59, -66.9],
      [25, -69.8],
      [-4, -70.0],
      [-14, -71.0],
      [-33, -77.3],
      [-46, -77.9],
      [-61, -74.7],
    ];
    const { area, perimeter } = areaOf(ring);
    near(area, 13_662_703_680_020.1, 1);
    near(perimeter, 16_831_067.893, 0.001);
  });
  it('agrees with the sphere of the map library within its 0.6 %', () =>
    fc.assert(
      fc.property(
        position,
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: 5, max: 5000, noNaN: true }),
        (from, bearing, metres) => {
          const to = moved(from, bearing, metres);
          near(getDistance([...from], [...to]) / metres, 1, 0.006);
        },
      ),
    ));
  it('and a field’s area too', () => {
    const ring: Position[] = [
      [-90.49, 45.51],
      [-90.48, 45.51],
      [-90.48, 45.52],
      [-90.49, 45.52],
    ];
    const theirs = getArea(new Polygon([[...ring, ring[0] as Position].map((p) => [...p])]), { projection: 'EPSG:4326' });
    near(areaOf(ring).area / theirs, 1, 0.006);
    assert.equal(areaOf([...ring, ring[0] as Position]).area, areaOf(ring).area);
  });
  it('comes back to where it went, for every place, bearing and distance', () =>
    fc.assert(
      fc.property(
        position,
        fc.double({ min: 0, max: 359.99, noNaN: true }),
        fc.double({ min: 1, max: 50_000, noNaN: true }),
        (from, bearing, metres) => {
          const back = way(from, moved(from, bearing, metres));
          near(back.distance, metres, 1e-3);
          near(Math.abs(((back.bearing - bearing + 540) % 360) - 180), 0, 0.01);
        },
      ),
    ));
  it('walks along a line to its end and no further', () => {
    const line: Position[] = [
      [-90.49, 45.51],
      [-90.489, 45.51],
      [-90.489, 45.512],
    ];
    assert.deepEqual(alongLine(line, 0), line[0]);
    assert.deepEqual(alongLine(line, 1e6), line[2]);
    near(lineLength([...line.slice(0, 2), alongLine(line, 200)]), 200, 0.01);
    assert.throws(() => alongLine([], 1), RangeError);
  });
  it('finds beside a line the way it would be walked to, and how far off it lies', () => {
    const line: Position[] = [
      [-90.49, 45.51],
      [-90.489, 45.51],
      [-90.489, 45.512],
    ];
    fc.assert(
      fc.property(fc.double({ min: 5, max: 70, noNaN: true }), fc.double({ min: 0, max: 40, noNaN: true }), (along, off) => {
        const beside = besideLine(line, moved(alongLine(line, along), 180, off));
        near(beside?.along ?? NaN, along, 0.05);
        near(beside?.off ?? NaN, off, 0.05);
      }),
    );
    near(besideLine(line, moved(line[2] as Position, 0, 30))?.off ?? 0, 30, 0.05);
    assert.equal(besideLine(line.slice(0, 1), [-90.49, 45.51]), null);
  });
  it('names the eight winds', () =>
    assert.deepEqual([0, 44, 91, 225, 359].map(compass), ['north', 'north-east', 'east', 'south-west', 'north']));
});

describe('typed coordinates', () => {
  const read = (text: string) => {
    const parsed = parsePoints(text);
    assert.ok(parsed.ok, parsed.ok ? '' : parsed.sentence);
    return parsed.points;
  };
  for (const text of [
    '45.5123, -90.4871',
    '45.5123 -90.4871',
    '45.5123 N 90.4871 W',
    '45°30\'44.28" N, 90°29\'13.56" W',
    '45.5123;-90.4871',
    '45.5123, −90.4871',
  ])
    it(`reads ${text}`, () => {
      const [at] = read(text);
      near(at?.[0] ?? 0, -90.4871, 1e-6);
      near(at?.[1] ?? 0, 45.5123, 1e-6);
    });
  it('refuses what it cannot read and says which line', () => {
    for (const [text, say] of [
      ['45.5, -90.4\nhere', /Line 2, “here”/],
      ['95, 10', /latitude lies between/],
      ['45.5', /Write it like/],
    ] as const) {
      const parsed = parsePoints(text);
      assert.ok(!parsed.ok);
      assert.match(parsed.sentence, say);
    }
  });
  it('what was printed reads back to the same place within a centimetre', () =>
    fc.assert(
      fc.property(fc.array(position, { minLength: 1, maxLength: 6 }), (points) => {
        read(printPoints(points)).forEach((p, i) => near(way(p, points[i] as Position).distance, 0, 0.02));
      }),
    ));
  it('a shape needs its places, and gives them back', () => {
    const [a, b, c] = read('45.51, -90.49\n45.52, -90.49\n45.52, -90.48') as [Position, Position, Position];
    assert.ok(!shapeOf('area', [a, b]).ok && !shapeOf('line', [a]).ok && !shapeOf('point', [a, b]).ok);
    for (const [form, points] of [
      ['point', [a]],
      ['line', [a, b]],
      ['area', [a, b, c]],
    ] as const) {
      const made = shapeOf(form, points);
      assert.ok(made.ok);
      assert.deepEqual(pointsOf(made.shape), { form, points });
    }
  });
  it('walks on by bearing and distance', () => {
    const start = read('45.51, -90.49');
    const next = walkedOn(start, 90, 100);
    assert.ok(next);
    near(measured('line', [...start, next]).length, 100, 0.001);
    near(measured('line', [...start, next]).bearing ?? 0, 90, 0.001);
    assert.equal(walkedOn([], 90, 100), null);
  });
  it('says length, bearing and area in the user’s units', () => {
    const square = read('45.51, -90.49\n45.51, -90.489\n45.511, -90.489\n45.511, -90.49');
    assert.match(measuredSentence('line', square.slice(0, 2), 'us'), /^2 places, 25\d ft long, bearing 90° \(east\)/);
    assert.match(measuredSentence('area', square, 'us'), /^4 corners, 1\d\d\d ft around, 2\.1\d acres\.$/);
    assert.match(measuredSentence('area', square, 'metric'), /0\.8\d ha/);
  });
});

describe('permission and wind', () => {
  const field: Position[] = [
    [0, 0],
    [2, 0],
    [2, 2],
    [1, 1],
    [0, 2],
  ];
  it('a place in the notch of a field lies outside it', () => {
    assert.ok(inside([0.5, 0.5], field));
    assert.ok(!inside([1, 1.5], field));
    assert.equal(outsideSentence('3 run', [0.5, 0.5], [field]), null);
    assert.match(outsideSentence('3 run', [1, 1.5], [field]) ?? '', /3 run lies outside/);
    assert.equal(outsideSentence('3 run', [9, 9], []), null, 'without a boundary nothing is said');
  });
  it('turning the ring round changes nothing', () =>
    fc.assert(
      fc.property(fc.double({ min: -1, max: 3, noNaN: true }), fc.double({ min: -1, max: 3, noNaN: true }), (x, y) =>
        assert.equal(inside([x, y], field), inside([x, y], [...field].reverse())),
      ),
    ));
  const south: Position[] = [
    [0, 0.01],
    [0, 0],
  ];
  it('a brook that runs south with wind from the west has its right bank upwind', () => {
    assert.deepEqual(upwindSide(south, { from: 270, speed: 3 }), { side: 'right', toward: 'west' });
    assert.deepEqual(upwindSide(south, { from: 90, speed: 3 }), { side: 'left', toward: 'east' });
    assert.equal(upwindSide(south, { from: 185, speed: 3 }), null);
    assert.match(upwindText('stream line', south, { from: 270, speed: 3 }), /right bank/);
    assert.match(upwindText('shore', south, { from: 315, speed: 3 }), /north-west shore/);
    assert.match(upwindText('shore', south, { from: 315, speed: 0.2 }), /nearly still/);
  });
  it('the stand-ins say that they are simulated, and are the same for the same hour', () => {
    const at = new Date('2026-11-25T11:00:00Z');
    assert.match(windText(simulateWind(1, at), true, 'us'), /simulated/);
    assert.deepEqual(simulateWind(1, at), simulateWind(1, at));
    const fix = simulateFix(4, [-90, 45]);
    assert.ok(way([-90, 45], fix.at).distance < 5 * fix.within);
  });
});

describe('a shore that is walked', () => {
  const start: Position = [-90.48, 45.5];
  it('keeps a place that is sure and a step away, and never one that is not', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 60, noNaN: true }), fc.double({ min: 0, max: 60, noNaN: true }), (distance, within) => {
        const at = moved(start, 40, distance);
        const far = way(start, at).distance;
        assert.equal(isStep(start, { at, within }), within <= 20 && far >= Math.max(3, within / 2));
        assert.equal(isStep(undefined, { at, within }), within <= 20);
      }),
    ));
  it('says what is kept and how sure it is, in the units of its reader', () => {
    assert.equal(walkText(0, null, 'us'), 'Waiting for the receiver.');
    assert.match(walkText(1, { at: start, within: 4 }, 'us'), /^One place kept, sure to 13 ft/);
    assert.match(walkText(3, { at: start, within: 4 }, 'metric'), /^3 places kept, sure to 4 m/);
    assert.match(walkText(3, { at: start, within: 45 }, 'metric'), /sure to 45 m only: over 20 m nothing is kept/);
  });
});

describe('a bank and the wind', () => {
  const middle: Position = [-90.5, 45.5];
  const ring = [0, 90, 180, 270].map((bearing) => moved(middle, bearing, 40));
  const bearing = fc.integer({ min: 0, max: 359 });
  it('is leeward exactly where the wind comes to it over the water, within 60° of it', () =>
    fc.assert(
      fc.property(bearing, bearing, (place, from) => {
        const at = moved(middle, place, 40);
        const off = Math.abs(((from - (place + 180) + 540) % 360) - 180);
        fc.pre(Math.abs(off - 60) > 2);
        assert.equal(isLeeward('shore', ring, at, { from, speed: 3 }), off < 60);
      }),
    ));
  it('one bank of a stream at most is leeward, and none while it is nearly still', () => {
    const stream = [moved(middle, 180, 100), moved(middle, 0, 100)];
    const [west, east] = [moved(middle, 270, 6), moved(middle, 90, 6)];
    const wind = { from: 270, speed: 3 };
    assert.deepEqual([isLeeward('stream line', stream, west, wind), isLeeward('stream line', stream, east, wind)], [false, true]);
    assert.equal(isLeeward('stream line', stream, east, { from: 270, speed: 0.2 }), false);
  });
  it('the mean of winds is that of their vectors: equal ones from north and east come from north-east, opposite ones are still', () => {
    const mean = meanWind([
      { from: 0, speed: 2 },
      { from: 90, speed: 2 },
    ]);
    near(mean?.from ?? 0, 45, 1e-9);
    near(mean?.speed ?? 0, Math.SQRT2, 1e-9);
    near(
      meanWind([
        { from: 10, speed: 3 },
        { from: 190, speed: 3 },
      ])?.speed ?? 1,
      0,
      1e-9,
    );
    assert.equal(meanWind([]), null);
  });
});
