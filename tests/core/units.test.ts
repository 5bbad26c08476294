import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { wordsOf } from '#core/units/bodyGauge';
import { FOOT, INCH, POUND } from '#core/units/factors';
import { readNumber, writeFraction } from '#core/units/fraction';
import { parseDegrees } from '#core/units/degrees';
import { parseShare } from '#core/units/share';
import { parseLength, printLength, printLevel, smallUnit } from '#core/units/length';
import { parseWeight, printWeight } from '#core/units/weight';

const read = (text: string, unit: 'in' | 'ft' | 'cm' | 'm' = 'in', words = {}) => {
  const parsed = parseLength(text, unit, words);
  return parsed.ok ? parsed.value : parsed.sentence;
};
const near = (actual: unknown, expected: number) => {
  assert.equal(typeof actual, 'number', String(actual));
  assert.ok(Math.abs((actual as number) - expected) < 1e-9, `${actual} is not ${expected}`);
};

describe('factors', () => {
  it('inch, foot and pound are exact (NIST SP 811)', () => {
    assert.equal(INCH, 0.0254);
    near(FOOT, 0.3048);
    assert.equal(POUND, 0.45359237);
  });
});

describe('a length as people write it', () => {
  const forms: [string, number][] = [
    [`7'6"`, 2.286],
    ['7 ft 6', 2.286],
    ['7 ft 6 in', 2.286],
    ['7 feet 6 inches', 2.286],
    ['30 in', 0.762],
    ['30"', 0.762],
    ['1 1/2"', 0.0381],
    ['1½', 0.0381],
    ['1-1/2 in', 0.0381],
    ['½', 0.0127],
    ['0.75 m', 0.75],
    ['75cm', 0.75],
    ['750 mm', 0.75],
    ['−3 in', -0.0762],
    ['-3', -0.0762],
    ['9', 0.2286],
    ['7 ft', 2.1336],
    ["7'", 2.1336],
    ['7′ 6½″', 2.2987],
    ['31 3/4 in', 0.80645],
    ['2,5 cm', 0.025],
    ['5/64', 0.001984375],
    [' 12  IN ', 0.3048],
  ];
  for (const [text, metres] of forms) it(`${text} is ${metres} m`, () => near(read(text), metres));

  it('a bare number takes the unit of its field', () => {
    near(read('20', 'cm'), 0.2);
    near(read('2', 'ft'), 0.6096);
    near(read('2', 'm'), 2);
    assert.deepEqual([smallUnit('us'), smallUnit('metric')], ['in', 'cm']);
  });
  it('a body word or a stored tool is a length, whatever its case', () => {
    const words = wordsOf({ knee: 0.52, 'Axe handle': 0.71 });
    near(read('Knee', 'in', words), 0.52);
    near(read('axe handle', 'in', words), 0.71);
    near(read('-knee', 'in', words), -0.52);
    near(read('ankle', 'in', words), 4 * INCH);
  });
  for (const bad of ['abc', '', '7 ft 6 ft', '1/0', '3 kg', '--3', '1 2 3', "'", 'in', '__proto__', 'constructor']) {
    it(`“${bad}” is refused with an example`, () => assert.match(String(read(bad)), /9 1\/2 in/));
  }
});

describe('a length as on a tape', () => {
  it('rounds to the quarter and never writes twelve inches behind feet', () => {
    assert.equal(printLength(9.25 * INCH, 'us'), '9¼ in');
    assert.equal(printLength(89.95 * INCH, 'us'), '7 ft 6 in');
    assert.equal(printLength(95.95 * INCH, 'us'), '8 ft');
    assert.equal(printLength(-3 * INCH, 'us'), '−3 in');
    assert.equal(printLength(0.001, 'us'), '0 in');
    assert.equal(printLength(0.237, 'metric'), '23.5 cm');
    assert.equal(printLength(1.25, 'metric'), '1.25 m');
    assert.equal(printLength(1.255, 'metric'), '1.255 m');
    assert.equal(printLevel(60 * INCH, 'us'), '60 in');
  });
  it('what was printed parses to the same length within half a mark', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 20, noNaN: true }), fc.constantFrom('us' as const, 'metric' as const), (metres, system) => {
        const back = read(printLength(metres, system), smallUnit(system));
        const mark = system === 'us' ? INCH / 8 : 0.0025;
        return typeof back === 'number' && Math.abs(back - metres) <= mark + 1e-9;
      }),
    );
  });
  it('printing what was printed changes nothing', () => {
    fc.assert(
      fc.property(fc.double({ min: -20, max: 20, noNaN: true }), fc.constantFrom('us' as const, 'metric' as const), (metres, system) => {
        const text = printLength(metres, system);
        return printLength(read(text, smallUnit(system)) as number, system) === text;
      }),
    );
  });
});

describe('fractions', () => {
  it('sizes of gear keep their sixteenths', () => {
    assert.equal(writeFraction(3 / 16, 16), '3/16');
    assert.equal(writeFraction(1 + 5 / 16, 16), '1 5/16');
    assert.equal(writeFraction(4.75, 4), '4¾');
  });
  it('what was written reads back', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 4000 }), (n) => readNumber(writeFraction(n / 16, 16)) === n / 16));
  });
  it('a negative is refused', () => assert.throws(() => writeFraction(-1, 4), RangeError));
});

describe('a weight', () => {
  const weigh = (text: string, system: 'us' | 'metric' = 'us') => {
    const parsed = parseWeight(text, system);
    return parsed.ok ? parsed.value : parsed.sentence;
  };
  it('is read in pounds, ounces, kilograms and grams', () => {
    near(weigh('44 lb'), 44 * POUND);
    near(weigh('44'), 44 * POUND);
    near(weigh('2 lb 6 oz'), 2.375 * POUND);
    near(weigh('20 kg'), 20);
    near(weigh('650 g'), 0.65);
    near(weigh('20', 'metric'), 20);
    near(weigh('-3 kg'), -3);
    near(weigh('1½ lb'), 1.5 * POUND);
  });
  it('nonsense is refused with an example', () => {
    assert.match(String(weigh('heavy')), /44 lb/);
    assert.match(String(weigh('')), /needed/);
  });
  it('is written the way it is spoken', () => {
    assert.equal(printWeight(44 * POUND, 'us'), '44 lb');
    assert.equal(printWeight(2.375 * POUND, 'us'), '2 lb 6 oz');
    assert.equal(printWeight(0.65, 'metric'), '650 g');
    assert.equal(printWeight(19.96, 'metric'), '20 kg');
  });
});

describe('a share as people write it', () => {
  for (const [text, value] of [
    ['50', 0.5],
    ['50 %', 0.5],
    ['½', 0.5],
    ['half', 0.5],
    ['two thirds', 2 / 3],
    ['2/3', 2 / 3],
    ['0.6', 0.6],
    ['1', 1],
    ['all', 1],
    ['0', 0],
  ] as const)
    it(`${text} is ${value}`, () => {
      const read = parseShare(text);
      assert.ok(read.ok && Math.abs(read.value - value) < 1e-12);
    });
  for (const text of ['150', 'deep', '-20', '3/2 %%', '120 %'])
    it(`${text} is refused, with what would be right`, () =>
      assert.match((parseShare(text) as { sentence: string }).sentence, /is not a share of the whole\. Write it like 2\/3, half or 60%\./));
  it('a whole number of per cent reads back', () =>
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 100 }), (n) => {
        const [bare, sign] = [parseShare(String(n)), parseShare(`${n}%`)];
        return bare.ok && sign.ok && bare.value === n / 100 && sign.value === n / 100;
      }),
    ));
});

describe('degrees as people write them', () => {
  for (const [text, axis, value] of [
    ['44.9', 'lat', 44.9],
    ['44.9 N', 'lat', 44.9],
    ['33,5° s', 'lat', -33.5],
    ['-90.5', 'lon', -90.5],
    ['90.5 W', 'lon', -90.5],
    ['−12', 'lon', -12],
  ] as const)
    it(`${text} is ${value}`, () => assert.deepEqual(parseDegrees(text, axis), { ok: true, value }));
  for (const [text, axis, says] of [
    ['forty', 'lat', /not a number of degrees/],
    ['95', 'lat', /lies between −90 and 90/],
    ['181 E', 'lon', /lies between −180 and 180/],
    ['44 W', 'lat', /has no W/],
    ['-90 W', 'lon', /a sign or a letter, not both/],
  ] as const)
    it(`${text} is refused as a ${axis}`, () => assert.match((parseDegrees(text, axis) as { sentence: string }).sentence, says));
});
