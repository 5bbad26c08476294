import { inches } from '../units/factors';
import { rule, type Rule } from './rule';
import { chosen, holds, looksAs } from './lookup';

/** A beaver that reaches for the mound plants its feet no farther before it. [practice] */
const MOUND = inches(16);

/** Notch, trigger and lock, by what came of them. @source common practice */
export const TRIGGER: Rule[] = [
  rule('notchTooFirm', 'likely to fail', (asked) =>
    chosen(asked, 'notch') === 'firm' && looksAs(asked, 'bait taken') > 0
      ? { values: { times: looksAs(asked, 'bait taken') }, mend: { field: 'c.notch', value: 'middle' } }
      : null,
  ),
  rule('firmForMink', 'likely to fail', (asked) =>
    asked.species === 'mink' && holds(asked, 'bodyGrip') && chosen(asked, 'notch') === 'firm'
      ? { values: {}, mend: { field: 'c.notch', value: 'middle' } }
      : null,
  ),
  rule('notchTooLight', 'likely to fail', (asked) =>
    chosen(asked, 'notch') === 'light' && looksAs(asked, 'sprung empty', 'plugged') >= 2
      ? { values: { times: looksAs(asked, 'sprung empty', 'plugged') }, mend: { field: 'c.notch', value: 'middle' } }
      : null,
  ),
  rule('firesEmpty', 'likely to fail', (asked) =>
    holds(asked, 'bodyGrip') && chosen(asked, 'notch') !== 'light' && looksAs(asked, 'sprung empty') >= 2
      ? { values: { times: looksAs(asked, 'sprung empty') } }
      : null,
  ),
  rule('bedRocks', 'likely to fail', (asked) =>
    holds(asked, 'foothold') && looksAs(asked, 'sprung empty', 'miss', 'escaped') >= 2
      ? { values: { times: looksAs(asked, 'sprung empty', 'miss', 'escaped') } }
      : null,
  ),
  rule('moundFar', 'likely to fail', (asked) => {
    const to = holds(asked, 'foothold') ? asked.numbers.panToMound : undefined;
    return to !== undefined && to > MOUND ? { values: { to }, mend: { field: 'n.panToMound', value: inches(11) } } : null;
  }),
  rule('loopKnocked', 'likely to fail', (asked) =>
    holds(asked, 'snare') && looksAs(asked, 'knocked') >= 2 ? { values: { times: looksAs(asked, 'knocked') } } : null,
  ),
  rule('mudInTheBreak', 'will fail', (asked) =>
    asked.type.acts && looksAs(asked, 'plugged') >= 1 ? { values: { times: looksAs(asked, 'plugged') } } : null,
  ),
  rule('dogHeld', 'will fail', (asked) => {
    const dog = chosen(asked, 'dog');
    return dog === 'wall' || dog === 'down' ? { values: { dog }, mend: { field: 'c.dog', value: 'free' } } : null;
  }),
  rule('lockAtTheTop', 'a matter of school', (asked) =>
    chosen(asked, 'lock') === 'top' ? { values: {}, mend: { field: 'c.lock', value: 'side' } } : null,
  ),
];
