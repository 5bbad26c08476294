import type { Lure, LurePlace } from '#core/lure/lure';
// Tables read by their rows: the formatter leaves them alone.
import type { Body } from '#core/record/kinds';
import type { WaterBody } from '#core/water/placed';
import type { SET_TYPE_IDS } from '#core/sets/catalogue';
import type { StationKind } from '#core/stations/kinds';
import { feet, inches } from '#core/units/factors';

/** The invented season: a cranberry growers' reservoir and a trout hatchery's race. Lengths in inches, ways in feet, days counted back from today. */
// prettier-ignore
export const PEOPLE = [
  { key: 'wren', name: 'Wren Ostby', system: 'us' as const, measures: { ankle: 4, shin: 11, knee: 20.5, thigh: 29, waist: 39.5, 'axe handle': 28 } },
  { key: 'corin', name: 'Corin Vale', system: 'metric' as const, measures: { ankle: 4, shin: 12, knee: 21.5, thigh: 31, waist: 42, 'setter': 30 } },
];

// prettier-ignore
export const SITES = [
  { key: 'kettle', name: 'Kettle Row cranberry works', lat: 45.51254, lon: -90.487, owner: 'Growers’ association of Kettle Row; written leave for the season, dogs on the dikes at noon', access: 'Truck to the sorting shed, then on foot along the dike', endangered: 'Bed drain, dry at and under 30 in on the pond gauge', users: 'Growers’ dogs on the dikes at noon; children skate on the upper reservoir' },
  { key: 'sallow', name: 'Sallow Spring hatchery', lat: 45.49796, lon: -90.46651, owner: 'Hatchery of Sallow Spring; gate key at the feed shed', access: 'Truck to the head gate', endangered: 'Intake screen, blocked twice last year', users: 'Hatchery hands at feeding, seven and four o’clock' },
];

// prettier-ignore
export const WATERS = [
  { key: 'header', site: 'kettle', name: 'Header Pond', kind: 'pond' as const, note: 'Reservoir behind an old beaver dam at the inlet of the beds', safe: { level: 30, what: 'Bed drain' }, profile: [[0, 27], [28, 21], [70, 2], [92, -12], [140, 4], [190, -3], [232, -9], [262, 3], [300, 20], [332, 26], [356, 47], [372, 30], [392, 4], [404, -2], [470, -5]] as [number, number][] },
  { key: 'race', site: 'sallow', name: 'Hatchery Race', kind: 'stream' as const, note: 'Spring stream beside the ponds, walled at the head gate', profile: [[0, 3], [120, 0], [260, -3], [400, -6], [540, -9]] as [number, number][] },
  { key: 'ditch', site: 'kettle', name: 'Lower Bog Ditch', kind: 'ditch' as const, note: 'Drain below the beds, slow and weedy', profile: [[0, 2], [150, -2], [300, -4], [420, -5]] as [number, number][] },
  { key: 'upper', site: 'kettle', name: 'Upper Reservoir', kind: 'pond' as const, note: 'Fed from springs; a long old dam at its foot', profile: [[0, 10], [90, -6], [180, -20], [260, -24], [340, -10], [430, 6], [480, 20], [518, 4]] as [number, number][] },
  { key: 'spill', site: 'kettle', name: 'Spill Creek', kind: 'stream' as const, note: 'Takes the spill of Header Pond down to the lane', profile: [[0, 0], [200, -2], [400, -1], [700, -1], [880, -2]] as [number, number][] },
  { key: 'moss', site: 'kettle', name: 'Moss Slough', kind: 'pond' as const, note: 'Shallow, soft all round', profile: [[0, 8], [110, -12], [200, -26], [290, -14], [390, 6]] as [number, number][] },
  { key: 'ponds', site: 'sallow', name: 'Settling Ponds', kind: 'pond' as const, note: 'Two basins, banks mown', profile: [[0, 2], [120, -20], [260, -22], [370, 0]] as [number, number][] },
  { key: 'outfall', site: 'sallow', name: 'Sallow Outfall', kind: 'stream' as const, note: 'Below the race, roots and undercuts', profile: [[0, 1], [190, 0], [310, -2], [470, -1], [570, 1]] as [number, number][] },
];

type Fills = Pick<WaterBody, 'rise' | 'catchment' | 'runoff' | 'seep' | 'spill' | 'areas' | 'pipes' | 'ice'>;

/** What fills and drains each water, and how its ice grows. */
export const NOTHING = { rise: null, catchment: null, runoff: null, seep: null, spill: null, areas: [], pipes: [], ice: null };
export const FILLS: Record<string, Omit<Fills, 'pipes'> & { pipes: Omit<Fills['pipes'][number], 'at'>[] }> = {
  header: { ...NOTHING, rise: inches(0.5), catchment: 60_000, runoff: 0.2, seep: inches(0.1), spill: feet(12) },
  upper: { ...NOTHING, ice: 'lake' },
  moss: { ...NOTHING, ice: 'lake' },
  ponds: { ...NOTHING, ice: 'lake', pipes: [{ sill: inches(12), diameter: inches(8), plugged: 0.6 }] },
};

// prettier-ignore
export const GAUGES = [
  { key: 'header-pond', water: 'header', surface: 'pond' as const, name: 'board at the outlet gate' },
  { key: 'header-tail', water: 'header', surface: 'tail' as const, name: 'stake below the dam' },
  { key: 'race-pond', water: 'race', surface: 'pond' as const, name: 'board at the head gate' },
  { key: 'ditch-pond', water: 'ditch', surface: 'pond' as const, name: 'notched post' },
  { key: 'upper-pond', water: 'upper', surface: 'pond' as const, name: 'board at the spillway' },
  { key: 'spill-pond', water: 'spill', surface: 'pond' as const, name: 'mark on the bridge wall' },
  { key: 'moss-pond', water: 'moss', surface: 'pond' as const, name: 'stake in the reeds' },
  { key: 'ponds-pond', water: 'ponds', surface: 'pond' as const, name: 'board at the sluice' },
  { key: 'outfall-pond', water: 'outfall', surface: 'pond' as const, name: 'nail in the root' },
];

interface DemoStation {
  key: string;
  water: string;
  number: number;
  name: string;
  kind: StationKind;
  surface?: 'tail';
  along: number;
  /** depth measured on the first day, in; left out where nobody measured */
  depth?: number;
  crest?: number;
  note?: string;
  /** key of the station it belongs to */
  parent?: string;
}

// prettier-ignore
/** What lies at places from earlier work. */
export const LYING: Record<string, { what: Body<'station'>['lies'][number]['what']; where: string; day: number }[]> = {
  eastrun: [{ what: 'a stake', where: 'outer edge, left of the fork; sound', day: 34 }],
  flume: [{ what: 'a blocked way', where: 'two poles under the planks on the far side', day: 33 }],
  feedbed: [{ what: 'the pole failed here', where: 'loose sticks 2 ft out: it would not hold', day: 30 }],
};

export const STATIONS: DemoStation[] = [
  {
    key: 'inlet',
    water: 'header',
    number: 20,
    name: 'inlet point',
    kind: 'point',
    along: 8,
    depth: 15,
    note: 'Every traveller cuts the corner',
  },
  {
    key: 'flume',
    water: 'header',
    number: 22,
    name: 'flume gap',
    kind: 'channel',
    along: 30,
    depth: 20,
    note: 'Passage under old flume planks, bed firm',
  },
  {
    key: 'eastrun',
    water: 'header',
    number: 12,
    name: 'east lodge run',
    kind: 'run',
    along: 62,
    depth: 33,
    note: 'Hard underfoot, forks round a root, wider at the mouth',
  },
  { key: 'lodge', water: 'header', number: 13, name: 'lodge', kind: 'lodge', along: 95, depth: 50, crest: 62, note: 'Fresh mud on top' },
  { key: 'westrun', water: 'header', number: 15, name: 'west lodge run', kind: 'run', along: 128, depth: 38 },
  {
    key: 'mound',
    water: 'header',
    number: 24,
    name: 'south mound',
    kind: 'castor mound',
    along: 160,
    depth: 9,
    note: 'Fresh pats, two sizes of foot',
  },
  { key: 'feedbed', water: 'header', number: 26, name: 'feed bed', kind: 'feed bed', along: 192, depth: 41 },
  {
    key: 'icerack',
    water: 'header',
    number: 17,
    name: 'ice rack',
    kind: 'run',
    along: 226,
    depth: 46,
    note: 'Feed pile shows over the water',
  },
  {
    key: 'oldden',
    water: 'header',
    number: 36,
    name: 'old bank den',
    kind: 'bank den',
    along: 258,
    depth: 34,
    note: 'Fallen in; two mouths, one half silted',
  },
  {
    key: 'patrol',
    water: 'header',
    number: 27,
    name: 'patrol channel',
    kind: 'channel',
    along: 300,
    depth: 21,
    note: 'Two steps off the dam, firm',
  },
  { key: 'shoulder', water: 'header', number: 31, name: 'north shoulder', kind: 'slide', along: 330, depth: 10 },
  { key: 'dam', water: 'header', number: 30, name: 'dam', kind: 'dam', along: 356, crest: 47, note: 'Leaks at the north end' },
  {
    key: 'face',
    water: 'header',
    number: 33,
    name: 'crossover, lower face',
    kind: 'crossover',
    surface: 'tail',
    along: 377,
    note: 'Worn gap, bare of poles',
  },
  { key: 'tailrun', water: 'header', number: 35, name: 'tail pool run', kind: 'run', surface: 'tail', along: 430, depth: 17 },
  { key: 'headgate', water: 'race', number: 41, name: 'head gate mound', kind: 'castor mound', along: 30, depth: 8 },
  { key: 'racebend', water: 'race', number: 42, name: 'willow bend', kind: 'bank den', along: 190, depth: 22 },
  { key: 'pinch', water: 'race', number: 45, name: 'ditch pinch', kind: 'channel', along: 330, depth: 17 },
  {
    key: 'raceden',
    water: 'race',
    number: 47,
    name: 'otter latrine',
    kind: 'latrine',
    along: 480,
    note: 'Fish scale; closed season, left alone',
  },
  { key: 'postfloat', water: 'ditch', number: 51, name: 'notched post', kind: 'muskrat place', along: 60, depth: 24 },
  { key: 'reeds', water: 'ditch', number: 52, name: 'reed corner', kind: 'muskrat place', along: 190, depth: 20 },
  {
    key: 'culvert',
    water: 'ditch',
    number: 54,
    name: 'lane culvert',
    kind: 'culvert',
    along: 330,
    depth: 18,
    note: 'Nobody enters the culvert',
  },
  { key: 'upinlet', water: 'upper', number: 60, name: 'spring inlet', kind: 'point', along: 40, depth: 12 },
  {
    key: 'uplodge',
    water: 'upper',
    number: 61,
    name: 'big lodge',
    kind: 'lodge',
    along: 180,
    depth: 46,
    crest: 58,
    note: 'High and steep, mud on it from last autumn',
  },
  { key: 'uprun', water: 'upper', number: 62, name: 'big lodge run', kind: 'run', along: 215, depth: 44, parent: 'uplodge' },
  { key: 'uppile', water: 'upper', number: 63, name: 'old feed pile', kind: 'feed bed', along: 290, depth: 38 },
  { key: 'upslide', water: 'upper', number: 64, name: 'birch slide', kind: 'slide', along: 390, depth: 14 },
  { key: 'updam', water: 'upper', number: 65, name: 'long dam', kind: 'dam', along: 470, crest: 30, note: 'Two hundred paces' },
  { key: 'upgap', water: 'upper', number: 66, name: 'long dam, middle gap', kind: 'crossover', along: 486, parent: 'updam' },
  { key: 'spillbend', water: 'spill', number: 70, name: 'first bend', kind: 'undercut', along: 130, depth: 7 },
  { key: 'spillroot', water: 'spill', number: 71, name: 'spruce root', kind: 'undercut', along: 270, depth: 5 },
  { key: 'spilllog', water: 'spill', number: 72, name: 'fallen ash', kind: 'log crossing', along: 400, note: 'Fixed to both banks' },
  {
    key: 'lanebridge',
    water: 'spill',
    number: 73,
    name: 'lane bridge',
    kind: 'bridge',
    along: 520,
    depth: 9,
    note: 'Right of way of the lane; crouch at its edge to see the walls',
  },
  {
    key: 'bridgeleft',
    water: 'spill',
    number: 74,
    name: 'lane bridge, left wall',
    kind: 'bridge',
    along: 526,
    depth: 4.5,
    parent: 'lanebridge',
  },
  {
    key: 'bridgeright',
    water: 'spill',
    number: 76,
    name: 'lane bridge, right bank',
    kind: 'bridge',
    along: 530,
    depth: 4,
    parent: 'lanebridge',
  },
  { key: 'spillend', water: 'spill', number: 75, name: 'below the lane', kind: 'point', along: 860, depth: 10 },
  {
    key: 'mosslodge',
    water: 'moss',
    number: 80,
    name: 'low lodge',
    kind: 'lodge',
    along: 150,
    depth: 30,
    crest: 34,
    note: 'Grown over, low, hardly seen from the dike',
  },
  { key: 'mossrun', water: 'moss', number: 81, name: 'low lodge run', kind: 'run', along: 178, depth: 31, parent: 'mosslodge' },
  { key: 'mosspile', water: 'moss', number: 82, name: 'sunk pile', kind: 'feed bed', along: 215, depth: 36 },
  { key: 'mosshut', water: 'moss', number: 83, name: 'rush hut', kind: 'muskrat place', along: 320, depth: 22 },
  { key: 'pondpipe', water: 'ponds', number: 90, name: 'drain pipe', kind: 'culvert', along: 20, depth: 10 },
  { key: 'pondbank', water: 'ponds', number: 91, name: 'north bank holes', kind: 'muskrat place', along: 150, depth: 20 },
  { key: 'pondcorner', water: 'ponds', number: 92, name: 'sluice corner', kind: 'point', along: 350, depth: 15 },
  { key: 'outroot', water: 'outfall', number: 95, name: 'alder undercut', kind: 'undercut', along: 110, depth: 6 },
  { key: 'outlog', water: 'outfall', number: 96, name: 'plank over', kind: 'log crossing', along: 260 },
  { key: 'outden', water: 'outfall', number: 97, name: 'bank hole', kind: 'bank den', along: 400, depth: 18 },
  {
    key: 'outlatrine',
    water: 'outfall',
    number: 98,
    name: 'gravel bar',
    kind: 'latrine',
    along: 520,
    depth: 6,
    note: 'Fish scale; closed season, left alone',
  },
];

interface DemoSet {
  key: string;
  number: number;
  name: string;
  type: (typeof SET_TYPE_IDS)[number];
  species: 'beaver' | 'muskrat' | 'mink';
  station: string;
  state: 'live' | 'prepared' | 'planned' | 'pulled';
  /** day of placing, counted back; and clock */
  placed: [number, string];
  /** day of pulling, for those that were */
  pulled?: [number, string];
  opensIn?: number;
  devices: Record<string, string>;
  numbers: Record<string, number>;
  choices?: Record<string, string>;
  /** what draws to it; left out as its type has it, empty for a blind set */
  lures?: [what: Lure, where: LurePlace, amount: number, jar?: string][];
  anchor: string;
  /** chance of a catch in a night while in band, and what it takes */
  yields: number;
  leftBecause?: string;
}

// prettier-ignore
export const SETS: DemoSet[] = [
  { key: 's12', number: 12, name: 'east lodge run', type: 'lodge-run', species: 'beaver', station: 'eastrun', state: 'live', placed: [20, '09:40'], devices: { outer: 'K-07', inner: 'K-08' }, numbers: { tie: 72, depth: 33, frameOverBed: 1, fromMouth: 30, widthSurface: 31, widthBed: 16, spacing: 48 }, anchor: '6 ft cable, alder root, left bank', yields: 0.16 },
  { key: 's15', number: 15, name: 'west lodge run', type: 'lodge-run', species: 'beaver', station: 'westrun', state: 'live', placed: [20, '10:15'], devices: { outer: 'K-09' }, numbers: { depth: 38, frameOverBed: 1, widthBed: 15 }, anchor: 'cable to the old stake, right side', yields: 0.1 },
  { key: 's20', number: 20, name: 'inlet point', type: 'castor-foothold', species: 'beaver', station: 'inlet', state: 'live', placed: [18, '10:50'], devices: { trap: 'K-31' }, numbers: { panUnder: 5.5, depth: 12, stopDepth: 46, chain: 12 }, choices: { hold: 'slide' }, lures: [['castor lure', 'on the bank', 2, 'castor lure'], ['sac oil', 'in the water', 1, 'beaver oil']], anchor: 'slide to a rock bag, willow at the bank', yields: 0.1 },
  { key: 's22', number: 22, name: 'flume gap', type: 'channel-snare', species: 'beaver', station: 'flume', state: 'live', placed: [16, '11:05'], devices: { snare: 'K-51' }, numbers: { loop: 9, lowestUnder: 13.5, depth: 20, ceiling: 15 }, choices: { passage: 'roofed' }, anchor: '7 ft tail to the flume post', yields: 0.09 },
  { key: 's24', number: 24, name: 'south mound', type: 'castor-foothold', species: 'beaver', station: 'mound', state: 'live', placed: [14, '13:20'], devices: { trap: 'K-32' }, numbers: { panUnder: 3, depth: 9 }, choices: { hold: 'live' }, anchor: '10 ft cable, T bar driven', yields: 0.08 },
  { key: 's26', number: 26, name: 'feed bed float', type: 'float', species: 'muskrat', station: 'feedbed', state: 'live', placed: [15, '14:00'], devices: { left: 'K-61', right: 'K-62' }, numbers: { panOver: 0.5, draft: 2, depth: 41, lineRise: 20 }, anchor: 'line to a stake at the shore', yields: 0.2 },
  { key: 's27', number: 27, name: 'patrol channel', type: 'lodge-run', species: 'beaver', station: 'patrol', state: 'live', placed: [6, '09:30'], devices: { outer: 'K-10' }, numbers: { topUnder: 3, depth: 21, widthBed: 20, widthSurface: 34 }, choices: { notch: 'firm' }, anchor: 'alder root, left, 6 ft', yields: 0.14 },
  { key: 's31', number: 31, name: 'north shoulder', type: 'castor-foothold', species: 'beaver', station: 'shoulder', state: 'live', placed: [9, '10:06'], devices: { trap: 'K-33' }, numbers: { panUnder: 5, depth: 10, stopDepth: 40, chain: 12 }, choices: { hold: 'slide' }, anchor: 'slide wire to the channel, spruce at the bank', yields: 0.1 },
  { key: 's33', number: 33, name: 'crossover, lower face', type: 'dam-crossover-face', species: 'beaver', station: 'face', state: 'live', placed: [12, '11:30'], devices: { trap: 'K-11' }, numbers: { overTail: 6, crestOver: 20 }, anchor: 'log buried in the dam, second from the left', yields: 0.08 },
  { key: 's35', number: 35, name: 'tail pool run', type: 'lodge-run', species: 'beaver', station: 'tailrun', state: 'live', placed: [12, '11:55'], devices: { outer: 'K-12' }, numbers: { depth: 17, frameOverBed: 1, widthBed: 14 }, anchor: 'root below the pool', yields: 0.06 },
  { key: 's17', number: 17, name: 'ice rack', type: 'lodge-run', species: 'beaver', station: 'icerack', state: 'prepared', placed: [3, '12:10'], opensIn: 10, devices: {}, numbers: { depth: 46, frameOverBed: 1 }, anchor: 'stake driven, flagged', yields: 0 },
  { key: 's36', number: 36, name: 'old bank den', type: 'lodge-run', species: 'beaver', station: 'oldden', state: 'planned', placed: [3, '12:20'], devices: {}, numbers: { topUnder: 4 }, anchor: '', yields: 0, leftBecause: 'Only four more wanted this week; rest it' },
  { key: 's41', number: 41, name: 'head gate mound', type: 'castor-foothold', species: 'beaver', station: 'headgate', state: 'live', placed: [17, '13:36'], devices: { trap: 'K-34' }, numbers: { panUnder: 3.5, depth: 8, stopDepth: 38, chain: 14 }, choices: { hold: 'slide' }, anchor: 'slide to the gate post', yields: 0.09 },
  { key: 's42', number: 42, name: 'willow bend', type: 'lodge-run', species: 'beaver', station: 'racebend', state: 'live', placed: [17, '13:50'], devices: { outer: 'K-13' }, numbers: { depth: 22, frameOverBed: 2, widthBed: 18 }, anchor: 'willow, upstream side', yields: 0.08 },
  { key: 's45', number: 45, name: 'ditch pinch', type: 'channel-snare', species: 'beaver', station: 'pinch', state: 'live', placed: [16, '14:06'], devices: { snare: 'K-52' }, numbers: { loop: 10, share: 0.6, depth: 17 }, choices: { passage: 'open' }, anchor: 'earth anchor, right', yields: 0.07 },
  { key: 's51', number: 51, name: 'post float', type: 'float', species: 'muskrat', station: 'postfloat', state: 'live', placed: [15, '15:10'], devices: { left: 'K-63' }, numbers: { panOver: 0.5, depth: 24, lineRise: 12 }, anchor: 'line to the post', yields: 0.3 },
  { key: 's52', number: 52, name: 'reed float', type: 'float', species: 'muskrat', station: 'reeds', state: 'pulled', placed: [15, '15:25'], pulled: [7, '15:30'], devices: { left: 'K-64' }, numbers: { panOver: 0.5, depth: 20, lineRise: 12 }, anchor: 'line to a stake', yields: 0.25 },
  { key: 's54', number: 54, name: 'lane culvert', type: 'channel-snare', species: 'beaver', station: 'culvert', state: 'pulled', placed: [13, '15:40'], pulled: [4, '15:50'], devices: { snare: 'K-53' }, numbers: { loop: 9, share: 0.66, depth: 18 }, anchor: 'rebar, left wall', yields: 0.04 },
  { key: 's30', number: 30, name: 'two breaks', type: 'dam-break-channel', species: 'beaver', station: 'dam', state: 'live', placed: [1, '16:30'], devices: { trap: 'K-19' }, numbers: { topUnder: 3, width: 34 }, choices: { notch: 'firm' }, anchor: 'cable to the dam log, north end', yields: 0.14 },
  { key: 's65', number: 65, name: 'long dam shoulder', type: 'dam-break-shoulder', species: 'beaver', station: 'updam', state: 'planned', placed: [3, '12:30'], devices: {}, numbers: { leftUnder: 7, rightUnder: 6 }, anchor: '', yields: 0 },
  { key: 's64', number: 64, name: 'birch slide', type: 'slide-foothold', species: 'beaver', station: 'upslide', state: 'planned', placed: [3, '12:40'], devices: {}, numbers: { depth: 14 }, anchor: '', yields: 0, leftBecause: 'Frozen over since; after the thaw' },
  { key: 's70', number: 3, name: 'first bend', type: 'undercut-bank', species: 'mink', station: 'spillbend', state: 'planned', placed: [2, '13:00'], devices: {}, numbers: { topUnder: -1.75, depth: 4.25, roof: 14 }, anchor: '', yields: 0 },
  { key: 's71', number: 4, name: 'spruce root', type: 'undercut-bank', species: 'mink', station: 'spillroot', state: 'planned', placed: [2, '13:05'], devices: {}, numbers: { topUnder: -1.75, depth: 4.25, roof: 13 }, anchor: '', yields: 0 },
  { key: 's96', number: 5, name: 'alder undercut', type: 'pocket', species: 'muskrat', station: 'outroot', state: 'planned', placed: [2, '13:15'], devices: {}, numbers: { panUnder: 0.5, chainEnd: 11 }, anchor: '', yields: 0 },
  { key: 's74', number: 74, name: 'left wall', type: 'wall-blind', species: 'mink', station: 'bridgeleft', state: 'live', placed: [1, '14:20'], devices: { trap: 'K-67' }, numbers: { panUnder: 1, depth: 4.5, stopDepth: 30, chain: 8 }, choices: { hold: 'slide', measured: 'pan' }, lures: [], anchor: 'slide to the pool, stake at the abutment', yields: 0 },
  { key: 's81', number: 81, name: 'low lodge, hung', type: 'ice-hanging', species: 'beaver', station: 'mosslodge', state: 'live', placed: [3, '13:10'], devices: { near: 'K-20', far: 'K-21' }, numbers: { drop: 2.5, ice: 1.5, depth: 30 }, anchor: 'both on one stick, tied', yields: 0 },
  { key: 's82', number: 82, name: 'low lodge pole', type: 'ice-snare-pole', species: 'beaver', station: 'mosslodge', state: 'live', placed: [2, '13:00'], devices: { a1: 'K-57', b1: 'K-58', a2: 'K-59', b2: 'K-60' }, numbers: { ice: 1.75, depth: 30, loop: 9, clearance: 4 }, anchor: 'set pole in the mud, safety pole across', yields: 0 },
];

/** Tags: body-grips K-07 to K-25, an enclosed one K-71, footholds K-31 to K-37 and K-61 to K-67, snares K-51 to K-60. */
// prettier-ignore
export const SHED: { tag: string; class: 'bodyGrip' | 'foothold' | 'snare' | 'enclosed'; size: string; note?: string }[] = [
  ...['07', '08', '09', '10', '11', '12', '13', '14', '15', '16', '19', '20', '21'].map((n) => ({ tag: `K-${n}`, class: 'bodyGrip' as const, size: '330' })),
  ...['17', '18'].map((n) => ({ tag: `K-${n}`, class: 'bodyGrip' as const, size: '110' })),
  { tag: 'K-22', class: 'bodyGrip', size: '160' }, { tag: 'K-23', class: 'bodyGrip', size: '160' }, { tag: 'K-24', class: 'bodyGrip', size: '155' }, { tag: 'K-25', class: 'bodyGrip', size: '120' }, { tag: 'K-71', class: 'enclosed', size: 'pull' },
  ...['31', '32', '33', '34', '35', '36', '37'].map((n) => ({ tag: `K-${n}`, class: 'foothold' as const, size: n === '31' || n === '37' ? '5' : '4' })),
  ...['61', '62', '63', '64', '65', '66', '67'].map((n) => ({ tag: `K-${n}`, class: 'foothold' as const, size: '1½' })),
  ...['51', '52', '53', '54', '55', '56', '57', '58', '59', '60'].map((n) => ({ tag: `K-${n}`, class: 'snare' as const, size: '7×7 3/32' })),
];

/** Sign as the crew noted it: station, kind, species, how old it looked, days back, note. One lodge looks live and is not. */
// prettier-ignore
export const SIGNS: [station: string, kind: string, species: 'beaver' | 'muskrat' | 'otter' | 'mink', freshness: 'hours' | 'days' | 'weeks' | 'old', daysBack: number, note: string][] = [
  ['inlet', 'cuttings', 'beaver', 'days', 19, 'willow tips'],
  ['inlet', 'wetSlide', 'beaver', 'hours', 2, ''],
  ['flume', 'tracksMud', 'beaver', 'hours', 1, 'one large, one small'],
  ['eastrun', 'seen', 'beaver', 'hours', 6, 'at dusk, two'],
  ['eastrun', 'peeledSticks', 'beaver', 'hours', 1, ''],
  ['lodge', 'mendedLeak', 'beaver', 'hours', 1, 'fresh mud on the north side'],
  ['westrun', 'drySticks', 'beaver', 'old', 4, 'run full of loose sticks'],
  ['westrun', 'peeledSticks', 'beaver', 'weeks', 12, ''],
  ['dam', 'mendedLeak', 'beaver', 'hours', 1, 'both leaks closed overnight'],
  ['mound', 'mound', 'beaver', 'hours', 3, 'two sizes of foot'],
  ['feedbed', 'droppings', 'muskrat', 'hours', 1, ''],
  ['icerack', 'greenPile', 'beaver', 'days', 3, 'green inside when snapped'],
  ['oldden', 'weeds', 'beaver', 'old', 5, 'grown over at the mouth'],
  ['oldden', 'tracksMud', 'muskrat', 'weeks', 14, ''],
  ['patrol', 'mendedLeak', 'beaver', 'hours', 2, ''],
  ['shoulder', 'tracksMud', 'beaver', 'hours', 2, ''],
  ['face', 'wetSlide', 'beaver', 'hours', 3, 'gap bare of poles'],
  ['raceden', 'latrine', 'otter', 'days', 4, 'fish scale; closed season'],
  ['headgate', 'mound', 'beaver', 'days', 8, ''],
  ['postfloat', 'cuttings', 'muskrat', 'hours', 1, ''],
  ['reeds', 'cuttings', 'muskrat', 'weeks', 9, ''],
  ['uplodge', 'mendedLeak', 'beaver', 'old', 12, 'mud on the south face, dry'],
  ['uplodge', 'weeds', 'beaver', 'weeks', 5, 'thistle and grass on the top'],
  ['uplodge', 'drySticks', 'beaver', 'old', 5, 'snapped dry inside'],
  ['uprun', 'drySticks', 'beaver', 'old', 5, 'full of loose sticks'],
  ['uppile', 'drySticks', 'beaver', 'old', 5, ''],
  ['updam', 'unmended', 'beaver', 'days', 4, 'two leaks run on'],
  ['upgap', 'polesAcross', 'beaver', 'weeks', 5, ''],
  ['upslide', 'tracksMud', 'otter', 'days', 6, 'no beaver among them'],
  ['mosslodge', 'weeds', 'beaver', 'old', 6, 'looks dead from the dike'],
  ['mosslodge', 'frostedVent', 'beaver', 'hours', 1, 'vent open and rimed at seven'],
  ['mosslodge', 'greenPile', 'beaver', 'days', 2, 'green inside when snapped'],
  ['mossrun', 'peeledSticks', 'beaver', 'hours', 1, 'floating, wet'],
  ['mossrun', 'wetSlide', 'beaver', 'hours', 1, 'skim ice broken at the mouth'],
  ['mosspile', 'greenPile', 'beaver', 'days', 2, 'sunk, only tips show'],
  ['mosshut', 'cuttings', 'muskrat', 'days', 3, ''],
  ['spillbend', 'tracksMud', 'mink', 'hours', 2, 'along the outside'],
  ['spillroot', 'tracksMud', 'mink', 'hours', 1, 'in and out under the roots'],
  ['spillroot', 'droppings', 'mink', 'days', 3, ''],
  ['spilllog', 'tracksSnow', 'mink', 'hours', 1, 'over the middle of the trunk'],
  ['bridgeleft', 'tracksMud', 'mink', 'hours', 2, 'on the ledge'],
  ['bridgeright', 'tracksMud', 'mink', 'weeks', 15, ''],
  ['pondbank', 'cuttings', 'muskrat', 'hours', 1, 'on every log'],
  ['pondbank', 'droppings', 'muskrat', 'hours', 2, ''],
  ['pondpipe', 'tracksMud', 'mink', 'days', 6, ''],
  ['outroot', 'tracksMud', 'mink', 'days', 4, ''],
  ['outlatrine', 'latrine', 'otter', 'days', 7, 'fish scale; closed season'],
];
