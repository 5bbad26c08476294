import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { BODY_GRIPS, FOOTHOLDS, needsSetter, SIZES, sizeText } from '#core/devices/sizes';
import { wetAreaShare } from '#core/devices/wetAreaShare';
import { fence } from '#core/geometry/fence';
import { cutAndCarry } from '#core/gear/carry';
import { armingCheck, notArmedSentence, unanswered } from '#core/sets/arming';
import { CATALOGUE, findType, SET_TYPE_IDS, setTypeOf } from '#core/sets/catalogue';
import { boundsText, numberFaults } from '#core/sets/ranges';
import { restated } from '#core/sets/restate';
import type { Laying, SetType } from '#core/sets/setType';
import { usualDevices } from '#core/sets/standing';
import { inches } from '#core/units/factors';
import { levelBands } from '#core/water/band';
import { axisOf } from '#core/water/layout';
import { heightAt } from '#core/water/need';
import { deviceState } from '#core/water/state';
import { US, layFrom } from '../support/lay';
import { tell } from '#core/words/finding';

const near = (a: number | undefined, b: number, tolerance = 1e-9) =>
  assert.ok(a !== undefined && Math.abs(a - b) <= tolerance, `${a} is not ${b}`);
const POND = inches(41);

function lay(type: SetType, numbers: Record<string, number> = {}, over: Partial<Laying> = {}) {
  const inMetres = Object.fromEntries(Object.entries(numbers).map(([key, n]) => [key, key === 'share' ? n : inches(n)]));
  const choices = Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default]));
  return type.layOut({
    numbers: inMetres,
    place: { kind: 'run', surface: 'pond', bed: null },
    devices: usualDevices(type),
    then: { pond: POND, tail: inches(10) },
    system: 'us',
    ...over,
    choices: { ...choices, ...over.choices },
  });
}

/** Both ends of a device's band, inches over the level at which it was set. */
function bandOf(layout: ReturnType<typeof lay>, device: string, base = POND): [number, number] {
  const axis = axisOf(layout, device);
  const band = levelBands(
    layout.needs.filter((n) => n.device === device),
    layout.parts,
    axis,
    { pond: POND, tail: inches(10) },
  )?.[0];
  return [((band?.min ?? NaN) - base) / 0.0254, ((band?.max ?? NaN) - base) / 0.0254];
}

const findings = (layout: ReturnType<typeof lay>) => Object.fromEntries(layout.findings.map((f) => [f.id, tell(f, 'us')]));

describe('the catalogue', () => {
  it('lists every type once, by its id', () => {
    assert.deepEqual(
      CATALOGUE.map((t) => t.id),
      [...SET_TYPE_IDS],
    );
    assert.equal(findType('no-such'), undefined);
    assert.throws(() => setTypeOf('no-such'), /there are dam-break-channel/);
  });
  for (const type of CATALOGUE) {
    it(`${type.id}: every need speaks of a part, every device has a place, and one step is the last reach`, () => {
      const layout = lay(type);
      const ids = layout.parts.map((p) => p.id);
      assert.equal(new Set(ids).size, ids.length);
      for (const need of layout.needs) {
        assert.ok(ids.includes(need.of.part));
        assert.ok(type.positions.some((p) => p.id === need.device));
        assert.equal(need.origin, 'practice');
      }
      assert.ok(layout.ground.length >= 2);
    });
    it(`${type.id}: set at its defaults it works at the level it was set at`, () => {
      const layout = lay(type);
      for (const device of Object.keys(usualDevices(type))) {
        const state = deviceState(layout, device, { known: { pond: POND, tail: inches(10), sheet: inches(6) }, age: {}, atMost: {} }, US);
        assert.ok(['fine', 'nearEdge'].includes(state.verdict), `${device} ${state.verdict}`);
      }
    });
    it(`${type.id}: its defaults lie in their ranges`, () => {
      const defaults = Object.fromEntries(
        Object.entries(type.numbers).flatMap(([key, s]) => (s.default === undefined ? [] : [[key, s.default]])),
      );
      assert.deepEqual(numberFaults(type, defaults, 'us'), []);
    });
    it(`${type.id}: without a trap it lays out nothing`, () =>
      assert.deepEqual(
        layFrom(type, { numbers: {}, choices: {}, pond: POND }, { kind: 'run', surface: 'pond', bed: null }, {}, 'us').parts,
        [],
      ));
  }
});

describe('a lodge run', () => {
  const type = setTypeOf('lodge-run');
  it('by what is seen needs no bed: a top 3 in under works until 4 in stand out, and surely until 12 in are over it (common practice)', () => {
    const [down, up] = bandOf(lay(type, { topUnder: 3 }), 'outer');
    near(down, -7, 1e-6);
    near(up, 9, 1e-6);
  });
  it('on its stand over a measured bed: 33 in deep, 1 in of stand, 10 in of frame leave 22 in over it, and 4 may stand out', () =>
    near(bandOf(lay(type, { depth: 33 }), 'outer')[0], -26, 1e-6));
  it('takes the bed of its station when no depth was typed', () =>
    near(bandOf(lay(type, {}, { place: { kind: 'run', surface: 'pond', bed: POND - inches(33) } }), 'outer')[0], -26, 1e-6));
  it('two traps have two bands', () => {
    const two = lay(
      type,
      { topUnder: 3, innerTopUnder: 9 },
      { devices: { outer: { class: 'bodyGrip', size: '330' }, inner: { class: 'bodyGrip', size: '330' } } },
    );
    near(bandOf(two, 'outer')[0], -7, 1e-6);
    near(bandOf(two, 'inner')[0], -13, 1e-6);
    near(two.parts.find((p) => p.id === 'inner-jaws')?.x, inches(48));
  });
  it('in the tailwater is judged by it', () =>
    assert.equal(axisOf(lay(type, {}, { place: { kind: 'run', surface: 'tail', bed: null } }), 'outer'), 'tail'));
  it('fences a run of 20 in with one stick a side, and draws what it counts', () => {
    const layout = lay(type, { widthBed: 20, depth: 30 });
    assert.equal(findings(layout).fence?.figure, '1 + 1');
    assert.equal(layout.parts.filter((p) => p.kind === 'stick').length, 2);
  });
  it('a run narrower than the frame fails with the inches', () =>
    assert.match(findings(lay(type, { widthBed: 9 })).opening?.sentence ?? '', /9 in wide at the bed, the frame 10 in/));
  it('a frame that does not fit the depth is refused in words', () =>
    assert.match(findings(lay(type, { depth: 12, topUnder: 6 })).tooTall?.sentence ?? '', /16 in down, but it is 12 in deep here/));
  it('an unmeasured bed is said', () => assert.equal(findings(lay(type, { topUnder: 3 })).bedUnknown?.verdict, 'unknown'));
});

describe('a castor mound foothold', () => {
  const type = setTypeOf('castor-foothold');
  it('with the pan 3 in under works from 3 in lower, when it is bare, to 3 in higher, when they swim over it (common practice)', () => {
    const [down, up] = bandOf(lay(type, { panUnder: 3 }, { choices: { hold: 'live' } }), 'trap');
    near(down, -3, 1e-6);
    near(up, 3, 1e-6);
  });
  it('says the height to build: 9 in deep less 3 in of cover and 1½ in of pan', () =>
    assert.equal(findings(lay(type, { depth: 9, panUnder: 3 })).buildUp?.figure, '4½ in'));
  it('a bottom too high for the cover fails with the inches to dig', () =>
    assert.match(findings(lay(type, { depth: 3, panUnder: 3 })).buildUp?.sentence ?? '', /1½ in too high/));
  it('a slide wants chain, reach and 6 in: 14 in of chain and an adult’s forearm of 0.40 m (from memory) make 35¾ in', () => {
    assert.match(findings(lay(type, { stopDepth: 40 })).slide?.sentence ?? '', /35¾ in wanted/);
    assert.equal(findings(lay(type, { stopDepth: 30 })).slide?.figure, 'short 5¾ in');
    assert.equal(findings(lay(type)).slide?.verdict, 'unknown');
  });
  it('loses its drowning depth when the level falls by the margin', () => {
    const layout = lay(type, { panUnder: 4, stopDepth: 36.75 });
    const state = deviceState(layout, 'trap', { known: { pond: POND - inches(1.5) }, age: {}, atMost: {} }, US);
    assert.equal(state.verdict, 'noLongerSubmerging');
    assert.match(state.remedy.order, /deeper water/);
  });
  it('a live hold stays uncertain', () => assert.equal(findings(lay(type, {}, { choices: { hold: 'live' } })).live?.verdict, 'unknown'));
});

describe('a channel snare', () => {
  const type = setTypeOf('channel-snare');
  it('of 10 in at two thirds ends at −2.67 and +2.33 in in the open', () => {
    const [down, up] = bandOf(lay(type, { loop: 10 }), 'snare');
    near(down, -2.667, 1e-3);
    near(up, 2.333, 1e-3);
  });
  it('in a roofed passage a rise does no harm until the ceiling', () => {
    const [down, up] = bandOf(lay(type, { loop: 10, ceiling: 7 }, { choices: { passage: 'roofed' } }), 'snare');
    near(down, -2.667, 1e-3);
    near(up, 7, 1e-6);
  });
  it('is placed by its lowest point too: at the surface nothing of it is under', () =>
    assert.match(findings(lay(type, { lowestUnder: 0 })).share?.sentence ?? '', /0% of its height/));
  it('70.8 % of the area is under at two thirds of the height (circular segment)', () => {
    near(wetAreaShare(0.254, 0.1693), 0.708, 5e-4);
    assert.match(findings(lay(type)).share?.sentence ?? '', /71% of its area/);
  });
  it('cuts the circumference, 5 in of fittings (practice) and the tail', () =>
    assert.match(findings(lay(type, { loop: 10, tail: 84 }, { choices: { made: 'roll' } })).cable?.sentence ?? '', /^36½ in for the loop/));
  it('larger than the water is deep is refused with the inches', () =>
    assert.match(findings(lay(type, { loop: 12, share: 0.9, depth: 6 })).loopInBed?.sentence ?? '', /4¾ in into the bed/));
});

describe('the wet share of a loop', () => {
  it('is 0 and 1 at the ends, ½ in the middle, and never falls as it sinks', () => {
    assert.equal(wetAreaShare(0.2, -0.1), 0);
    near(wetAreaShare(0.2, 0.3), 1);
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.5, noNaN: true }),
        fc.double({ min: -0.1, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (d, depth, more) => {
          return Math.abs(wetAreaShare(d, d / 2) - 0.5) < 1e-9 && wetAreaShare(d, depth + more) >= wetAreaShare(d, depth) - 1e-9;
        },
      ),
    );
  });
  it('refuses a loop without a diameter', () => assert.throws(() => wetAreaShare(0, 0.1), RangeError));
});

describe('a crossover on the lower face of a dam', () => {
  const type = setTypeOf('dam-crossover-face');
  it('is judged by the tailwater and by no pond gauge', () => {
    const layout = lay(type, { overTail: 4 });
    assert.equal(axisOf(layout, 'trap'), 'tail');
    fc.assert(
      fc.property(
        fc.double({ min: -5, max: 5, noNaN: true }),
        (pond) => deviceState(layout, 'trap', { known: { pond, tail: inches(10) }, age: {}, atMost: {} }, US).verdict === 'fine',
      ),
    );
  });
  it('is swum over once 6 in stand over its top; an arm reaches to 36 in (common practice)', () => {
    const layout = lay(type, { overTail: 4 });
    near(bandOf(layout, 'trap', inches(10))[1], 4 + 10 + 6, 1e-6);
    const at = (tail: number) =>
      deviceState(layout, 'trap', { known: { tail: inches(10 + 4 + 10 + tail) }, age: {}, atMost: {} }, US).beyond;
    assert.deepEqual([at(36), at(37)], ['', 'The top of the jaws lies 37 in deep: out of reach, still fishing.']);
  });
  it('outlined against the sky is said', () => assert.equal(findings(lay(type, { crestOver: 1 })).skyline?.verdict, 'warns'));
});

describe('a float', () => {
  const type = setTypeOf('float');
  it('works until it grounds 1½ in too high and until its taut line holds it 1 in under', () => {
    const [down, up] = bandOf(lay(type, { panOver: 0.5, draft: 2, depth: 30, lineRise: 20 }), 'left');
    near(down, -28 - 1.5, 1e-6);
    near(up, 20 + 1.5, 1e-6);
  });
  it('aground and held under are told apart', () => {
    const layout = lay(type, { depth: 30, lineRise: 20 });
    const at = (d: number) => deviceState(layout, 'left', { known: { pond: POND + inches(d) }, age: {}, atMost: {} }, US).verdict;
    assert.deepEqual([at(-31), at(0), at(22)], ['aground', 'fine', 'heldUnder']);
  });
  it('two traps ride on one raft', () => {
    const two = lay(type, {}, { devices: { left: { class: 'foothold', size: '1½' }, right: { class: 'foothold', size: '1½' } } });
    assert.equal(two.parts.filter((p) => p.kind === 'raft').length, 1);
    assert.equal(two.parts.filter((p) => p.kind === 'pan').length, 2);
  });
  it('a raft that draws more than the water is deep is refused', () =>
    assert.equal(findings(lay(type, { depth: 1, draft: 2 })).ground?.verdict, 'fails'));
});

describe('a set put lower', () => {
  const LEVEL = inches(31.75);
  for (const type of CATALOGUE.filter((t) => t.seen)) {
    it(`${type.id}: restated at another level it stands where it stood, and lower by what is asked`, () => {
      fc.assert(
        fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: 0, max: 3, noNaN: true }), (moved, lower) => {
          const setting = { numbers: {}, choices: {}, pond: POND, tail: inches(10) };
          const place = { kind: 'run' as const, surface: 'pond' as const, bed: null };
          const before = layFrom(type, setting, place, usualDevices(type), 'us');
          const known = { pond: POND + inches(moved), tail: inches(10) + inches(moved) };
          const surface = type.id === 'dam-crossover-face' ? 'tail' : 'pond';
          const numbers = restated(type, setting, {
            then: { pond: POND, tail: inches(10) },
            layout: before,
            surface,
            known,
            lower: inches(lower),
          });
          const after = layFrom(type, { numbers, choices: {}, ...known }, place, usualDevices(type), 'us');
          const need = before.needs[0];
          if (!need) return false;
          const was = heightAt(need, before.parts, known) ?? NaN;
          const is = heightAt(after.needs[0] ?? need, after.parts, known) ?? NaN;
          return Math.abs(was - inches(lower) - is) < 1e-6;
        }),
      );
    });
  }
  it('a depth is restated with the level, and left out where the bed would be dry', () => {
    const type = setTypeOf('lodge-run');
    const setting = { numbers: { depth: inches(21), topUnder: inches(3) }, choices: {}, pond: POND, tail: null };
    const layout = layFrom(type, setting, { kind: 'run', surface: 'pond', bed: null }, usualDevices(type), 'us');
    const numbers = restated(type, setting, { then: { pond: POND }, layout, surface: 'pond', known: { pond: LEVEL }, lower: inches(8) });
    near(numbers.depth, inches(11.75));
    near(numbers.topUnder, inches(1.75));
    assert.equal(
      restated(type, setting, { then: { pond: POND }, layout, surface: 'pond', known: { pond: inches(15) }, lower: 0 }).depth,
      undefined,
    );
  });
});

describe('the arming check', () => {
  const trap = { outer: { class: 'bodyGrip' as const, size: '330' } };
  const type = setTypeOf('lodge-run');
  it('asks a body-grip its five questions, with the caution for a size that needs a setter', () => {
    const [group] = armingCheck(type, trap, {});
    assert.deepEqual(
      group?.asks.map((a) => a.id),
      ['hooksOff', 'wiresInside', 'dogFree', 'rightWayUp', 'swingClear'].map((q) => `outer:${q}`),
    );
    assert.match(group?.caution ?? '', /breaks hands/);
    assert.equal(needsSetter('160'), false);
  });
  it('asks for the lock only on a slide', () => {
    const foothold = { trap: { class: 'foothold' as const, size: '4' } };
    const asks = (hold: string) => armingCheck(setTypeOf('castor-foothold'), foothold, { hold }).flatMap((g) => g.asks.map((a) => a.id));
    assert.ok(asks('slide').includes('trap:lockAtBank'));
    assert.ok(!asks('live').includes('trap:lockAtBank'));
  });
  it('is open until every trap of the set is answered for', () => {
    const two = { ...trap, inner: trap.outer };
    const answered = armingCheck(type, trap, {}).flatMap((g) => g.asks.map((a) => a.id));
    assert.equal(unanswered(type, trap, {}, answered).length, 0);
    assert.equal(unanswered(type, two, {}, answered).length, 5);
    assert.match(notArmedSentence(unanswered(type, two, {}, answered)), /5 questions/);
  });
});

describe('sticks and sizes', () => {
  it('a gap of 3 in with 3½ allowed needs no stick; 10 in needs two (n = ⌈(G−g)/(g+s)⌉, by hand)', () => {
    assert.equal(fence(inches(3), inches(3.5), inches(1.25)).sticks, 0);
    const ten = fence(inches(10), inches(3.5), inches(1.25));
    assert.equal(ten.sticks, 2);
    near(ten.clear, inches(2.5));
  });
  it('never leaves a wider opening than allowed, and never a stick too many', () => {
    const width = fc.double({ min: 0.01, max: 2, noNaN: true });
    fc.assert(
      fc.property(
        width,
        fc.double({ min: 0.03, max: 0.3, noNaN: true }),
        fc.double({ min: 0.01, max: 0.06, noNaN: true }),
        (gap, allowed, stick) => {
          const { sticks, clear } = fence(gap, allowed, stick);
          const fewer = sticks === 0 ? Infinity : (gap - (sticks - 1) * stick) / sticks;
          return clear <= allowed + 1e-6 && fewer > allowed - 1e-6;
        },
      ),
    );
    assert.throws(() => fence(-1, 1, 1), RangeError);
  });
  it('sizes are called what a trapper calls them', () => {
    assert.deepEqual(
      [sizeText('foothold', '1½'), sizeText('bodyGrip', '330'), sizeText('snare', '7×7 3/32')],
      ['No. 1½', '330', '7×7 3/32 snare'],
    );
    assert.deepEqual([...SIZES.bodyGrip], Object.keys(BODY_GRIPS));
    assert.deepEqual([...SIZES.foothold].sort(), Object.keys(FOOTHOLDS).sort());
  });
  it('what is cut and carried counts what is drawn', () => {
    const layout = lay(setTypeOf('lodge-run'), { depth: 30, widthBed: 20 });
    const total = cutAndCarry(layout).reduce((sum, { count, amount }) => sum + (amount === undefined ? count : 0), 0);
    assert.equal(total, layout.parts.filter((p) => p.stock && p.kind !== 'line').length);
    assert.deepEqual(cutAndCarry(layout)[0], { kind: 'device', what: 'body-grip 330', count: 1 });
  });
  it('a number out of its range says the range as its reader reads lengths, and the side of the water', () => {
    const type = setTypeOf('castor-foothold');
    assert.match(
      numberFaults(type, { panUnder: 2 }, 'us')[0]?.[1] ?? '',
      /Pan below water lies between 2 in above water and 12 in below water\.$/,
    );
    assert.match(numberFaults(type, { panUnder: 2 }, 'metric')[0]?.[1] ?? '', /between 5 cm above water and 30.5 cm below water\.$/);
    assert.match(numberFaults(type, { nonsense: 1 }, 'us')[0]?.[1] ?? '', /no number called nonsense/);
    assert.equal(
      boundsText({ label: 'Loop below water', help: '', unit: 'share', min: 0, max: 1, origin: 'practice' }, 'us'),
      'between 0 and 100%',
    );
  });
});
