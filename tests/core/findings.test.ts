import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { CATALOGUE, setTypeOf } from '#core/sets/catalogue';
import { layOut, usualDevices } from '#core/sets/standing';
import { sampleDesign } from '#core/sets/sample';
import { inches } from '#core/units/factors';
import { BED } from '#core/words/findings/bed';
import { GRIP } from '#core/words/findings/grip';
import { HOLD } from '#core/words/findings/hold';
import { ICE } from '#core/words/findings/ice';
import { LOOP } from '#core/words/findings/loop';
import { PLACE } from '#core/words/findings/place';
import { WEATHER } from '#core/words/findings/weather';
import { FINDINGS, found, tell, type Finding } from '#core/words/finding';

/** A finding is what was found, in SI; words are put to it for a reader. */

const AMERICAN = /[\d½¼¾] (in|ft|lb|lbf|oz)\b/;
const METRIC = /[\d½¼¾] (cm|mm|m|kg|g|N|kN)\b/;
const length = fc.double({ min: 0.003, max: 6, noNaN: true });

describe('findings', () => {
  it('have words of their own: no name is used twice', () => {
    const names = [GRIP, HOLD, LOOP, BED, ICE, PLACE, WEATHER].flatMap((group) => Object.keys(group));
    assert.deepEqual([...names].sort(), Object.keys(FINDINGS).sort());
  });
  it('carry no words and no units: the same layout for both readers', () => {
    for (const type of CATALOGUE)
      for (const variant of [undefined, ...(type.variants ?? [])])
        assert.deepEqual(
          sampleDesign(type, variant, 'us').findings,
          sampleDesign(type, variant, 'metric').findings,
          `${type.id} ${variant?.id ?? ''}`,
        );
  });
  it('are plain values that survive a way through JSON, none of them a sentence', () => {
    for (const type of CATALOGUE)
      for (const finding of sampleDesign(type, undefined, 'us').findings) {
        const back = JSON.parse(JSON.stringify(finding)) as Finding;
        assert.equal(tell(back, 'us').sentence, tell(finding, 'us').sentence);
        for (const value of Object.values(finding.values))
          if (typeof value === 'string') assert.ok(value.length < 24, `${type.id}: ${value}`);
      }
  });
  it('are told once a design: their ids differ', () => {
    for (const type of CATALOGUE)
      for (const variant of [undefined, ...(type.variants ?? [])]) {
        const ids = sampleDesign(type, variant, 'us').findings.map((f) => f.id);
        assert.deepEqual(ids, [...new Set(ids)], type.id);
      }
  });
  it('speak the units of their reader, in the sentence and in the figure', () => {
    fc.assert(
      fc.property(length, length, length, (a, b, c) => {
        const all = [
          found('springs', 'holds', 'practice', { wide: a, room: b, shows: c }),
          found('tooTall', 'fails', 'computed', { under: a, frame: b, depth: c }),
          found('reach', 'holds', 'practice', { reach: a, tie: b, straight: c, short: false, called: 'an otter', held: 'body' }),
          found('slideDepth', 'holds', 'practice', { depth: a, wanted: b, called: 'an adult beaver' }),
          found('grounding', 'holds', 'computed', { room: a, slack: b }),
          found('nextCheck', 'holds', 'computed', { ice: a, left: b, lower: c }),
          found('overBed', 'holds', 'computed', { needs: a, depth: b }),
          found('largestLoop', 'fails', 'computed', { cable: a, most: b, short: true, more: c }),
          found('fullCover', 'holds', 'practice', { depth: a, swims: b, called: 'a mink' }),
          found('sinks', 'fails', 'yours', { mud: a }),
          found('wade', 'holds', 'yours', { water: a, mud: b, waders: a + b + c }),
          found('wadeTooDeep', 'fails', 'practice', { water: a, mud: null, waders: b }),
          found('onIce', 'unknown', 'published', { thin: a, white: false, fell: 0 }),
          found('rainAtNight', 'warns', 'practice', { rain: 20 * a }),
          found('snow', 'warns', 'practice', { snow: 10 * a }),
        ];
        for (const finding of all) {
          const [us, metric] = [tell(finding, 'us'), tell(finding, 'metric')];
          assert.doesNotMatch(`${us.figure} ${us.sentence}`, METRIC);
          assert.doesNotMatch(`${metric.figure} ${metric.sentence}`, AMERICAN);
        }
      }),
    );
  });
  it('turn inches that are part of their words for a metric reader too', () => {
    const mound = found('mound', 'holds', 'practice', { back: inches(20), near: false });
    assert.match(tell(mound, 'us').sentence, /^18 to 24 in/);
    assert.doesNotMatch(tell(mound, 'metric').sentence, AMERICAN);
  });
});

describe('what a finding says follows its values', () => {
  const us = (finding: Finding) => tell(finding, 'us');
  it('a wire that is shorter than its bank', () => {
    const told = us(found('slideShort', 'fails', 'practice', { overBank: inches(12), wire: inches(9) }, { field: 'wire' }));
    assert.equal(told.figure, 'short 3 in');
    assert.equal(told.field, 'wire');
    assert.match(told.sentence, /^The wire is shorter than the bank: 12 in lead from its stake/);
  });
  it('one stick is a stick, two are sticks, none are needed', () => {
    const gap = (sticks: number) =>
      us(
        found('fence', 'holds', 'practice', {
          gap: inches(2),
          sticks,
          small: { called: 'a kit', gap: inches(5) },
          large: { called: 'an adult', gap: inches(7) },
        }),
      ).sentence;
    assert.match(gap(0), /^No stick is needed: 2 in stay open at most\. A kit uses 5 in, an adult 7 in\.$/);
    assert.match(gap(1), /^1 stick: /);
    assert.match(gap(3), /^3 sticks: /);
  });
  it('a gap that the smallest uses asks for one stick more', () => {
    const small = { called: 'a kit', gap: inches(5) };
    const told = us(
      found('fence', 'warns', 'practice', { gap: inches(6), sticks: 2, small, large: { called: 'an adult', gap: inches(7) } }),
    );
    assert.match(told.sentence, /at every height a kit needs \(5 in\): one more stick there/);
  });
  it('what was not measured is a question, never a figure', () => {
    for (const finding of [
      found('buildUp', 'unknown', 'computed', {}),
      found('pole', 'unknown', 'practice', {}),
      found('tieLength', 'unknown', 'practice', {}),
      found('grounding', 'unknown', 'computed', { room: null, slack: 1 }),
      found('thaw', 'unknown', 'practice', { rise: undefined, over: 0.3, afloat: false, drowned: false }),
      found('slideUnknown', 'unknown', 'practice', { wanted: 0.9, called: 'an adult beaver' }),
    ])
      assert.match(us(finding).figure, /\?$/, finding.says);
  });
  it('which of two devices it speaks of stands after its subject', () => {
    assert.equal(
      us(found('buildUp', 'unknown', 'computed', {}, { id: 'buildUp-left', of: 'left' })).about,
      'Bed height under the trap, left',
    );
    assert.equal(
      us(found('foot', 'holds', 'practice', { foot: 'hind', off: 0.15, wanted: [5, 7], under: [6, 9] })).about,
      'For a hind foot',
    );
  });
  it('a bag that no fill makes heavy enough is no bag', () => {
    const asked = { animal: 'otter', fill: 'rock', bag: undefined, swimming: 20, footed: null, depth: undefined, wanted: inches(50) };
    const told = us(found('bag', 'unknown', 'practice', asked));
    assert.equal(told.figure, 'not weighed');
    assert.match(told.sentence, /44 lb of rock while it swims, no bag once it has a footing\. Type what the bag weighs/);
    assert.match(
      us(found('bag', 'warns', 'practice', { ...asked, bag: 25, depth: inches(30) })).sentence,
      /30 in over it leave a footing; 4 ft 2 in would not/,
    );
  });
  it('a tangle pole with too little water says by how much', () => {
    const values = { thick: 0.08, turn: 0.25, turns: 9, left: 0.1, wire: 2.4, wanted: inches(40), depth: inches(30) };
    assert.match(us(found('tangle', 'fails', 'practice', values)).sentence, /There are only 30 in: deeper by 10 in, or a slide wire\.$/);
    assert.match(us(found('tangle', 'unknown', 'practice', { ...values, depth: undefined })).sentence, /Measure the depth there\.$/);
  });
});

describe('what the type of set says of itself', () => {
  const of = (id: string, numbers: Record<string, number> = {}, choices: Record<string, string> = {}) => {
    const type = setTypeOf(id);
    return {
      type,
      layout: layOut(
        type,
        { numbers, choices, then: { pond: 1 }, place: { kind: 'point', surface: 'pond', bed: null }, devices: usualDevices(type) },
        'us',
      ),
    };
  };
  const told = (id: string, about: string, numbers?: Record<string, number>, choices?: Record<string, string>) => {
    const finding = of(id, numbers, choices)
      .layout.findings.map((f) => tell(f, 'us'))
      .find((f) => f.about === about);
    return `${finding?.figure}: ${finding?.sentence}`;
  };
  it('a stone under a trap is the depth less the cover and the pan, and that is its figure (F88)', () =>
    assert.match(told('wall-blind', 'Stone under the trap', { depth: inches(6) }), /^3¾ in: Depth 6 in less/));
  it('a hind foot is judged by a hind foot’s depth (F100)', () => {
    assert.match(told('slide-foothold', 'For a hind foot', { panUnder: inches(6) }, { foot: 'hind' }), /6 to 9 in under/);
    assert.doesNotMatch(told('slide-foothold', 'For a hind foot', { panUnder: inches(6) }, { foot: 'hind' }), /front foot/);
  });
  it('a pan in a box is not told as wires are (F102)', () => {
    assert.match(told('box', 'Trigger', {}, { trigger: 'pan' }), /under the first foot/);
    assert.match(told('box', 'Trigger', {}, { trigger: 'low' }), /well in and pushing/);
  });
  it('a loop on a rod says how high over the bed its top is hung, and the sticks beside it follow the push-in (F89)', () => {
    const { layout } = of('castor-stick-snare', { depth: inches(12), pushIn: inches(15) });
    const hung = layout.marks.find((m) => m.label.startsWith('Top of the loop on its rod'));
    // 12 in of water, 6 of a 10 in loop under
    assert.ok(Math.abs((hung?.to[1] ?? 0) - (hung?.at[1] ?? 0) - inches(16)) < 1e-9);
    const side = layout.parts.find((p) => p.id === 'sideL');
    assert.ok(Math.abs((side?.height ?? 0) - inches(15 + 12 + 10)) < 1e-9);
  });
  it('no remake orders fresh scent or bait where the old still lies (F101)', () => {
    for (const { id, remake = [] } of CATALOGUE)
      for (const text of remake) assert.doesNotMatch(text, /fresh (scent|bait)(?!.* where )/i, id);
  });
});
