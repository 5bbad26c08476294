import { inches } from '../units/factors';
import { wireReachOf } from '../sets/circles';
import type { Asked } from './asked';
import { rule, type Rule } from './rule';
import { chosen, holds, lengthOf, surfaceOf, topOf } from './lookup';

/** A beaver on a shorter tie sits at the wood it is tied to. [practice] */
const AT_THE_WOOD = inches(30);
/** Out of the water by more than this a body-grip is met by whoever walks there. [practice] */
const PROUD = inches(5);

/** What lies within reach of a catch that lives on its cable; a body-grip's does not walk. */
function inReach(asked: Asked, what: Asked['around']['near'][number]['what']) {
  const [hold] = asked.design.holds;
  if (!hold || !(holds(asked, 'foothold') || holds(asked, 'snare'))) return null;
  const reach = wireReachOf(hold);
  const met = asked.around.near.find((n) => n.what === what && n.apart < reach);
  return met ? { values: { name: met.name, apart: met.apart, reach } } : null;
}

/** What it is tied to, and who else is held by it. @source common practice */
export const ANCHOR: Rule[] = [
  rule('othersOnTheGround', 'dangerous', (asked) => {
    const { users } = asked.around;
    if (users === '' || !holds(asked, 'bodyGrip')) return null;
    const [top, water] = [topOf(asked, 'jaws'), surfaceOf(asked)];
    const proud = top === null || water === null ? 0 : top - water;
    return proud > PROUD ? { values: { users, proud } } : null;
  }),
  rule('tiedToWood', 'likely to fail', (asked) => {
    const wood = chosen(asked, 'anchorAs');
    const tie = lengthOf(asked, 'tie');
    if (asked.species !== 'beaver' || holds(asked, 'bodyGrip') || tie === undefined || tie >= AT_THE_WOOD) return null;
    return wood === 'tree' || wood === 'root' ? { values: { tie }, mend: { field: 'n.tie', value: inches(48) } } : null;
  }),
  rule('wrapHigh', 'likely to fail', (asked) =>
    chosen(asked, 'wrap') === 'high' && chosen(asked, 'anchorAs') === 'stake'
      ? { values: { species: asked.species }, mend: { field: 'c.wrap', value: 'low' } }
      : null,
  ),
  rule('roadInReach', 'dangerous', (asked) => inReach(asked, 'road')),
  rule('crestInReach', 'could be better', (asked) =>
    asked.type.stations.some((s) => s === 'dam' || s === 'crossover') ? null : inReach(asked, 'dam crest'),
  ),
  rule('logInReach', 'likely to fail', (asked) => inReach(asked, 'log')),
  rule('anchorUnsaid', 'could be better', ({ anchor, state }) => (state === 'live' && anchor === '' ? { values: {} } : null)),
];
