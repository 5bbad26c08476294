import { ICE_RATIO } from '../ice/growth';
import { atPlace, stateOf, type SetView } from '../sets/standing';
import type { Station } from '../stations/placed';
import { INCH } from '../units/factors';
import type { Frame } from '../units/frame';
import type { Interval } from '../water/band';
import type { Known } from '../water/levels';
import { surfaceAt } from '../water/ownLevel';
import { bottomAt, type Part, type PartKind } from '../water/part';
import type { DeviceState, Water } from '../water/state';
import type { PlacedLabel } from './labels';

export interface SectionSet {
  id: string;
  x: number;
  label: PlacedLabel & { y: number };
  full: string;
  state: DeviceState | null;
  shape: 'planned' | 'prepared' | 'live' | 'pulled';
  /** y of the shelf under a set on the shore; null where the line of the bed is its bed */
  ledge: number | null;
  devices: SectionDevice[];
  band: { x: number; top: number; bottom: number; openTop: boolean; openBottom: boolean } | null;
}

export interface SectionDevice {
  device: string;
  kind: PartKind;
  x: number;
  top: number;
  height: number;
  /** px of stick under it; 0 where it hangs on something else */
  stick: number;
  /** px of wire over it to what it hangs from */
  hung: number;
  /** wall, log, raft, board, box or roof at it: heights true, widths symbolic */
  at: { kind: Backing; top: number; height: number }[];
}

const BACKINGS = ['wall', 'ledge', 'ceiling', 'pipe', 'root', 'trunk', 'log', 'raft', 'platform', 'box', 'stones', 'bar'] as const;
type Backing = (typeof BACKINGS)[number];
const isBacking = (kind: PartKind): kind is Backing => BACKINGS.some((b) => b === kind);

const DEVICES: readonly PartKind[] = ['jaws', 'pan', 'loop', 'tube'];
const STICKS: readonly PartKind[] = ['stick', 'support', 'stand'];
/** what bears a device by itself: no stick stands under it then */
const BEARERS: readonly PartKind[] = ['bar', 'trunk', 'raft', 'box', 'stones', 'ledge'];
/** Farther from a device than its own extent and this, m, a part belongs to its anchor. */
const NEAR = 3 * INCH;
/** px behind a crest at which a set of the tailwater is drawn; the farthest before it, to where the ground is as deep as the set stands. */
const BEHIND = 48;
const BEFORE = 96;

export interface Scales {
  xOf: (along: number) => number;
  yOf: (z: number) => number;
  /** px a metre of height */
  scale: number;
  top: number;
  bottom: number;
}

/** The water of the section, and its bed along the shore, m. */
interface Around {
  levels: Water;
  frame: Frame;
  bedAt: (along: number) => number;
}

/** One set of the section: its devices where they hang or stand, and the band of its worst device. */
export function sectionSet(
  view: SetView,
  { label, full }: { label: PlacedLabel & { y: number }; full: string },
  { xOf, yOf, scale, top, bottom }: Scales,
  { levels, frame, bedAt }: Around,
): SectionSet {
  const drawn = view.layout.parts.filter((p) => p.device && DEVICES.includes(p.kind));
  const apart = Math.max(50, ...drawn.filter((p) => p.kind !== 'pan').map((p) => p.height * scale + 30));
  /** what stands over each other on one pole is drawn over each other */
  const spots = [...new Set(drawn.map((p) => `${p.x} ${p.y}`))];
  const here = atPlace(view, levels).known;
  const gauge = levels.known[view.station.surface];
  /** the line of the water is the gauge's: a set hangs under it as deep as under its own surface */
  const shift = view.follows && gauge !== undefined ? gauge - surfaceAt(view.follows, gauge) : 0;
  const bed = bedAt(view.station.along);
  const feet = drawn.filter((p) => p.kind !== 'pan').map((p) => (bottomAt(p, here) ?? p.z.k) + shift);
  const x = besideDam(view, Math.min(...feet), xOf, bedAt);
  const devices = drawn.map((part): SectionDevice => {
    const z = (bottomAt(part, here) ?? part.z.k) + shift;
    const near = view.layout.parts.filter((p) => p !== part && isNear(p, part));
    const board = near.find((p) => p.kind === 'platform');
    const under = board ? view.layout.parts.filter((p) => isNear(p, board)) : near;
    const at = near.flatMap((p) => {
      const foot = (bottomAt(p, here) ?? p.z.k) + shift;
      const head = Math.max(yOf(foot + p.height), top);
      return isBacking(p.kind) ? [{ kind: p.kind, top: head, height: Math.max(0, yOf(foot) - head) }] : [];
    });
    return {
      device: part.device ?? '',
      kind: part.kind,
      x: x + (spots.indexOf(`${part.x} ${part.y}`) - (spots.length - 1) / 2) * apart,
      top: yOf(z + part.height),
      height: part.height * scale,
      stick: part.bearer === 'ice' ? 0 : stickUnder(under, z, bed, here, shift) * scale,
      hung: part.bearer === 'ice' ? Math.max(0, (here.pond ?? z) + (here.sheet ?? 0) * (1 - ICE_RATIO) - z - part.height) * scale : 0,
      at,
    };
  });
  const state = stateOf(view, levels, frame);
  return {
    ...{ id: view.id, x, label, full, state, shape: view.state, devices },
    ledge: ledgeOf(view.station, yOf),
    band: bandOf(state?.band ?? null, x + ((spots.length - 1) / 2) * apart, yOf, top, bottom),
  };
}

/** Behind the crest what the tailwater judges; what stands in the pond before a dam at the foot of its face. */
function besideDam({ station, layout }: SetView, foot: number, xOf: Scales['xOf'], bedAt: (along: number) => number): number {
  const at = xOf(station.along);
  if (layout.needs.some(({ from }) => from === 'tail')) return at + BEHIND;
  if (station.kind !== 'dam' || !Number.isFinite(foot)) return at;
  let { along } = station;
  while (bedAt(along) > foot && at - xOf(along) < BEFORE) along -= INCH * 6;
  return xOf(along);
}

const isNear = (part: Part, to: Part): boolean =>
  Math.abs(part.x - to.x) <= (part.wide + to.wide) / 2 + NEAR && Math.abs(part.y - to.y) <= (part.across + to.across) / 2 + NEAR;

/** How far a stick reaches down from a device, m: to its own foot, no farther than into the bed. */
function stickUnder(near: Part[], z: number, bed: number, known: Known, shift: number): number {
  if (near.some((p) => BEARERS.includes(p.kind))) return 0;
  const feet = near.filter((p) => STICKS.includes(p.kind)).map((p) => (bottomAt(p, known) ?? p.z.k) + shift);
  return feet.length === 0 ? 0 : Math.max(0, z - Math.max(Math.min(...feet), Math.min(bed, z) - 4 * INCH));
}

/** On the shore, not in the line of the bed: these get a ledge of their own. */
const ON_THE_SHORE: readonly Station['kind'][] = ['castor mound', 'slide', 'point', 'latrine', 'muskrat place', 'log crossing'];

export const isOnShore = (station: Pick<Station, 'kind'>): boolean => ON_THE_SHORE.includes(station.kind);

const ledgeOf = (station: Station, yOf: (z: number) => number): number | null =>
  station.bed && isOnShore(station) ? yOf(station.bed.level - station.bed.depth) : null;

function bandOf(band: Interval | null, x: number, yOf: (z: number) => number, top: number, bottom: number): SectionSet['band'] {
  if (!band) return null;
  const upper = yOf(band.max);
  const lower = yOf(band.min);
  return {
    x: x + 34,
    top: Math.max(upper, top + 4),
    bottom: Math.min(lower, bottom),
    openTop: upper < top + 4,
    openBottom: lower > bottom,
  };
}
