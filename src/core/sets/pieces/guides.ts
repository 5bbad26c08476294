import { BUILDS, BUILDS_OF, type BuildKey, type Species } from '../../animals/species';
import { jawSwing } from '../../devices/jawSwing';
import { cornersBuried, gapBeside, groundAt, shareThrough, type Frame, type Section } from '../../geometry/opening';
import { fence } from '../../geometry/fence';
import { inches, type System } from '../../units/factors';
import { printLength } from '../../units/length';
import { follows, type Linear } from '../../water/linear';
import type { Bearer, Part, PartKind } from '../../water/part';
import { found, type Finding } from '../../words/finding';
import type { Piece } from '../design';
import type { ChoiceSpec, Laying } from '../setType';
import type { AtWork } from '../work';
import { draws } from './range';
import { borne } from './block';

/** Sticks, poles and stones that lead an animal, and what they leave open. */

export const STICK = inches(1.25);

interface Wood {
  id: string;
  x?: number;
  y?: number;
  /** from and to, m of elevation */
  foot: number;
  top: number;
  thick?: number;
  bearer?: Bearer;
  kind?: PartKind;
  leans?: number;
  leansAcross?: number;
  name?: string;
}

/** A stick that stands. */
export function upright(own: Wood, system: System): Part {
  const { id, x = 0, y = 0, foot, top, thick = STICK, bearer = 'bed', kind = 'stick', leans, leansAcross, name = 'stick' } = own;
  const look = { ...(leans === undefined ? {} : { leans }), ...(leansAcross === undefined ? {} : { leansAcross }) };
  const length = Math.hypot(top - foot, leans ?? 0, leansAcross ?? 0);
  return borne(bearer)(kind, id, [x, y, foot], [top - foot, thick, thick], {
    stock: `${name} ${printLength(length, system)}`,
    ...(Object.keys(look).length > 0 ? { look } : {}),
  });
}

export const HANDS = [-1, 1] as const;

/** The same stick at each hand, so far off the middle, m. */
export const pair = (id: string, off: number, own: Omit<Wood, 'id'>, system: System): Part[] =>
  HANDS.map((hand) => upright({ ...own, id: `${id}${hand < 0 ? 'L' : 'R'}`, y: (own.y ?? 0) + hand * off }, system));

/** A pole that lies across the travel. */
export function crossPole(
  own: { id: string; x?: number; y?: number; z: Linear; length: number; thick?: number; bearer?: Bearer; name: string; tiedTo?: string },
  system: System,
): Part {
  const { id, x = 0, y = 0, z, length, thick = inches(3), bearer = 'bed', name, tiedTo } = own;
  const tied = tiedTo === undefined ? {} : { tiedTo };
  return borne(bearer)('log', id, [x, y, z], [thick, thick, length], { stock: `${name} ${printLength(length, system)}`, ...tied });
}

/** What leads the foot to a pan where nothing draws to it. */
export const GUIDE: ChoiceSpec = {
  label: 'Guides',
  options: { stick: 'thin sticks', stone: 'stones', none: 'none' },
  default: 'stick',
  seldom: true,
};

/** A stone in the place of a guide stick, m. [practice] */
const GUIDE_STONE = inches(4);

/** Guide sticks as they were chosen: stones lie where they would stand. @param floor elevation of the bed, m */
export function guided({ choices }: Pick<Laying, 'choices'>, floor: number, sticks: Part[]): Part[] {
  if (choices.guide === 'none') return [];
  if (choices.guide !== 'stone') return sticks;
  return sticks.map(({ id, x, y, bearer }) =>
    borne(bearer)('stone', id, [x, y, floor], [GUIDE_STONE, GUIDE_STONE, GUIDE_STONE], { stock: 'guide stone' }),
  );
}

/** What is done for the guides that were chosen, as a clause of a step. @param sticks as they stand */
export const guideStep = ({ choices }: Pick<AtWork, 'choices'>, sticks: string): string =>
  choices.guide === 'none' ? '' : `; ${choices.guide === 'stone' ? 'guide stones that do not roll on the bed' : sticks}`;

/** Thickness of the pole that floats over a trap, m. [practice] */
export const DIVE_POLE = inches(3);

/** A pole floating over the trap, tied: it makes the animal dive. @param ahead before the trap, m */
export const divePole = (surface: 'pond' | 'tail', ahead: number, length: number, system: System): Part =>
  crossPole(
    {
      id: 'dive',
      x: -ahead,
      z: follows(surface, -draws(DIVE_POLE)),
      length,
      thick: DIVE_POLE,
      bearer: 'float',
      name: 'dive pole, tied,',
      tiedTo: 'bank',
    },
    system,
  );

/** Which sides of the trap are fenced: where a wall or bank closes one, sticks stand at the other alone. */
export const FENCE: ChoiceSpec = {
  label: 'Fence',
  options: { both: 'both sides', left: 'left side only', right: 'right side only' },
  default: 'both',
  ofPlace: true,
  seldom: true,
};
const CLOSED = { both: HANDS, left: [-1], right: [1] } as Record<string, readonly (-1 | 1)[]> & { both: readonly (-1 | 1)[] };

export interface Fenced {
  section: Section;
  level: number;
  frame: Frame;
  species: Species;
  /** along the bed, or at the surface, where the water over the trap counts too */
  route: 'bed' | 'surface';
  /** x of the sticks before (negative) or behind the trap's plane, m */
  along?: number;
  /** at most so many sticks a side; fewer where fences are feared */
  most?: number;
  foot?: number;
  top?: number;
}

/**
 * The sticks that close both sides of a frame against the smallest animal of its species, and what they and the frame leave open.
 * Their thickness and the gaps that are used are practice.
 */
export function fenced(own: Fenced, { choices, system }: Pick<Laying, 'choices' | 'system'>): Piece {
  const { section, level, frame, species, along = 0, most = 6 } = own;
  const small = BUILDS_OF[species].at(-1) ?? 'muskrat';
  const large = BUILDS_OF[species][0] ?? small;
  const allowed = BUILDS[small].smallestGap;
  const bed = frame.z;
  const open = gapBeside(section, frame, [], routeOf(own, small));
  const sticks = (CLOSED[choices.fence ?? ''] ?? CLOSED.both).flatMap((hand) => {
    const gap = hand < 0 ? open.left : open.right;
    const count = Math.min(most, fence(gap, allowed, STICK).sticks);
    const clear = (gap - count * STICK) / (count + 1);
    return Array.from({ length: count }, (_, i): Part => {
      const y = frame.y + hand * (frame.across / 2 + (i + 1) * clear + (i + 0.5) * STICK);
      return upright(
        {
          id: `fence${hand < 0 ? 'L' : 'R'}${i + 1}`,
          x: along,
          y,
          foot: own.foot ?? bed - inches(8),
          top: own.top ?? Math.max(level + inches(4), bed + frame.height),
        },
        system,
      );
    });
  });
  const stuck = sticks.map(({ y }) => ({ y, thick: STICK }));
  return { parts: sticks, findings: [...openingFindings(own, stuck, small, large), ...swingFinding(sticks, frame)] };
}

const routeOf = ({ level, frame, route }: Fenced, build: BuildKey): { low: number; high: number } =>
  route === 'bed'
    ? { low: frame.z, high: Math.min(level, frame.z + BUILDS[build].swims) }
    : { low: Math.max(frame.z, level - BUILDS[build].swims), high: level };

/** What passes the jaws, what passes beside and over them, and whether the corners are buried. */
export function openingFindings(own: Fenced, sticks: { y: number; thick: number }[], small: BuildKey, large: BuildKey): Finding[] {
  const { section, level, frame, route } = own;
  const said: Finding[] = [];
  const share = shareThrough(section, level, frame);
  if (level > frame.z) said.push(found('opening', 'holds', 'computed', { share, across: frame.across }));
  const gaps = gapBeside(section, frame, sticks, routeOf(own, small));
  const gap = Math.max(gaps.left, gaps.right);
  const [user, big] = [userOf(small), userOf(large)];
  const passes = gap >= user.gap - 1e-6;
  said.push(
    found('fence', passes ? (gap >= big.gap ? 'fails' : 'warns') : 'holds', 'practice', {
      gap,
      sticks: sticks.length,
      small: user,
      large: big,
    }),
  );
  const buried = cornersBuried(section, frame);
  if (buried > 0.006) said.push(found('buried', 'fails', 'computed', { by: buried }));
  const under = frame.z - groundAt(section, frame.y);
  if (route === 'bed' && under >= user.gap) said.push(found('gapUnder', 'fails', 'practice', { gap: under, user }, { field: 'topUnder' }));
  const over = level - frame.z - frame.height;
  if (route === 'surface' && over > 0) said.push(found('gapOver', over >= big.gap ? 'warns' : 'holds', 'practice', { over, user: big }));
  return said;
}

/** Who uses a gap, and from which width on; m. */
export const userOf = (build: BuildKey): { called: string; gap: number } => ({
  called: BUILDS[build].called,
  gap: BUILDS[build].smallestGap,
});

type Stick = Pick<Part, 'x' | 'y' | 'z' | 'wide' | 'height' | 'look'>;

/** Where a stick stands at some heights of a frame: one that leans is elsewhere at each. */
function alongFrame({ x, y, z, height, look }: Stick, frame: Frame): { x: number; y: number }[] {
  return Array.from({ length: 9 }, (_, n) => {
    const share = (frame.z + (frame.height * n) / 8 - z.k) / (height || 1);
    return { x: x + (look?.leans ?? 0) * share, y: y + (look?.leansAcross ?? 0) * share };
  });
}

/** Whether any stick stands in the swing of the jaws, over the whole height of the frame. */
export function swingFinding(sticks: Stick[], frame: Frame, x = 0): Finding[] {
  const looks = sticks.flatMap((stick) =>
    alongFrame(stick, frame).map((at) => ({
      how: jawSwing(at.x - x, at.y - frame.y, frame.across, stick.wide),
      in: frame.across / 2 - Math.abs(at.y - frame.y),
    })),
  );
  const inside = looks.filter((l) => l.how === 'blocks').map((l) => l.in);
  const steadies = looks.some((l) => l.how === 'steadies');
  if (sticks.length === 0) return [];
  const blocks = inside.length > 0;
  return [found('swing', blocks ? 'fails' : 'holds', 'practice', { inside: blocks ? Math.max(0, ...inside) : null, steadies })];
}
