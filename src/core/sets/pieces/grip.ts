import { BODY_GRIPS } from '../../devices/sizes';
import { inches } from '../../units/factors';
import { printLength } from '../../units/length';
import type { Need } from '../../water/need';
import type { Bearer, Look, Part } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import { heightMark, type Piece } from '../design';
import type { NumberKey } from '../keys';
import { bedOf, levelThen, measured, practised, type Laying, type NumberSpec, type ChoiceSpec, trapIn } from '../setType';
import { pair } from './guides';
import { ranged, type WorkRange } from './range';
import { borne } from './block';
import type { Linear } from '../../water/linear';

/** Body-grips: how high they stand, what carries them, what they need of the water. */

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

export const topUnder = (
  usual: number,
  [min, max]: [number, number],
  help = 'of the jaws, as seen; negative when it stands above water',
): NumberSpec => practised('Top below water', help, usual, [min, max], 1);

export const depthHere = (label = 'Depth here', help = 'water over the firm bottom'): NumberSpec => measured(label, help, [0, 120], 1);

export const frameOverBed = (usual = 1, max = 14): NumberSpec =>
  practised('Frame over the bed', 'height of what carries it', usual, [0, max]);

export type Holder = 'stand' | 'uprights' | 'eyes' | 'rods' | 'stakes' | 'clip' | 'bar' | 'none';

export interface GripPlace {
  size: string;
  /** elevation of the bottom of the jaws, m */
  bottom: number;
  floor: number;
  holder: Holder;
  device?: string;
  bearer?: Bearer;
  x?: number;
  y?: number;
  look?: Look;
  tiedTo?: string;
  /** width there is for frame and springs, m: where it is too narrow the springs stand up */
  room?: number;
}

/** A trap with what carries it. */
export function grip(laying: Laying, place: GripPlace): Piece {
  const { size, bottom, device = 'trap', bearer = 'bed', x = 0, y = 0, look = {}, tiedTo = 'anchor', room } = place;
  const up = room !== undefined && room < springsWide(size);
  const frame = openingOf(size);
  const jaws: Part = borne(bearer)('jaws', jawsId(device), [x, y, bottom], [frame, 0.02, frame], {
    device,
    tiedTo,
    stock: `body-grip ${size}`,
    look: { size, springs: 'side', trigger: 'v', dog: 'top', ...(up ? { springs: 'up' as const } : {}), ...look },
  });
  return {
    parts: [jaws, ...carrier(laying, place, frame)],
    findings: room === undefined ? [] : [springsFinding(laying, size, bottom, room)],
  };
}

/** What frame and springs take side by side, m: the arms bend back a little as they are set. [practice] */
export const springsWide = (size: string): number => openingOf(size) + 1.6 * (BODY_GRIPS[size]?.arm ?? inches(9));

/** Spring direction is geometry: it changes height, width and what shows. */
export function springsFinding(laying: Laying, size: string, bottom: number, room: number): Finding {
  const wide = springsWide(size);
  const top = bottom + openingOf(size) / 2 + (BODY_GRIPS[size]?.arm ?? inches(9)) + inches(0.8);
  return found('springs', 'holds', 'practice', { wide, room, shows: top - levelThen(laying) });
}

export const jawsId = (device: string): string => (device === 'trap' ? 'jaws' : `${device}-jaws`);

function carrier(
  { system }: Laying,
  { size, bottom, floor, holder, device = 'trap', x = 0, y = 0, bearer = 'bed' }: GripPlace,
  frame: number,
): Part[] {
  const id = (name: string): string => (device === 'trap' ? name : `${device}-${name}`);
  const arm = BODY_GRIPS[size]?.arm ?? inches(9);
  const two = (name: string, off: number, foot: number, top: number, thick = inches(0.9)): Part[] =>
    pair(id(name), off, { x, y, foot, top, thick, bearer, name: 'upright' }, system);
  if (holder === 'stand')
    return [
      borne(bearer)('stand', id('stand'), [x, y, Math.min(floor, bottom - 0.02)], [Math.max(bottom - floor, 0.02), inches(10), frame], {
        stock: 'stand',
      }),
    ];
  // through the springs, whose middle lies half an arm outside the frame
  if (holder === 'uprights') return two('upright', frame / 2 + arm * 0.45, floor - inches(10), bottom + frame * 0.8);
  if (holder === 'rods') return two('rod', frame / 2 + inches(0.6), floor - inches(10), bottom + frame + inches(3), inches(0.5));
  if (holder === 'stakes') return two('stake', frame / 2 - inches(0.4), floor - inches(10), bottom + frame * 0.95);
  if (holder === 'eyes')
    return [
      borne(bearer)('log', id('eyes'), [x, y, bottom + frame * 0.9], [inches(1.2), inches(1.2), frame + 2 * arm + inches(10)], {
        stock: `stick through the spring eyes ${printLength(frame + 2 * arm + inches(10), system)}`,
      }),
      ...two('fork', frame / 2 + arm + inches(2), floor - inches(10), bottom + frame * 0.9, inches(1.2)),
    ];
  if (holder === 'clip')
    return [
      borne(bearer)('bar', id('clip'), [x, y, bottom - inches(1.5)], [inches(1.5), inches(2), inches(4)], { stock: 'spiked log clip' }),
    ];
  if (holder === 'bar')
    return [
      borne(bearer)('bar', id('bar'), [x, y + frame * 0.5 + inches(2), bottom + frame], [inches(0.5), inches(6), inches(24)], {
        stock: 'bar ½ × 24 in, 6 in cross piece',
      }),
    ];
  return [];
}

/** Where the bottom of the jaws is: as seen at the surface, else on its carrier over the bed, else as it is usually seen. */
export function jawsBottom(laying: Laying, size: string, usualUnder: number, overBed: number | null = null): number {
  const { topUnder: seen } = laying.numbers;
  const frame = openingOf(size);
  if (seen !== undefined) return levelThen(laying) - seen - frame;
  const bed = bedOf(laying);
  return bed !== null && overBed !== null ? bed + overBed : levelThen(laying) - usualUnder - frame;
}

/** A body-grip where it stands: its surface, the foot of its jaws and the bed as elevations; m. */
export interface Stood {
  size: string;
  surface: number;
  frame: number;
  bottom: number;
  floor: number;
}

/** @param under how far its top is usually under water @param over how high it is carried @param below how far the bed lies under it where nobody measured; m */
export function stood(
  laying: Laying,
  { under, over = null, below = over ?? 0 }: { under: number; over?: number | null; below?: number },
): Stood {
  const { size } = trapIn(laying);
  const bottom = jawsBottom(laying, size, under, over);
  return { size, surface: levelThen(laying), frame: openingOf(size), bottom, floor: bedOf(laying) ?? bottom - below };
}

export interface Cover extends WorkRange {
  device?: string;
  called?: string;
  spot?: 'top' | 'bottom';
}

/** What the top of the jaws, or the foot of the frame, needs of the surface. */
export const coverNeed = (
  laying: Laying,
  { device = 'trap', spot = 'top', called = spot === 'top' ? 'top of the jaws' : 'foot of the frame', ...range }: Cover,
): Need => ({
  id: device === 'trap' ? 'cover' : `${device}-cover`,
  device,
  of: { part: jawsId(device), spot },
  from: laying.place.surface,
  ...ranged(range),
  called,
  origin: 'practice',
});

/** The height of a trap under the surface as both drawings show it. */
export function gripMarks(laying: Laying, size: string, bottom: number, key: NumberKey | null = 'topUnder', x = 0): Piece {
  const surface = levelThen(laying);
  const top = bottom + openingOf(size);
  return {
    marks: [
      heightMark(key, 'Top below water', { view: 'side', across: x, from: surface, to: top }),
      heightMark(key, 'Top below water', { view: 'eye', across: 0, from: surface, to: top }),
    ],
  };
}

/** The depth as both drawings show it. @param across where on each drawing, m */
export function depthMarks(laying: Laying, floor: number, side: number, eye: number): Piece {
  const surface = levelThen(laying);
  const key = 'depth';
  return surface - floor < 0.02
    ? {}
    : {
        marks: [
          heightMark(key, 'Depth', { view: 'side', across: side, from: surface, to: floor }),
          heightMark(key, 'Depth', { view: 'eye', across: eye, from: surface, to: floor }),
        ],
      };
}

/** The trap may be set lower or higher. */
export const movable = (laying: Laying, device = 'trap'): Piece => ({
  free: [{ device, say: { down: 'Lower it', up: 'Raise it' }, floor: bedOf(laying) }],
});

/** A trap taller than the water it must be in. */
export function tooTall(laying: Laying, size: string): Piece {
  const { depth, topUnder: seen } = laying.numbers;
  const frame = openingOf(size);
  if (depth === undefined || seen === undefined || seen + frame <= depth + inches(1)) return {};
  return { findings: [found('tooTall', 'fails', 'computed', { under: seen, frame, depth }, { field: 'topUnder' })] };
}
