import { inches } from '../../units/factors';
import { words } from '../say';

/** Snares: how much of the loop is wet, the cable it takes, what stands round it. */

export const LOOP = {
  share: words<{ share: number; area: number; min: number; max: number; lower: number; raise: number }>({
    about: 'Loop below water',
    figure: ({ share }, { percent }) => percent(share),
    sentence: ({ share, area, min, max, lower, raise }, { length, percent }) =>
      `As set, ${percent(share)} of its height is under, ${percent(area)} of its area. Wanted are ${Math.round(min * 100)} to ${percent(max)} of the height.${lower > 0 ? ` Lower it ${length(lower)}.` : raise > 0 ? ` Raise it ${length(raise)}.` : ''}`,
  }),
  shareInChannel: words<{ share: number; area: number; roofed: boolean; shallow: boolean }>({
    about: 'Loop below water',
    figure: ({ share }, { percent }) => percent(share),
    sentence: ({ share, area, roofed, shallow }, { percent, length }) =>
      `As set, ${percent(share)} of its height is under, that is ${percent(area)} of its area. ${shallow ? `In less than ${length(inches(8))} of water they walk through: no share is too little.` : roofed ? 'In a roofed passage 40% or more is wanted; its ceiling is the upper limit.' : 'Wanted are 40 to 90% of the height.'}`,
  }),
  cable: words<{
    around: number;
    fittings: number;
    tail: number;
    cut: boolean;
    extension: string;
    weaker: string;
    breaks: number | undefined;
  }>({
    about: 'Cable to cut',
    figure: ({ around, tail, cut }, { length }) => length(cut ? around + tail : tail),
    sentence: ({ around, fittings, tail, cut, extension, weaker, breaks }, { length, force }) =>
      `${cut ? `${length(around)} for the loop with lock, swivel and ferrules (${length(fittings)}, rule of thumb)` : 'The loop is ready with its lock and swivel'}, ${length(tail)} of ${extension} for tail and extension.${breaks ? ` A ${weaker} breaks at ${force(breaks)} (minimum, from memory).` : ''}`,
  }),
  largestLoop: words<{ cable: number; most: number; short: boolean; more: number }>({
    about: 'Largest loop of this cable',
    figure: ({ most }, { length }) => length(most),
    sentence: ({ cable, most, short, more }, { length }) =>
      short
        ? `${length(cable)} of loop cable give at most a ${length(most)} loop: a smaller loop, or ${length(more)} more cable.`
        : `${length(cable)} of loop cable would give up to ${length(most)}.`,
  }),
  lock: words<{ top: boolean }>({
    about: 'Lock',
    figure: ({ top }) => (top ? 'at the top' : 'at the side'),
    sentence: ({ top }) =>
      top ? 'At the top it drops at the first touch.' : 'At the side it closes later, when head and shoulders are through.',
  }),
  loopInBed: words<{ by: number; wet: number; loop: number; depth: number; largest: number }>({
    about: 'Loop and bed',
    figure: ({ by }, { length }) => length(by),
    sentence: ({ by, wet, loop, depth, largest }, { length }) =>
      `${length(wet)} of a ${length(loop)} loop must be under and the water is ${length(depth)} deep: it would reach ${length(by)} into the bed. At most a ${length(largest)} loop works here.`,
  }),
  mound: words<{ back: number; near: boolean }>({
    about: 'Mound behind the loop',
    figure: ({ back }, { length }) => length(back),
    sentence: ({ near }) =>
      `18 to 24 in, so that the body passes the loop first${near ? ': nearer, it is smelled before the neck is through' : ''}.`,
  }),
  air: words<{ over: number; loop: number; fits: boolean }>({
    about: 'Loop in air',
    figure: ({ over }, { length }) => length(over),
    sentence: ({ over, loop, fits }, { length }) =>
      `Its bottom hangs ${length(over)} over the deck, the loop is ${length(loop)}; about 3 in and 8 to 8½ in are wanted${fits ? '' : ': a low or large loop is knocked aside and teaches'}.`,
  }),
  bare: words<{ open: number }>({
    about: 'No fence',
    figure: ({ open }, { length }) => length(open),
    sentence: ({ open }, { length }) =>
      `${length(open)} of the run stay open beside the loop on purpose: where shyness is suspected fewer sticks are proposed, not more.`,
  }),
};
