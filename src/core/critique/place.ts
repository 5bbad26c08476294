import { rule, type Rule } from './rule';

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
  rule('noPosition', 'could be better', ({ around, state }) => (state === 'live' && !around.hasPosition ? { values: {} } : null)),
  rule('noDepth', 'could be better', ({ around, type, numbers }) =>
    !around.hasDepth && 'depth' in type.numbers && numbers.depth === undefined ? { values: {} } : null,
  ),
];
