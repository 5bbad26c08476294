import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { BUILDS } from '#core/animals/species';
import { BODY_GRIPS, FOOTHOLDS } from '#core/devices/sizes';
import { againstShed, carriedOn, cutAndCarry, summed } from '#core/gear/carry';
import { forLook, onLoad } from '#core/gear/today';
import { amountIn, stockText } from '#core/gear/stock';
import { animalFront, animalSide, onTheGround } from '#core/scene/glyphs/animal';
import { groundAt } from '#core/geometry/opening';
import { designScene, isAhead, type DesignScene } from '#core/scene/designScene';
import { findPlan } from '#core/scene/findPlan';
import { moveArrow } from '#core/scene/moveArrow';
import { crosses, overlap, placeAround } from '#core/scene/placing';
import { poleSheet } from '#core/scene/poleSheet';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { bearersText, needTexts } from '#core/sets/describe';
import { sampleDesign, sampleLevels, sampleSurface } from '#core/sets/sample';
import { monthsText, typesFor, usualText } from '#core/sets/search';
import { atTheWater } from '#core/scene/glyphs/animal';
import { drawnLength, type Travel } from '#core/sets/design';
import type { SetType, Variant } from '#core/sets/setType';
import { numbersSchema, setTypeSchema } from '#core/sets/typeSchema';
import { whereItLies } from '#core/sets/whereItLies';
import { inches } from '#core/units/factors';
import { levelBands } from '#core/water/band';
import { axisOf } from '#core/water/layout';

const near = (a: number | undefined, b: number, tolerance = 1e-9) =>
  assert.ok(a !== undefined && Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const FRAME = { width: 600, height: 290 };
const VIEWS = ['side', 'eye'] as const;
const drawn = (type: SetType, variant: Variant | undefined, view: 'side' | 'eye', numbers: Record<string, number> = {}): DesignScene =>
  designScene(sampleDesign(type, variant, 'us', numbers), {
    ...{ view, known: sampleLevels(type), surface: sampleSurface(type), frame: FRAME, system: 'us' },
  });

/** What is wrong with a picture: labels over labels, anything outside the frame, numbers that are none. */
function faultsOf(scene: DesignScene): string[] {
  const labels = [
    ...scene.dimensions.map((d) => ({ what: `${d.label} ${d.text}`, box: d.box })),
    ...(scene.water ? [{ what: 'water', box: scene.water.box }] : []),
  ];
  const found: string[] = [];
  labels.forEach((a, i) => labels.slice(i + 1).forEach((b) => overlap(a.box, b.box) && found.push(`${a.what} lies over ${b.what}`)));
  const inside = ({ x, y, width, height }: { x: number; y: number; width: number; height: number }): boolean =>
    x >= 0 && y >= 0 && x + width <= scene.width + 0.01 && y + height <= scene.height + 0.01;
  for (const { what, box } of labels) if (!inside(box)) found.push(`${what} lies outside the frame`);
  for (const [part, box] of Object.entries(scene.boxes)) if (!inside(box)) found.push(`${part} lies outside the frame`);
  for (const { d } of scene.shapes) if (/NaN|Infinity/.test(d)) found.push(`a shape of no numbers: ${d.slice(0, 40)}`);
  return found;
}

describe('an order drawn on the set', () => {
  const bare = (type: SetType): DesignScene =>
    designScene(sampleDesign(type, undefined, 'us'), {
      ...{ view: 'side', known: sampleLevels(type), surface: sampleSurface(type), frame: { width: 390, height: 190 } },
      ...{ system: 'us', bare: true },
    });
  const arrowOf = (type: SetType, by: number) => moveArrow(bare(type), sampleDesign(type, undefined, 'us').parts, by, 'us');
  for (const type of CATALOGUE)
    it(`${type.id}: the arrow points the way it is moved, its words lie in the frame and on nothing that is written`, () => {
      for (const by of [inches(-5.75), inches(5.75)]) {
        const arrow = arrowOf(type, by);
        assert.ok(arrow);
        assert.equal(arrow.text, by < 0 ? 'lower 5¾ in' : 'raise 5¾ in');
        assert.equal(Math.sign(arrow.to - arrow.from), by < 0 ? 1 : -1);
        const { water, width, height } = bare(type);
        assert.ok(
          arrow.box.x >= 0 && arrow.box.x + arrow.box.width <= width && arrow.box.y >= 0 && arrow.box.y + arrow.box.height <= height,
        );
        assert.ok(!water || !overlap(arrow.box, water.box));
      }
    });
  it('is as long as the way, to the scale of the set', () => {
    const type = setTypeOf('bank-den-run');
    const arrow = arrowOf(type, inches(-4));
    near(Math.abs((arrow?.to ?? 0) - (arrow?.from ?? 0)), Math.max(14, inches(4) * bare(type).scale));
  });
  it('is none where nothing is to be moved', () => assert.equal(arrowOf(setTypeOf('bank-den-run'), 0), null));
});

describe('an animal on foot (F112)', () => {
  const onLog = ['log-notch', 'log-crossing'];
  const walks = (type: SetType) =>
    onLog.includes(type.id) ? [] : sampleDesign(type, undefined, 'us').travel.filter((t) => t.pose === 'walks');
  for (const type of CATALOGUE.filter((t) => walks(t).length > 0))
    it(`${type.id}: has ground or water under its feet`, () => {
      const { ground } = sampleDesign(type, undefined, 'us');
      const water = sampleLevels(type)[sampleSurface(type)] ?? -Infinity;
      for (const travel of walks(type)) {
        // tail, then two legs
        for (const { line } of animalSide(onTheGround(travel, ground, water)).slice(1, 3)) {
          const [foot = [0, 0]] = [...line].sort((a, b) => a[1] - b[1]);
          const under = groundAt(ground, foot[0]);
          assert.ok(foot[1] - under < inches(4) || foot[1] < water, `a foot ${((foot[1] - under) / 0.0254).toFixed(1)} in over the ground`);
        }
      }
    });
  it('walks level on a log', () => {
    for (const id of onLog) {
      const { travel, ground } = sampleDesign(setTypeOf(id), undefined, 'us');
      for (const t of travel) assert.equal(onTheGround(t, ground, null).leans, undefined);
    }
  });
  it('a dam ends the pond: what lies beyond it is not drawn as the same water', () => {
    for (const id of ['dam-crossover-snare', 'dam-crossover-foothold'] as const) {
      const { water, width } = drawn(setTypeOf(id), undefined, 'side');
      assert.ok(water && water.from === 0 && water.to < width * 0.8, `${id} ${water?.to}`);
    }
    const face = drawn(setTypeOf('dam-crossover-face'), undefined, 'side').water;
    assert.ok(face && face.to === FRAME.width);
  });
});

describe('an animal that swims to the set', () => {
  const ground: [number, number][] = [
    [-2, 0],
    [2, 0],
  ];
  const swimmer: Travel = { build: 'beaverAdult', x: -0.4, z: 1 - BUILDS.beaverAdult.swims, pose: 'swims' };
  it('goes up and down with the water it swims in', () => {
    near(atTheWater(swimmer, ground, 1, 0.8).z, swimmer.z - 0.2);
    near(atTheWater(swimmer, ground, 1, 1.3).z, swimmer.z + 0.3);
  });
  it('wades where the water is shallower than its draught, and never under the ground', () =>
    near(atTheWater(swimmer, ground, 1, 0.05).z, 0));
  it('stays where it dives or walks', () => {
    for (const stays of [
      { ...swimmer, z: 0.1 },
      { ...swimmer, pose: 'walks' as const },
    ])
      assert.equal(atTheWater(stays, ground, 1, 0.8), stays);
  });
});

describe('the catalogue as data', () => {
  it('holds about forty types, each by its schema', () => {
    assert.ok(CATALOGUE.length >= 40, String(CATALOGUE.length));
    for (const type of CATALOGUE) {
      const parsed = setTypeSchema.safeParse(type);
      assert.ok(
        parsed.success,
        `${type.id}: ${parsed.success ? '' : parsed.error.issues.map((i) => `${i.path.join('.')} ${i.message}`).join('; ')}`,
      );
    }
  });
  it('refuses a type whose default lies outside its range, that has no last reach, or no fault', () => {
    const type = setTypeOf('dive-pole');
    const bad = (over: object): string[] => (setTypeSchema.safeParse({ ...type, ...over }).error?.issues ?? []).map((i) => i.message);
    assert.match(bad({ numbers: { topUnder: { ...type.numbers.topUnder, default: 9 } } })[0] ?? '', /default/);
    assert.match(bad({ orders: () => [{ when: '', steps: [{ do: 'Set it.' }] }] })[0] ?? '', /last moment/);
    assert.ok(bad({ faults: [] }).length > 0);
  });
  it('one Zod schema for a type’s geometry: strange numbers and ranges are refused in words', () => {
    const schema = numbersSchema(setTypeOf('dive-pole'));
    assert.ok(schema.safeParse({ topUnder: inches(2) }).success);
    assert.match(schema.safeParse({ topUnder: 3 }).error?.issues[0]?.message ?? '', /Top below water lies between 0 in and 8 in/);
    assert.match(schema.safeParse({ nonsense: 1 }).error?.issues[0]?.message ?? '', /no number called nonsense/);
  });
  it('is found by place, species, month and gear', () => {
    assert.ok(typesFor({ place: 'undercut', species: 'mink' }).some((t) => t.id === 'undercut-bank'));
    assert.ok(typesFor({ place: 'undercut' }).every((t) => t.stations.includes('undercut')));
    assert.ok(!typesFor({ month: 7 }).some((t) => t.id === 'ice-snare-pole'));
    assert.ok(typesFor({ month: 1 })[0]?.months?.includes(1));
    assert.deepEqual(
      [...new Set(typesFor({ owned: [{ class: 'snare', size: '7×7 3/32' }] }).map((t) => t.devices.includes('snare')))],
      [true],
    );
    assert.equal(typesFor({ owned: [] }).length, 0);
    assert.equal(monthsText([12, 1, 2, 3]), 'December to March');
    assert.equal(monthsText(undefined), 'all year');
    assert.equal(usualText(setTypeOf('castor-foothold')), 'foothold No. 4');
  });
  it('says what has to be where, carried by what', () => {
    assert.deepEqual(needTexts(sampleDesign(setTypeOf('dive-pole'), undefined, 'us'), 'us'), [
      'Top of the jaws: aim 2 in to 3 in below water; works 2 in above to 8 in below water.',
    ]);
    assert.match(
      needTexts(sampleDesign(setTypeOf('lure-pole'), undefined, 'us'), 'us').join(' '),
      /Loop: aim 50% to 65% below water; works 40% to 90% below water, perhaps 20% to 90% .*Top of the loop: at 2 in above water or higher, perhaps/,
    );
    assert.match(needTexts(sampleDesign(setTypeOf('ice-snare-pole'), undefined, 'us'), 'us').join(' '), /underside of the ice/);
    assert.equal(bearersText(sampleDesign(setTypeOf('float'), undefined, 'us')), 'the water, afloat');
  });
});

describe('every type on both drawings', () => {
  for (const type of CATALOGUE) {
    for (const variant of [undefined, ...(type.variants ?? [])]) {
      const name = variant ? `${type.id}, ${variant.name}` : type.id;
      it(`${name}: at its defaults nothing lies over another or outside the frame`, () => {
        for (const view of VIEWS) assert.deepEqual(faultsOf(drawn(type, variant, view)), [], view);
      });
      it(`${name}: what is drawn is the parts list, part for part`, () => {
        const { parts } = sampleDesign(type, variant, 'us');
        assert.deepEqual(Object.keys(drawn(type, variant, 'side').boxes).sort(), parts.map((p) => p.id).sort());
        assert.deepEqual(
          Object.keys(drawn(type, variant, 'eye').boxes).sort(),
          parts
            .filter(isAhead)
            .map((p) => p.id)
            .sort(),
        );
      });
    }
    it(`${type.id}: at both ends of every number’s range nothing lies over another or outside the frame`, () => {
      for (const [key, spec] of Object.entries(type.numbers))
        for (const value of [spec.min, spec.max])
          for (const view of VIEWS)
            assert.deepEqual(faultsOf(drawn(type, undefined, view, { [key]: value })), [], `${key} ${value} ${view}`);
    });
    it(`${type.id}: a length that can be drawn is a number of the type: drawn longer, it is as long as the number says`, () => {
      for (const mark of sampleDesign(type, undefined, 'us').marks) {
        if (mark.key === null) continue;
        const spec = type.numbers[mark.key];
        assert.ok(spec, `${mark.key} is no number of ${type.id}`);
        const start = drawnLength(mark);
        const value = start + 0.01 <= spec.max ? start + 0.01 : start - 0.01;
        if (value < spec.min) continue;
        const moved = sampleDesign(type, undefined, 'us', { [mark.key]: value }).marks.find(
          (m) => m.key === mark.key && m.view === mark.view && m.label === mark.label,
        );
        if (moved) near(drawnLength(moved), value, 1e-6);
      }
    });
  }
  it('no two types share a picture', () => {
    const pictures = new Map<string, string>();
    for (const type of CATALOGUE) {
      const scene = drawn(type, undefined, 'eye');
      const side = drawn(type, undefined, 'side');
      const picture =
        [...scene.shapes, ...side.shapes]
          .filter((s) => s.part !== 'animal')
          .map((s) => s.d)
          .join() + side.ground;
      assert.equal(pictures.get(picture), undefined, `${type.id} looks like ${pictures.get(picture) ?? ''}`);
      pictures.set(picture, type.id);
    }
  });
  it('is to scale: a 330 is ten inches both ways, a No. 4 as wide as its spread, an adult as long as its body', () => {
    const eye = drawn(setTypeOf('dive-pole'), undefined, 'eye');
    const jaws =
      eye.shapes
        .find((s) => s.part === 'jaws')
        ?.d.match(/-?[\d.]+ -?[\d.]+/g)
        ?.map((p) => p.split(' ').map(Number)) ?? [];
    const [xs, ys] = [jaws.map((p) => p[0] ?? 0), jaws.map((p) => p[1] ?? 0)];
    near((Math.max(...xs) - Math.min(...xs)) / eye.scale, BODY_GRIPS['330']?.opening ?? 0, 0.002);
    near((Math.max(...ys) - Math.min(...ys)) / eye.scale, BODY_GRIPS['330']?.opening ?? 0, 0.002);
    const pan = sampleDesign(setTypeOf('castor-foothold'), undefined, 'us').parts.find((p) => p.kind === 'pan');
    near(pan?.wide, FOOTHOLDS['4']?.spread ?? 0);
    const body = animalSide({ build: 'beaverAdult', x: 0, z: 0, pose: 'swims' })[1]?.line.map(([x]) => x) ?? [];
    near(Math.max(...body) - Math.min(...body), BUILDS.beaverAdult.body, 0.02);
    const front = animalFront({ build: 'otter', x: 0, z: 0, pose: 'swims' })[0]?.line.map(([y]) => y) ?? [];
    near(Math.max(...front) - Math.min(...front), BUILDS.otter.width, 1e-6);
  });
  it('a beaver at a bait stands as high as it reaches (practice: 60 cm an adult)', () => {
    const shapes = animalSide({ build: 'beaverAdult', x: 0, z: 0, pose: 'rears' });
    const top = Math.max(...shapes.flatMap((s) => s.line.map(([, z]) => z)));
    assert.ok(top > 0.5 && top < 0.85, String(top));
  });
  it('the text twin has every length of the drawing', () => {
    for (const type of CATALOGUE) {
      const scene = drawn(type, undefined, 'side');
      for (const d of scene.dimensions)
        assert.ok(
          scene.twin.some((t) => t.includes(d.text) && t.includes(d.label)),
          `${type.id} ${d.label}`,
        );
    }
  });
});

describe('bands of every type', () => {
  for (const type of CATALOGUE) {
    it(`${type.id}: the ends of its band are where the state changes`, () => {
      const design = sampleDesign(type, undefined, 'us');
      const known = { ...sampleLevels(type), hole: 0 };
      for (const device of new Set(design.needs.map((n) => n.device))) {
        const needs = design.needs.filter((n) => n.device === device);
        const axis = axisOf(design, device);
        const bands = levelBands(needs, design.parts, axis, known);
        assert.ok(bands && bands.length > 0, `${device} works at no level`);
        const holds = (level: number): boolean => bands.some((b) => level >= b.min - 1e-9 && level <= b.max + 1e-9);
        for (const { min, max } of bands) {
          if (Number.isFinite(min)) assert.ok(holds(min + 1e-6) && !holds(min - 1e-4));
          if (Number.isFinite(max)) assert.ok(holds(max - 1e-6) && !holds(max + 1e-4));
        }
      }
    });
  }
});

describe('labels', () => {
  it('never lie on each other while there is room, wherever they want to be', () => {
    const wish = fc.record({
      width: fc.integer({ min: 20, max: 90 }),
      height: fc.constant(17),
      spots: fc.tuple(fc.integer({ min: 0, max: 600 }), fc.integer({ min: 0, max: 300 })).map((s) => [s] as [number, number][]),
    });
    fc.assert(
      fc.property(fc.array(wish, { maxLength: 14 }), (wishes) => {
        const boxes = placeAround(wishes, { width: 600, height: 300 });
        return boxes.every(
          (a, i) =>
            a.x >= 0 && a.y >= 0 && a.x + a.width <= 600 && a.y + a.height <= 300 && boxes.slice(i + 1).every((b) => !overlap(a, b)),
        );
      }),
    );
  });
  it('a line through a box is seen, one beside it is not', () => {
    const box = { x: 10, y: 10, width: 20, height: 10 };
    assert.ok(crosses(box, [0, 15, 50, 15]));
    assert.ok(crosses(box, [15, 0, 15, 50]));
    assert.ok(!crosses(box, [0, 30, 50, 30]));
    assert.ok(!crosses(box, [0, 0, 5, 5]));
  });
});

describe('cut and carry', () => {
  const of = (id: string) => cutAndCarry(sampleDesign(setTypeOf(id), undefined, 'us'), setTypeOf(id).tools);
  const snared = (id: 'slide-snare' | 'channel-snare' | 'ice-snare-pole', choices: Record<string, string>) => {
    const list = cutAndCarry(sampleDesign(setTypeOf(id), { id: 'so', name: 'so', choices }, 'us'));
    return Object.fromEntries(list.map((item) => [item.what, item.amount ?? item.count]));
  };
  it('a snare cut from the roll takes 36½ in for a 10 in loop, 84 in of tail, a lock and a swivel (by hand)', () => {
    const list = snared('slide-snare', { made: 'roll' });
    near(list['7×7 3/32 cable'], Math.PI * inches(10) + inches(5) + inches(84), 1e-6);
    assert.deepEqual([list.locks, list.swivels, list['snare 7×7 3/32']], [1, 1, undefined]);
  });
  it('a loop and its tail may be of two cables, each taken from its own roll (F159)', () => {
    for (const id of ['slide-snare', 'channel-snare'] as const) {
      const list = snared(id, { made: 'roll', extension: 'heavy' });
      near(list['7×7 3/32 cable'], Math.PI * inches(10) + inches(5), 1e-6);
      near(list['7×19 1/8 cable'], inches(84), 1e-6);
    }
  });
  it('a ready snare is taken from the shed with its loop: only the tail is cut (F159)', () => {
    const list = snared('slide-snare', {});
    assert.equal(list['snare 7×7 3/32'], 1);
    near(list['7×7 3/32 cable'], inches(84), 1e-6);
    assert.equal(list.locks, undefined);
  });
  it('the loops of a pole take a lock and a swivel each (F159)', () => {
    const list = snared('ice-snare-pole', { made: 'roll' });
    assert.ok((list.locks ?? 0) >= 2);
    assert.equal(list.locks, list.swivels);
  });
  it('adds up over several sets, a tool carried once', () => {
    const both = summed([of('dive-pole'), of('lodge-run')]);
    assert.equal(both.find((i) => i.what === 'body-grip 330')?.count, 2);
    assert.equal(both.filter((i) => i.what === 'setter').length, 1);
    assert.equal(both.find((i) => i.what === 'setter')?.count, 1);
  });
  it('a post that drives its anchor stands for the driver', () => {
    const design = sampleDesign(setTypeOf('slide-snare'), undefined, 'us');
    const served = {
      ...design,
      parts: [...design.parts, { ...design.parts[0], id: 'p', serves: 'anchor driver' } as (typeof design.parts)[number]],
    };
    assert.ok(cutAndCarry(design, ['driver']).some((i) => i.what === 'driver'));
    assert.ok(!cutAndCarry(served, ['driver']).some((i) => i.what === 'driver'));
  });
  it('on foot a stand becomes two cut sticks; by sled it is a stand', () => {
    const list = of('lodge-run');
    assert.equal(carriedOn(list, 'sled').find((i) => i.kind === 'stand')?.count, 1);
    const foot = carriedOn(list, 'on foot');
    assert.ok(!foot.some((i) => i.kind === 'stand'));
    assert.equal(foot.find((i) => i.what.startsWith('cut stick'))?.count, 2);
  });
  it('against the shed says what is missing, and never a stick', () => {
    const needed = againstShed(of('lodge-run'), { devices: {}, stock: { 'anchor cable': 0.5, stand: 4 } });
    assert.equal(needed.find((i) => i.kind === 'device')?.short, 1);
    near(needed.find((i) => i.what === 'anchor cable')?.short, inches(48) - 0.5, 1e-9);
    const kept = againstShed(of('lodge-run'), { devices: {}, stock: { 'tie cable': 0.5 } });
    assert.equal(kept.find((i) => i.what === 'anchor cable')?.have, 0.5, 'a shed that was filled under the former name');
    assert.equal(needed.find((i) => i.kind === 'stand')?.short, 0);
    assert.ok(needed.filter((i) => i.kind === 'stick').every((i) => i.short === 0 && i.have === null));
  });
  it('a day takes what is due by its end and what may be set by then; no set of a later day, nothing planned (F155, F156)', () => {
    const day = { today: '2026-11-25', end: new Date('2026-11-26T06:00:00Z') };
    const why = (state: 'live' | 'planned' | 'prepared' | 'pulled', opens: string | null, deadline: string | null = null) =>
      onLoad({ state, opens }, deadline, day);
    assert.equal(why('live', null, '2026-11-25T15:00:00Z'), 'due');
    assert.equal(why('live', null, '2026-11-26T15:00:00Z'), null);
    assert.equal(why('live', null), null, 'no rule makes a check due');
    assert.equal(why('prepared', '2026-11-25'), 'to be set');
    assert.equal(why('prepared', null), 'to be set');
    assert.equal(why('prepared', '2026-12-05'), null);
    assert.equal(why('planned', null), null);
  });
  it('a look takes tools, bait and lure; trap, stand and cable stand there already (F155)', () => {
    const look = forLook(of('lodge-run'));
    assert.ok(look.some((i) => i.what === 'setter') && look.every((i) => !['device', 'stand', 'stake', 'cable', 'stick'].includes(i.kind)));
  });
  it('stock is typed and printed in its unit', () => {
    near(amountIn('50', 'length', 'us') ?? NaN, 15.24);
    near(amountIn('12\'6"', 'length', 'us') ?? NaN, 3.81);
    assert.equal(amountIn('many', 'pieces', 'us'), null);
    assert.equal(amountIn('', 'pieces', 'us'), null);
    assert.equal(stockText(1, 'portions', 'us'), '1 portion');
    assert.equal(stockText(15.24, 'length', 'us'), '50 ft');
  });
  it('a pole one to ten: a metre is ten centimetres on paper, marks from the foot, none over another', () => {
    const sheet = poleSheet(
      2.4,
      [
        { at: 0.3, what: 'bed' },
        { at: 2.43 - 0.3, what: 'water line' },
        { at: 2.1, what: 'underside' },
        { at: 2.08, what: 'top of the first loop' },
      ],
      'us',
    );
    assert.equal(sheet.length, 240);
    near(sheet.marks[0]?.at, 30);
    sheet.marks.forEach((a, i) => sheet.marks.slice(i + 1).forEach((b) => assert.ok(!overlap(a.box, b.box), `${a.text} over ${b.text}`)));
  });
});

describe('a height', () => {
  it('is named by the side of the water on which it lies, its sign never lost (F151)', () => {
    const said = (id: string, numbers: Record<string, number>): string =>
      designScene(sampleDesign(setTypeOf(id), undefined, 'us', numbers), {
        ...{ view: 'side', known: { pond: 1 }, surface: 'pond', frame: { width: 600, height: 300 }, system: 'us' },
      }).twin.join(' ');
    assert.match(said('lodge-run', { topUnder: inches(4) }), /Top below water 4 in\./);
    assert.match(said('lodge-run', { topUnder: inches(-2) }), /Top above water 2 in\./);
    assert.match(said('castor-foothold', { panUnder: inches(-1) }), /Pan above water 1 in\./);
    assert.match(said('box', { topUnder: inches(-8) }), /Top above water 8 in\./);
  });
});

describe('under the ice', () => {
  const WIDE = { width: 640, height: 420 };
  const drawn = (id: string, levels: { pond: number; sheet?: number }) => {
    const type = setTypeOf(id);
    const design = sampleDesign(type, undefined, 'us', id === 'ice-snare-pole' ? { depth: inches(90) } : {});
    return { design, scene: designScene(design, { view: 'side', known: levels, surface: 'pond', frame: WIDE, system: 'us' }) };
  };
  it('traps and the animal are drawn below the sheet, none in it (F114)', () => {
    for (const id of ['ice-hanging', 'ice-snare-pole']) {
      const { design, scene } = drawn(id, { pond: 1, sheet: inches(6) });
      assert.ok(scene.ice, id);
      const underside = scene.ice.y + scene.ice.height;
      const traps = design.parts.filter((p) => ['jaws', 'loop'].includes(p.kind)).map((p) => scene.boxes[p.id]);
      assert.ok(traps.length > 0 && traps.every((box) => box && box.y >= underside - 0.5), `${id}: a trap stands in the ice`);
      const heights = scene.shapes
        .filter((shape) => shape.part === 'animal')
        .flatMap((shape) => [...shape.d.matchAll(/-?[\d.]+[ ,](-?[\d.]+)/g)].map((pair) => Number(pair[1])));
      assert.ok(heights.length > 20 && Math.min(...heights) >= underside - 0.5, `${id}: the animal swims through the ice`);
    }
  });
  it('a picture at a lower water has the depths of that water, and says where it stood when it was made (F114)', () => {
    const { design } = drawn('lodge-run', { pond: 1 });
    const from = { view: 'side', surface: 'pond', frame: WIDE, system: 'us' } as const;
    const then = designScene(design, { ...from, known: { pond: 1 }, made: 1 });
    const now = designScene(design, { ...from, known: { pond: 1 - inches(9) }, made: 1 });
    assert.equal(then.made, null);
    assert.ok(now.made && now.water && now.made.y < now.water.y);
    near((now.water.y - now.made.y) / now.scale, inches(9), 1e-6);
  });
});

describe('a missing trap', () => {
  it('is looked for from the anchor outward, stolen last', () => {
    for (const type of CATALOGUE) {
      const design = sampleDesign(type, undefined, 'us');
      const found = whereItLies(design, type, { anchor: 'alder root, left', system: 'us', level: 1 });
      assert.ok(found, type.id);
      assert.match(found.places[0]?.say ?? '', /alder root, left/);
      assert.match(found.places.at(-1)?.say ?? '', /stolen/);
      assert.ok(found.reach >= found.tether);
      const plan = findPlan(found, { width: 520, height: 340 });
      assert.ok(plan.spots.length > 0 && plan.spots.every((s) => s.x >= 0 && s.x <= 520 && s.y >= 0 && s.y <= 340));
    }
  });
  it('in a pond stands before its own shore and dam, and nothing is drawn where it only was pinned on the line (F113)', () => {
    const square = {
      ring: [
        [3, -20],
        [3, 20],
        [-40, 20],
        [-40, -20],
      ] as [number, number][],
      dams: [
        [
          [3, -20],
          [3, 20],
        ],
      ] as [number, number][][],
      bank: 3,
      toward: 90,
    };
    const of = (id: string, bank: number) => {
      const type = setTypeOf(id);
      const found = whereItLies(sampleDesign(type, undefined, 'us'), type, { anchor: '', system: 'us', level: 1 });
      assert.ok(found);
      const ring = square.ring.map(([x, y]): [number, number] => [x === 3 ? bank : x, y]);
      return findPlan(found, { width: 520, height: 340 }, { ...square, ring, bank });
    };
    const run = of('lodge-run', 3);
    assert.deepEqual([run.land, run.own?.dams.length, run.own?.north], [[], 1, 0]);
    assert.deepEqual([of('lodge-run', 0).own, of('lodge-run', 0).land], [null, []]);
    assert.ok(of('castor-foothold', 0).own, 'a bed before the bank has its own distance to it');
  });
  it('on a slide the deep end comes second, and under a dam the repair', () => {
    const slide = setTypeOf('slide-foothold');
    assert.match(
      whereItLies(sampleDesign(slide, undefined, 'us'), slide, { anchor: '', system: 'us', level: 1 })?.places[1]?.say ?? '',
      /deep end/,
    );
    const dam = setTypeOf('dam-break-breach');
    assert.ok(
      whereItLies(sampleDesign(dam, undefined, 'us'), dam, { anchor: '', system: 'us', level: 1 })?.places.some((p) =>
        /under the repair/.test(p.say),
      ),
    );
  });
});
