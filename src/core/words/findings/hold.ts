import { words } from '../say';

/** What holds the catch: reach, stake, slide, live hold, tangle pole, bag, and circles that meet. */

export const HOLD = {
  reach: words<{ reach: number; tie: number; straight: number; short: boolean; called: string; held: string }>({
    about: 'Reach of the catch',
    figure: ({ reach }, { length }) => length(reach),
    sentence: ({ reach, tie, straight, short, called, held }, { length }) =>
      short
        ? `The trap stands ${length(straight)} from its anchor and the cable has ${length(tie)}: ${length(straight - tie)} more, or a nearer anchor.`
        : `${length(tie)} of cable and ${called} held by the ${held}: everything within ${length(reach)} of the anchor is in its reach, and there it is looked for first.`,
  }),
  stake: words<{
    driven: number;
    ground: string;
    holds: number;
    called: string;
    weight: number;
    swimming: number;
    footed: number;
    deeper: number;
  }>({
    about: 'Stake',
    figure: ({ holds }, { force }) => force(holds),
    sentence: ({ driven, ground, holds, called, weight: heavy, swimming, footed, deeper }, { length, force, weight }) =>
      `Driven ${length(driven)}, ${ground} ground holds it against about ${force(holds)}; the largest that can be caught in it is ${called} of ${weight(heavy)}, which pulls with ${force(swimming)} swimming and ${force(footed)} with a footing.${holds >= footed ? '' : ` ${length(deeper)} deep, or a tree, would hold it with a footing too.`}`,
  }),
  stakeUnknown: words<{ depth: boolean; ground: boolean; called: string; weight: number; swimming: number; footed: number }>({
    about: 'Stake',
    figure: () => 'not known',
    sentence: ({ depth, ground, called, weight: heavy, swimming, footed }, { force, weight }) =>
      `Type ${[depth ? 'how deep it is driven' : '', ground ? 'in what ground' : ''].filter(Boolean).join(' and ')}: the largest that can be caught in it is ${called} of ${weight(heavy)}, which pulls with ${force(swimming)} swimming and ${force(footed)} with a footing. Or choose what else it is tied to.`,
  }),
  woodHolds: words<{ to: 'tree' | 'root' | 'log'; footed: number }>({
    about: 'Anchor',
    figure: () => 'not known',
    sentence: ({ to, footed }, { force }) =>
      `What a ${to} holds is not known: ${to === 'log' ? 'bury it across the pull' : 'live wood, thicker than a wrist, tied low'}. The pull reaches ${force(footed)}.`,
  }),
  standTie: words<Record<string, never>>({
    about: 'Anchor',
    figure: () => 'none',
    sentence: () => 'A stand is no anchor: it comes out of the bed with the catch. Tie to a stake, a live root or a buried log.',
  }),
  slideShort: words<{ overBank: number; wire: number }>({
    about: 'Drowning depth',
    figure: ({ overBank, wire }, { length }) => `short ${length(overBank - wire)}`,
    sentence: ({ overBank, wire }, { length }) =>
      `The wire is shorter than the bank: ${length(overBank)} lead from its stake to the water’s edge and it has ${length(wire)}.`,
  }),
  slideRests: words<{ out: number; depth: number; called: string; held: string; reach: number; margin: number; gone: number } & Shortest>({
    about: 'Drowning depth',
    figure: ({ depth }, { length }) => length(depth),
    sentence: ({ out, depth, called, held, reach, margin, gone, ...best }, { length, level }) =>
      `The lock rests ${length(out)} out from the water’s edge in ${length(depth)} of water; ${called} by the ${held} reaches ${length(reach)}. The margin of ${length(margin)} is gone when the level falls to ${level(gone)}. ${shortest(best, length)}`,
  }),
  slideEnds: words<{ out: number; depth: number; wanted: number; called: string; short: number } & Shortest>({
    about: 'Drowning depth',
    figure: ({ short }, { length }) => `short ${length(short)}`,
    sentence: ({ out, depth, wanted, called, short: _, ...best }, { length }) =>
      `The wire ends ${length(out)} out from the water’s edge in ${length(depth)} of water, ${length(wanted)} wanted (chain, reach of ${called}, 6 in). ${shortest(best, length)}`,
  }),
  slideUnknown: words<{ wanted: number; called: string }>({
    about: 'Drowning depth',
    figure: ({ wanted }, { length }) => `${length(wanted)}?`,
    sentence: ({ wanted, called }, { length }) =>
      `Uncertain: the deep end was not measured. Chain and ${called}’s reach with 6 in to spare want ${length(wanted)} there.`,
  }),
  slideDepth: words<{ depth: number; wanted: number; called: string }>({
    about: 'Drowning depth',
    figure: ({ depth, wanted }, { length }) => (depth < wanted ? `short ${length(wanted - depth)}` : length(depth)),
    sentence: ({ depth, wanted, called }, { length }) =>
      depth < wanted
        ? `${length(depth)} of water, ${length(wanted)} wanted (chain, forearm to nose of ${called}, 6 in): short by ${length(wanted - depth)}. Deeper water, a shorter chain, or a live restraint.`
        : `${length(wanted)} wanted for chain, reach and 6 in: the margin is gone when the level falls ${length(depth - wanted)}.`,
  }),
  live: words<
    { reach: number; safe: number; wraps: boolean; land: boolean; water: number } | { reach: number; safe: number; wraps: boolean }
  >({
    about: 'Live restraint',
    figure: ({ reach }, { length }) => length(reach),
    sentence: (own, { length }) => {
      const { reach, safe, wraps } = own;
      const chewed = wraps ? ` The cable is shorter than ${length(safe)}: it wraps and is chewed near the anchor.` : '';
      if (!('land' in own))
        return `About ten feet of tether, land and water both in reach. Without a measured profile it stays uncertain whether the catch lives.${chewed}`;
      return own.land && own.water > 0
        ? `Within ${length(reach)} lie land that is dry with the water 8 in higher, and ${length(own.water)} of water with it 8 in lower.${chewed}`
        : `Within ${length(reach)} there is ${own.land ? 'no water left' : 'no land that stays dry'} when the level moves 8 in: move the anchor, or submerge.${chewed}`;
    },
  }),
  tangle: words<{ thick: number; turn: number; turns: number; left: number; wire: number; wanted: number; depth: number | undefined }>({
    about: 'Tangle stake',
    figure: ({ turns }) => `${turns} turns`,
    sentence: ({ thick, turn, turns, left, wire, wanted, depth }, { length }) => {
      const facts = `Each turn round ${length(thick)} takes ${length(turn)}: after ${turns} turns ${length(left)} of ${length(wire)} are left. ${length(wanted)} of water are wanted at the pole then.`;
      if (depth === undefined) return `${facts} Measure the depth there.`;
      return depth >= wanted
        ? `${facts} There are ${length(depth)}. If it meets rock, move it.`
        : `${facts} There are only ${length(depth)}: deeper by ${length(wanted - depth)}, or a slide wire.`;
    },
  }),
  bag: words<{
    animal: string;
    fill: string;
    bag: number | undefined;
    swimming: number | null;
    footed: number | null;
    depth: number | undefined;
    wanted: number;
  }>({
    about: 'Bag of fill',
    figure: ({ bag }, { weight }) => (bag === undefined ? 'not weighed' : weight(bag)),
    sentence: ({ animal, fill, bag, swimming, footed, depth, wanted }, { system, weight, length }) => {
      const needs = `Against the largest ${animal}: ${bagText(swimming, system)} of ${fill} while it swims, ${bagText(footed, system)} once it has a footing.`;
      if (bag === undefined) return `${needs} Type what the bag weighs, and the depth over it.`;
      const deep =
        depth === undefined
          ? ' Type the depth over it: without a footing it only swims.'
          : depth >= wanted
            ? ` With ${length(depth)} over it there is no footing.`
            : ` ${length(depth)} over it leave a footing; ${length(wanted)} would not.`;
      return `${needs} This one weighs ${weight(bag)}.${deep}`;
    },
  }),
  pole: words<{ needs: number; pole: number } | Record<string, never>>({
    about: 'Deep-end pole',
    figure: (own, { length }) =>
      'needs' in own ? (own.pole < own.needs ? `short ${length(own.needs - own.pole)}` : length(own.needs)) : '?',
    sentence: (own, { length }) =>
      !('needs' in own)
        ? 'Measure the depth at the deep end: the pole has to be that long, its push-in and a grip.'
        : own.pole < own.needs
          ? `Depth, push-in and a hand to grip take ${length(own.needs)}, the pole has ${length(own.pole)}: a longer pole, or a resting place that is shallower by ${length(own.needs - own.pole)}.`
          : `Depth, push-in and a hand to grip take ${length(own.needs)} of its ${length(own.pole)}.`,
  }),
  hand: words<{ rest: number; stands: number; arm: number; waders: number; short: boolean }>({
    about: 'Within your reach',
    figure: ({ rest }, { length }) => length(rest),
    sentence: ({ rest, stands, arm, waders, short }, { length }) =>
      short
        ? `The pole goes in ${length(rest)} out; with waders of ${length(waders)} and an arm of ${length(arm)} you reach ${length(stands + arm)}: a shorter wire, a boat, or a place that falls off nearer the bank.`
        : `${length(rest)} out; you can stand ${length(stands)} out and reach ${length(arm)} farther. Add what you sink in.`,
  }),
  tieLength: words<{ tie: number; out: number; has: number } | { shortBy: number } | Record<string, never>>({
    about: 'Cable that clears the trail',
    figure: (own, { length }) => ('tie' in own ? length(own.tie) : 'shortBy' in own ? `short ${length(own.shortBy)}` : '?'),
    sentence: (own, { length }) =>
      'tie' in own
        ? `${length(own.tie)} from the anchor lead to water that hides an adult, ${length(own.out)} out and clear of the trail; the cable has ${length(own.has)}.`
        : 'shortBy' in own
          ? `Nothing within 8 ft is deep enough to hide an adult: ${length(own.shortBy)} more are wanted. Anchor it elsewhere.`
          : 'Type the depth 4 and 8 ft from the anchor, away from the trail, and the length of the cable follows.',
  }),
  circlesSlide: words<{ name: string; apart: number; other: number; reach: number }>({
    about: 'Slide and neighbor',
    figure: ({ apart }, { length }) => length(apart),
    sentence: ({ name, apart, other, reach }, { length }) =>
      `${name} is anchored ${length(apart)} off and its catch reaches ${length(other)}; this one comes ${length(reach)} from its bank end. Lead the wire straight out, away from it.`,
  }),
  circlesHere: words<{ name: string; other: number; reach: number; least: number }>({
    about: 'Circles can meet',
    figure: ({ least }, { length }) => length(least),
    sentence: ({ name, other, reach, least }, { length }) =>
      `${name} stands at this place too; its catch reaches ${length(other)} and this one ${length(reach)}. Keep the anchors ${length(least)} apart or more.`,
  }),
  circles: words<{ name: string; apart: number; other: number; reach: number; by: number }>({
    about: 'Circles can meet',
    figure: ({ by }, { length }) => length(by),
    sentence: ({ name, apart, other, reach, by }, { length }) =>
      `${name} is anchored ${length(apart)} off; its catch reaches ${length(other)} and this one ${length(reach)}: they can meet by ${length(by)}. Farther apart, or shorter cables.`,
  }),
};

/** The shortest wire that rests deep enough, or by how much the profile is too shallow; m. */
interface Shortest {
  best: { wire: number } | { shortBy: number };
}

const shortest = ({ best }: Shortest, length: (m: number) => string): string =>
  'wire' in best
    ? `The shortest wire that does it is ${length(best.wire)}.`
    : `The profile is short by ${length(best.shortBy)}: deeper water or a tangle stake, or a live restraint.`;

const bagText = (kg: number | null, system: 'us' | 'metric'): string =>
  kg === null ? 'no bag' : system === 'us' ? `${Math.round(kg / 0.45359237)} lb` : `${Math.round(kg)} kg`;
