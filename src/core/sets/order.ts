import { openingOf } from './pieces/grip';
import { inches } from '../units/factors';
import { levelThen, type Laying, type SetType } from './setType';
import type { Design } from './design';
import type { AtWork, Order, Step } from './work';

/** How deep a hook is reached with the trap standing. [practice] */
const HOOK_REACH = inches(12);

/** The deepest top of the jaws at which both hooks are reached with the trap standing, m: springs sideways put them half a frame lower. [practice] */
export const hooksReached = (size: string, springsUp: boolean): number => (springsUp ? HOOK_REACH : HOOK_REACH - openingOf(size) / 2);

/** What a design tells of its own making. @param measured whether its height was read or its bed measured, not taken from practice */
export function atWork(
  laying: Pick<Laying, 'choices' | 'devices' | 'then' | 'place'>,
  design: Pick<Design, 'parts'>,
  measured: boolean,
): AtWork {
  const device = Object.values(laying.devices)[0];
  const jaws = design.parts.find((p) => p.kind === 'jaws');
  const top = jaws && jaws.z.k + jaws.height;
  return {
    device: device?.class ?? 'bodyGrip',
    size: device?.size ?? '330',
    choices: laying.choices,
    under: measured && top !== undefined ? levelThen(laying as Laying) - top : null,
    springsUp: jaws?.look?.springs === 'up',
    fenced: design.parts.some((p) => p.kind === 'stick' && p.id.includes('fence')),
  };
}

/** What is known of a type before it stands anywhere: its usual device and choices, no depth. */
export const atWorkUsually = (type: SetType): AtWork => ({
  device: type.usual.class,
  size: type.usual.size,
  choices: Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [key, choice.default])),
  under: null,
  springsUp: false,
  fenced: true,
});

/** The two ways with hooks, by the depth: last with the trap standing, first in the hand; both where the depth is not known. */
export function byDepth({ under, size, springsUp }: AtWork, last: Step[], first: Step[]): Order[] {
  if (under === null)
    return [
      { when: 'Where the hooks can be reached with the trap standing (at most 12 in under)', steps: last },
      { when: 'Deeper, or where roof, wall or wood hides a hook', steps: first },
    ];
  return [{ when: '', steps: under <= hooksReached(size, springsUp) ? last : first }];
}

export const always = (...steps: Step[]): Order[] => [{ when: '', steps }];
