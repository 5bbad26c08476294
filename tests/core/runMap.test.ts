import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { moved, way, type Position } from '#core/ground/geodesic';
import { runMap, type RunMapAsked, type Stop } from '#core/scene/runMap';

const POND: Position = [-90.487, 45.5125];
const stop = (id: string, bearing: number, distance: number): Stop => ({ id, label: id, at: moved(POND, bearing, distance) });
const asked = (over: Partial<RunMapAsked<Stop>>): RunMapAsked<Stop> => ({
  ...{ stops: [], ground: [], here: null, within: null, width: 360, height: 400, system: 'metric' as const },
  ...over,
});

describe('the map of a run', () => {
  it('is nothing where no stop has a position', () => assert.equal(runMap(asked({})), null));
  it('has north up and east right', () => {
    const map = runMap(asked({ stops: [stop('a', 0, 0), stop('north', 0, 200), stop('east', 90, 150)] }));
    const [a, north, east] = map?.stops ?? [];
    assert.ok(a && north && east);
    assert.ok(north.y < a.y && Math.abs(north.x - a.x) < 0.5);
    assert.ok(east.x > a.x && Math.abs(east.y - a.y) < 0.5);
  });
  it('keeps distances: between any two stops what is drawn is what the geodesic says, by its own bar', () =>
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 1, max: 3000 })), { minLength: 2, maxLength: 8 }),
        (lies) => {
          const stops = lies.map(([bearing, distance], n) => stop(String(n), bearing, distance));
          const map = runMap(asked({ stops }));
          assert.ok(map);
          assert.equal(map.stops.length, stops.length);
          const scale = map.bar.px / map.bar.length;
          for (const one of map.stops)
            for (const other of map.stops) {
              const drawn = Math.hypot(one.x - other.x, one.y - other.y);
              // a plane is true from its middle, and over a few miles everywhere within a thousandth
              assert.ok(Math.abs(drawn - way(one.at, other.at).distance * scale) < 0.5 + 0.001 * drawn);
            }
        },
      ),
      { numRuns: 60 },
    ));
  it('draws a bar that reads round and fits a third of it, in the system of the reader', () => {
    const stops = [stop('a', 0, 0), stop('b', 60, 700)];
    const metric = runMap(asked({ stops }))?.bar;
    assert.ok(metric && [10, 20, 50, 100, 200, 500].includes(metric.length) && metric.px <= 120.001);
    const us = runMap(asked({ stops, system: 'us' }))?.bar;
    assert.ok(us && [50, 100, 200, 500, 1000].some((n) => Math.abs(us.length - n * 0.3048) < 1e-9));
  });
  it('shows what lies around the one who walks, and him only where he is on it', () => {
    const here = moved(POND, 180, 100);
    const stops = [stop('near', 0, 0), stop('far', 0, 900)];
    const around = runMap(asked({ stops, here, within: 150 }));
    assert.deepEqual(
      around?.stops.map((s) => s.id),
      ['near'],
    );
    assert.deepEqual([around?.here?.x, around?.here?.y], [180, 200]);
    assert.equal(runMap(asked({ stops, here: moved(POND, 90, 9000) }))?.here, null);
    assert.ok(runMap(asked({ stops, here }))?.here);
  });
  it('draws lines open, areas closed, and no single point', () => {
    const ring = [POND, moved(POND, 90, 50), moved(POND, 45, 80), POND].map((p) => [...p] as [number, number]);
    const map = runMap(
      asked({
        stops: [stop('a', 0, 0)],
        ground: [
          { kind: 'shore', shape: { type: 'Polygon', coordinates: [ring] } },
          { kind: 'road', shape: { type: 'LineString', coordinates: ring.slice(0, 2) } },
          { kind: 'bridge', shape: { type: 'Point', coordinates: [...POND] } },
        ],
      }),
    );
    assert.deepEqual(
      map?.lines.map(({ kind, d }) => [kind, d.endsWith('Z')]),
      [
        ['shore', true],
        ['road', false],
      ],
    );
  });
  it('labels lie beside their marks and on no other label', () => {
    const stops = Array.from({ length: 9 }, (_, n) => ({ ...stop(String(n), n * 40, 30), label: `${n} east lodge` }));
    const map = runMap(asked({ stops }));
    const rows = map?.stops ?? [];
    // a label that had to go further is led to from its own mark
    for (const { leader, x, y } of rows) if (leader) assert.ok(leader.startsWith(`M${x.toFixed(1)} ${y.toFixed(1)}L`));
    const crowd = runMap(
      asked({ stops: Array.from({ length: 9 }, (_, n) => ({ ...stop(String(n), n * 40, 4), label: `${n} east lodge` })) }),
    );
    assert.ok(crowd?.stops.some((s) => s.leader !== null));
    rows.forEach((one, i) =>
      rows.slice(i + 1).forEach((other) => assert.ok(Math.abs(one.labelY - other.labelY) > 12 || Math.abs(one.labelX - other.labelX) > 60)),
    );
  });
});
