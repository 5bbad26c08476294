import type { Verdict } from '../water/need';

/** A set as the rounds count it. */
export interface Counted {
  id: string;
  verdict: Verdict;
  /** hands do not reach it, while it fishes on */
  beyond: boolean;
  /** by the forecast it is idle at its check */
  idleThen: boolean;
  /** its place can be waded now, and not at its check */
  cutOff: boolean;
}

/** Sets that want the same thing today: counted above the list, which they filter. */
export interface Group {
  id: 'idle' | 'fishing' | 'frozen' | 'will' | 'cutOff';
  /** what its count counts: `not working` */
  title: string;
  /** what is done about them */
  sentence: string;
  sets: string[];
}

const IDLE: readonly Verdict[] = ['spent', 'outOfWater', 'heldUnder', 'aground', 'tooDeep', 'noLongerSubmerging'];

/** The gear that goes out when the season turns. [practice] */
export const TURNED =
  'Ice is forming. Switch to log and under-ice sets (a 155 clipped low to the trunk, tied to a tree: ice takes no stake). Load: sled, chisel, saw and fuel, scoop, spare wires, green wood, safety poles, long gloves and a second pair.';

/** What the night left and the next one brings: idle sets, those that still fish out of reach (which are not idle), those frozen in, those that will be idle at their check, and those that cannot be waded to by then. */
export function afterNight(sets: readonly Counted[]): Group[] {
  const frozen = sets.filter((s) => s.verdict === 'frozen');
  const idle = sets.filter((s) => IDLE.includes(s.verdict));
  const rest = sets.filter((s) => !idle.includes(s) && !frozen.includes(s));
  const groups: [Group['id'], string, readonly Counted[], string][] = [
    ['idle', 'not working', idle, 'Fix these first.'],
    ['will', 'likely to fail', rest.filter((s) => s.idleThen), 'Likely to fail before the next check. Adjust today.'],
    ['fishing', 'still fishing, out of reach', rest.filter((s) => s.beyond), 'Pull with a hook, or wait for the water.'],
    ['frozen', 'frozen in', frozen, frozen.length >= 2 ? TURNED : 'Chop it free, or pull it before it is lost.'],
    [
      'cutOff',
      'cut off by the check',
      sets.filter((s) => s.cutOff),
      'Too deep to wade by the check. Pull before dark, or lose the way to them.',
    ],
  ];
  return groups.flatMap(([id, title, own, sentence]) => (own.length === 0 ? [] : [{ id, title, sentence, sets: own.map((s) => s.id) }]));
}
