import { othersIn, type Other } from '../others/others';
import { inches } from '../units/factors';
import type { Asked } from './asked';
import { rule, type Rule } from './rule';
import { chosen, holds, surfaceOf, topOf } from './lookup';

/** A dog steps on a pan so far under the water, and no deeper. [practice] */
const STEPS = inches(4);

/** Who else could be in it, of those that are closed, owned or protected. @source common practice */
export const STRANGERS: Rule[] = [
  rule('strangerClosed', 'likely to fail', (asked) => {
    const bare = others(asked).find(
      (o) => asked.around.closed.includes(o.who) && asked.around.seen.includes(o.who) && !o.spares.some((s) => s.done),
    );
    if (!bare) return null;
    const how = bare.spares.map((s) => s.how);
    const mend =
      how.includes('trigger to one side') && 'trigger' in asked.type.choices ? { mend: { field: 'c.trigger', value: 'side' } } : {};
    return { values: { who: bare.who, how }, ...mend };
  }),
  rule('dogAtThePan', 'dangerous', (asked) => {
    const [water, pan] = [surfaceOf(asked), topOf(asked, 'pan')];
    const under = water === null || pan === null ? null : water - pan;
    return hasDogs(asked) && holds(asked, 'foothold') && under !== null && under < STEPS && !floats(asked)
      ? { values: { users: asked.around.users } }
      : null;
  }),
  rule('dogAtTheLoop', 'dangerous', (asked) => {
    const [water, loop] = [surfaceOf(asked), topOf(asked, 'loop')];
    const proud = water === null || loop === null ? 0 : loop - water;
    return hasDogs(asked) && holds(asked, 'snare') && proud > inches(6) ? { values: { users: asked.around.users, proud } } : null;
  }),
  rule('noRoof', 'could be better', (asked) =>
    chosen(asked, 'roof') === 'no' && 'yes' in (asked.type.choices.roof?.options ?? {})
      ? { values: {}, mend: { field: 'c.roof', value: 'yes' } }
      : null,
  ),
  rule('againstTheBook', 'dangerous', ({ around }) => (around.against.length > 0 ? { values: { said: around.against } } : null)),
];

const hasDogs = ({ around }: Asked): boolean => /\bdogs?\b/i.test(around.users);
const floats = ({ design }: Asked): boolean => design.parts.some((p) => p.kind === 'raft');

const others = ({ type, species, devices, design, numbers, choices, surface, then, around }: Asked): Other[] =>
  othersIn({
    type,
    species,
    devices: Object.values(devices),
    design,
    choices,
    panPull: numbers.panPull,
    surface,
    then,
    seen: around.seen,
    users: around.users,
  });
