import { capital, words, type Words } from '../say';

/** Footholds: what is built up under them, where the foot comes down, whether the catch is kept under. */

type Built = { depth: number; height: number; pan: number; size: string } | Record<string, never>;

const BUILT: Omit<Words<Built>, 'about'> = {
  figure: (own, { length }) => ('depth' in own ? length(Math.abs(own.height)) : '?'),
  sentence: (own, { length }) =>
    !('depth' in own)
      ? 'Type the depth to the firm bottom and the height of the bed follows. It can be set by the surface without.'
      : own.height < 0
        ? `The bottom is ${length(-own.height)} too high for this cover: dig that much, or take less water over the pan.`
        : `Depth ${length(own.depth)} less the wanted cover and ${length(own.pan)} of pan height (No. ${own.size}, from memory).`,
};

export const BED = {
  baitFor: words<{ bait: string; draws: string; meant: string; better: string }>({
    about: 'Bait',
    figure: ({ bait }) => bait,
    sentence: ({ bait, draws, meant, better }) =>
      `${capital(bait)} draws ${draws}, and it is meant for ${meant}${better ? `: ${better}` : ''}.`,
  }),
  buildUp: words<Built>({ about: 'Bed height under the trap', ...BUILT }),
  stoneUnder: words<Built>({ about: 'Stone under the trap', ...BUILT }),
  foot: words<{ foot: 'front' | 'hind'; off: number; wanted: [number, number]; under: [number, number] }>({
    about: ({ foot }) => `For a ${foot} foot`,
    figure: ({ off }, { length }) => length(off),
    sentence: ({ foot, off, wanted, under }, { length }) =>
      `A ${foot} foot wants the pan ${wanted[0]} to ${wanted[1]} in off the middle and ${under[0]} to ${under[1]} in under; it lies ${length(off)} off.${foot === 'hind' ? ' Deeper and farther out holds better.' : ' A low berm in front makes it plant its feet.'}`,
  }),
  weight: words<{ trap: number; pulls: number; called: string; animal: number; wanted: number; more: number }>({
    about: 'Weight of the trap',
    figure: ({ trap }, { weight }) => weight(trap),
    sentence: ({ pulls, called, animal, wanted, more }, { weight }) =>
      `In water it pulls ${weight(pulls)}; ${called} of ${weight(animal)} wants ${weight(wanted)} to be kept down.${more > 0 ? ` ${weight(more)} more: a heavier trap, a drowning weight or a slide.` : ''}`,
  }),
  fullCover: words<{ depth: number | undefined; swims: number; called: string }>({
    about: 'Water within the chain',
    figure: ({ depth, swims }, { length }) => (depth === undefined ? `${length(swims)}?` : length(depth)),
    sentence: ({ depth, swims, called }, { length }) =>
      depth === undefined
        ? `Measure the depth where the chain ends: ${length(swims)} cover ${called} whole.`
        : depth >= swims
          ? `${length(depth)} where the chain ends, ${length(swims)} cover ${called} whole.`
          : `${length(depth)} where the chain ends and ${length(swims)} cover ${called} whole: ${length(swims - depth)} more, so a longer chain or deeper water.`,
  }),
  berm: words<{ under: number; meets: boolean; swims: number; called: string; ahead: number; raise: number }>({
    about: 'Berm in front',
    figure: ({ under }, { length }) => length(under),
    sentence: ({ under, meets, swims, called, ahead, raise }, { length }) =>
      meets
        ? `${called.replace('an', 'An')} swims ${length(swims)} deep: ${length(under)} under, ${length(ahead)} before the pan, the berm meets its breast and it plants its forefeet behind it.`
        : `${called.replace('an', 'An')} swims ${length(swims)} deep and passes over a berm ${length(under)} under: raise it ${length(raise)}.`,
  }),
  fall: words<{ side: string; room: number; deep: number }>({
    about: 'Fall it bears',
    figure: ({ room }, { length }) => length(room),
    sentence: ({ side, room, deep }, { length }) =>
      `The ${side} bed works until the pond has fallen ${length(room)}; this break can let it fall ${length(deep)} at most. Look at the hour on the water’s break page.`,
  }),
  gapRoom: words<{ off: number; room: number; gap: number; aside: boolean; narrow: boolean }>({
    about: 'Off center in the gap',
    figure: ({ off }, { length }) => length(off),
    sentence: ({ off, room, gap, aside, narrow }, { length }) =>
      narrow
        ? `${length(off)} off leave ${length(room)} to the edge of a ${length(gap)} gap: too narrow for it, lay it in the middle.`
        : `The gap is ${length(gap)} wide; ${aside ? `${length(room)} are left at its side` : 'in the middle it is met by either foot'}.`,
  }),
  rearing: words<{ high: number; lower: number; reach: string[]; adult: number; two: number; yearling: number }>({
    about: 'Bait at rearing height',
    figure: ({ high }, { length }) => length(high),
    sentence: ({ lower, reach, adult, two, yearling }, { length }) =>
      reach.length === 0
        ? `An adult reaches ${length(adult)} standing on the pan: lower it ${length(lower)}.`
        : `${reach.join(', ')} can take it standing up (adult ${length(adult)}, two years ${length(two)}, yearling ${length(yearling)}); smaller ones do not.`,
  }),
  panOrStone: words<{ cover: number; pan: number; size: string }>({
    about: 'Cover over stone or pan',
    figure: ({ cover }, { length }) => length(cover),
    sentence: ({ cover, pan, size }, { length }) =>
      `${length(cover)} over the pan is ${length(cover + pan)} over the stone: the pan stands ${length(pan)} high (No. ${size}, from memory).${cover < 0 ? ' It stands out of the water.' : ''}`,
  }),
  rootRoom: words<{ room: number; shuts: boolean }>({
    about: 'Room under the roots',
    figure: ({ room }, { length }) => length(room),
    sentence: ({ shuts }) => (shuts ? 'The jaws close free under the roots.' : 'The jaws do not close under 5 in: another ledge.'),
  }),
  log: words<{ notch: number; afloat: boolean }>({
    about: 'The log',
    figure: ({ afloat }) => (afloat ? 'afloat' : 'fixed'),
    sentence: ({ notch, afloat }, { length }) =>
      afloat
        ? 'Afloat it follows the level; see that its end cannot ground.'
        : `Fixed at its ends it is left by the water: the notch is ${length(notch)} long and may be cut deeper.`,
  }),
  dryBait: words<{ up: number; muskrat: boolean }>({
    about: 'Bait stays dry',
    figure: ({ up }, { length }) => length(up),
    sentence: ({ up, muskrat }, { length }) =>
      `The back end stands ${length(up)} above water: a rise of that much floods the bait. ${muskrat ? 'Root draws muskrat.' : 'Flesh and fish draw mink, and raccoon.'}`,
  }),
  birds: words<{ roofed: boolean; traps: number }>({
    about: 'Birds',
    figure: ({ roofed }) => (roofed ? 'roofed' : 'open'),
    sentence: ({ roofed, traps }) =>
      roofed ? 'Roofed: a bird does not land on it.' : `Without a roof a bird can stand on it: cover ${traps > 1 ? 'the traps' : 'it'}.`,
  }),
  grounding: words<{ room: number | null; slack: number }>({
    about: 'Grounding',
    figure: ({ room }, { length }) => (room === null ? '?' : length(Math.abs(room))),
    sentence: ({ room, slack }, { length }) =>
      room === null
        ? `The depth under the raft was not measured: when it grounds is not known. The line lets it rise ${length(slack)}.`
        : room < 0
          ? `The raft draws ${length(-room)} more than the water here is deep: take it farther out.`
          : `It floats until the water falls ${length(room)}, and its line lets it rise ${length(slack)}.`,
  }),
  rain: words<Record<string, never>>({
    about: 'Bait in rain',
    figure: () => 'rebait',
    sentence: () => 'No level moves it; rain soaks the bait. It owes a look after every wet night.',
  }),
};
