import { tell } from '#core/words/finding';
import { foundPlace } from '#core/scouting/asStation';
import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { brookStrip, damGaps, lodgePlan } from '#core/scene/surveyMaps';
import { groundPlan } from '#core/scene/groundPlan';
import { BROOK_MARKS, chosenMarks, rankMarks, type BrookMark } from '#core/scouting/brook';
import { GAP_PLACES, mainCrossing, rankGaps, type Gap } from '#core/scouting/crossing';
import { afterHole, HOLE_FEELS, likelyRuns, lodgeLife, LODGE_SIGNS, offset, type Hole } from '#core/scouting/lodge';
import { way } from '#core/ground/geodesic';
import { feet, inches } from '#core/units/factors';

const near = (a: number, b: number, within = 1e-9) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b}`);
const gap = (place: Gap['place'], ...yes: (keyof Gap)[]): Gap => ({
  place,
  worn: yes.includes('worn'),
  wet: yes.includes('wet'),
  dark: yes.includes('dark'),
  bare: yes.includes('bare'),
  channel: yes.includes('channel'),
  width: null,
});

describe('the crossing of a dam (common practice)', () => {
  it('the worn, wet, bare gap is the main one, with the reason and the next', () => {
    const { main, sentence } = mainCrossing([gap('left end', 'wet'), gap('middle', 'worn', 'wet', 'bare', 'dark')]);
    assert.equal(main, 1);
    assert.match(
      sentence,
      /^Main crossing at the middle: worn, wet, left bare of poles and dark and muddy\. The next, at the left end: wet\.$/,
    );
  });
  it('of equals the middle comes first', () => assert.equal(mainCrossing([gap('right end', 'worn'), gap('middle', 'worn')]).main, 1));
  it('none is marked when none is worn, wet and bare enough', () => {
    assert.equal(mainCrossing([gap('middle', 'wet')]).main, null);
    assert.equal(mainCrossing([]).main, null);
  });
  const anyGap = fc.record({
    place: fc.constantFrom(...GAP_PLACES),
    worn: fc.boolean(),
    wet: fc.boolean(),
    dark: fc.boolean(),
    bare: fc.boolean(),
    channel: fc.boolean(),
    width: fc.constant(null),
  });
  it('one more trait never ranks a gap lower', () =>
    fc.assert(
      fc.property(
        fc.array(anyGap, { minLength: 2, maxLength: 6 }),
        fc.constantFrom('worn', 'wet', 'dark', 'bare', 'channel' as const),
        (gaps, trait) => {
          const rank = (list: Gap[]) => rankGaps(list).findIndex((r) => r.index === 0);
          const better = gaps.map((g, i) => (i === 0 ? { ...g, [trait]: true } : g));
          assert.ok(rank(better) <= rank(gaps));
        },
      ),
    ));
  it('every gap has a place of its own in the drawing', () =>
    fc.assert(
      fc.property(fc.array(anyGap, { minLength: 1, maxLength: 5 }), (gaps) => {
        const at = damGaps(gaps).map((g) => g.at);
        assert.ok(
          at.every((x) => x > 0 && x < 1),
          String(at),
        );
      }),
    ));
});

describe('the winter lodge (common practice)', () => {
  const at = new Date('2026-12-20T09:00:00Z');
  it('no single sign decides', () => {
    for (const sign of LODGE_SIGNS) assert.equal(lodgeLife([sign], at).verdict, 'warns', sign);
    assert.equal(lodgeLife([], at).verdict, 'unknown');
  });
  it('signs that agree do, signs that disagree do not', () => {
    assert.equal(lodgeLife(['frostedVent', 'greenPile'], at).verdict, 'holds');
    assert.equal(lodgeLife(['weeds', 'drySticks'], at).verdict, 'fails');
    assert.match(tell(lodgeLife(['frostedVent', 'weeds'], at), 'us').sentence, /disagree.*otter, muskrat or nobody/);
  });
  const hole = (felt: Hole['felt'], distance: number, bearing = 120): Hole => ({ felt, distance: feet(distance), bearing, ice: null });
  it('sticks: two feet outward and again; the edge is the place; clear lies between', () => {
    const holes = [hole('sticks', 7), hole('sticks', 9), hole('clear', 13)];
    assert.match(afterHole(holes[0] as Hole, holes, 'us'), /about 24 in outward on 120°, to 9 ft from the peak/);
    assert.match(afterHole(hole('edge of the sticks', 11), holes, 'us'), /11 ft on 120°: this is the place/);
    assert.match(afterHole(holes[2] as Hole, holes, 'us'), /between 9 ft and 13 ft on 120°/);
    assert.match(afterHole(hole('clear', 13, 300), holes, 'us'), /nothing under it/);
  });
  it('two runs leave left and right of the pile, and a refuse exit at the back', () => {
    assert.deepEqual(
      likelyRuns(150, 165).map((r) => r.bearing),
      [125, 205, 330],
    );
    assert.deepEqual(
      likelyRuns(10, null).map((r) => r.bearing),
      [330, 50, 190],
    );
    assert.deepEqual(likelyRuns(null, null), []);
  });
  it('holes lie on the plan where they were cut, and all of it fits', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            felt: fc.constantFrom(...HOLE_FEELS),
            distance: fc.double({ min: 0.3, max: 12, noNaN: true }),
            bearing: fc.double({ min: 0, max: 360, noNaN: true }),
            ice: fc.constant(null),
          }),
          {
            minLength: 1,
            maxLength: 8,
          },
        ),
        (holes) => {
          const plan = lodgePlan({ holes, pile: 90, ledge: 80, radius: null }, 400, 'us');
          plan.holes.forEach(({ x, y }, i) => {
            const { east, north } = offset(holes[i] as Hole);
            near(x - plan.middle, east * plan.scale, 1e-6);
            near(plan.middle - y, north * plan.scale, 1e-6);
            assert.ok(x >= 0 && x <= 400 && y >= 0 && y <= 400);
          });
          for (const r of plan.runs) assert.ok([r.x2, r.y2].every((v) => v >= 0 && v <= 400));
        },
      ),
    ));
});

describe('the walk of a brook (common practice)', () => {
  const mark = (over: Partial<BrookMark>): BrookMark => ({
    along: 0,
    mark: 'undercut',
    depth: null,
    roof: null,
    pool: false,
    outside: false,
    ...over,
  });
  const good = mark({ along: feet(270), mark: 'root wad', depth: inches(5), roof: inches(8), pool: true, outside: true });
  it('the outside of a bend with the right depth, a roof and a pool comes first, with its reasons', () => {
    const [first] = rankMarks([mark({ along: 5, depth: inches(11) }), good], 'us');
    assert.equal(first?.index, 1);
    assert.equal(first?.reason, 'outside of the bend, 5 in at the trap, as wanted, roof 8 in over the bed, a pool that keeps food');
  });
  it('says what to make up where the depth is wrong', () => {
    assert.match(rankMarks([mark({ depth: inches(2) })], 'us')[0]?.reason ?? '', /2 in to dig/);
    assert.match(rankMarks([mark({ depth: inches(7) })], 'us')[0]?.reason ?? '', /stand it 2 in higher/);
    assert.match(rankMarks([mark({ roof: inches(3) })], 'us')[0]?.reason ?? '', /no room for a frame/);
  });
  const anyMark = fc.record({
    along: fc.double({ min: 0, max: 400, noNaN: true }),
    mark: fc.constantFrom(...BROOK_MARKS),
    depth: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    roof: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    pool: fc.boolean(),
    outside: fc.boolean(),
  });
  it('chosen marks are never within 45 m of each other, nor more than asked', () =>
    fc.assert(
      fc.property(fc.array(anyMark, { minLength: 1, maxLength: 20 }), fc.integer({ min: 1, max: 5 }), (marks, most) => {
        const taken = chosenMarks(marks, most, 'us').map((r) => marks[r.index]?.along ?? 0);
        assert.ok(taken.length <= most && taken.length > 0);
        taken.forEach((a, i) => taken.forEach((b, j) => assert.ok(i === j || Math.abs(a - b) >= 45)));
      }),
    ));
  it('the strip keeps every mark at its way', () => {
    const strip = brookStrip([good, mark({ along: feet(60) }), mark({ along: feet(165) })], 1000, 'us');
    const x = (n: number) => strip.marks.find((m) => m.n === n)?.x ?? 0;
    near((x(3) - x(2)) / (x(1) - x(2)), 0.5, 1e-9);
    assert.equal(strip.marks.find((m) => m.n === 1)?.along, '270 ft');
  });
});

describe('the map on paper', () => {
  it('keeps ways between points to scale within a hundredth', () => {
    const at = [
      [-90.487, 45.512],
      [-90.485, 45.5125],
      [-90.4862, 45.511],
    ] as const;
    const plan = groundPlan(
      [],
      at.map((p, i) => ({ id: String(i), at: p, text: String(i), strong: false })),
      { width: 500, height: 300 },
    );
    const px = (a: number, b: number) =>
      Math.hypot((plan.points[a]?.x ?? 0) - (plan.points[b]?.x ?? 0), (plan.points[a]?.y ?? 0) - (plan.points[b]?.y ?? 0));
    const scale = plan.bar.px / plan.bar.metres;
    for (const [a, b] of [
      [0, 1],
      [1, 2],
      [0, 2],
    ] as const)
      near(px(a, b) / (way(at[a], at[b]).distance * scale), 1, 0.01);
    assert.ok(plan.points.every((p) => p.x >= 0 && p.x <= 500 && p.y >= 0 && p.y <= 300));
  });
});

describe('a gap that is not in use', () => {
  const gap = { place: 'middle' as const, worn: true, wet: true, dark: false, bare: true, channel: false, width: null };
  it('is no crossing, however worn it is, and says why', () => {
    assert.equal(mainCrossing([gap]).main, 0);
    for (const [against, said] of [
      ['poles', /poles lie across it/],
      ['unused', /not in use/],
    ] as const) {
      const barred = { ...gap, [against]: true };
      assert.equal(mainCrossing([barred]).main, null, against);
      assert.match(rankGaps([barred])[0]?.reason ?? '', said);
    }
    assert.match(
      mainCrossing([
        { ...gap, poles: true },
        { ...gap, place: 'left end' },
      ]).sentence,
      /^Main crossing at the left end/,
    );
  });
  it('is drawn apart from a worn one, and from one of which nothing was seen (F117)', () => {
    const drawn = damGaps([gap, { ...gap, worn: false, wet: false, bare: false }, { ...gap, poles: true }]);
    assert.ok((drawn[0]?.cut ?? 0) > (drawn[1]?.cut ?? 0));
    assert.deepEqual(
      drawn.map((g) => g.poles),
      [false, false, true],
    );
  });
});

describe('what a guided reading found becomes a station, whole', () => {
  it('a gap with its width, its clear foot and its worn crossing', () => {
    const gap = {
      place: 'middle' as const,
      worn: true,
      wet: false,
      dark: false,
      bare: false,
      channel: true,
      width: 0.4,
      poles: false,
      unused: false,
    };
    assert.deepEqual(foundPlace({ kind: 'crossing', gaps: [gap], main: 0 }, 0), {
      ...{ name: 'crossing, middle', kind: 'crossover', along: null, child: true, depth: null },
      measures: [
        { what: 'width', value: 0.4 },
        { what: 'footClear', value: 1 },
      ],
      signs: ['wornGap'],
    });
    const plain = foundPlace({ kind: 'crossing', gaps: [{ ...gap, worn: false, channel: false, width: null }], main: 0 }, 0);
    assert.deepEqual([plain?.measures, plain?.signs], [[], []]);
    assert.deepEqual(foundPlace({ kind: 'crossing', gaps: [{ ...gap, poles: true }], main: null }, 0)?.signs, ['polesAcross']);
  });
  it('a likely run of a lodge with its bearing, an undercut with its depth and its roof', () => {
    const run = foundPlace({ kind: 'lodge', seen: [], ledge: null, pile: 180, radius: null, holes: [] }, 0);
    assert.deepEqual([run?.kind, run?.measures], ['run', [{ what: 'bearing', value: 140 }]]);
    const mark = { along: 12, mark: 'undercut' as const, depth: 0.2, roof: 0.5, pool: false, outside: true };
    const under = foundPlace({ kind: 'brook', marks: [mark] }, 0);
    assert.deepEqual([under?.depth, under?.along, under?.measures.map((m) => m.what)], [0.2, 12, ['trapDepth', 'roof']]);
  });
  it('of a mark that is not there nothing is made', () => assert.equal(foundPlace({ kind: 'crossing', gaps: [], main: null }, 3), null));
});
