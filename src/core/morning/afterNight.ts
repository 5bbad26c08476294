import { many } from '../units/many';
import type { Verdict } from '../water/need';

/** A set as Morning counts it. */
export interface Counted {
  id: string;
  name: string;
  verdict: Verdict;
  /** hands do not reach it, while it fishes on */
  beyond: boolean;
  /** by the forecast it is idle at its check */
  idleThen: boolean;
}

export interface Group {
  id: 'idle' | 'fishing' | 'frozen' | 'will';
  title: string;
  sentence: string;
  sets: { id: string; name: string }[];
}

const IDLE: readonly Verdict[] = ['spent', 'outOfWater', 'heldUnder', 'aground', 'tooDeep', 'noLongerSubmerging'];

/** The gear that goes out when the season turns. [practice] */
export const TURNED =
  'Ice is forming. Switch to log and under-ice sets (a 155 clipped low to the trunk, tied to a tree: ice takes no stake). Load: sled, chisel, saw and fuel, scoop, spare wires, green wood, safety poles, long gloves and a second pair.';

/** What the night left: idle sets, those that still fish out of reach (which are not idle), those frozen in, and those that will be idle at their check. */
export function afterNight(sets: readonly Counted[]): Group[] {
  const group = (id: Group['id'], title: string, own: readonly Counted[], sentence: string): Group[] =>
    own.length === 0
      ? []
      : [{ id, title: `${title}: ${many(own.length, 'set')}`, sentence, sets: own.map(({ id: set, name }) => ({ id: set, name })) }];
  const frozen = sets.filter((s) => s.verdict === 'frozen');
  const idle = sets.filter((s) => IDLE.includes(s.verdict));
  const fishing = sets.filter((s) => s.beyond && !idle.includes(s) && !frozen.includes(s));
  const will = sets.filter((s) => s.idleThen && !idle.includes(s) && !frozen.includes(s));
  return [
    ...group('idle', 'Not working', idle, 'Fix these first.'),
    ...group('fishing', 'Still fishing, out of reach', fishing, 'Pull with a hook, or wait for the water.'),
    ...group('frozen', 'Frozen in', frozen, frozen.length >= 2 ? TURNED : 'Chop it free, or pull it before it is lost.'),
    ...group('will', 'Likely to fail before the check', will, 'Adjust today.'),
  ];
}
