import { builtOf, sidesOf, towards } from '../schools/sides';
import { rule, type Rule } from './rule';

/** Where a set stands on the other side than its line does, and what its line does about a weight that moved. @source common practice */
export const SCHOOL: Rule[] = [
  rule('otherSchool', 'a matter of school', (asked) => {
    const { type, devices, design, around } = asked;
    const differing = sidesOf(builtOf({ ...asked, devices: Object.values(devices), parts: design.parts })).filter(
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
