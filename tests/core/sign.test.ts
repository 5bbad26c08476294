import assert from 'node:assert/strict';
import { tell } from '#core/words/finding';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { activity, evidence, useOf, type FoundSign } from '#core/sign/activity';
import { FRESHNESS, FRESHNESSES, signKind, SIGN_IDS, NOTED_KINDS, SIGN_KINDS } from '#core/sign/kinds';

const NOW = new Date('2026-11-25T11:22:00Z');
const ago = (days: number): Date => new Date(NOW.getTime() - days * 86_400_000);
const sign = (kind: string, days: number, freshness: FoundSign['freshness'] = 'hours'): FoundSign => ({
  kind,
  freshness,
  at: ago(days),
  species: 'beaver',
});
const near = (a: number, b: number) => assert.ok(Math.abs(a - b) < 1e-9, `${a} is not ${b}`);

describe('sign', () => {
  it('counts for half after its half-life (common practice)', () => {
    near(evidence(sign('cuttings', 5), NOW) / evidence(sign('cuttings', 0), NOW), 0.5);
    near(evidence(sign('seen', 0), NOW), 0.9 * 2 ** -FRESHNESS.hours);
  });
  it('found old counts less than found fresh', () => {
    const values = FRESHNESSES.map((f) => evidence(sign('cuttings', 0, f), NOW));
    assert.deepEqual(
      [...values].sort((a, b) => b - a),
      values,
    );
  });
  it('by another half-life of the user’s own', () =>
    near(evidence(sign('cuttings', 10), NOW, 10) / evidence(sign('cuttings', 0), NOW, 10), 0.5));
  it('every kind has a life and a weight, and is called once', () => {
    assert.equal(new Set(SIGN_IDS).size, NOTED_KINDS.length);
    assert.ok(SIGN_KINDS.every((k) => k.halfLife > 0 && k.weight > 0 && k.weight < 1));
    assert.throws(() => signKind('unicorn'), RangeError);
  });
});

describe('the activity of a station', () => {
  it('of two signs is 1 − (1 − a)(1 − b), by hand', () => {
    const [a, b] = [evidence(sign('cuttings', 1), NOW), evidence(sign('wetSlide', 0), NOW)];
    near(activity([sign('cuttings', 1), sign('wetSlide', 0)], NOW), 1 - (1 - a) * (1 - b));
  });
  it('is lowered by contrary sign and never by sign of use', () => {
    const kind = fc.constantFrom(...SIGN_IDS);
    const found = fc
      .record({ kind, days: fc.double({ min: 0, max: 60, noNaN: true }), freshness: fc.constantFrom(...FRESHNESSES) })
      .map((s) => sign(s.kind, s.days, s.freshness));
    fc.assert(
      fc.property(fc.array(found, { maxLength: 12 }), found, (signs, more) => {
        const [before, after] = [activity(signs, NOW), activity([...signs, more], NOW)];
        const rises = signKind(more.kind).tells === 'use';
        return before >= 0 && before <= 1 && (rises ? after >= before - 1e-12 : after <= before + 1e-12);
      }),
    );
  });
  it('newer evidence of use never lowers it', () => {
    const uses = SIGN_IDS.filter((id) => signKind(id).tells === 'use');
    const found = fc
      .record({
        kind: fc.constantFrom(...SIGN_IDS),
        days: fc.double({ min: 0, max: 60, noNaN: true }),
        freshness: fc.constantFrom(...FRESHNESSES),
      })
      .map((s) => sign(s.kind, s.days, s.freshness));
    fc.assert(
      fc.property(
        fc.array(found, { maxLength: 10 }),
        fc.constantFrom(...uses),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (others, kind, a, b) =>
          activity([...others, sign(kind, Math.min(a, b))], NOW) >= activity([...others, sign(kind, Math.max(a, b))], NOW) - 1e-12,
      ),
    );
  });
  it('fades when nobody looks again', () => {
    const signs = [sign('cuttings', 1), sign('mound', 2)];
    assert.ok(activity(signs, NOW) > activity(signs, new Date(NOW.getTime() + 5 * 86_400_000)));
  });
  it('does not count what lies in the future', () => assert.equal(activity([sign('seen', -2)], NOW), 0));
});

describe('what the sign says', () => {
  it('fresh sign of two kinds is use, with its reasons', () => {
    const said = tell(useOf([sign('cuttings', 0), sign('wetSlide', 0), sign('mendedLeak', 0)], NOW), 'us');
    assert.equal(said.verdict, 'holds');
    assert.match(said.sentence, /^In use. For: fresh cuttings today, wet slide today/);
  });
  it('a lodge that looks live and is not: weeds and dry sticks beside an old pile', () => {
    const said = tell(useOf([sign('greenPile', 30, 'weeks'), sign('weeds', 0), sign('drySticks', 0)], NOW), 'us');
    assert.equal(said.verdict, 'fails');
    assert.match(said.sentence, /^Likely not in use.*Against: dry sticks only today, weeds on the lodge today/);
  });
  it('says how old a sign was when it was noted, not only when', () =>
    assert.match(
      tell(useOf([sign('cuttings', 0, 'days'), sign('wetSlide', 1, 'weeks')], NOW), 'us').sentence,
      /fresh cuttings days old today, wet slide weeks old yesterday/,
    ));
  it('a catch of the night before tells that the place is used', () => {
    const said = tell(useOf([sign('catch', 0)], NOW), 'us');
    assert.deepEqual([said.verdict, said.figure], ['holds', 'use score 9/10']);
    assert.match(said.sentence, /^In use\. For: catch today/);
  });
  it('one faint sign is only perhaps', () => assert.equal(tell(useOf([sign('cuttings', 4)], NOW), 'us').verdict, 'warns'));
  it('no sign at all cannot be told', () => assert.equal(tell(useOf([], NOW), 'us').verdict, 'unknown'));
});
