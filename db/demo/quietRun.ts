import { firstCause, LOOK_AGAIN } from '#core/interview/causes';
import type { Answers } from '#core/interview/questions';
import type { Interview, Reply } from '#core/record/kinds';
import { addDays, localDate } from '#core/time/localTime';

const ANSWERS: Answers = {
  ...{ inUse: 'fresh', level: 'stood', fires: 'yes', seen: 'none', across: 'thin' },
  ...{ sky: 'under', before: 'nothing', lure: 'none', people: 'nobody', waited: 'some' },
};

/** What was answered of a run in which nothing was caught. */
export function quietRun(asked: Date, zone: string): Omit<Interview, 'id' | 'set'> {
  const { cause, share } = firstCause(ANSWERS);
  return {
    water: null,
    at: asked.toISOString(),
    answers: { ...ANSWERS },
    cause,
    share: Math.round(share * 1000) / 1000,
    again: addDays(localDate(asked, zone), LOOK_AGAIN[cause]),
    note: 'the west run, quiet since the cold',
  };
}

/** What a friend answered to the card of that run. */
export const friendSays = (answered: Date): Omit<Reply, 'id' | 'set'> => ({
  at: answered.toISOString(),
  from: 'an old hand down the valley',
  text: 'Nothing wrong with the trap. I would lay a twig across that run before anything else, and look at the outer one by the alders.',
});
