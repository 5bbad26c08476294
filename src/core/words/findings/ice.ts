import { words } from '../say';

/** Under ice: what to cut, the hole, the marks of the pole, and the ice of the next check. */

export const ICE = {
  wire: words<{ drop: number; twist: number; cut: number }>({
    about: 'Wire to cut',
    figure: ({ cut }, { length }) => length(cut),
    sentence: ({ drop, twist, cut }, { length }) =>
      `${length(drop)} from the stick to the spring eye, two turns of the stick and ${length(twist)} to twist (rule of thumb): cut two of ${length(cut)}.`,
  }),
  holeForGrip: words<{ long: number; wide: number }>({
    about: 'Hole',
    figure: ({ long }, { length }) => length(long),
    sentence: ({ long, wide }, { length }) =>
      `Frame with its springs and 2 in to spare go through ${length(long)} by ${length(wide)}, lowered on edge; opened once for two traps.`,
  }),
  holeForLoop: words<{ loop: number; needs: number; hole: number }>({
    about: 'Hole',
    figure: ({ needs }, { length }) => length(needs),
    sentence: ({ loop, needs, hole }, { length }) =>
      `Loops of ${length(loop)} and 2 in to spare want a hole of ${length(needs)}; this one is ${length(hole)}${hole < needs ? ': open it wider, or they shut on its edge' : ''}.`,
  }),
  nextCheck: words<{ ice: number; left: number; lower: number }>({
    about: 'At the next check',
    figure: ({ left }, { length }) => length(Math.abs(left)),
    sentence: ({ ice, left, lower }, { length }) =>
      left <= 0
        ? `By the next check the ice is ${length(ice)} and the jaws ${length(-left)} inside it: hang it ${length(lower)} lower before the wire is cut.`
        : `With ${length(ice)} of ice at the next check the jaws hang ${length(left)} below it.`,
  }),
  overBed: words<{ needs: number; depth: number }>({
    about: 'Over the bed',
    figure: ({ needs, depth }, { length }) => length(Math.abs(depth - needs)),
    sentence: ({ needs, depth }, { length }) =>
      depth < needs
        ? `Drop, jaws and bait take ${length(needs)} of the ${length(depth)}: ${length(needs - depth)} too much. Deeper water, or a smaller trap.`
        : `Drop, jaws and bait take ${length(needs)} of the ${length(depth)} below the water line.`,
  }),
  marksShort: words<{ short: number; tiers: number; depth: number }>({
    about: 'Marks from the foot',
    figure: ({ short }, { length }) => `short ${length(short)}`,
    sentence: ({ short, tiers, depth }, { length }) =>
      `Ice of the next check, clearances and ${tiers} ${tiers === 1 ? 'tier' : 'tiers'} want ${length(depth + short)} of water, there are ${length(depth)}: fewer tiers, smaller loops, or deeper water.`,
  }),
  marks: words<{ bed: number; waterLine: number; underside: number; undersideNext: number; tops: number[]; lowest: number }>({
    about: 'Marks from the foot',
    figure: ({ waterLine }, { length }) => length(waterLine),
    sentence: ({ bed, waterLine, underside, undersideNext, tops, lowest }, { length }) =>
      `Bed ${length(bed)}, water line ${length(waterLine)}, underside now ${length(underside)}, at the next check ${length(undersideNext)}; tops of the loops ${tops.map(length).join(', ')}, the lowest ends at ${length(lowest)}.`,
  }),
  holeInReach: words<{ below: number; wanted: number }>({
    about: 'Hole',
    figure: ({ below }, { length }) => length(Math.max(0, below)),
    sentence: ({ below, wanted }, { length }) =>
      `The hole may be in reach of the catch: the first loop hangs ${length(Math.max(0, below))} below the ice of the next check, ${length(wanted)} is usual.`,
  }),
  poleLong: words<{ needs: number; pole: number }>({
    about: 'Pole at hand',
    figure: ({ pole }, { length }) => length(pole),
    sentence: ({ needs, pole }, { length }) =>
      pole < needs
        ? `Push-in, water, ice of the next check and 4 in to grip take ${length(needs)}: the pole of ${length(pole)} ends in the ice, ${length(needs - pole)} short.`
        : `Push-in, water, ice and 4 in to grip take ${length(needs)} of its ${length(pole)}.`,
  }),
  holding: words<{ ice: number | null; wanted: number; pole: number }>({
    about: 'Will the hole hold it',
    figure: ({ ice, pole }, { length }) => length(ice ?? pole),
    sentence: ({ ice, wanted, pole }, { length }) =>
      ice === null
        ? `No weather is known to the next check: put the safety pole across, ${length(pole)}, on sound ice both sides, tied to the set pole.`
        : ice >= wanted
          ? `${length(ice)} of new ice by the next check hold the pole.`
          : `Only ${length(ice)} of new ice by the next check, ${length(wanted)} wanted: a safety pole is required, ${length(pole)}, tied to the set pole and bearing on sound ice both sides.`,
  }),
};
