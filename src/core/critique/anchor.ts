import { inches } from '../units/factors';
import { rule, type Rule } from './rule';
import { chosen, holds, lengthOf, surfaceOf, topOf } from './lookup';

/** A beaver on a shorter tie sits at the wood it is tied to. [practice] */
const AT_THE_WOOD = inches(30);
/** Out of the water by more than this a body-grip is met by whoever walks there. [practice] */
const PROUD = inches(5);

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
  rule('anchorUnsaid', 'could be better', ({ anchor, state }) => (state === 'live' && anchor === '' ? { values: {} } : null)),
];
