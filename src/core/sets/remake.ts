import type { DeviceClass } from '../devices/sizes';
import { freshLure, type Attract } from '../lure/lure';
import type { AtWork, Order, Step } from './work';
import { ordersOf } from './secondTie';
import type { SetType } from './setType';

/** A trap that is armed is made harmless before any hand comes near. */
const HARMLESS: Record<DeviceClass, Step> = {
  bodyGrip: {
    do: 'Fire it with a long stick, or put each hook back on where it lies at most 12 in deep, in sight and met from outside.',
    caution: 'An armed trap is never moved, raised or pulled by hand.',
  },
  foothold: {
    do: 'Fire it with a stick on its pan, the neighbor on the same cable too.',
    caution: 'An armed trap is never moved, raised or pulled by hand.',
  },
  snare: { do: 'Shut the loop with a stick.' },
  enclosed: { do: 'Fire its trigger with a stick.', caution: 'No finger in the tube.' },
};

const LOOKED_AT: Record<DeviceClass, string> = {
  bodyGrip: 'Trigger looked at: wires inside the jaws, bend as it was, dog free of mud and ice.',
  foothold: 'Old bed found by its stored place, cleared of leaves and mud; pan and trigger looked at.',
  snare: 'Cable bent or frayed? Another loop; lock and swivel are kept.',
  enclosed: 'Swivel and trigger free of mud.',
};

/** The sheet of a remake: made harmless, looked at, what the type renews and what draws to it, and then the same order as at placing without what is done once. */
export function remakeOrders(type: SetType, at: AtWork, lures?: readonly Attract[]): Order[] {
  const before: Step[] = [
    HARMLESS[at.device],
    { do: 'Old sticks out; look at the ground before it is trodden.' },
    { do: 'Anchor still firm? Pull at it; cable and swivels whole?' },
    { do: LOOKED_AT[at.device] },
    ...(type.remake ?? []).map((text): Step => ({ do: text })),
    ...(lures ? [{ do: freshLure(lures) }] : []),
  ];
  return ordersOf(type, at).map(({ when, steps }) => ({
    when,
    steps: [...before, ...steps.filter((step) => !step.once), { do: 'Arming check, as at placing.' }],
  }));
}
