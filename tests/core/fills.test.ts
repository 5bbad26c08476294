import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { drawnLength } from '#core/sets/design';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { answered, filled, filledText, lyingKnown } from '#core/sets/fills';
import type { NumberKey } from '#core/sets/keys';
import type { Place } from '#core/sets/setType';
import { layOut, usualDevices } from '#core/sets/standing';
import { MEASURE_IDS, measuresFor, type MeasureId, type Taken } from '#core/stations/measures';
import { inches } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';

const POND = inches(41);
const taken = (
  what: MeasureId,
  value: number,
  { level = POND, at = '2026-11-03T12:00:00Z' }: { level?: number | null; at?: string } = {},
): Taken => ({
  what,
  value: inches(value),
  level,
  at,
});
const at = (...measures: Taken[]): Place => ({ kind: 'run', surface: 'pond', bed: null, measures });
/** What is filled, in inches. */
const inInches = (type: string, place: Place, pond: number | null = POND): Record<string, number> =>
  Object.fromEntries(
    Object.entries(filled(setTypeOf(type), place, pond === null ? {} : { pond })).map(([key, { value }]) => [
      key,
      Math.round((value / 0.0254) * 100) / 100,
    ]),
  );

describe('what a place measured fills the numbers of a set', () => {
  it('a width, a roof, a depth, with the day (common practice: which measure is which number)', () => {
    assert.deepEqual(inInches('lodge-run', at(taken('widthSurface', 34), taken('widthBed', 20), taken('depth', 30))), {
      depth: 30,
      widthSurface: 34,
      widthBed: 20,
    });
    assert.deepEqual(inInches('undercut-bank', at(taken('roof', 13), taken('trapDepth', 5))), { depth: 5, roof: 13 });
    assert.deepEqual(inInches('dam-crossover-snare', at(taken('width', 15), taken('overPond', 6))), { deckOver: 6, gap: 15 });
    assert.equal(filled(setTypeOf('lodge-run'), at(taken('widthBed', 20)), {}).widthBed?.at, '2026-11-03T12:00:00Z');
  });
  it('is told with its day, in the reader’s units', () => {
    const roof = { value: inches(13), at: '2026-11-03T12:00:00Z' };
    assert.equal(filledText(roof, plainFrame('us')), '13 in, measured here Nov 3');
    assert.equal(filledText(roof, plainFrame('metric')), '33 cm, measured here 3 Nov');
  });
  it('the newest counts, in whatever order it was taken down', () => {
    const old = taken('widthBed', 14, { at: '2026-10-01T12:00:00Z' });
    for (const order of [
      [old, taken('widthBed', 20)],
      [taken('widthBed', 20), old],
    ])
      assert.equal(inInches('lodge-run', at(...order)).widthBed, 20);
  });
  it('what is measured from the surface moves with it, a width does not', () => {
    const place = at(taken('depth', 30), taken('widthBed', 20), taken('overPond', 6));
    assert.deepEqual(inInches('lodge-run', place, POND - inches(4)), { depth: 26, widthBed: 20 });
    assert.equal(inInches('dam-crossover-snare', place, POND - inches(4)).deckOver, 10);
    assert.equal(inInches('lodge-run', place, null).depth, 30);
    assert.equal(inInches('lodge-run', at(taken('depth', 30, { level: null })), POND - inches(4)).depth, 30);
  });
  it('several measures make one number, and it is left out where one of them is not known (common practice: which)', () => {
    const log = (...more: Taken[]) => inInches('log-crossing', at(taken('overWater', 5), ...more));
    assert.equal(log().overWater, undefined);
    assert.deepEqual([log(taken('thick', 8)).overWater, log(taken('thick', 8)).trunk], [13, 8]);
    assert.equal(inInches('log-crossing', at(taken('overWater', 5), taken('thick', 8)), POND - inches(3)).overWater, 16);
    assert.equal(
      inInches('log-crossing', at(taken('overWater', 5), taken('thick', 8), { ...taken('fixed', 1), value: 0 }), POND - inches(3))
        .overWater,
      13,
      'afloat it follows',
    );
    assert.equal(inInches('log-notch', at(taken('thick', 7))).log, 7);
    const groove = at(taken('depth', 30), taken('besideGroove', 16, { level: POND - inches(4) }));
    assert.equal(inInches('lodge-run', groove).groove, 10, '16 in beside it four inches lower are 20 in now');
    assert.equal(inInches('lodge-run', groove, POND + inches(5)).groove, 10, 'a groove is as deep at any level');
    assert.equal(inInches('lodge-run', at(taken('depth', 30))).groove, undefined);
  });
  it('the crest over the jaws is the deck over the tailwater less the jaws over it and their frame', () => {
    const face = setTypeOf('dam-crossover-face');
    const place: Place = { ...at(taken('overTail', 28)), surface: 'tail' };
    const devices = usualDevices(face);
    const of = (numbers: Record<string, number>, tail = POND) => filled(face, place, { tail }, { numbers, devices }).crestOver?.value;
    assert.ok(Math.abs((of({ overTail: inches(6) }) ?? 0) - inches(12)) < 1e-9);
    assert.ok(Math.abs((of({ overTail: inches(6) }, POND + inches(2)) ?? 0) - inches(10)) < 1e-9);
  });
  it('an arm that was measured stands for the usual one, and a typed reach before it', () => {
    const type = setTypeOf('lodge-run');
    const beyond = (hands: Record<string, number>, numbers: Record<string, number> = {}) =>
      layOut(type, { numbers, choices: {}, then: { pond: POND }, place: at(), devices: usualDevices(type), hands }, 'us').needs.find(
        (n) => n.serves,
      )?.min;
    assert.deepEqual(
      [beyond({}), beyond({ arm: inches(30) }), beyond({ arm: inches(30) }, { reach: inches(33) })],
      [-inches(36), -inches(30), -inches(33)],
    );
  });
  it('a measure out of the range of the number is left out', () => {
    assert.deepEqual(inInches('undercut-bank', at(taken('roof', 70))), {});
    assert.deepEqual(inInches('lodge-run', at(taken('depth', 2)), POND - inches(9)), {});
  });
  it('what is typed stands before it, and the drawing follows both', () => {
    const type = setTypeOf('undercut-bank');
    const roofOf = (numbers: Partial<Record<NumberKey, number>>): number => {
      const design = layOut(
        type,
        { numbers, choices: {}, then: { pond: POND }, place: at(taken('roof', 13)), devices: usualDevices(type) },
        'us',
      );
      const mark = design.marks.find((m) => m.key === 'roof');
      assert.ok(mark);
      return Math.round(drawnLength(mark) / 0.0254);
    };
    assert.deepEqual([roofOf({}), roofOf({ roof: inches(20) })], [13, 20]);
  });
  it('how deep a set lies is known as it was seen, or over a depth that was typed or measured: then one order of hands is shown', () => {
    const type = setTypeOf('lodge-run');
    const known = (numbers: Partial<Record<NumberKey, number>>, place = at()): boolean =>
      lyingKnown(type, { numbers, place, then: { pond: POND } });
    assert.deepEqual(
      [known({}), known({ topUnder: 0.1 }), known({ depth: 0.8 }), known({}, at(taken('depth', 30)))],
      [false, true, true, true],
    );
    assert.equal(known({}, at(taken('widthBed', 20))), false);
  });
  it('a choice that a measure answers is answered by it', () => {
    const yes = (what: MeasureId, value: number): Place => ({ ...at(), measures: [{ what, value, level: null, at: '' }] });
    assert.deepEqual(answered(setTypeOf('log-notch'), yes('fixed', 1)), { log: 'fixed' });
    assert.deepEqual(answered(setTypeOf('log-notch'), yes('fixed', 0)), { log: 'afloat' });
    assert.deepEqual(answered(setTypeOf('channel-snare'), yes('ceiling', 0.4)), { passage: 'roofed' });
    assert.deepEqual(answered(setTypeOf('dam-crossover-face'), yes('footClear', 0)), { channel: 'none' });
    assert.deepEqual(answered(setTypeOf('log-notch'), at()), {});
  });
  it('every measure that fills a number is asked at a place where the type stands', () => {
    for (const type of CATALOGUE)
      for (const [key, spec] of Object.entries(type.numbers))
        for (const what of spec.from ?? [])
          assert.ok(
            type.stations.some((kind) => measuresFor(kind).includes(what)),
            `${type.id}.${key} ← ${what}`,
          );
  });
  it('nothing is filled that was not measured, and nothing out of its range', () =>
    fc.assert(
      fc.property(
        fc.constantFrom(...CATALOGUE),
        fc.array(fc.record({ what: fc.constantFrom(...MEASURE_IDS), value: fc.double({ min: -50, max: 200, noNaN: true }) }), {
          maxLength: 8,
        }),
        fc.double({ min: 0, max: 80, noNaN: true }),
        (type, list, pond) => {
          const all = filled(type, at(...list.map((m) => taken(m.what, m.value))), { pond: inches(pond) });
          return Object.entries(all).every(([key, { value }]) => {
            const spec = type.numbers[key as NumberKey];
            return spec && value >= spec.min && value <= spec.max && list.some((m) => spec.from?.includes(m.what));
          });
        },
      ),
    ));
});
