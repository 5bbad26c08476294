import type { Species } from '../animals/species';
import { BODY_GRIPS } from '../devices/sizes';
import { inches, POUND } from '../units/factors';
import type { Design } from '../sets/design';
import type { FilledPosition, SetType } from '../sets/setType';
import type { Known } from '../water/levels';
import { topOfCatching } from '../water/part';
import { canHold, HOLDS, STRANGERS, type Stranger } from './holds';

/** Who else could be caught in a set, why, and what would spare it. Everything here is common practice without a published source. */

export const WAYS_IN = ['swims into it', 'walks into it', 'comes for the bait', 'sign noted here', 'the ground is used'] as const;
export type WayIn = (typeof WAYS_IN)[number];

export const SPARES = [
  'trigger to one side',
  'a smaller size',
  'a stop on the loop',
  'a heavier pan',
  'a roof over it',
  'set under water',
  'bait covered',
  'out of sight of the path',
] as const;
export type Spare = (typeof SPARES)[number];

export interface Other {
  who: Stranger;
  because: WayIn[];
  /** what would spare it, and whether this design does it */
  spares: { how: Spare; done: boolean }[];
}

export interface OthersAsked {
  type: Pick<SetType, 'draws' | 'choices' | 'underIce'>;
  species: Species;
  devices: readonly FilledPosition[];
  design: Pick<Design, 'parts' | 'supplies'>;
  choices: Readonly<Record<string, string>>;
  /** what fires its pan, kg; undefined where nobody measured */
  panPull: number | undefined;
  surface: 'pond' | 'tail';
  then: Known;
  /** animals whose sign was noted at the place, and who uses its ground */
  seen: readonly string[];
  users: string;
}

/** Who meets a set in the water, on it and beside it. */
const SWIM: readonly Stranger[] = ['beaver', 'otter', 'mink', 'muskrat'];
const WALK: readonly Stranger[] = ['raccoon', 'mink', 'otter', 'dog'];
/** A walker steps on a pan so far under the water; jaws and loops it meets above it alone. [practice] */
const WADES = inches(4);
const wades = ({ devices }: Pick<OthersAsked, 'devices'>): number => (devices.some((d) => d.class === 'foothold') ? WADES : 0);
/** A pan that takes so much is walked over by them, kg. [practice] */
const PAN_SPARES: Readonly<Partial<Record<Stranger, number>>> = {
  mink: 2 * POUND,
  muskrat: 3 * POUND,
  duck: 3 * POUND,
  raccoon: 5 * POUND,
};
/** Baits by the words they are called with. */
const FLESH = /fish|flesh|meat|crayfish|egg/;
const GREEN = /root|apple|grain|green|vegetable/;

/** Who else could be in it, most exposed first. What lies under ice only swimmers meet. */
export function othersIn(asked: OthersAsked): Other[] {
  return STRANGERS.filter((who) => who !== asked.species && asked.devices.some((d) => canHold(d, who)))
    .map((who) => ({ who, because: waysIn(asked, who), spares: sparing(asked, who) }))
    .filter(({ because }) => because.length > 0)
    .sort((a, b) => b.because.length - a.because.length);
}

function waysIn(asked: OthersAsked, who: Stranger): WayIn[] {
  const { seen, users, type } = asked;
  const dry = showsBy(asked) > -wades(asked) && !type.underIce;
  const bait = baitOf(asked);
  const ways: WayIn[] = [];
  if (SWIM.includes(who) && showsBy(asked) < inches(12)) ways.push('swims into it');
  if (WALK.includes(who) && dry && (who !== 'dog' || users !== '')) ways.push('walks into it');
  if (dry && FLESH.test(bait) && ['raccoon', 'mink', 'otter', 'bird of prey', 'dog'].includes(who)) ways.push('comes for the bait');
  if (dry && GREEN.test(bait) && ['muskrat', 'duck'].includes(who)) ways.push('comes for the bait');
  if (ways.length > 0 && seen.includes(who)) ways.push('sign noted here');
  if (who === 'dog' && dry && /dog/i.test(users)) ways.push('the ground is used');
  return ways;
}

/** By how much its highest catching part stands over the water, m; below 0 under it. */
function showsBy({ design, then, surface }: OthersAsked): number {
  const [water, top] = [then[surface], topOfCatching(design.parts, then)];
  return water === undefined || top === null ? 0 : top - water;
}

/** What lies there as bait, by its words; empty where nothing does. */
function baitOf({ design, type, choices }: OthersAsked): string {
  const chosen = choices.bait ? ((type.choices.bait?.options[choices.bait] ?? choices.bait) as string) : '';
  const laid = design.supplies.filter((s) => s.kind === 'bait').map((s) => s.what);
  return [chosen, ...laid].join(' ').toLowerCase();
}

function sparing(asked: OthersAsked, who: Stranger): Other['spares'] {
  const { devices, choices, design } = asked;
  const has = (kind: FilledPosition['class']): boolean => devices.some((d) => d.class === kind);
  const roofed = design.parts.some((p) => p.kind === 'box' || (p.stock ?? '').includes('roof'));
  const under = showsBy(asked) <= -wades(asked);
  const spares: Other['spares'] = [];
  if (who === 'otter' && has('bodyGrip')) spares.push({ how: 'trigger to one side', done: choices.trigger === 'side' });
  if (['otter', 'raccoon', 'beaver'].includes(who) && has('bodyGrip') && asked.species !== 'beaver')
    spares.push({ how: 'a smaller size', done: devices.every((d) => (BODY_GRIPS[d.size]?.opening ?? 0) < HOLDS[who].grip) });
  if (has('snare') && ['otter', 'mink', 'raccoon'].includes(who))
    spares.push({ how: 'a stop on the loop', done: choices.ends === 'stop' || choices.ends === 'both' });
  if (has('foothold') && ['mink', 'muskrat', 'duck', 'raccoon'].includes(who))
    spares.push({ how: 'a heavier pan', done: (asked.panPull ?? 0) >= (PAN_SPARES[who] ?? Infinity) });
  if (['duck', 'bird of prey'].includes(who)) spares.push({ how: 'a roof over it', done: roofed });
  if (who === 'bird of prey') spares.push({ how: 'bait covered', done: false });
  if (['dog', 'raccoon', 'duck'].includes(who)) spares.push({ how: 'set under water', done: under });
  if (who === 'dog') spares.push({ how: 'out of sight of the path', done: false });
  return spares;
}
