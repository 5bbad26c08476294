import type { SetType, Step } from './setType';

/** What every remake begins with, by what was found. */
const BEFORE: Step[] = [
  { do: 'Old sticks out; look at the ground before it is trodden.' },
  { do: 'Anchor still firm? Pull at it; tie and swivels whole?' },
];

const BY_CLASS: Record<SetType['devices'][number], Step[]> = {
  bodyGrip: [
    { do: 'Trigger looked at: wires inside the jaws, bend as it was, dog free of mud and ice.' },
    {
      do: 'Set it with its hooks on, stand it in its old marks; hooks off while they can be reached.',
      caution: 'From then on hands hold springs and frame only.',
    },
  ],
  foothold: [
    { do: 'Old bed found by its stored place, cleared of leaves and mud; pan and trigger looked at.' },
    { do: 'Bed it again so that it does not rock, loose jaw to the middle.', caution: 'Never kneel on the levers.' },
  ],
  snare: [
    { do: 'Cable bent or frayed? Another loop; lock and swivel are kept.' },
    { do: 'Load it, hang it at its old height, nudge the support.', caution: 'From then on only the support is touched.' },
  ],
  enclosed: [{ do: 'Swivel and trigger free of mud; set it again.', caution: 'Fingers out of the tube.' }],
};

/** The sheet of a remake: what is looked at, what of the type is renewed, and the arming check at its end. */
export function remakeSteps(type: SetType): Step[] {
  const own = (type.remake ?? []).map((text): Step => ({ do: text }));
  return [...BEFORE, ...(type.devices[0] ? BY_CLASS[type.devices[0]] : []), ...own, { do: 'Arming check, as at placing.' }];
}
