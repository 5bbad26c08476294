import { inches } from '../units/factors';
import { rule, type Rule } from './rule';
import { chosen, holds, surfaceOf, topOf } from './lookup';

/** From this cold on wet ground freezes to iron in a night, °C. [practice] */
const FREEZES = -2;

/** Months, ice and frost. @source common practice */
export const SEASON: Rule[] = [
  rule('outOfMonths', 'could be better', ({ type, around }) =>
    type.months && !type.months.includes(around.month) ? { values: { months: [...type.months] } } : null,
  ),
  rule('iceOverIt', 'will fail', (asked) => {
    const water = surfaceOf(asked);
    const [jaws, pan, loop] = [topOf(asked, 'jaws'), topOf(asked, 'pan'), topOf(asked, 'loop')];
    const top = jaws ?? pan ?? loop;
    // a set that reaches the surface is frozen in; one that lies deep is met under the ice
    return asked.around.isFrozen && !asked.type.underIce && water !== null && top !== null && top > water - inches(3)
      ? { values: {} }
      : null;
  }),
  rule('iceReaches', 'will fail', (asked) => {
    const water = surfaceOf(asked);
    const top = topOf(asked, 'jaws') ?? topOf(asked, 'pan') ?? topOf(asked, 'loop');
    const { iceNext, isFrozen } = asked.around;
    if (!isFrozen || asked.type.underIce || iceNext === null || water === null || top === null) return null;
    const under = water - top;
    return under >= inches(3) && iceNext >= under ? { values: { under, ice: iceNext } } : null;
  }),
  rule('twigsOn', 'likely to fail', (asked) =>
    chosen(asked, 'twigs') === 'on' ? { values: {}, mend: { field: 'c.twigs', value: 'off' } } : null,
  ),
  rule('sticksBelow', 'will fail', (asked) => {
    const { felt } = asked.around;
    return asked.type.underIce && holds(asked, 'snare') && felt?.own === 'sticks' ? { values: { clear: felt.clear } } : null;
  }),
  rule('jawOnFrost', 'likely to fail', (asked) => {
    const water = surfaceOf(asked);
    const top = topOf(asked, 'jaws');
    const { coldest } = asked.around;
    if (coldest === null || coldest > FREEZES || !holds(asked, 'bodyGrip') || water === null || top === null) return null;
    const onLand = asked.design.parts.some((p) => p.kind === 'jaws' && p.bearer === 'bank' && top - p.height > water - inches(1));
    if (!onLand || chosen(asked, 'jawOn') === 'sticks') return null;
    return { values: { coldest }, ...('jawOn' in asked.type.choices ? { mend: { field: 'c.jawOn', value: 'sticks' } } : {}) };
  }),
  rule('panFreezes', 'likely to fail', (asked) => {
    const [water, pan] = [surfaceOf(asked), topOf(asked, 'pan')];
    const { coldest } = asked.around;
    return coldest !== null && coldest <= FREEZES && water !== null && pan !== null && pan > water - inches(0.5)
      ? { values: { coldest } }
      : null;
  }),
];
