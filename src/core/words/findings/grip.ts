import { capital, words } from '../say';

/** Body-grips: frame, springs, stand, and what passes through, beside, over and under them. */

interface User {
  called: string;
  gap: number;
}

/** Who uses which gap; one build, said once (F174). */
const usersText = (small: User, large: User, length: (m: number) => string): string =>
  `${capital(small.called)} uses ${length(small.gap)}${large.called === small.called ? '' : `, ${large.called} ${length(large.gap)}`}.`;

export const GRIP = {
  springs: words<{ wide: number; room: number; shows: number }>({
    about: 'Springs',
    figure: ({ room, wide }) => (room < wide ? 'standing up' : 'beside it'),
    sentence: ({ room, wide, shows }, { length }) =>
      room < wide
        ? `Frame and springs side by side take ${length(wide)} and there are ${length(room)}: the springs stand up, ${shows > 0.005 ? `${length(shows)} of them over the water` : `${length(-shows)} under the water`}.`
        : `Frame and springs side by side take ${length(wide)} of the ${length(room)}: they lie low beside the frame.`,
  }),
  tooTall: words<{ under: number; frame: number; depth: number }>({
    about: 'Frame and depth',
    figure: ({ under, frame, depth }, { length }) => length(under + frame - depth),
    sentence: ({ under, frame, depth }, { length }) =>
      `With its top ${length(under)} under and ${length(frame)} of frame it would reach ${length(under + frame)} down, but it is ${length(depth)} deep here. Measure one of the two again.`,
  }),
  stand: words<{ takes: readonly string[]; size: string; sixteenths: number }>({
    about: 'Stand and trap',
    figure: ({ takes, size }) => (takes.includes(size) ? 'fits' : 'does not fit'),
    sentence: ({ takes, size, sixteenths }) =>
      takes.includes(size)
        ? `The stand is made for ${takes.join(' and ')}; a ${size} has jaws of ${sixteenths}/16 in.`
        : `The stand is made for ${takes.join(' and ')} and a ${size} has jaws of ${sixteenths}/16 in: it slips or does not clamp. Another stand, or two cut sticks through the springs.`,
  }),
  opening: words<{ share: number; across: number }>({
    about: 'Through the jaws',
    figure: ({ share }, { percent }) => percent(share),
    sentence: ({ share, across }, { length, percent }) =>
      `${percent(share)} of the wet section leads through the opening of ${length(across)}.`,
  }),
  narrow: words<{ width: number; frame: number }>({
    about: 'Gaps beside the trap',
    figure: ({ width, frame }, { length }) => length(frame - width),
    sentence: ({ width, frame }, { length }) =>
      `The run is ${length(width)} wide at the bed, the frame ${length(frame)}: its corners would be buried. Take a smaller trap or a wider place.`,
  }),
  fence: words<{ gap: number; sticks: number; small: User; large: User }>({
    about: 'Gaps beside it',
    figure: ({ gap }, { length }) => length(gap),
    sentence: ({ gap, sticks, small, large }, { length }) =>
      gap >= small.gap - 1e-6
        ? `${length(gap)} stay open beside it at every height ${small.called} needs (${length(small.gap)}): one more stick there, or a narrower place.`
        : `${sticks === 0 ? 'No stick is needed' : `${sticks} ${sticks === 1 ? 'stick' : 'sticks'}`}: ${length(gap)} stay open at most. ${usersText(small, large, length)}`,
  }),
  fenceAside: words<{ side: number; sticks: number; clear: number; small: User; large: User }>({
    about: 'Gaps beside the trap',
    figure: ({ sticks }) => `${sticks} + ${sticks}`,
    sentence: ({ side, sticks, clear, small, large }, { length }) =>
      `${length(side)} stays open on each side; ${sticks === 0 ? 'no stick is needed' : `${sticks} ${sticks === 1 ? 'stick' : 'sticks'} a side leave ${length(clear)}`}. ${usersText(small, large, length)}`,
  }),
  buried: words<{ by: number }>({
    about: 'Lower corners',
    figure: ({ by }, { length }) => length(by),
    sentence: ({ by }, { length }) =>
      `The lower corners would be ${length(by)} in the bed: a smaller trap, a higher stand or a wider place.`,
  }),
  gapUnder: words<{ gap: number; user: User }>({
    about: 'Under it',
    figure: ({ gap }, { length }) => length(gap),
    sentence: ({ gap, user }, { length }) =>
      `${length(gap)} stay open between frame and bed, and they travel along the bed; ${user.called} uses ${length(user.gap)}: set it ${length(gap)} lower, on its stand.`,
  }),
  gapOver: words<{ over: number; user: User }>({
    about: 'Water over it',
    figure: ({ over }, { length }) => length(over),
    sentence: ({ over, user }, { length }) =>
      over >= user.gap
        ? `${length(over)} of water stand over it and ${user.called} passes over at ${length(user.gap)}: a pole right above makes it dive.`
        : `${length(over)} over it, less than the ${length(user.gap)} ${user.called} uses.`,
  }),
  gapOverPole: words<{ over: number; gap: number }>({
    about: 'Water over the trap',
    figure: ({ over }, { length }) => length(Math.max(over, 0)),
    sentence: ({ over, gap }, { length }) =>
      over > gap
        ? `${length(over)} of water stand over the jaws: an adult passes over it at ${length(gap)}. The dive pole has to float right above, or the trap stand higher.`
        : `${length(Math.max(over, 0))} over the jaws, less than the ${length(gap)} an adult uses; the pole makes it dive.`,
  }),
  swing: words<{ inside: number | null; steadies: boolean }>({
    about: 'Jaw swing',
    figure: ({ inside }) => (inside === null ? 'clear' : 'blocked'),
    sentence: ({ inside, steadies }, { length }) =>
      inside === null
        ? `${steadies ? 'A stick near the side arm steadies it and the jaws pass' : 'No stick stands in the arc'}. Feel for it with a stick once it stands.`
        : `A stick stands ${length(inside)} inside the frame: the jaws hit it. Move it within 1 in of the side arm, or out.`,
  }),
  row: words<{ spacing: number; short: boolean; share: number }>({
    about: 'Two in line',
    figure: ({ share }, { percent }) => percent(share),
    sentence: ({ spacing, short, share }, { length, percent }) =>
      `${short ? `${length(spacing)} apart: a catch in one can foul the other; 4 ft are accepted. ` : ''}Two traps: ${percent(share)} of passes (one: 70%).`,
  }),
  bedUnknown: words<Record<string, never>>({
    about: 'The bed',
    figure: () => '?',
    sentence: () => 'The bed was not measured: how much lower the trap could go is not known.',
  }),
  mouth: words<{ depth: number; dry: boolean }>({
    about: 'Water at the mouth',
    figure: ({ depth }, { length }) => (depth < 0 ? `dry by ${length(-depth)}` : length(depth)),
    sentence: ({ depth, dry }, { length }) =>
      dry
        ? `The mouth is ${depth < 0 ? `dry by ${length(-depth)}` : 'dry'}: that is a land set under other rules, and a big body-grip on dry ground takes dogs. Set the run where it is under water, or a foothold in the water before it.`
        : `${length(depth)} of water stand at the mouth.`,
  }),
  culvert: words<{ pipe: number }>({
    about: 'Culvert',
    figure: ({ pipe }, { length }) => length(pipe),
    sentence: () =>
      'Sets at roads and culverts are forbidden in many places: ask your agency and the road’s owner. Nobody enters a culvert.',
  }),
  current: words<Record<string, never>>({
    about: 'Current and debris',
    figure: () => 'quick',
    sentence: () =>
      'It stands where the water runs and where mud is pushed: what the current does to this trigger is told on the water’s break page before it is set. In the channel beside it none of that reaches the trap.',
  }),
  breaks: words<{ away: number }>({
    about: 'The two breaks',
    figure: ({ away }, { length }) => length(away),
    sentence: ({ away }, { length }) =>
      `Two small breaks, ${length(away)} to the left and right, made last. Away from the leaks the trap is not hit by mud and sticks. What they do to the level stands on the water’s break page.`,
  }),
  skyline: words<{ crest: number; outlined: boolean }>({
    about: 'Against the sky',
    figure: ({ crest }, { length }) => length(crest),
    sentence: ({ outlined }) =>
      outlined
        ? 'Its top stands at the crest and is outlined against the sky: take it lower on the face.'
        : 'It stands below the crest, not outlined against the sky. The pond can fall or rise: only the water below the dam judges it.',
  }),
  dog: words<{ over: number }>({
    about: 'Dog hangs free',
    figure: ({ over }, { length }) => length(over),
    sentence: () => 'Rest the lower jaw on two small sticks, so that the dog neither sinks into mud nor freezes in.',
  }),
  roof: words<{ roof: number; needs: number }>({
    about: 'Under the roof',
    figure: ({ roof }, { length }) => length(roof),
    sentence: ({ roof, needs }, { length }) =>
      roof >= needs - 0.004
        ? `The roof stands ${length(roof)} over the bed; frame and upright spring take ${length(needs)}.`
        : `Frame and upright spring take ${length(needs)} and the roof stands ${length(roof)} over the bed: dig the bed ${length(needs - roof)}, or a smaller trap.`,
  }),
  duck: words<{ gap: number; user: number }>({
    about: 'Between wall and frame',
    figure: ({ gap }, { length }) => length(gap),
    sentence: ({ gap, user }, { length }) => `${length(gap)} stay between wall and frame; a female mink uses ${length(user)}.`,
  }),
  boxFits: words<{ inside: number; frame: number; fits: boolean; wanted: number }>({
    about: 'Frame in the box',
    figure: ({ inside, frame }, { length }) => length(inside - frame),
    sentence: ({ inside, frame, fits, wanted }, { length }) =>
      fits
        ? `${length(inside)} inside for a frame of ${length(frame)}: the jaws swing free.`
        : `The box is ${length(inside)} inside and the frame ${length(frame)}: it does not swing. A smaller trap, or a box of ${length(wanted)}.`,
  }),
  boxTrigger: words<{ trigger: string }>({
    about: 'Trigger',
    figure: ({ trigger }) => (trigger === 'low' ? 'low, rear' : trigger),
    sentence: ({ trigger }) =>
      trigger === 'v'
        ? 'A narrow V is passed without firing: low, at the rear and wide, so that the animal is well in and pushing.'
        : trigger === 'pan'
          ? 'It fires under the first foot: the pan lies so far back that the chest is between the jaws by then.'
          : 'The animal is well in and pushing when it fires.',
  }),
  moss: words<{ side: number; much: boolean }>({
    about: 'Beside the frame',
    figure: ({ side }, { length }) => length(side),
    sentence: ({ side, much }, { length }) =>
      `${length(Math.max(0, side))} stay open on each side: moss closes them.${much ? ' That is much for moss: a stone each side.' : ''}`,
  }),
  thaw: words<{ rise: number | undefined; over: number; afloat: boolean; drowned: boolean }>({
    about: 'At the thaw',
    figure: ({ rise }, { length }) => (rise === undefined ? '?' : length(rise)),
    sentence: ({ rise, over, afloat, drowned }, { length }) =>
      rise === undefined
        ? 'Type how much higher the water comes at the thaw: the trap must still stand over it.'
        : drowned
          ? `The water comes ${length(rise)} higher and the log stands ${length(over)} over it: under by ${length(rise - over)} then. Pull it before, or a higher log.`
          : `The water comes ${length(rise)} higher; ${afloat ? 'the log rises with it' : `the log stands ${length(over)} over it now`}.`,
  }),
  clip: words<{ low: boolean }>({
    about: 'Clip and trigger',
    figure: ({ low }) => (low ? 'no room' : 'fits'),
    sentence: ({ low }) =>
      low
        ? 'A log clip leaves no room for a bottom trigger: from the top, or block the trap up on a cross stick.'
        : 'The trigger hangs from the top, so the clip is free.',
  }),
  rise: words<Record<string, never>>({
    about: 'When the water rises',
    figure: () => 'works on',
    sentence: () => 'A rise does not end it, only reaching it does: pair it with a shallow set at the same edge.',
  }),
};
