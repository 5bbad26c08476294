import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { CATALOGUE, SET_TYPE_IDS } from '#core/sets/catalogue';
import { sampleDesign } from '#core/sets/sample';
import { textsOf } from '#core/sets/texts';
import { plainFrame } from '#core/units/frame';

const SYSTEMS = ['us', 'metric'] as const;

/** What a reader once stumbled over, as a pattern that no text of a type may hold. */
const NEVER: Record<string, RegExp> = {
  'two marks end one sentence (F183)': /[.,;:]{2,}|\s[.,;:]/,
  'one of a thing is told in the plural (F167)': /\b1 (nights|checks|stations|pieces|sticks|traps|hours|minutes|holes|loops|feet|beds)\b/,
  'an article goes by the letter (F183)': /\b[Aa] (?!one\b|use|unit|Euro)[aeiou]|\b[Aa]n (?!hour)[bcdfghjklmnpqrstvwyz]/,
  'a name of the code (F172)': /\b[a-z]+[A-Z][a-z]+\b/,
  'a value that is none': /undefined|NaN|\bnull\b|\[object|Infinity/,
  'a hyphen for a minus (F151)': /(^|[\s(])-\d/,
  'a way that leads nowhere: moved by how much, not where to': /\b(Set|Hang) it \d/,
  'legal or safe, which nobody here can say': /(?<!No ice )\bis (legal|safe)\b/,
  'a word that the trade does not use, or spells otherwise':
    /\b(centred?|travell\w+|neighbours?|towards|further|metres?|proud|toe of|tailwater|brook|tie cable|live hold|tangle pole|build-up|sac oil)\b/i,
  'the pond of a place without one (F171)': /6 in to the waders’ top/,
};

describe('what types say', () => {
  const texts = CATALOGUE.flatMap((type) =>
    SYSTEMS.flatMap((system) => textsOf(type, plainFrame(system)).map((t) => ({ ...t, type: type.id, system }))),
  );
  it('is much, and of every type in both systems', () => {
    assert.ok(texts.length > 4000, String(texts.length));
    assert.equal(new Set(texts.map((t) => `${t.type} ${t.system}`)).size, CATALOGUE.length * SYSTEMS.length);
  });
  for (const [what, pattern] of Object.entries(NEVER))
    it(`never: ${what}`, () =>
      assert.deepEqual(
        texts.filter((t) => pattern.test(t.text)).map((t) => `${t.type}, ${t.where}: ${t.text}`),
        [],
      ));
  it('never names a type by its id (F172)', () => {
    const ids = SET_TYPE_IDS.filter((id) => id.includes('-') && id !== 'dive-pole');
    assert.deepEqual(
      texts.filter((t) => ids.some((id) => t.text.includes(id))).map((t) => t.text),
      [],
    );
  });
  it('up and down are two orders, of every device that can be moved', () => {
    for (const type of CATALOGUE)
      for (const { say } of sampleDesign(type, undefined, 'us').free) assert.notEqual(say?.up, say?.down, type.id);
  });
});
