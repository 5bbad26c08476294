import { NO_REMEDY } from '#core/water/remedy';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { bandGauge } from '#core/scene/bandGauge';
import { apart, fitted, placeLabels, textWidth } from '#core/scene/labels';
import { alongAt, readableZoom, sectionScene, xAt } from '#core/scene/section';
import { setTypeOf } from '#core/sets/catalogue';
import { usualDevices, type SetView } from '#core/sets/standing';
import type { Station } from '#core/stations/placed';
import { feet, inches } from '#core/units/factors';
import { layFrom, METRIC, US } from '../support/lay';

const id = '00000000-0000-7000-8000-000000000000';
const station = (over: Partial<Station>): Station => ({
  id,
  water: id,
  number: 1,
  name: 'run',
  kind: 'run',
  surface: 'pond',
  along: 0,
  lat: null,
  lon: null,
  parent: null,
  measures: [],
  across: null,
  lies: [],
  photo: null,
  bed: null,
  sounded: null,
  crest: null,
  note: '',
  ...over,
});

const SEVERAL = [
  'lodge-run',
  'castor-foothold',
  'slide-foothold',
  'channel-snare',
  'dam-break-channel',
  'dam-break-shoulder',
  'dam-crossover-face',
  'float',
  'wall-blind',
  'ice-snare-pole',
  'ice-hanging',
];

function view(n: number, along: number): SetView {
  const type = setTypeOf(SEVERAL[n % SEVERAL.length] ?? 'lodge-run');
  const setting = { numbers: {}, choices: {}, pond: inches(41), tail: inches(10) };
  return {
    id: `${id}${n}`,
    number: n + 10,
    name: `${type.name.toLowerCase()} ${n}`,
    type: type.id,
    typeName: type.name,
    species: 'beaver',
    state: 'live',
    opens: null,
    leftBecause: '',
    anchor: '',
    station: station({ along }),
    then: { pond: inches(41), tail: inches(10) },
    follows: null,
    iceFactor: 1,
    layout: layFrom(type, setting, { kind: 'run', surface: 'pond', bed: null }, usualDevices(type), 'us'),
    devices: [],
    every: { kind: 'elapsed', hours: 24 },
    deadline: null,
    missed: null,
    lastLook: null,
  };
}

describe('labels', () => {
  it('are as wide as their letters', () => {
    assert.ok(textWidth('mm', 10) > textWidth('ii', 10));
    assert.equal(textWidth('', 10), 0);
  });
  it('never overlap in a row and stay inside the drawing, whatever their places', () => {
    const label = fc.record({ text: fc.string({ minLength: 1, maxLength: 24 }), at: fc.double({ min: -50, max: 1300, noNaN: true }) });
    fc.assert(
      fc.property(fc.array(label, { maxLength: 60 }), (labels) => {
        const placed = placeLabels(labels, 13, { from: 4, to: 1200 }, 12);
        const inside = placed.every((p) => p.middle - p.width / 2 >= 4 - 1e-6 && p.middle + p.width / 2 <= 1200 + 1e-6);
        const clear = placed.every((a, i) =>
          placed.every((b, j) => i >= j || a.row !== b.row || Math.abs(a.middle - b.middle) >= (a.width + b.width) / 2 + 12 - 1e-6),
        );
        return inside && clear;
      }),
    );
  });
  it('that are too long end with an ellipsis and fit', () => {
    const short = fitted('a very long name of a station behind the dam', 13, 100);
    assert.match(short, /…$/);
    assert.ok(textWidth(short, 13) <= 100);
    assert.equal(fitted('run', 13, 100), 'run');
  });
});

describe('the section', () => {
  const stations = [
    station({ kind: 'dam', along: feet(350), crest: inches(47) }),
    ...Array.from({ length: 12 }, (_, i) =>
      station({ id: `${id}${i}`, along: feet(30 * i), bed: { depth: inches(20 + i), level: inches(41), at: '' } }),
    ),
  ];
  const views = Array.from({ length: 12 }, (_, i) => view(i, feet(30 * i)));
  const scene = (pond: number, size = { width: 1280, height: 500 }) =>
    sectionScene({
      water: { profile: [], kind: 'pond' },
      stations,
      views,
      levels: { known: { pond: inches(pond), tail: inches(10) }, age: { pond: 0, tail: 0 }, atMost: {} },
      earlier: { level: inches(41), when: 'yesterday 16:45' },
      size,
      frame: US,
    });

  it('shows the forecast of tomorrow as a band at its heights, and nothing where there is none', () => {
    assert.equal(scene(41).ahead, null);
    const ahead = { low: inches(30), middle: inches(32), high: inches(35), called: 'tomorrow at this hour' };
    const input = {
      water: { profile: [], kind: 'pond' as const },
      stations,
      views,
      earlier: null,
      size: { width: 1280, height: 500 },
      frame: US,
    };
    const drawn = sectionScene({ ...input, levels: { known: { pond: inches(41) }, age: { pond: 0 }, atMost: {} }, ahead });
    const now = drawn.surfaces[0]?.y ?? 0;
    assert.ok(drawn.ahead && drawn.ahead.top > now);
    assert.ok(Math.abs(drawn.ahead.bottom - drawn.ahead.top - inches(5) * drawn.scale) < 1e-6);
    assert.equal(drawn.ahead.text, 'tomorrow at this hour 32 in, between 30 in and 35 in');
  });
  it('the bed goes through a depth that was measured for a set alone, and the place is no longer unknown (F107)', () => {
    const lay = (numbers: Record<string, number>) =>
      layFrom(
        setTypeOf('lodge-run'),
        { numbers, choices: {}, pond: inches(41), tail: inches(10) },
        { kind: 'run', surface: 'pond', bed: null },
        usualDevices(setTypeOf('lodge-run')),
        'us',
      );
    const drawn = (numbers: Record<string, number>) => {
      const own = { ...view(1, feet(100)), layout: lay(numbers) };
      const shore = station({ id: `${id}8`, along: feet(200), bed: { depth: inches(10), level: inches(41), at: '' } });
      return sectionScene({
        water: { profile: [], kind: 'pond' },
        stations: [own.station, shore],
        views: [own],
        levels: { known: { pond: inches(41) }, age: { pond: 0 }, atMost: {} },
        earlier: null,
        size: { width: 1280, height: 500 },
        frame: US,
      });
    };
    const measured = drawn({ depth: inches(30) });
    const place = measured.stations[0];
    assert.ok(place?.deep);
    assert.ok(Math.abs(place.y - (measured.surfaces[0]?.y ?? 0) - inches(30) * measured.scale) < 1e-6);
    assert.equal(drawn({}).stations[0]?.deep, false);
  });
  it('stations without a set stand by name, and yesterday’s words never lie on those of now', () => {
    const lone = station({ id: `${id}9`, number: 9, name: 'spring', along: feet(200) });
    const drawn = sectionScene({
      water: { profile: [], kind: 'pond' },
      stations: [...views.slice(0, 1).map((v) => v.station), lone],
      views: views.slice(0, 1),
      levels: { known: { pond: 1 }, age: { pond: 0 }, atMost: {} },
      earlier: null,
      size: { width: 1280, height: 500 },
      frame: US,
    });
    assert.deepEqual(
      drawn.free.map((f) => f.full),
      ['9 spring'],
    );
    for (const pond of [40.4, 41, 41.4, 42, 43]) {
      const { before, surfaces } = scene(pond);
      assert.ok(before && Math.abs(before.textY - ((surfaces[0]?.y ?? 0) - 7)) >= 14, String(pond));
    }
  });
  it('draws every set and labels all twelve stations in at most three rows', () => {
    const drawn = scene(41);
    assert.equal(drawn.sets.length, 12);
    assert.ok(Math.max(...drawn.sets.map((s) => s.label.row)) <= 2);
  });
  it('sixty stations have their names in full rows when the shore is unrolled as wide as it asks', () => {
    const far = Array.from({ length: 60 }, (_, n) => view(n, feet(20 + n * 14)));
    const zoom = readableZoom(60);
    const drawn = sectionScene({
      water: { profile: [], kind: 'pond' },
      stations: far.map((v) => v.station),
      views: far,
      levels: { known: { pond: inches(41) }, age: { pond: 0 }, atMost: {} },
      earlier: null,
      size: { width: 1280, height: 500 },
      zoom,
      frame: US,
    });
    assert.equal(drawn.width, 1280 * zoom);
    assert.ok(Math.max(...drawn.sets.map((s) => s.label.row)) <= 3, 'at most four rows');
    assert.equal(new Set(drawn.sets.map((s) => `${s.label.row} ${Math.round(s.label.middle)}`)).size, 60);
    assert.equal(readableZoom(8), 1);
  });
  it('ice floats with nine parts in ten under the water line, snow on its top', () => {
    const input = {
      water: { profile: [], kind: 'pond' as const },
      stations,
      views,
      earlier: null,
      size: { width: 1280, height: 500 },
      frame: US,
      snow: inches(3),
    };
    const drawn = sectionScene({ ...input, levels: { known: { pond: inches(41), sheet: inches(10) }, age: {}, atMost: {} } });
    const [line, ice] = [drawn.surfaces[0]?.y ?? 0, drawn.ice];
    assert.ok(ice);
    assert.ok(Math.abs((ice.y + ice.height - line) / ice.height - 0.917) < 1e-6);
    assert.ok(Math.abs(ice.snow - inches(3) * drawn.scale) < 1e-6);
    assert.equal(sectionScene({ ...input, levels: { known: { pond: 1 }, age: {}, atMost: {} } }).ice, null);
  });
  it('heights are true: ten inches are the same on the level, the bed and a trap', () => {
    const [high, low] = [scene(41), scene(31)];
    const trap = high.sets[0]?.devices[0];
    const line = (s: typeof high) => s.surfaces[0]?.y ?? 0;
    assert.ok(Math.abs((trap?.height ?? 0) - inches(10) * high.scale) < 1e-6);
    assert.ok(Math.abs((line(low) - line(high)) / low.scale - inches(10)) < 0.01);
  });
  it('a what-if level moves the floats and leaves the rest', () => {
    const bottom = (pond: number, n: number) => {
      const s = scene(pond);
      const d = s.sets[n]?.devices[0];
      return ((s.surfaces[0]?.y ?? 0) - (d?.top ?? 0)) / s.scale;
    };
    const float = views.findIndex((v) => v.type === 'float');
    assert.ok(Math.abs(bottom(41, float) - bottom(38, float)) < 1e-6, 'the float keeps its height over the water');
    assert.ok(Math.abs(bottom(41, 0) - bottom(38, 0) + inches(3)) < 1e-6, 'the trap in the run stays');
  });
  it('is tapped where it shows: a way along the shore and its x lead to each other, in columns as well', () => {
    for (const columns of [false, true]) {
      const drawn = scene(41, { width: 1280, height: 500, columns } as { width: number; height: number });
      fc.assert(
        fc.property(fc.double({ min: 0, max: feet(350), noNaN: true }), (along) => {
          const back = alongAt(drawn, xAt(drawn, along));
          return back !== null && Math.abs(back - along) < 1e-6;
        }),
      );
      assert.equal(alongAt(drawn, -60), null);
    }
  });
  it('hangs what hangs, stands what stands, and puts what the tailwater judges behind the crest', () => {
    const at = (type: string, over: Partial<Station> = {}) => {
      const n = SEVERAL.indexOf(type);
      const base =
        n < 0
          ? {
              ...view(0, 0),
              type,
              layout: layFrom(
                setTypeOf(type),
                { numbers: {}, choices: {}, pond: inches(41), tail: inches(10) },
                { kind: 'bridge', surface: 'pond', bed: null },
                usualDevices(setTypeOf(type)),
                'us',
              ),
            }
          : view(n, 0);
      const drawn = sectionScene({
        ...{ water: { profile: [], kind: 'pond' as const }, stations, earlier: null, size: { width: 1280, height: 500 }, frame: US },
        views: [{ ...base, station: station({ along: feet(90), ...over }) }],
        levels: { known: { pond: inches(41), tail: inches(10) }, age: { pond: 0, tail: 0 }, atMost: {} },
      });
      const [set] = drawn.sets;
      assert.ok(set);
      return { x: set.x, own: xAt(drawn, over.along ?? feet(90)), device: set.devices[0] as (typeof set.devices)[number] };
    };
    const hung = at('wall-hanging').device;
    assert.equal(hung.stick, 0, 'no post under what hangs from a wall');
    assert.deepEqual(hung.at.map((b) => b.kind).sort(), ['bar', 'wall']);
    assert.ok(at('lodge-run').device.stick > 0);
    assert.equal(at('log-crossing').device.stick, 0);
    assert.ok(at('log-crossing').device.at.some((b) => b.kind === 'trunk'));
    assert.equal(at('float').device.stick, 0);
    const face = at('dam-crossover-face', { kind: 'dam', along: feet(350), crest: inches(47) });
    assert.ok(face.x > face.own);
    const channel = at('dam-break-channel', { kind: 'dam', along: feet(350), crest: inches(47) });
    assert.ok(channel.x < channel.own, 'the trap of the channel stands before the dam, not in it');
  });
  it('says of which places no depth is known, and of a bed that nobody measured that it is a guess', () => {
    const drawn = scene(41);
    assert.equal(drawn.guessed, false);
    assert.ok(drawn.stations.every((s) => s.deep));
    const bare = sectionScene({
      ...{ water: { profile: [], kind: 'pond' as const }, views: [], earlier: null, size: { width: 900, height: 400 }, frame: US },
      stations: [station({})],
      levels: { known: {}, age: {}, atMost: {} },
    });
    assert.deepEqual([bare.guessed, bare.stations[0]?.deep], [true, false]);
  });
  it('without any station still draws a bed', () => {
    const empty = sectionScene({
      water: { profile: [], kind: 'pond' },
      stations: [],
      views: [],
      levels: { known: {}, age: {}, atMost: {} },
      earlier: null,
      size: { width: 900, height: 400 },
      frame: METRIC,
    });
    assert.ok(empty.bed.length >= 4 && empty.bed.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y)));
  });
  it('prints levels from the gauge’s own zero', () => {
    const shifted = sectionScene({
      water: { profile: [], kind: 'pond' },
      stations,
      views: [],
      levels: { known: { pond: inches(41) }, age: { pond: 0 }, atMost: {} },
      earlier: null,
      size: { width: 900, height: 400 },
      frame: { ...US, zero: { pond: inches(10), tail: 0 } },
    });
    assert.equal(shifted.surfaces[0]?.text, '31 in');
  });
});

describe('marks that are pushed apart', () => {
  it('each has its room, none passes the end, and what had room stays where it was', () => {
    assert.deepEqual(apart([10, 12, 100], 20, 200), [10, 30, 100]);
    assert.deepEqual(apart([150, 190, 195], 20, 200), [150, 180, 200]);
    const list = fc.array(fc.integer({ min: 0, max: 500 }), { minLength: 1, maxLength: 8 }).map((xs) => [...xs].sort((a, b) => a - b));
    fc.assert(
      fc.property(list, (xs) => {
        const found = apart(xs, 20, 500);
        assert.ok(found.every((x, n) => n === 0 || x - (found[n - 1] ?? 0) >= 20) && (found.at(-1) ?? 0) <= 500);
      }),
    );
  });
});

describe('the band gauge', () => {
  const state = {
    device: 'trap',
    verdict: 'fine' as const,
    axis: 'pond' as const,
    level: 1,
    band: { min: 1 - inches(7), max: Infinity },
    aim: null,
    perhaps: null,
    label: '',
    sentence: '',
    beyond: '',
    remedy: NO_REMEDY,
    spare: null,
  };
  it('shares one scale: seven inches are half of its lower half', () => {
    const gauge = bandGauge(state, 1 + inches(7), 44);
    assert.ok(Math.abs((gauge.box?.bottom ?? 0) - (22 + 10)) < 0.01);
    assert.ok(Math.abs((gauge.then ?? 0) - 12) < 0.01);
    assert.equal(gauge.box?.openTop, true);
    assert.deepEqual([gauge.aim, gauge.doubt], [null, []]);
  });
  it('draws the aim inside the band and what is in doubt around it', () => {
    const gauge = bandGauge(
      {
        ...state,
        band: { min: 1 - inches(7), max: 1 + inches(3.5) },
        aim: { min: 1, max: 1 + inches(3.5) },
        perhaps: { min: 1 - inches(7), max: 2 },
      },
      null,
      44,
    );
    assert.deepEqual([gauge.aim?.bottom, Math.round(gauge.aim?.top ?? 0), gauge.box?.openTop], [22, 17, false]);
    assert.deepEqual(
      gauge.doubt.map((ends) => ends.map(Math.round)),
      [[1, 17]],
    );
  });
  it('keeps a far level out of the picture and an unknown one without a box', () => {
    assert.equal(bandGauge(state, 3, 44).then, null);
    assert.equal(bandGauge({ ...state, level: null }, 1, 44).box, null);
  });
});
