import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { ICE_RATIO } from '#core/ice/growth';
import { setTypeOf } from '#core/sets/catalogue';
import type { Laying } from '#core/sets/setType';
import { atPlace, usualDevices } from '#core/sets/standing';
import { inches } from '#core/units/factors';
import { levelBands } from '#core/water/band';
import { bottomAt } from '#core/water/part';
import { deviceState } from '#core/water/state';
import { US } from '../support/lay';
import { tell } from '#core/words/finding';

const POND = inches(41);
const near = (a: number | undefined, b: number, within = 1e-9, say = ''): void =>
  assert.ok(a !== undefined && Math.abs(a - b) <= within, `${say} ${a} is not ${b}`);

function lay(id: string, numbers: Record<string, number> = {}, over: Partial<Laying> = {}) {
  const type = setTypeOf(id);
  const choices = Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default]));
  return type.layOut({
    numbers: Object.fromEntries(Object.entries(numbers).map(([key, n]) => [key, inches(n)])),
    place: { kind: 'run', surface: 'pond', bed: null },
    devices: usualDevices(type),
    then: { pond: POND },
    system: 'us',
    ...over,
    choices: { ...choices, ...over.choices },
  });
}
const found = (layout: ReturnType<typeof lay>, id: string) => {
  const finding = layout.findings.find((f) => f.id === id);
  assert.ok(finding, `no finding ${id}`);
  return tell(finding, 'us');
};
const state = (layout: ReturnType<typeof lay>, device: string, known: Record<string, number>) =>
  deviceState(layout, device, { known: { pond: POND, ...known }, age: {}, atMost: {} }, US);

describe('dam break, patrol channel', () => {
  it('the set brings two small breaks of its own', () => {
    const { acts } = setTypeOf('dam-break-channel');
    assert.deepEqual([acts?.breaks, acts?.shape], [2, 'V']);
  });
  it('a body-grip lies under a tied pole; too much water over it is said (15 cm, from memory)', () => {
    assert.equal(found(lay('dam-break-channel', { topUnder: 3 }), 'gapOver').verdict, 'holds');
    assert.equal(found(lay('dam-break-channel', { topUnder: 9 }), 'gapOver').verdict, 'warns');
    const dive = lay('dam-break-channel', { topUnder: 3 }).parts.find((p) => p.id === 'dive');
    assert.equal(dive?.bearer, 'float');
    assert.ok(dive?.tiedTo);
  });
  it('its snare variant has no pole over it and a share of 0.4 to 0.9 under water', () => {
    const layout = lay('dam-break-channel', { loop: 10 }, { devices: { trap: { class: 'snare', size: '7×7 3/32' } } });
    assert.ok(!layout.parts.some((p) => p.id === 'dive'));
    const band = levelBands(layout.needs, layout.parts, 'pond', { pond: POND })?.[0];
    // 0.6 under when set: the loop may be 0.4 to 0.9 of its 10 in under
    near((band?.min ?? NaN) - POND, inches(-2), 1e-9);
    near((band?.max ?? NaN) - POND, inches(3), 1e-9);
  });
});

describe('dam break, shoulder', () => {
  const two = { devices: { left: { class: 'foothold' as const, size: '4' }, right: { class: 'foothold' as const, size: '4' } } };
  it('two traps at two depths have two level bands', () => {
    const layout = lay('dam-break-shoulder', { leftUnder: 7, rightUnder: 6 }, two);
    const bands = ['left', 'right'].map(
      (d) =>
        levelBands(
          layout.needs.filter((n) => n.device === d),
          layout.parts,
          'pond',
          {},
        )?.[0]?.min ?? NaN,
    );
    near((bands[1] ?? 0) - (bands[0] ?? 0), inches(1), 1e-9);
  });
  it('says how far the pond may fall before the shallower bed is too shallow, and warns when that is little', () => {
    assert.match(
      found(lay('dam-break-shoulder', { leftUnder: 7, rightUnder: 6 }, two), 'fall').sentence,
      /The right bed works until the pond has fallen 7 in/,
    );
    assert.equal(found(lay('dam-break-shoulder', { leftUnder: 1 }), 'fall').verdict, 'warns');
  });
  it('the band ends exactly where it says', () =>
    fc.assert(
      fc.property(fc.double({ min: 2.5, max: 8, noNaN: true }), (under) => {
        const layout = lay('dam-break-shoulder', { leftUnder: under });
        const fall = inches(under + 1);
        assert.notEqual(state(layout, 'left', { pond: POND - fall + 1e-4 }).verdict, 'outOfWater');
        assert.equal(state(layout, 'left', { pond: POND - fall - 1e-4 }).verdict, 'outOfWater');
      }),
    ));
});

describe('slide foothold', () => {
  it('a hind foot is met in up to 9 in over the pan, a front foot in up to 6 (common practice)', () => {
    const band = (foot: string): number[] => {
      const layout = lay('slide-foothold', {}, { choices: { foot } });
      const found_ = levelBands(layout.needs, layout.parts, 'pond', {})?.[0];
      return [Math.round(((found_?.max ?? 0) - (found_?.min ?? 0)) / inches(0.5)) / 2];
    };
    assert.deepEqual([band('hind'), band('front')], [[9], [6]]);
  });
  it('the pole has to reach depth, push-in and a grip, or it says by how much it is short', () => {
    assert.match(found(lay('slide-foothold', { stopDepth: 70, pole: 84 }), 'pole').sentence, /take 8 ft, the pole has 7 ft: a longer pole/);
    assert.equal(found(lay('slide-foothold', { stopDepth: 50, pole: 84 }), 'pole').verdict, 'holds');
    assert.equal(found(lay('slide-foothold'), 'pole').verdict, 'unknown');
  });
});

describe('wall, blind', () => {
  it('depth to make up = depth − cover − height of the pan; a cover measured over the stone is that much less over the pan', () => {
    const stone = (over: string) => lay('wall-blind', { depth: 6, panUnder: 1.5 }, { choices: { measured: over } }).free[0]?.stone ?? 0;
    near(stone('pan'), inches(6 - 1.5 - 1.125), 1e-9);
    near(stone('stone'), inches(6 - 1.5), 1e-9);
    assert.equal(found(lay('wall-blind', { panUnder: 0.5 }, { choices: { measured: 'stone' } }), 'measured').verdict, 'fails');
  });
  it('works from an inch bare to 2½ in over the pan and no more', () => {
    const layout = lay('wall-blind', { panUnder: 1 });
    assert.equal(state(layout, 'trap', { pond: POND - inches(2.1) }).verdict, 'outOfWater');
    assert.equal(state(layout, 'trap', { pond: POND + inches(1.6) }).verdict, 'tooDeep');
  });
});

describe('snare pole under ice', () => {
  const all = usualDevices({
    ...setTypeOf('ice-snare-pole'),
    positions: setTypeOf('ice-snare-pole').positions.map((p) => ({ ...p, optional: false })),
  });
  const six = Object.fromEntries(Object.entries(all).slice(0, 6));
  it('the loops hang by the ice of the next check: typed, forecast, or two inches more', () => {
    const top = (numbers: Record<string, number>, over: Partial<Laying> = {}): number => {
      const part = lay('ice-snare-pole', { depth: 84, clearance: 6, ...numbers }, over).parts.find((p) => p.kind === 'loop');
      return POND - ((part?.z.k ?? 0) + (part?.height ?? 0));
    };
    near(top({ ice: 8, iceNext: 10 }), inches(10 * ICE_RATIO + 6), 1e-9, 'typed');
    near(top({ ice: 8 }, { iceNext: inches(9) }), inches(9 * ICE_RATIO + 6), 1e-9, 'forecast');
    near(top({ ice: 8 }), inches(10 * ICE_RATIO + 6), 1e-9, 'practice');
  });
  it('six loops on three tiers and two faces, nine on three: as many drawn as there are traps, three to a height', () => {
    const nine = lay('ice-snare-pole', { depth: 84, ice: 8, iceNext: 8 }, { devices: all }).parts.filter((p) => p.kind === 'loop');
    assert.equal(nine.length, 9);
    assert.deepEqual([...new Set(nine.map((p) => nine.filter((q) => q.z.k === p.z.k).length))], [3]);
    const layout = lay('ice-snare-pole', { depth: 84, ice: 8, iceNext: 8 }, { devices: six });
    assert.equal(layout.parts.filter((p) => p.kind === 'loop').length, 6);
    assert.match(found(layout, 'marks').sentence, /tops of the loops 6 ft 10¾ in, 6 ft 1¾ in, 64¾ in|tops of the loops/);
  });
  it('too little water for ice, clearances and loops is refused with what is wanted', () =>
    assert.match(
      found(lay('ice-snare-pole', { depth: 20, ice: 6 }, { devices: six }), 'marks').sentence,
      /fewer tiers, smaller loops, or deeper water/,
    ));
  it('freezes in when the ice grows to the first loop, or the pond falls under it', () => {
    const layout = lay('ice-snare-pole', { depth: 84, ice: 6, iceNext: 8, clearance: 4 });
    assert.equal(state(layout, 'a1', { sheet: inches(8) }).verdict, 'fine');
    assert.equal(state(layout, 'a1', { sheet: inches(12) }).verdict, 'frozen');
    assert.equal(state(layout, 'a1', { sheet: inches(8), pond: POND - inches(3) }).verdict, 'frozen');
  });
  it('says whether the hole will hold it, and the length of the safety pole it needs', () => {
    const holding = (frostToCheck?: number) =>
      found(lay('ice-snare-pole', { depth: 84, ice: 8 }, frostToCheck === undefined ? {} : { frostToCheck }), 'holding');
    assert.equal(holding(60).verdict, 'holds');
    assert.match(holding(2).sentence, /a safety pole is required, 4 ft/);
    assert.equal(holding().verdict, 'unknown');
  });
});

describe('hanging under ice', () => {
  it('hangs from the ice’s top: as the sheet grows its clearance shrinks as much, whatever the pond does', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.5, noNaN: true }), fc.double({ min: -0.5, max: 0.5, noNaN: true }), (sheet, rise) => {
        const layout = lay('ice-hanging', { drop: 9, ice: 6 });
        const jaws = layout.parts.find((p) => p.kind === 'jaws');
        assert.ok(jaws);
        const top = (bottomAt(jaws, { pond: POND + rise, sheet }) ?? 0) + jaws.height;
        const underside = POND + rise - ICE_RATIO * sheet;
        near(underside - top, inches(9) - sheet, 1e-9);
      }),
    ));
  it('a drop that suffices today can be inside the ice at the check: said before the wire is cut', () => {
    assert.match(
      found(lay('ice-hanging', { drop: 7, ice: 6, iceNext: 9 }), 'nextCheck').sentence,
      /2 in inside it: hang it 4 in lower before the wire is cut/,
    );
    assert.equal(found(lay('ice-hanging', { drop: 12, ice: 6, iceNext: 9 }), 'nextCheck').verdict, 'holds');
  });
  it('measured from the water line a drop is 0.083 of the ice more from its top (0.71 in at 8½)', () => {
    const drop = (measured: string): number => -(lay('ice-hanging', { drop: 9, ice: 8.5 }, { choices: { measured } }).parts[0]?.z.k ?? 0);
    near(drop('water') - drop('ice'), inches(0.7055), 1e-4);
  });
  it('drop, jaws and bait must clear the bed', () => {
    assert.equal(found(lay('ice-hanging', { drop: 9, depth: 20 }), 'overBed').verdict, 'fails');
    assert.equal(found(lay('ice-hanging', { drop: 9, depth: 40 }), 'overBed').verdict, 'holds');
  });
  it('over a run that is kept thin the ice counts by its factor', () => {
    const water = { known: { pond: POND, sheet: inches(10) }, age: {}, atMost: {} };
    near(atPlace({ iceFactor: 0.5 }, water).known.sheet, inches(5), 1e-9);
    assert.equal(atPlace({}, water), water);
  });
  it('without any ice measured it cannot be told, and says what to do', () =>
    assert.match(
      deviceState(lay('ice-hanging', { drop: 9 }), 'near', { known: { pond: POND }, age: {}, atMost: {} }, US).sentence,
      /ice here was never measured/,
    ));
});
