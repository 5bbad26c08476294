import { BREAKS_AT } from '../devices/cable';
import { inches } from '../units/factors';
import { rule, type Rule } from './rule';
import { chosen, holds, lengthOf, sizesOf } from './lookup';

/** Shorter slack reaches neither water nor cover. [practice] */
const SLACK = inches(48);
/** A beaver is taken by the neck in loops of this width; larger ones slip to the body, smaller ones are pushed aside. [practice] */
const LOOP = { least: inches(7.5), most: inches(11.5), usual: inches(10) };
/** From so many loops on one pole a catch ruins about half of them. [practice] */
const MANY_LOOPS = 4;
const HEAVY = '7×19 1/8';

/** Loop, tail and cable of a snare. @source common practice */
export const SNARE: Rule[] = [
  rule('loopsCost', 'could be better', (asked) => {
    const loops = sizesOf(asked, 'snare').length;
    const lost = Math.ceil(loops / 2);
    return loops >= MANY_LOOPS && asked.around.spareSnares < lost ? { values: { loops, lost, spare: asked.around.spareSnares } } : null;
  }),
  rule('loopPlain', 'likely to fail', (asked) =>
    holds(asked, 'snare') && chosen(asked, 'loaded') === 'no' ? { values: {}, mend: { field: 'c.loaded', value: 'yes' } } : null,
  ),
  rule('braceFirm', 'could be better', (asked) =>
    asked.type.travels && chosen(asked, 'brace') === 'braced' ? { values: {}, mend: { field: 'c.brace', value: 'pushed' } } : null,
  ),
  rule('tailShort', 'likely to fail', (asked) => {
    const tail = holds(asked, 'snare') ? lengthOf(asked, 'tail') : undefined;
    return tail !== undefined && tail < SLACK ? { values: { tail, least: SLACK }, mend: { field: 'n.tail', value: inches(84) } } : null;
  }),
  rule('tailWeaker', 'likely to fail', (asked) => {
    const [size] = sizesOf(asked, 'snare');
    const light = chosen(asked, 'extension') === 'light' && size === HEAVY;
    return light
      ? { values: { loop: BREAKS_AT[HEAVY] ?? 0, tail: BREAKS_AT['7×7 3/32'] ?? 0 }, mend: { field: 'c.extension', value: 'same' } }
      : null;
  }),
  rule('loopLarge', 'likely to fail', (asked) => {
    const loop = asked.species === 'beaver' && holds(asked, 'snare') ? lengthOf(asked, 'loop') : undefined;
    return loop !== undefined && loop > LOOP.most ? { values: { loop }, mend: { field: 'n.loop', value: LOOP.usual } } : null;
  }),
  rule('loopSmall', 'likely to fail', (asked) => {
    const loop = asked.species === 'beaver' && holds(asked, 'snare') ? lengthOf(asked, 'loop') : undefined;
    return loop !== undefined && loop < LOOP.least ? { values: { loop }, mend: { field: 'n.loop', value: LOOP.usual } } : null;
  }),
];
