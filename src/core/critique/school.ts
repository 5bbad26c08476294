import { sidesOf, towards } from '../schools/sides';
import { lengthOf } from './lookup';
import { rule, type Rule } from './rule';

/** Where a set stands on the other side than its line does, and what its line does about a weight that moved. @source common practice */
export const SCHOOL: Rule[] = [
  rule('otherSchool', 'a matter of school', (asked) => {
    const { type, species, choices, devices, lures, design, around } = asked;
    const sticks = design.parts.filter((p) => p.kind === 'stick').length;
    const tie = type.numbers.tie ? (lengthOf(asked, 'tie') ?? null) : null;
    const differing = sidesOf({ type, species, choices, devices: Object.values(devices), lures, sticks, tie }).filter(
      ({ matter, side }) => (around.schools[matter] ?? side) !== side,
    );
    if (differing.length === 0) return null;
    const mend = differing.flatMap(({ matter }) => towards(matter, around.schools[matter] ?? 'one', type) ?? [])[0];
    return { values: { matters: differing }, ...(mend ? { mend } : {}) };
  }),
  rule('dragged', 'likely to fail', ({ around: { dragged, schools } }) =>
    dragged > 0 ? { values: { times: dragged, by: schools.bag ?? null } } : null,
  ),
];
