import type { System } from '../units/factors';
import { printLength } from '../units/length';
import type { End, Young } from '../water/need';

/** A spot and its height over what judges it, m. */
interface Where {
  called: string;
  height: number;
}

interface Said {
  /** two words */
  label: (height: number) => string;
  /** the fact as a sentence */
  fact: (where: Where, print: (m: number) => string, sure: boolean) => string;
}

const lies = ({ called, height }: Where, print: (m: number) => string): string =>
  Math.abs(height) < 0.001
    ? `The ${called} is at the surface`
    : `The ${called} is ${print(height)} ${height > 0 ? 'above' : 'below the'} water`;
const plain = (label: string, tail = '', doubt = tail): Said => ({
  label: () => label,
  fact: (where, print, sure) => `${lies(where, print)}${sure ? tail : doubt}.`,
});
const own = (label: string, fact: Said['fact']): Said => ({ label: () => label, fact });

const SAID: Record<End, Said> = {
  outOfWater: {
    label: (height) => (height > 0 ? 'dry' : 'too shallow'),
    fact: (where, print) =>
      where.height > 0 ? `${lies(where, print)}.` : `Only ${print(where.height)} of water over the ${where.called}.`,
  },
  bare: plain('dry', ': bare, and they step beside it'),
  narrow: plain('too shallow', ': too little water is left to swim through it'),
  halfOut: plain('half dry', ': half of it stands out'),
  pushedAside: plain(
    'too shallow',
    ': too little of the loop is under, it is pushed aside',
    ': with so little under it may be pushed aside',
  ),
  poleOnJaws: plain('pole on the jaws', ': the floating pole hangs in its swing'),
  climbsElsewhere: plain('dry', ': they climb out elsewhere'),
  heldUnder: own('held under', ({ called, height }, print) => `The line is taut and holds the ${called} ${print(height)} under.`),
  aground: own('aground', ({ called, height }, print) => `The raft lies on the bottom, its ${called} ${print(height)} above water.`),
  noLongerSubmerging: own(
    'deep end too shallow',
    ({ height }, print) => `Deep end only ${print(height)} deep: it catches, but a catch can reach air.`,
  ),
  frozen: own('frozen in', ({ called, height }, print) =>
    height > 0 ? `The ${called} is ${print(height)} inside the ice.` : `The ${called} hangs only ${print(height)} under the ice.`,
  ),
  tooDeep: plain('too deep'),
  swumOver: plain('swum over', ': they swim over it', ': they may swim over it'),
  swumUnder: plain('swum under', ': they swim under it'),
  goneRound: plain('gone round', ': the water opens a way round'),
  topUnder: plain('top under', ': nothing of it shows, they pass over', ': so little of it shows that they may pass over'),
  baitWet: plain('bait wet', ': bait and trigger are wet'),
  flooded: plain('flooded'),
};

/** Who passes already where it still works for adults. */
export const youngSays = (who: Young): string => `${{ kits: 'Kits', females: 'Females' }[who]} pass over it.`;

/** What ended a range, in two words: `dry`, `swum over`. */
export const endLabel = (end: End, height: number): string => SAID[end].label(height);

/** What ended a range, as a sentence with the spot and its height. @param sure whether it surely ended; else it may have */
export const endFact = (end: End, where: Where, system: System, sure = true): string =>
  SAID[end].fact(where, (m) => printLength(Math.abs(m), system), sure);
