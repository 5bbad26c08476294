import type { StationKind } from './kinds';

/** How a measure is typed and printed; lengths m, angles and bearings degrees, speeds m/s, yes as 1 or 0. */
export type MeasureUnit = 'length' | 'angle' | 'bearing' | 'count' | 'speed' | 'yes';

export interface Measure {
  label: string;
  unit: MeasureUnit;
  /** what to hold the stick to */
  how: string;
  /** a depth changes with the level, so the level at the time is kept with it */
  depth?: true;
}

const length = (label: string, how: string): Measure => ({ label, unit: 'length', how });
const depth = (label: string, how: string): Measure => ({ label, unit: 'length', how, depth: true });

export const MEASURES = {
  crestLength: length('Length of the crest', 'from end to end, paced or by the map'),
  crestHeight: length('Height of the crest', 'above the water below the dam at its foot'),
  head: depth('Head', 'pond surface above the water below the dam'),
  shelfDepth: depth('Depth over the shelf', 'where the fill ends on the pond side'),
  channelOff: length('Patrol channel from the crest', 'from the crest to its middle'),
  channelDepth: depth('Depth in the patrol channel', 'in its middle'),
  channelWidth: length('Width of the patrol channel', 'from its crest-side edge to its outer edge'),
  shoulderDepth: depth('Depth over the shoulder', 'firm ground beside the place for a break'),
  width: length('Width', 'at its narrowest'),
  overPond: depth('Over the pond', 'deck over the pond surface'),
  overTail: depth('Over the water below the dam', 'deck over the surface below'),
  footClear: { label: 'Firm clear channel at the foot', unit: 'yes', how: 'felt with a stick' },
  across: length('Width of the lodge', 'at the waterline'),
  overWater: depth('Height above water', 'its lowest edge, or a lodge’s top'),
  runs: { label: 'Runs found', unit: 'count', how: 'grooves felt underfoot' },
  bearing: { label: 'Bearing of the run', unit: 'bearing', how: 'looking out from the lodge or bank' },
  widthSurface: length('Width at the surface', 'from edge to edge'),
  widthBed: length('Width at the bed', 'where the walls meet the floor'),
  depth: depth('Depth', 'in the deepest part'),
  besideGroove: depth('Depth beside the groove', 'over the bed at its edge'),
  pushIn: length('Push-in', 'how far a stick goes in under the weight of a hand; firm is under 4 in (rule of thumb)'),
  ceiling: depth('Roof over the surface', 'the lowest point of the roof'),
  roof: length('Roof over the bed', 'it must clear the frame and an upright spring'),
  reachBack: length('Reaches back', 'from the edge of the roof to the wall behind'),
  rootsOver: length('Roots over the ledge', 'height they leave'),
  dryMouth: { label: 'Dry at the mouth', unit: 'yes', how: 'then it is a set on land' },
  slope: { label: 'Slope', unit: 'angle', how: 'against the level' },
  toeDepth: depth('Depth at the foot of the slide', 'where the slide meets the bed'),
  fromWater: length('From the water', 'from the edge to the middle of the mound'),
  edgeDepth: depth('Depth at the edge', 'one step out'),
  extent: length('Extent', 'its longer side'),
  shows: depth('Shows above water', 'its highest stick'),
  wallDepth: depth('Depth along the wall', 'a hand’s breadth off it'),
  ledge: depth('Ledge above water', 'below it counts as negative'),
  passages: { label: 'Passages', unit: 'count', how: 'every wall and bank under it; each may be a location of its own' },
  bend: { label: 'Outside of a bend', unit: 'yes', how: 'where the current runs against the bank' },
  flow: { label: 'Flow', unit: 'speed', how: 'a stick over ten feet, timed' },
  trapDepth: depth('Depth at the trap', 'under the roof'),
  besideDepth: depth('Depth beside it', 'in the creek'),
  poolDepth: depth('Depth of the pool', 'it keeps crayfish, frogs and small fish'),
  thick: length('Thickness of the log', 'where the trap stands'),
  fixed: { label: 'Fixed to both banks', unit: 'yes', how: 'otherwise it is afloat and follows the water' },
  approaches: { label: 'Approaches', unit: 'count', how: 'places where they leave the water' },
  steady: { label: 'The level is steady', unit: 'yes', how: 'by the marks on stems and bank' },
  feeds: { label: 'An inlet or a spring here', unit: 'yes', how: 'seen: water comes in, or it stays open in frost' },
  sink: length('A boot sinks', 'standing still, both feet'),
} as const satisfies Record<string, Measure>;

export type MeasureId = keyof typeof MEASURES;
export const MEASURE_IDS = Object.keys(MEASURES) as [MeasureId, ...MeasureId[]];

const BY_KIND: Record<StationKind, MeasureId[]> = {
  dam: ['crestLength', 'crestHeight', 'head', 'shelfDepth', 'channelOff', 'channelDepth', 'channelWidth', 'shoulderDepth'],
  crossover: ['width', 'overPond', 'overTail', 'footClear'],
  lodge: ['across', 'overWater', 'runs'],
  'bank den': ['widthSurface', 'widthBed', 'depth', 'besideGroove', 'pushIn', 'bearing', 'dryMouth', 'rootsOver', 'bend'],
  run: ['widthSurface', 'widthBed', 'depth', 'besideGroove', 'pushIn', 'bearing', 'bend'],
  channel: ['widthSurface', 'widthBed', 'depth', 'pushIn', 'ceiling'],
  slide: ['slope', 'toeDepth', 'widthSurface', 'pushIn'],
  'castor mound': ['fromWater', 'edgeDepth'],
  'feed bed': ['extent', 'shows', 'edgeDepth', 'widthSurface'],
  point: ['edgeDepth', 'pushIn', 'bend'],
  culvert: ['widthSurface', 'wallDepth', 'ledge', 'ceiling', 'flow'],
  bridge: ['passages', 'widthSurface', 'wallDepth', 'ledge', 'ceiling', 'flow'],
  undercut: ['trapDepth', 'besideDepth', 'roof', 'reachBack', 'rootsOver', 'poolDepth', 'bend'],
  'log crossing': ['overWater', 'thick', 'depth', 'slope', 'fixed'],
  latrine: ['approaches', 'edgeDepth', 'widthSurface'],
  'muskrat place': ['depth', 'widthBed', 'besideGroove', 'steady'],
};

/** What is to be measured at a kind of place, in the order of its drawing; how far a boot sinks and whether warmer water comes in are asked everywhere. */
export const measuresFor = (kind: StationKind): MeasureId[] => [...BY_KIND[kind], 'sink', 'feeds'];
export const measureOf = (id: string): Measure | undefined => (id in MEASURES ? MEASURES[id as MeasureId] : undefined);

/** A measure taken, with the level at the time. */
export interface Taken {
  what: MeasureId;
  value: number;
  level: number | null;
  at: string;
}

/** The newest value of a measure, or of several that speak of the same. */
export const latest = (taken: readonly Taken[], ...what: MeasureId[]): Taken | undefined =>
  [...taken]
    .filter((t) => what.includes(t.what))
    .sort((a, b) => a.at.localeCompare(b.at))
    .at(-1);
