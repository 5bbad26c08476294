import { isTiedTwice } from './secondTie';
import { CLASS_WORDS, needsSetter, type DeviceClass } from '../devices/sizes';
import type { Step } from './work';
import type { FilledPosition, SetType } from './setType';

/** A question that must be answered before a set is live, at placing and at every remake. */
export interface Ask {
  id: string;
  text: string;
}

const BY_CLASS = {
  bodyGrip: [
    ['hooksOff', 'Both safety hooks off?'],
    ['dogFree', 'Dog hangs free, not against wall or mud?'],
    ['rightWayUp', 'Stand the right way up?'],
    ['swingClear', 'Nothing in the swing of the jaws, felt with a stick?'],
  ],
  foothold: [
    ['doesNotRock', 'Bedded so that it does not rock?'],
    ['panTension', 'Pan tension known?'],
    ['looseJaw', 'Loose jaw to the middle of the approach?'],
  ],
  enclosed: [
    ['turns', 'Trap turns on its stake?'],
    ['triggerSet', 'Trigger set, bait under it?'],
  ],
  snare: [
    ['loaded', 'Loaded: the loop stays round?'],
    ['nudged', 'Nudged: only the loop moved, and it snapped shut?'],
  ],
} as const;

const SLIDE = [
  ['lockRunsOut', 'Lock runs out freely?'],
  ['lockRefuses', 'Lock refuses to come back?'],
  ['lockAtBank', 'Lock is at the bank end?'],
] as const;

/** What is asked of a body-grip's trigger, by how it fires. */
const TRIGGER = {
  pan: ['panFree', 'Pan free, nothing under it?'],
  bent: ['wiresBent', 'Trigger wires bent as meant, and free to move?'],
  inside: ['wiresInside', 'Trigger wires inside the jaws?'],
} as const;
const BENT = ['spread', 'bottom', 'low'];

function firesBy({ fires }: Pick<SetType, 'fires'>, { trigger }: Partial<Record<string, string>>): keyof typeof TRIGGER {
  if (trigger === undefined) return fires ?? 'inside';
  return trigger === 'pan' ? 'pan' : BENT.includes(trigger) ? 'bent' : 'inside';
}

/** The arming check of one position. Ids are `position:question`. */
export function armingOf(
  type: Pick<SetType, 'fires'>,
  position: string,
  device: FilledPosition,
  choices: Partial<Record<string, string>>,
): Ask[] {
  const own: (readonly [string, string])[] = [...BY_CLASS[device.class]];
  if (device.class === 'bodyGrip') own.splice(1, 0, TRIGGER[firesBy(type, choices)]);
  if (choices.stand === 'sticks')
    own.splice(
      own.findIndex(([id]) => id === 'rightWayUp'),
      1,
    );
  if (device.class === 'foothold' && choices.hold === 'slide') own.push(...SLIDE);
  if (isTiedTwice(choices)) own.push(['secondTie', 'Second tie made fast, to another anchor?']);
  return own.map(([id, text]) => ({ id: `${position}:${id}`, text }));
}

/** The arming check of a whole set, by position, and the caution that stands above it. */
export function armingCheck(type: SetType, devices: Record<string, FilledPosition>, choices: Record<string, string>) {
  return type.positions.flatMap(({ id, label }) => {
    const device = devices[id];
    if (!device) return [];
    const word = CLASS_WORDS[device.class];
    const named = label.toLowerCase() === word ? label : `${label}, ${word}`;
    return [{ position: id, label: named, caution: cautionOf(device), asks: armingOf(type, id, device, choices) }];
  });
}

function cautionOf({ class: kind, size }: FilledPosition): string {
  if (kind === 'snare') return 'From here only the support is touched; the loop closes on a finger too.';
  if (kind === 'enclosed') return 'Fingers out of the tube from here.';
  const setter = kind === 'bodyGrip' && needsSetter(size) ? ' A setter and a rope within reach: this size breaks hands.' : '';
  return `Keep hands outside the jaws from here.${setter}`;
}

/** What the step of last reach means for a device, said beside that step. */
const LAST_REACH: Record<DeviceClass, string> = {
  bodyGrip: 'Last moment at which the safety hooks can be reached.',
  foothold: 'The last touch of dog and pan.',
  snare: 'The last touch of the loop: from here only the support.',
  enclosed: 'From here no finger goes into the tube.',
};

/** The ids that are still unanswered; a set with any is not live. */
export function unanswered(
  type: SetType,
  devices: Record<string, FilledPosition>,
  choices: Record<string, string>,
  answered: string[],
): Ask[] {
  return armingCheck(type, devices, choices).flatMap(({ asks }) => asks.filter((ask) => !answered.includes(ask.id)));
}

/** The sentence for a set that cannot go live yet. */
export const notArmedSentence = (open: Ask[]): string =>
  `Not live yet: ${open.length === 1 ? 'one question of the arming check is' : `${open.length} questions of the arming check are`} open. ${open.map((ask) => ask.text).join(' ')}`;

/** What every step after the last reach keeps hands away from. */
const KEEP_CLEAR: Record<DeviceClass, string> = {
  bodyGrip: 'Hands stay outside the jaws: springs, frame, tool.',
  foothold: 'Hands stay outside the jaws and off the pan.',
  snare: 'Hands stay out of the loop.',
  enclosed: 'Fingers stay out of the tube.',
};

export interface StepSaid {
  do: string;
  caution: string;
  /** said at the step of last reach, empty at all others */
  lastReach: string;
  /** what a later step keeps hands away from, empty before */
  clear: string;
}

/** Steps as they are shown: the last moment of reach is said at its step, and every later one says what hands keep away from. */
export function stepsSaid(kind: DeviceClass, steps: readonly Step[]): StepSaid[] {
  const last = steps.findIndex((step) => step.lastReach);
  return steps.map(({ do: what, caution = '' }, i) => ({
    do: what,
    caution,
    lastReach: i === last ? LAST_REACH[kind] : '',
    clear: last >= 0 && i > last && !caution ? KEEP_CLEAR[kind] : '',
  }));
}
