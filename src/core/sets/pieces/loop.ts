import { largestLoop, loopCable, loopOnStick } from '../../devices/cable';
import { wetAreaShare } from '../../devices/wetAreaShare';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import { fixed } from '../../water/linear';
import type { Need } from '../../water/need';
import type { Bearer, Look, Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { widthMark, heightMark, type Piece } from '../design';
import { ranged, type Ends, type WorkRange } from './range';
import { cableFinding, isCut, lockFinding, snareSupplies } from './snareCut';
import { bedOf, levelThen, measured, numberOf, practised, type Laying, type NumberSpec } from '../setType';
import { borne } from './block';

/** Snares: loop, support, cable. */

/** A loop in open water, by the share of its height that is under: half to two thirds; pushed aside under 0.4, swum over from 0.9. */
export const IN_OPEN_WATER = {
  aim: [0.5, 0.65],
  works: [0.4, 0.9],
  perhaps: [0.2, 0.9],
  ends: ['pushedAside', 'swumOver'],
} as const satisfies WorkRange;

/** The numbers of a loop in the water. @param usual diameter, inches; share as a part of 1 */
export const loopNumbers = (
  usual: number,
  share: number,
): Record<'loop' | 'share' | 'lowestUnder' | 'pushIn' | 'tail' | 'loopCable', NumberSpec> => ({
  loop: practised('Loop', 'inside diameter', usual, [4, 16]),
  share: {
    label: 'Loop below water',
    help: 'share of its height, as set',
    unit: 'share',
    default: share,
    min: 0,
    max: 1,
    origin: 'practice',
  },
  lowestUnder: measured('Lowest point below water', 'instead of the share: 0 at the surface', [-20, 40], 1),
  pushIn: practised('Support pushed in', 'into the bed', 10, [0, 40]),
  tail: practised('Tail and extension', 'lock to anchor', 84, [12, 240]),
  loopCable: measured('Loop cable at hand', 'if it is cut already', [12, 120]),
});

export interface LoopPlace {
  numbers: Record<'loop' | 'tail' | 'pushIn', NumberSpec>;
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
export function loopBottom(laying: Laying, numbers: Record<'loop' | 'share', NumberSpec>): number {
  const under = laying.numbers.lowestUnder ?? numberOf(laying, { numbers }, 'share') * numberOf(laying, { numbers }, 'loop');
  return levelThen(laying) - under;
}

/** A loop with its support, its cable and what it needs cut. */
export function loopPiece(laying: Laying, place: LoopPlace): Piece {
  const { numbers, bottom, device = 'snare', x = 0, y = 0, bearer = 'bed', look = {} } = place;
  const loop = numberOf(laying, { numbers }, 'loop');
  const tail = numberOf(laying, { numbers }, 'tail');
  const size = laying.devices[device]?.size ?? '7×7 3/32';
  const part: Part = borne(bearer)('loop', loopId(device), [x, y, bottom], [loop, 0.02, loop], {
    device,
    tiedTo: 'anchor',
    ...(isCut(laying) ? {} : { stock: `snare ${size}` }),
    look: { lock: laying.choices.lock === 'top' ? 'top' : 'side', ...look },
  });
  const supplies = [
    ...snareSupplies(laying, { loop, tail, size }),
    { kind: 'wire' as const, what: '9 gauge support wire', amount: inches(24) },
  ];
  return {
    parts: [part, ...supportOf(laying, place, loop)],
    supplies,
    findings: [cableFinding(laying, { loop, tail, size }), ...cutFinding(laying, loop), ...lockFinding(laying)],
    marks: [
      widthMark('loop', 'Loop', { view: 'eye', z: bottom + loop / 2, from: y - loop / 2, to: y + loop / 2 }),
      ...(bottom < levelThen(laying)
        ? [heightMark(null, 'Lowest point below water', { view: 'side', across: x, from: levelThen(laying), to: bottom })]
        : []),
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
export const shareNeed = (laying: Laying, range: WorkRange, device = 'snare'): Need => ({
  id: device === 'snare' ? 'share' : `${device}-share`,
  device,
  of: { part: loopId(device), share: true },
  from: laying.place.surface,
  ...ranged(range, 1),
  called: 'lowest point of the loop',
  origin: 'practice',
});

/** The top of the loop must show. @param proud inches @param perhaps inches, down to where a head may still meet it */
export const proudNeed = (laying: Laying, proud: number, perhaps = proud, device = 'snare'): Need => ({
  id: `${device}-proud`,
  device,
  of: { part: loopId(device), spot: 'top' },
  from: laying.place.surface,
  ...ranged({ works: [proud, null], perhaps: [perhaps, null], ends: ['topUnder', 'outOfWater'] }),
  called: 'top of the loop',
  origin: 'practice',
});

/** Whether a share lies where it surely works, or where it may. */
export function fitsIn(share: number, { works, perhaps }: Pick<WorkRange, 'works' | 'perhaps'>): 'holds' | 'warns' | 'fails' {
  const within = ([from, to]: Ends): boolean => share >= (from ?? -Infinity) - 1e-9 && share <= (to ?? Infinity) + 1e-9;
  if (within(works)) return 'holds';
  return perhaps && within(perhaps) ? 'warns' : 'fails';
}

/** How much of it is under as set, by height and by area. @param proud how much of its top has to show, m */
export function shareFinding(
  laying: Laying,
  [bottom, loop, proud = 0]: readonly [bottom: number, loop: number, proud?: number],
  { aim, works: [least, end], perhaps }: WorkRange & { aim: readonly [number, number] },
): Finding {
  const under = levelThen(laying) - bottom;
  const share = under / loop;
  const most = end === null ? null : Math.min(end, 1 - proud / loop);
  const values = {
    share: Math.min(Math.max(share, 0), 1),
    area: wetAreaShare(loop, under),
    min: aim[0],
    max: aim[1],
    lower: share < (least ?? -Infinity) - 1e-9 ? aim[0] * loop - under : 0,
    raise: share > (most ?? Infinity) + 1e-9 ? under - aim[1] * loop : 0,
  };
  return found('share', fitsIn(share, { works: [least, most], ...(perhaps && { perhaps }) }), 'practice', values, { field: 'share' });
}

function cutFinding(laying: Laying, loop: number): Finding[] {
  const { loopCable: cable } = laying.numbers;
  if (cable === undefined) return [];
  const most = largestLoop(cable);
  const short = loop > most + 1e-6;
  const values = { cable, most, short, more: loopCable(loop) - cable };
  return [found('largestLoop', short ? 'fails' : 'holds', 'computed', values, { field: 'loopCable' })];
}

/** A loop that would stand in the bed, or is larger than the water is deep where it must be wet. */
export function loopFits(laying: Laying, bottom: number, loop: number, needsWet: number): Finding[] {
  const bed = bedOf(laying);
  if (bed === null || bottom >= bed - 0.005) return [];
  const depth = levelThen(laying) - bed;
  const values = { by: bed - bottom, wet: needsWet * loop, loop, depth, largest: Math.max(depth / Math.max(needsWet, 0.01), 0) };
  return [found('loopInBed', 'fails', 'computed', values, { field: 'loop' })];
}

/** Roots, side arms and holes that a body-grip would need are not asked of a loop: it may be hung lower or higher. */
export const hangable = (laying: Laying, device = 'snare'): Piece => ({
  free: [{ device, say: { down: 'Lower the loop', up: 'Raise the loop' }, floor: bedOf(laying) }],
});
