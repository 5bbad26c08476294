import { levelBands, type Interval } from './band';
import { axisOf, type Layout } from './layout';
import { AXES, type Axis, type Known } from './levels';
import { axesOf } from './linear';
import { aimed, datumLine, stretched, type Need } from './need';
import { raised, type Part } from './part';

/** What is asked of a device at every level: its needs, the axis that judges it, and its bands while the other axes stand still. */
export interface Judged {
  layout: Layout;
  device: string;
  needs: readonly Need[];
  /** what says whether hands reach it; no part of its bands */
  services: readonly Need[];
  axis: Axis;
  /** moved up it works at levels that are as much higher, and at no others */
  shifts: boolean;
  others: Known;
  /** by how far the device is moved up, m */
  bands: Map<number, Interval[] | null>;
  /** where it stands in its aim, and as far as it may work */
  beside: Map<'aim' | 'perhaps', Interval[] | null>;
}

const KEPT = new WeakMap<Layout, Map<string, Judged>>();

/** A device of a layout with what was found of it. A layout is not changed once it is made, so that stays with it. */
export function judged(layout: Layout, device: string): Judged {
  let kept = KEPT.get(layout);
  if (!kept) KEPT.set(layout, (kept = new Map<string, Judged>()));
  const known = kept.get(device);
  if (known) return known;
  const all = layout.needs.filter((need) => need.device === device);
  const needs = all.filter((need) => !need.serves);
  const services = all.filter((need) => need.serves);
  const axis = axisOf(layout, device);
  const shifts = needs.every((need) => movesAlone(need, layout.parts, device, axis));
  const own: Judged = { layout, device, needs, services, axis, shifts, others: {}, bands: new Map(), beside: new Map() };
  kept.set(device, own);
  return own;
}

/** The need's part belongs to the device and lies still, and what it is measured from rises as the axis does. */
function movesAlone({ of, from }: Need, parts: readonly Part[], device: string, axis: Axis): boolean {
  if (typeof from === 'object' && 'part' in from) return false;
  const part = parts.find((p) => p.id === of.part);
  return part?.device === device && !part.limits && axesOf(part.z).length === 0 && datumLine(from)[axis] === 1;
}

const sameBut = (axis: Axis, a: Known, b: Known): boolean => AXES.every((other) => other === axis || a[other] === b[other]);

/**
 * The levels along its axis at which all needs of a device hold, as it stands or moved up by `by` metres; asked anew only when another axis moves.
 *
 * @returns disjoint intervals in rising order, or null when another axis it needs is not known
 * @throws RangeError when a need names a part that the layout does not list
 */
export function keptBands(own: Judged, known: Known, by = 0): Interval[] | null {
  forget(own, known);
  const found = own.bands.get(by);
  if (found !== undefined) return found;
  const bands = by !== 0 && own.shifts ? shifted(keptBands(own, known), by) : bandsAt(own, known, by);
  own.bands.set(by, bands);
  return bands;
}

function forget(own: Judged, known: Known): void {
  if (own.others === known || sameBut(own.axis, own.others, known)) return;
  own.others = known;
  own.bands.clear();
  own.beside.clear();
}

/** The levels at which a device stands in its aim, or to which it may work; null when another axis it needs is not known. */
export function bandsBeside(own: Judged, known: Known, which: 'aim' | 'perhaps'): Interval[] | null {
  forget(own, known);
  const found = own.beside.get(which);
  if (found !== undefined) return found;
  const bands = levelBands(own.needs.map(which === 'aim' ? aimed : stretched), own.layout.parts, own.axis, known);
  own.beside.set(which, bands);
  return bands;
}

const shifted = (bands: Interval[] | null, by: number): Interval[] | null =>
  bands && bands.map(({ min, max }) => ({ min: min + by, max: max + by }));

function bandsAt({ layout, device, needs, axis }: Judged, known: Known, by: number): Interval[] | null {
  const parts = by === 0 ? layout.parts : layout.parts.map((p) => (p.device === device ? raised(p, by) : p));
  return levelBands(needs, parts, axis, known);
}
