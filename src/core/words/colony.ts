import type { Fear, LocalState, Look, Saw, SetHistory, Trait } from '../colony/looks';
import type { NightRow, NightSaw } from '../colony/practice';
import type { Learned } from '../colony/fears';
import type { Told } from '../colony/next';
import { TRIAL_NIGHTS } from '../colony/next';
import { BLIND, type Patience } from '../colony/patience';
import { many } from '../units/many';
import { oddsOf } from './left';
import { capital } from './say';

/** What is shied from, as it follows "shy from". */
export const FEAR_WORDS: Readonly<Record<Fear, string>> = {
  nothing: 'nothing that was tried',
  bodyGrip: 'body-grips',
  foothold: 'footholds',
  snareWater: 'snares in the water',
  snareLand: 'snares on land',
  scentBank: 'scent on the bank',
  scentWater: 'scent on the water',
  fence: 'fences',
  skyline: 'gear against the light',
  heavy: 'heavy traps',
  onLand: 'sets on land',
  atLodge: 'sets at the lodge',
  atDam: 'sets at the dam',
};

/** What can be true of a set in a night, and what a night brings then. */
export const NIGHT_ROW_WORDS: Readonly<Record<NightRow, string>> = {
  works: 'a set that works',
  shy: 'they shy from it',
  notInUse: 'place not in use',
  mechanical: 'a faulty trap',
  disturbed: 'place disturbed',
};
export const NIGHT_SAW_WORDS: Readonly<Record<NightSaw, string>> = {
  caught: 'catch',
  touched: 'miss, escape',
  sprung: 'sprung empty',
  meddled: 'plugged, knocked',
  baitGone: 'bait taken',
  passed: 'seen passing',
  turned: 'seen turning',
};

/** Without a word before it. */
export const SHORT: Readonly<Record<Fear, string>> = { ...FEAR_WORDS, nothing: 'nothing tried' };

const sorted = (fears: Learned['fears']): [Fear, number][] =>
  (Object.entries(fears) as [Fear, number][]).sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));

/** Below this neither is more likely than the other by much. [practice] */
const CLEARLY = 0.5;

/** What they have learned in one sentence, or that it cannot be told yet. */
export function fearText(fears: Learned['fears']): string {
  const [first, second] = sorted(fears);
  if (!first || !second) return '';
  const [fear, chance] = first;
  if (chance < CLEARLY) return `Cannot tell yet what they shy from: ${FEAR_WORDS[fear]}, or ${FEAR_WORDS[second[0]]}.`;
  return fear === 'nothing'
    ? `They shy from nothing that was tried, ${oddsOf(chance)}.`
    : `They shy from ${FEAR_WORDS[fear]}, ${oddsOf(chance)}.`;
}

/** What a look can have told of a device, in the order it is said. */
const MET_WORDS: readonly (readonly [is: (look: Look) => boolean, one: string, several: string])[] = [
  [(l) => l.saw === 'caught', 'catch', 'catches'],
  [(l) => l.lesson === 'bitten', 'bitten in it by another', 'bitten in it by others'],
  [(l) => l.saw === 'touched' && l.lesson !== 'escaped', 'miss', 'misses'],
  [(l) => l.lesson === 'escaped', 'escape', 'escapes'],
  [(l) => l.saw === 'sprung', 'sprung empty', 'sprung empty'],
  [(l) => l.saw === 'meddled', 'plugged or knocked', 'plugged or knocked'],
  [(l) => l.saw === 'baitGone', 'bait taken', 'bait taken'],
];

/** What was met with a trait, over all sets that have it: `3 catches, 12 misses in 96 nights, turned away 9 times`. */
export function metWith(trait: Trait, sets: readonly SetHistory[]): string {
  const own = sets.filter((s) => s.traits.includes(trait));
  const looks = own.flatMap((s) => s.looks);
  if (looks.length === 0) return '';
  const nights = Math.round(looks.reduce((sum, l) => sum + l.nights, 0));
  const told = MET_WORDS.flatMap(([is, one, several]) => {
    const n = looks.filter(is).length;
    return n === 0 ? [] : [many(n, one, several)];
  });
  const turned = own.flatMap((s) => s.passes).filter((p) => p.did === 'turned').length;
  return `${told.length > 0 ? told.join(', ') : 'nothing'} in ${many(nights, 'night')} in range${turned > 0 ? `, went round ${many(turned, 'time')}` : ''}`;
}

const STATE_WORDS: Readonly<Record<Exclude<LocalState, 'works'>, string>> = {
  notInUse: 'the place is not in use',
  mechanical: 'it does not fire as it should',
  disturbed: 'somebody disturbs the place',
};

/** What is most likely wrong with a set itself, with its odds; empty where nothing is likelier than that it works. */
export function faultText(states: Record<LocalState, number>): string {
  const [worst] = (Object.entries(STATE_WORDS) as [Exclude<LocalState, 'works'>, string][]).sort((a, b) => states[b[0]] - states[a[0]]);
  if (!worst || states[worst[0]] < 0.35) return '';
  return `${capital(worst[1])}, ${oddsOf(states[worst[0]])}.`;
}

/** What to do with a set that waits, with its reason. */
export function patienceText({ call, nights, out, passes, atMost, waiting }: Patience): { order: string; why: string } {
  const stood = `${many(Math.round(nights), 'night')} in range without a touch`;
  const idle = out >= 1 ? `, ${many(Math.round(out), 'night')} out of it` : '';
  const share = (chance: number | null): string => `${Math.ceil((chance ?? 0) * 100)}%`;
  const passed = `${many(passes, 'night')} with one passing and no touch: at most ${share(atMost)} a pass (one-sided, 97.5%)`;
  switch (call) {
    case 'putBack':
      return { order: 'Put it back', why: `Out of its range now: what stands so tells nothing${idle}.` };
    case 'known':
      return { order: 'Change tonight', why: 'They have learned what stands there.' };
    case 'tryIt':
      return {
        order: 'Try its trigger',
        why: 'It fired empty or held nothing too often: first the trap, then the animal (rule of thumb).',
      };
    case 'notInUse':
      return { order: 'Move it', why: `${capital(stood)}, nobody seen: the place is hardly in use.` };
    case 'change':
      return atMost === null
        ? {
            order: 'Change tonight',
            why: `${capital(stood)}${idle}: a blind set has had its ${BLIND.least} to ${BLIND.most} nights (rule of thumb).`,
          }
        : {
            order: 'Change tonight',
            why: `${capital(passed)}; in ${BLIND.least} more nights at most ${share(waiting)}${idle}.`,
          };
    case 'wait':
      return { order: 'Wait', why: `${capital(stood)}${idle}: a blind set gets ${BLIND.least} to ${BLIND.most} (rule of thumb).` };
    case 'cannotTell':
      return {
        order: 'Cannot tell yet',
        why: atMost === null ? `${capital(stood)}${idle}. A camera there for a night or two would tell.` : `${capital(passed)}${idle}.`,
      };
  }
}

/** What each outcome of a trial would point to, the likeliest of it first. */
export function trialText({ outlooks }: Told): string[] {
  const OUTCOMES: readonly [Saw, string][] = [
    ['caught', 'A catch'],
    ['touched', 'A miss'],
    ['meddled', 'Plugged or knocked'],
    ['untouched', `Untouched for ${TRIAL_NIGHTS} nights`],
  ];
  return OUTCOMES.flatMap(([saw, said]) => {
    const after = outlooks.find((o) => o.saw === saw);
    if (!after) return [];
    const leading = sorted(after.fears).slice(0, 2);
    return [`${said}: ${leading.map(([fear, chance]) => `${SHORT[fear]} ${Math.round(chance * 100)}%`).join(', ')}.`];
  });
}
