import { BODY_GRIPS } from '../devices/sizes';
import { inches } from '../units/factors';
import type { Linear } from '../water/linear';
import type { Part } from '../water/part';
import type { ChoiceSpec } from './setType';

/** What the types with a body-grip have in common. */

/** Which notch the dog sits in, by name and never by number: people count from opposite ends. */
export const notchChoice = (usual: 'firm' | 'middle'): ChoiceSpec => ({
  label: 'Notch',
  options: { firm: 'firm', middle: 'middle', light: 'light' },
  default: usual,
});

/** Where its wires hang: to one side they let a stray otter pass that a beaver, who fills the way, does not. [practice] */
export const GRIP_TRIGGER: ChoiceSpec = {
  label: 'Trigger',
  options: { straightV: 'straight V, inside the jaws', side: 'to one side, inside the jaws', spread: 'spread' },
  default: 'straightV',
};

/** Where the dog hangs, at types with a wall or mud beside them: held against something it does not let go. [practice] */
export const DOG: ChoiceSpec = {
  label: 'Dog',
  options: { free: 'hangs free', wall: 'against the wall', down: 'down, in mud' },
  default: 'free',
  seldom: true,
};

/** What the lower jaw lies on, at types that stand at the edge of the water: on mud it sinks, in frost it freezes in. [practice] */
export const jawOn = (usual: 'ground' | 'sticks' | 'stone'): ChoiceSpec => ({
  label: 'Lower jaw on',
  options: { ground: 'the ground', sticks: 'two small sticks', stone: 'a flat stone' },
  default: usual,
  seldom: true,
});

/** Opening of a size, m; that of a 330 where the size is not known. */
export const openingOf = (size: string | undefined): number => BODY_GRIPS[size ?? '330']?.opening ?? inches(10);

/** The jaws of a trap, their bottom at an elevation. */
export const jawsPart = (own: Pick<Part, 'id' | 'device' | 'bearer' | 'x' | 'tiedTo'> & { z: Linear; size: string }): Part => {
  const { size, ...rest } = own;
  const frame = openingOf(size);
  return { kind: 'jaws', y: 0, height: frame, wide: 0.02, across: frame, stock: `body-grip ${size}`, look: { size }, ...rest };
};
