import { rule, type Rule } from './rule';
import { chosen, holds, untouched } from './lookup';

/** Looks after which an untouched set says something: a blind one later. [practice] */
const PATIENCE = { baited: 4, blind: 7 };
/** Passes without a contact that say something. [practice] */
const PASSES = 5;

/** What came of it, and of the sets near it. @source common practice */
export const OUTCOME: Rule[] = [
  rule('overPatience', 'likely to fail', (asked) => {
    const isBaited = asked.design.parts.some((p) => p.kind === 'bait');
    const wait = isBaited ? PATIENCE.baited : PATIENCE.blind;
    const looks = untouched(asked);
    return looks >= wait ? { values: { looks, wait } } : null;
  }),
  rule('cameraIdle', 'could be better', ({ around: { watchedIdle: label } }) => (label ? { values: { label } } : null)),
  rule('wentRound', 'likely to fail', ({ around: { wentRound } }) =>
    wentRound >= PASSES ? { values: { passes: wentRound, most: 1 - 0.025 ** (1 / wentRound) } } : null,
  ),
  rule('peltSlipping', 'could be better', ({ around: { pelts } }) => (pelts.slipping > 0 ? { values: { times: pelts.slipping } } : null)),
  rule('eatenHere', 'likely to fail', ({ around: { pelts } }) => (pelts.eaten > 0 ? { values: { times: pelts.eaten } } : null)),
  rule('stopsShort', 'likely to fail', (asked) =>
    chosen(asked, 'hold') === 'slide' && asked.around.layShort > 0 ? { values: { times: asked.around.layShort } } : null,
  ),
  rule('failedHere', 'likely to fail', ({ around: { failedHere } }) =>
    failedHere >= PATIENCE.baited ? { values: { looks: failedHere } } : null,
  ),
  rule('kindUntouched', 'could be better', ({ type, around: { alike, caughtBy } }) =>
    alike.sets >= 2 && alike.looks >= 6 && alike.caught === 0 && caughtBy.length > 0
      ? { values: { name: type.name, sets: alike.sets, looks: alike.looks, by: caughtBy } }
      : null,
  ),
  rule('fenceKnown', 'could be better', (asked) =>
    holds(asked, 'bodyGrip') &&
    asked.species === 'beaver' &&
    asked.around.met.bodyGrip &&
    asked.design.parts.filter((p) => p.kind === 'stick').length >= 3
      ? { values: { sticks: asked.design.parts.filter((p) => p.kind === 'stick').length } }
      : null,
  ),
];
