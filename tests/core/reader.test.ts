import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { CATALOGUE } from '#core/sets/catalogue';
import { SAMPLE_LEVEL } from '#core/sets/sample';
import { textsOf } from '#core/sets/texts';
import { layOut, statesOf, usualDevices } from '#core/sets/standing';
import { inches, type System } from '#core/units/factors';
import type { Frame } from '#core/units/frame';
import { inWords } from '#core/units/inWords';
import { an, agree, many } from '#core/units/many';
import { forceText, frostText, growthText, gustText, speedText, travelText } from '#core/units/speed';

/** Measures of the other kind of reader: a figure before a unit. */
const AMERICAN =
  /[\d¼½¾⅛]\s?(?:in|ft|yd|lb|mph|inch|inches|feet|foot|pounds?)\b(?! (?:the|a|an|front|use|it|place|its)\b| \d)|\bhalf an inch\b|\ban inch\b/;
const METRIC = /\d\s?(?:cm|mm|m|kg|km\/h|m\/s|N|°C|°C-days)(?![\w/])/;
const FOREIGN: Record<System, RegExp> = { us: METRIC, metric: AMERICAN };
const fine = (system: System, said: readonly string[]): void => {
  for (const text of said) assert.doesNotMatch(text, FOREIGN[system]);
};

describe('every text of a type', () => {
  for (const type of CATALOGUE) {
    it(`${type.id} speaks in the units of its reader`, () => {
      for (const system of ['us', 'metric'] as const)
        fine(
          system,
          textsOf(type, { system, zone: 'UTC', hours: 12, zero: { pond: 0.37, tail: 0.37 } }).map((t) => t.text),
        );
    });
    it(`${type.id} says the same of a gauge that hangs elsewhere`, () =>
      fc.assert(
        fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.double({ min: -0.5, max: 0.5, noNaN: true }), (zero, by) => {
          const place = { kind: type.stations[0] ?? 'run', surface: 'pond' as const, bed: null };
          const said = (shift: number): string[] => {
            const then = { pond: SAMPLE_LEVEL.pond + shift, tail: SAMPLE_LEVEL.tail + shift };
            const layout = layOut(type, { numbers: {}, choices: {}, then, place, devices: usualDevices(type) }, 'us');
            const known = { pond: then.pond + by, tail: then.tail + by, sheet: inches(6) };
            const frame: Frame = { system: 'us', zone: 'UTC', hours: 12, zero: { pond: shift, tail: shift } };
            return statesOf({ layout, devices: [] }, { known, age: {}, atMost: {} }, frame).map((s) => s.verdict);
          };
          assert.deepEqual(said(zero), said(0));
        }),
        { numRuns: 15 },
      ));
  }
});

describe('a text in inches', () => {
  it('is told to a metric reader on the marks of his tape, sizes and counts left alone', () => {
    assert.equal(inWords('6 to 8 in deep', 'metric'), '15 to 20.5 cm deep');
    assert.equal(inWords('A 4 ft post, a 330, ¾ in of water', 'metric'), 'A 1.2 m post, a 330, 2 cm of water');
    assert.equal(inWords('95 lb of rock', 'metric'), '43 kg of rock');
    assert.equal(inWords('half an inch of water over the pan', 'metric'), '1 cm of water over the pan');
    assert.equal(inWords('set 4 in the run', 'metric'), 'set 4 in the run');
    assert.equal(inWords('6 to 8 in deep', 'us'), '6 to 8 in deep');
  });
});

describe('figures with their unit', () => {
  it('are told in the reader’s own: water, wind, pull, frost, growth of ice', () => {
    assert.deepEqual(
      (['us', 'metric'] as const).map((s) => [
        speedText(0.73, s),
        travelText(30, s),
        travelText(4, s),
        gustText(5, s),
        forceText(5, s),
        frostText(10, s),
      ]),
      [
        ['2.4 ft/s', '19 mph', '2.5 mph', '11 mph', '1.1 lb', '18 °F-days'],
        ['0.73 m/s', '30 km/h', '4 km/h', '5.0 m/s', '5.0 N', '10 °C-days'],
      ],
    );
  });
  it('ice grows alike in both: 2.7 cm for the root of a °C-day is 0.79 in for the root of a °F-day (Stefan’s law)', () => {
    assert.equal(growthText(2.7, 'us'), '0.79 in for the root of a °F-day');
    const days = 40;
    assert.ok(Math.abs((2.7 * Math.sqrt(days)) / 2.54 - 0.79 * Math.sqrt(days * 1.8)) < 0.05);
  });
});

describe('small words', () => {
  it('agree with their number at 0, 1 and 2', () => {
    assert.deepEqual(
      [0, 1, 2].map((n) => many(n, 'check')),
      ['0 checks', '1 check', '2 checks'],
    );
    assert.deepEqual(
      [1, 3].map((n) => many(n, 'person', 'people')),
      ['1 person', '3 people'],
    );
    assert.deepEqual(
      [1, 2].map((n) => agree(n, 'is', 'are')),
      ['is', 'are'],
    );
  });
  it('an article goes by the sound', () => {
    for (const [noun, said] of [
      ['undercut', 'an undercut'],
      ['8 in loop', 'an 8 in loop'],
      ['18 in pole', 'an 18 in pole'],
      ['110', 'a 110'],
      ['unit', 'a unit'],
      ['otter', 'an otter'],
      ['muskrat', 'a muskrat'],
    ] as const)
      assert.equal(an(noun), said);
  });
});
