import { kindOf, type Attract } from '../lure/lure';
import { setTypeOf } from '../sets/catalogue';
import type { Design } from '../sets/design';
import { chosen, holds } from './lookup';
import { rule, type Rule } from './rule';

/** On a log steeper than this a trap stands askew, degrees. [practice] */
const STEEP = 15;

/** Scent on the bank, as somebody said, or as the type is built. */
const scented = (lures: readonly Attract[] | undefined, { supplies }: Design): boolean =>
  lures ? lures.some((l) => kindOf(l.what) === 'lure' && l.where === 'on the bank') : supplies.some((s) => s.kind === 'lure');

/** Whether the animal comes there. @source common practice */
export const PLACE: Rule[] = [
  rule('isPlugged', 'will fail', ({ around }) => (around.isPlugged ? { values: {} } : null)),
  rule('notInUse', 'likely to fail', ({ around: { use, seen, isPlugged } }) =>
    seen.length > 0 && use.verdict !== 'holds' && !isPlugged ? { values: { said: use.said, idle: use.verdict === 'fails' } } : null,
  ),
  rule('otherAnimal', 'likely to fail', ({ around: { use, seen }, species }) =>
    use.verdict === 'holds' && !seen.includes(species) ? { values: { species, others: seen } } : null,
  ),
  rule('noSign', 'could be better', ({ around: { use, seen } }) => (seen.length === 0 ? { values: { said: use.said } } : null)),
  rule('passagesOpen', 'could be better', ({ around: { passages } }) =>
    passages && passages.set > 0 && passages.set < passages.count ? { values: passages } : null,
  ),
  rule('softBed', 'likely to fail', (asked) =>
    asked.around.isSoft && holds(asked, 'foothold') && !asked.design.parts.some((p) => p.kind === 'raft' || p.kind === 'platform')
      ? { values: { shoulder: asked.type.acts !== undefined } }
      : null,
  ),
  rule('levelSwings', 'likely to fail', ({ type, around }) =>
    around.isMoving && type.afloat ? { values: { float: setTypeOf(type.afloat).name } } : null,
  ),
  rule('logSteep', 'likely to fail', ({ design, around: { slope } }) =>
    slope !== null &&
    slope > STEEP &&
    design.parts.some((p) => p.kind === 'trunk') &&
    design.parts.some((p) => p.kind === 'jaws' || p.kind === 'pan')
      ? { values: { slope } }
      : null,
  ),
  rule('leeward', 'could be better', ({ lures, design, around: { leeward } }) =>
    leeward && scented(lures, design) ? { values: { from: leeward } } : null,
  ),
  rule('guideNone', 'likely to fail', (asked) =>
    chosen(asked, 'guide') === 'none' ? { values: {}, mend: { field: 'c.guide', value: 'stick' } } : null,
  ),
  rule('guideStone', 'could be better', (asked) =>
    chosen(asked, 'guide') === 'stone' ? { values: {}, mend: { field: 'c.guide', value: 'stick' } } : null,
  ),
  rule('noPosition', 'could be better', ({ around, state }) => (state === 'live' && !around.hasPosition ? { values: {} } : null)),
  rule('noDepth', 'could be better', ({ around, type, numbers }) =>
    !around.hasDepth && 'depth' in type.numbers && numbers.depth === undefined ? { values: {} } : null,
  ),
];
