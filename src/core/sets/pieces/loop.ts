import { BREAKS_AT, FITTINGS, largestLoop, loopCable, loopOnStick } from '../../devices/cable';
import { wetAreaShare } from '../../devices/wetAreaShare';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { printForce } from '../../units/weight';
import type { Finding } from '../../water/finding';
import { fixed } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Bearer, Look, Part } from '../../water/part';
import { level as across, upright as mark, type Piece } from '../design';
import { bedOf, levelThen, measured, numberOf, practised, type Laying, type NumberSpec } from '../setType';

/** Snares: loop, support, cable. */

export interface Share {
  min: number;
  max: number;
  target: number;
}

/** The numbers of a loop in the water. @param usual diameter, inches; share as a part of 1 */
export const loopNumbers = (
  usual: number,
  share: number,
): Record<'loop' | 'share' | 'lowestUnder' | 'pushIn' | 'tail' | 'loopCable', NumberSpec> => ({
  loop: practised('Loop', 'inside diameter', usual, [4, 16]),
  share: {
    label: 'Loop under water',
    help: 'share of its height, as set',
    unit: 'share',
    default: share,
    min: 0,
    max: 1,
    origin: 'practice',
  },
  lowestUnder: measured('Lowest point under', 'instead of the share, as seen: 0 is at the surface', [-20, 40], 1),
  pushIn: practised('Support pushed in', 'into the bed', 10, [0, 40]),
  tail: practised('Tail and extension', 'lock to anchor', 84, [12, 240]),
  loopCable: measured('Loop cable at hand', 'if it is cut already', [12, 120]),
});

export interface LoopPlace {
  numbers: Record<string, NumberSpec>;
  /** elevation of its lowest point, m */
  bottom: number;
  floor: number;
  device?: string;
  x?: number;
  y?: number;
  bearer?: Bearer;
  /** what holds it round: a rod beside it, a post that also drives the anchor, a wire from a root or bar */
  support: 'rod' | 'post' | 'wire' | 'tbar';
  look?: Look;
}

/** Elevation of a loop's lowest point: as seen, else by its share. */
export function loopBottom(laying: Laying, numbers: Record<string, NumberSpec>): number {
  const under = laying.numbers.lowestUnder ?? numberOf(laying, { numbers }, 'share') * numberOf(laying, { numbers }, 'loop');
  return levelThen(laying) - under;
}

/** A loop with its support, its cable and what it needs cut. */
export function loopPiece(laying: Laying, place: LoopPlace): Piece {
  const { numbers, bottom, device = 'snare', x = 0, y = 0, bearer = 'bed', look = {} } = place;
  const loop = numberOf(laying, { numbers }, 'loop');
  const tail = numberOf(laying, { numbers }, 'tail');
  const size = laying.devices[device]?.size ?? '7×7 3/32';
  const part: Part = {
    id: loopId(device),
    kind: 'loop',
    device,
    bearer,
    x,
    y,
    z: fixed(bottom),
    height: loop,
    wide: 0.02,
    across: loop,
    tiedTo: 'anchor',
    stock: `snare ${size}`,
    look: { lock: laying.choices.lock === 'top' ? 'top' : 'side', ...look },
  };
  const supplies = [
    { kind: 'cable' as const, what: `${size} cable`, amount: loopCable(loop) + tail },
    { kind: 'wire' as const, what: '9 gauge support wire', amount: inches(24) },
  ];
  return {
    parts: [part, ...supportOf(laying, place, loop)],
    supplies,
    findings: [cableFinding(laying, loop, tail, size), ...cutFinding(laying, loop)],
    marks: [
      across('loop', 'Loop', 'eye', bottom + loop / 2, y - loop / 2, y + loop / 2),
      ...(bottom < levelThen(laying) ? [mark(null, 'Lowest point under', 'side', x, levelThen(laying), bottom)] : []),
    ],
  };
}

export const loopId = (device: string): string => (device === 'snare' ? 'loop' : `${device}-loop`);

function supportOf(
  laying: Laying,
  { numbers, bottom, floor, x = 0, y = 0, bearer = 'bed', support, device = 'snare' }: LoopPlace,
  loop: number,
): Part[] {
  const id = device === 'snare' ? 'support' : `${device}-support`;
  const print = (m: number) => printLength(m, laying.system);
  const pushIn = numberOf(laying, { numbers }, 'pushIn');
  const side = y + loop / 2 + inches(1.2);
  const base = { id, bearer, wide: inches(0.5), across: inches(0.5), y: side, x: x + 0.03 };
  if (support === 'wire')
    return [
      {
        ...base,
        kind: 'support',
        z: fixed(bottom + loop * 0.4),
        height: loop * 0.6 + inches(5),
        wide: inches(0.3),
        across: inches(0.3),
        stock: 'support wire 24 in',
      },
    ];
  const length = bottom + loop + inches(4) - floor + pushIn;
  const { low, high } = loopOnStick(pushIn, bottom - floor, loop, 0);
  const marks = [
    { at: pushIn, what: 'bed' },
    ...(levelThen(laying) > floor ? [{ at: pushIn + levelThen(laying) - floor, what: 'water line' }] : []),
    { at: low, what: 'lowest point of the loop' },
    { at: high, what: 'top of the loop' },
  ];
  if (support === 'tbar') {
    const tall = Math.max(length, inches(40));
    return [{ ...base, kind: 'support', z: fixed(floor - (tall - (length - pushIn))), height: tall, stock: `T bar ${print(tall)}`, marks }];
  }
  const thick = support === 'post' ? inches(1.5) : inches(0.5);
  const serves = support === 'post' ? { serves: 'anchor driver' } : {};
  return [
    {
      ...base,
      kind: 'support',
      z: fixed(floor - pushIn),
      height: length,
      wide: thick,
      across: thick,
      stock: `${support === 'post' ? 'post' : 'support rod'} ${print(length)}`,
      marks,
      ...serves,
    },
  ];
}

/** What the loop needs of the surface, by the share of its diameter that is under. */
export const shareNeed = (laying: Laying, { min, max, target }: Share, device = 'snare'): Need => ({
  id: device === 'snare' ? 'share' : `${device}-share`,
  device,
  of: { part: loopId(device), share: true },
  from: laying.place.surface,
  min,
  max,
  target,
  broken: { min: 'outOfWater', max: 'tooDeep' },
  called: 'lowest point of the loop',
  origin: 'practice',
});

/** The top of the loop must show. @param proud inches */
export const proudNeed = (laying: Laying, proud: number, device = 'snare'): Need => ({
  id: `${device}-proud`,
  device,
  of: { part: loopId(device), spot: 'top' },
  from: laying.place.surface,
  min: inches(proud),
  broken: { min: 'tooDeep' },
  called: 'top of the loop',
  origin: 'practice',
});

/** How much of it is under as set, by height and by area. */
export function shareFinding(laying: Laying, bottom: number, loop: number, { min, max }: Share): Finding {
  const under = levelThen(laying) - bottom;
  const share = Math.min(Math.max(under / loop, 0), 1);
  const percent = (n: number): string => `${Math.round(n * 100)} %`;
  const fits = under / loop >= min - 1e-9 && under / loop <= max + 1e-9;
  return {
    id: 'share',
    field: 'share',
    verdict: fits ? 'holds' : 'fails',
    about: 'Loop under water',
    figure: percent(share),
    origin: 'practice',
    sentence: `As set, ${percent(share)} of its height is under, ${percent(wetAreaShare(loop, under))} of its area. Wanted are ${Math.round(min * 100)} to ${percent(max)} of the height.${fits ? '' : ` ${under / loop < min ? 'Lower' : 'Raise'} it ${printLength(Math.abs(under - (under / loop < min ? min : max) * loop), laying.system)}.`}`,
  };
}

function cableFinding(laying: Laying, loop: number, tail: number, size: string): Finding {
  const breaks = BREAKS_AT[size];
  const print = (m: number) => printLength(m, laying.system);
  return {
    id: 'cable',
    verdict: 'holds',
    about: 'Cable to cut',
    figure: print(loopCable(loop) + tail),
    origin: 'computed',
    sentence: `${print(loopCable(loop))} for the loop with lock, swivel and ferrules (${print(FITTINGS)}, practice), ${print(tail)} of tail and extension.${breaks ? ` A ${size} breaks at ${printForce(breaks, laying.system)} (minimum, from memory).` : ''}`,
  };
}

function cutFinding(laying: Laying, loop: number): Finding[] {
  const { loopCable: cut } = laying.numbers;
  if (cut === undefined) return [];
  const print = (m: number) => printLength(m, laying.system);
  const most = largestLoop(cut);
  const short = loop > most + 1e-6;
  return [
    {
      id: 'largestLoop',
      field: 'loopCable',
      verdict: short ? 'fails' : 'holds',
      about: 'Largest loop of this cable',
      figure: print(most),
      origin: 'computed',
      sentence: short
        ? `${print(cut)} of loop cable give at most a ${print(most)} loop: a smaller loop, or ${print(loopCable(loop) - cut)} more cable.`
        : `${print(cut)} of loop cable would give up to ${print(most)}.`,
    },
  ];
}

/** A loop that would stand in the bed, or is larger than the water is deep where it must be wet. */
export function loopFits(laying: Laying, bottom: number, loop: number, needsWet: number): Finding[] {
  const bed = bedOf(laying);
  if (bed === null || bottom >= bed - 0.005) return [];
  const print = (m: number) => printLength(m, laying.system);
  const depth = levelThen(laying) - bed;
  return [
    {
      id: 'loopInBed',
      field: 'loop',
      verdict: 'fails',
      about: 'Loop and bed',
      figure: print(bed - bottom),
      origin: 'computed',
      sentence: `${print(needsWet * loop)} of a ${print(loop)} loop must be under and the water is ${print(depth)} deep: it would reach ${print(bed - bottom)} into the bed. At most a ${print(Math.max(depth / Math.max(needsWet, 0.01), 0))} loop works here.`,
    },
  ];
}

/** Roots, side arms and holes that a body-grip would need are not asked of a loop: it may be hung lower or higher. */
export const hangable = (laying: Laying, device = 'snare'): Piece => ({
  free: [{ device, say: { down: 'Lower the loop', up: 'Raise the loop' }, floor: bedOf(laying) }],
});
