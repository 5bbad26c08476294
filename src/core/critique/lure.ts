import { drawsOf, lastsNights, washesOff } from '../lure/lure';
import { rule, type Rule } from './rule';

/** Rain since it was set from which open scent is taken as washed off, mm. [practice] */
const WASHED = 10;
/** Months in which a castor mound says little: the mating months are late winter and spring. [practice] */
const QUIET = [6, 7, 8, 9, 10, 11];
/** Nights that bait and lure work in open water, where nobody said which. [practice] */
const BAIT_LASTS = 7;

/** Bait and scent. @source common practice */
export const LURE: Rule[] = [
  rule('lureOnBlind', 'likely to fail', ({ type, lures = [] }) =>
    type.blind && lures.length > 0
      ? { values: { lures: lures.map((l) => l.what), type: type.name }, mend: { field: 'lure', value: 'blind' } }
      : null,
  ),
  rule('drawsAnother', 'likely to fail', ({ species, lures = [] }) => {
    const calls = [...new Set(lures.flatMap((l) => drawsOf(l.what)))];
    return lures.length === 0 || calls.includes(species) ? null : { values: { lures: lures.map((l) => l.what), calls, species } };
  }),
  rule('nothingDraws', 'likely to fail', ({ lures, design: { usualLure = '' } }) =>
    lures?.length === 0 && usualLure !== '' ? { values: { usual: usualLure }, mend: { field: 'lure', value: '' } } : null,
  ),
  rule('castorQuiet', 'could be better', ({ species, lures = [], around: { month } }) =>
    species === 'beaver' && QUIET.includes(month) && lures.length > 0 && lures.every((l) => l.what === 'castor lure')
      ? { values: {} }
      : null,
  ),
  rule('lureWashed', 'could be better', ({ lures = [], around: { rain } }) =>
    rain !== null && rain >= WASHED && lures.some(washesOff) ? { values: { rain } } : null,
  ),
  rule('baitOld', 'could be better', ({ around: { nights }, design, type, lures }) => {
    const lasts = lures ? lastsNights(lures) : design.supplies.some((s) => s.kind === 'bait' || s.kind === 'lure') ? BAIT_LASTS : null;
    return nights !== null && lasts !== null && nights > lasts && !type.underIce ? { values: { nights, lasts } } : null;
  }),
];
