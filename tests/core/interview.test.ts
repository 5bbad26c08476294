import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import { CAUSES, firstCause, likelyCauses, LOOK_AGAIN } from '#core/interview/causes';
import { answerOf, nextQuestion, QUESTION_IDS, QUESTIONS, type Answers } from '#core/interview/questions';
import { CAUSE_WORDS, sureText } from '#core/words/interview';

/** Why nothing is caught. The weights are practice; what is held here is what an experienced neighbour would say first. */
const anyAnswers = fc.record(
  Object.fromEntries(QUESTION_IDS.map((q) => [q, fc.option(fc.constantFrom(...Object.keys(QUESTIONS[q])), { nil: undefined })])),
) as fc.Arbitrary<Answers>;

describe('the likely causes', () => {
  it('are shares of one, whatever is answered', () =>
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const all = likelyCauses(answers);
        assert.equal(all.length, CAUSES.length);
        assert.ok(Math.abs(all.reduce((sum, { share }) => sum + share, 0) - 1) < 1e-9);
        assert.ok(all.every(({ share }, n) => share > 0 && share <= (all[n - 1]?.share ?? 1)));
      }),
    ));
  it('without an answer a place that is not used comes first, then a fault of the gear (practice)', () => {
    assert.deepEqual(
      likelyCauses({})
        .slice(0, 2)
        .map((c) => c.cause),
      ['notInUse', 'mechanical'],
    );
    assert.ok(Math.abs((likelyCauses({})[0]?.share ?? 0) - 0.3) < 1e-9, 'its prior');
  });
  it('by hand: no sign at all against fresh sign, of priors alone', () => {
    // 0.3 × 7 = 2.1 beside 0.7 of all others: 0.75; 0.3 × 0.12 = 0.036 beside 0.58 + 0.12 × 1.3
    assert.ok(Math.abs((likelyCauses({ inUse: 'no' })[0]?.share ?? 0) - 2.1 / 2.8) < 1e-9);
    const used = likelyCauses({ inUse: 'fresh' }).find((c) => c.cause === 'notInUse')?.share ?? 0;
    assert.ok(Math.abs(used - 0.036 / (0.036 + 0.58 + 0.156)) < 1e-9);
  });
});

describe('what is looked at first', () => {
  const cases: [string, Answers, (typeof CAUSES)[number]][] = [
    ['no sign', { inUse: 'no' }, 'notInUse'],
    ['fresh sign, and the water fell', { inUse: 'fresh', level: 'moved', fires: 'unknown' }, 'mechanical'],
    ['it does not fire', { inUse: 'fresh', level: 'stood', fires: 'no' }, 'mechanical'],
    [
      'they turn before a fence',
      { inUse: 'fresh', level: 'stood', fires: 'yes', seen: 'turns', across: 'wall', sky: 'sky', before: 'nothing', lure: 'none' },
      'goneRound',
    ],
    [
      'they met that trap before',
      { inUse: 'fresh', level: 'stood', fires: 'yes', seen: 'turns', across: 'open', sky: 'under', before: 'same', lure: 'none' },
      'deviceKnown',
    ],
    [
      'plenty of lure',
      {
        inUse: 'fresh',
        level: 'stood',
        fires: 'yes',
        seen: 'turns',
        across: 'open',
        sky: 'under',
        before: 'nothing',
        lure: 'plenty',
        people: 'nobody',
        waited: 'some',
      },
      'lureShy',
    ],
    [
      'another trapper works there',
      {
        inUse: 'fresh',
        level: 'stood',
        fires: 'yes',
        seen: 'none',
        across: 'open',
        sky: 'under',
        before: 'nothing',
        lure: 'none',
        people: 'trapper',
        waited: 'long',
      },
      'disturbed',
    ],
    [
      'two nights at a used place',
      {
        inUse: 'fresh',
        level: 'stood',
        fires: 'yes',
        across: 'open',
        sky: 'under',
        before: 'nothing',
        lure: 'none',
        people: 'nobody',
        waited: 'few',
      },
      'tooSoon',
    ],
  ];
  for (const [what, answers, cause] of cases) it(`${what}: ${cause}`, () => assert.equal(firstCause(answers).cause, cause));

  it('nobody is called shy while a fault of the gear is open and a third as likely', () => {
    const shy: Answers = {
      inUse: 'fresh',
      seen: 'turns',
      across: 'wall',
      sky: 'sky',
      before: 'other',
      lure: 'none',
      level: 'moved',
      fires: 'unknown',
    };
    assert.equal(likelyCauses(shy)[0]?.cause, 'goneRound');
    assert.equal(firstCause(shy).cause, 'mechanical');
    assert.equal(firstCause({ ...shy, level: 'stood', fires: 'yes' }).cause, 'goneRound');
  });
  it('is never one that is much less likely than another', () =>
    fc.assert(
      fc.property(anyAnswers, (answers) => {
        const [first, top] = [firstCause(answers), likelyCauses(answers)[0]];
        assert.ok(first.share >= 0.3 * (top?.share ?? 1) - 1e-12);
      }),
    ));
});

describe('the questions', () => {
  it('are asked once each, in their order, until none is left', () => {
    let answers: Answers = {};
    const asked: string[] = [];
    for (let q = nextQuestion(answers); q; q = nextQuestion(answers)) {
      asked.push(q);
      answers = { ...answers, [q]: Object.keys(QUESTIONS[q])[0] };
    }
    assert.deepEqual(asked, QUESTION_IDS);
  });
  it('what no question offers is no answer', () => {
    assert.equal(answerOf('inUse', 'maybe'), undefined);
    assert.equal(answerOf('inUse', '__proto__'), undefined);
    assert.equal(answerOf('inUse', 'no'), 'no');
  });
  it('every cause has words, one change and a day to look again', () => {
    for (const cause of CAUSES) {
      assert.ok(CAUSE_WORDS[cause].change.length > 10 && CAUSE_WORDS[cause].decides.length > 10);
      assert.ok(LOOK_AGAIN[cause] >= 1 && LOOK_AGAIN[cause] <= 7);
    }
    assert.deepEqual([sureText(0.02), sureText(0.55), sureText(1)], ['about 1 in 10', 'about 6 in 10', 'about 9 in 10']);
  });
});
