import type { StationKind } from '../stations/kinds';
import { measuresFor, type MeasureId } from '../stations/measures';

/** A small drawing of what each measure of a kind of place is; not to scale. Box 240 × 150, y downward. */
export interface StationDiagram {
  water: string[];
  ground: string[];
  /** sticks, logs, walls, roofs: lines */
  lines: string[];
  /** a measure's letter and, where it can be drawn, its ends */
  dims: { what: MeasureId; letter: string; from: [number, number] | null; to: [number, number] | null }[];
}

type Ends = readonly [x1: number, y1: number, x2: number, y2: number];
interface Family {
  water: string[];
  ground: string[];
  lines?: string[];
  ends: Partial<Record<MeasureId, Ends>>;
}

const CROSS: Family = {
  ground: ['M0 40H60L90 120H150L180 40H240V150H0Z'],
  water: ['M68 60H172L150 120H90Z'],
  ends: {
    widthSurface: [68, 52, 172, 52],
    widthBed: [90, 130, 150, 130],
    depth: [128, 60, 128, 120],
    besideGroove: [80, 60, 80, 76],
    pushIn: [104, 120, 104, 143],
    ceiling: [150, 20, 150, 60],
  },
};
const DAM: Family = {
  ground: ['M0 112H66Q84 128 100 108L116 84H128L150 30L200 116H240V150H0Z'],
  water: ['M0 50H142L128 84H116L100 108Q84 128 66 112H0Z', 'M190 98H240V116H200Z'],
  ends: {
    channelOff: [84, 20, 150, 20],
    channelDepth: [84, 50, 84, 117],
    channelWidth: [66, 66, 104, 66],
    shoulderDepth: [134, 50, 134, 70],
    shelfDepth: [120, 50, 120, 84],
    crestHeight: [176, 30, 176, 98],
    head: [224, 50, 224, 98],
    overPond: [132, 30, 132, 50],
    overTail: [212, 30, 212, 98],
    footClear: [196, 110, 214, 110],
  },
};
const LODGE: Family = {
  ground: ['M0 122H62Q120 -66 178 122H240V150H0Z'],
  water: ['M0 70H82L62 122H0Z', 'M158 70H240V122H178Z'],
  lines: ['M96 62L128 44', 'M108 84L146 70', 'M92 104L120 92'],
  ends: { across: [82, 76, 158, 76], overWater: [120, 28, 120, 70], runs: [50, 116, 70, 116] },
};
const BANK: Family = {
  ground: ['M0 26L84 46L112 60L240 126V150H0Z'],
  water: ['M112 60H240V126Z'],
  ends: {
    slope: [20, 22, 84, 38],
    toeDepth: [140, 60, 140, 75],
    edgeDepth: [160, 60, 160, 85],
    pushIn: [196, 104, 196, 132],
    fromWater: [52, 22, 112, 22],
    extent: [150, 40, 216, 40],
    shows: [184, 48, 184, 60],
    approaches: [96, 52, 120, 64],
  },
};
const PASSAGE: Family = {
  ground: ['M0 20H44V80H68V120H184V60H240V150H0Z'],
  water: ['M68 92H184V120H68Z'],
  lines: ['M44 30H240', 'M44 24H240'],
  ends: {
    widthSurface: [68, 104, 184, 104],
    wallDepth: [176, 92, 176, 120],
    ledge: [56, 80, 56, 92],
    ceiling: [130, 30, 130, 92],
    flow: [92, 112, 120, 112],
    passages: [70, 40, 182, 40],
  },
};
const UNDERCUT: Family = {
  ground: ['M0 100Q46 142 92 122L150 108H206V58H150L164 30H240V150H0Z'],
  water: ['M0 78H206V108H150L92 122Q46 142 0 100Z'],
  ends: {
    poolDepth: [46, 78, 46, 131],
    besideDepth: [104, 78, 104, 119],
    trapDepth: [166, 78, 166, 108],
    roof: [190, 58, 190, 108],
    reachBack: [150, 50, 206, 50],
  },
};
const LOG: Family = {
  ground: ['M0 40L40 60L70 118H170L204 56L240 40V150H0Z'],
  water: ['M52 84H188L170 118H70Z'],
  lines: ['M18 50L222 40', 'M18 58L222 48'],
  ends: {
    overWater: [120, 52, 120, 84],
    thick: [72, 44, 72, 58],
    depth: [96, 84, 96, 118],
    slope: [150, 36, 214, 32],
    fixed: [196, 62, 222, 62],
  },
};

const FAMILY: Record<StationKind, Family> = {
  dam: DAM,
  crossover: DAM,
  lodge: LODGE,
  'bank den': CROSS,
  run: CROSS,
  channel: { ...CROSS, lines: ['M84 20H176'] },
  slide: BANK,
  'castor mound': { ...BANK, lines: ['M40 36Q52 24 64 42'] },
  'feed bed': { ...BANK, lines: ['M150 56L214 66', 'M156 66L206 52', 'M168 70L216 58'] },
  point: BANK,
  latrine: BANK,
  culvert: PASSAGE,
  bridge: PASSAGE,
  undercut: UNDERCUT,
  'log crossing': LOG,
  'muskrat place': CROSS,
};

/** What is to be measured at a kind of place, drawn; measures are lettered A, B, C in the order they are asked. */
export function stationDiagram(kind: StationKind): StationDiagram {
  const { water, ground, lines = [], ends } = FAMILY[kind];
  return {
    water,
    ground,
    lines,
    dims: measuresFor(kind).map((what, i) => {
      const at = ends[what];
      return { what, letter: String.fromCharCode(65 + i), from: at ? [at[0], at[1]] : null, to: at ? [at[2], at[3]] : null };
    }),
  };
}
