import type { Species } from '../animals/species';
import { CLASS_WORDS, type DeviceClass } from '../devices/sizes';
import { suggestionsFor } from '../planning/suggest';
import type { Offered } from '../sets/offer';
import { feet, inches, type System } from '../units/factors';
import { printLength } from '../units/length';
import { many } from '../units/many';

/** What makes a place good for an animal, each thing with its reason. Weights are common practice without a published source. */

export interface Spot {
  id: string;
  number: number;
  name: string;
  offered: Offered;
  use: { verdict: 'holds' | 'warns' | 'fails' | 'unknown'; said: string };
  /** animals whose sign was noted */
  seen: readonly string[];
  /** how far a boot or a stick sinks, m */
  sink: number | null;
  /** it lies on the outside of a bend; null where nobody noted it */
  bend: boolean | null;
  /** the pool beside it, m deep */
  pool: number | null;
  /** walls, banks or forks counted here, and how many of them have a set; null where nobody counted */
  passages: { count: number; set: number } | null;
  /** live sets at the place, and how far along the shore the nearest other one is, m */
  live: number;
  nearest: number | null;
  /** what it gave: animals and working nights of the species */
  caught: number;
  nights: number;
}

export interface Reason {
  text: string;
  /** for it above 0, against it below */
  weight: number;
}

export interface RankedSpot extends Pick<Spot, 'id' | 'number' | 'name' | 'live'> {
  kind: string;
  score: number;
  reasons: Reason[];
}

/** A way so narrow is squeezed; so wide it is passed anywhere. [practice] */
const NARROW: Partial<Record<Species, number>> = { beaver: inches(30), otter: inches(36), mink: inches(24), muskrat: inches(16) };
const WIDE = feet(6);
/** Ground that carries a trap, and ground that does not. [practice] */
const FIRM = inches(4);
const SOFT = inches(18);
/** Nearer than this one set spoils the other. [practice] */
const NEAR = feet(30);
/** Water in which a set is covered, and a catch out of sight. [practice] */
const ENOUGH = inches(12);
const POOL = inches(12);

const hasWayLeft = ({ passages }: Spot): boolean => passages !== null && passages.set < passages.count;

/** The places of a water in the order to set them for an animal; those that have a set after all that have none. Every one says what speaks for it and against it. @param month 1 to 12 */
export function rankSpots(spots: readonly Spot[], species: Species, month: number, system: System): RankedSpot[] {
  const taken = new Set(spots.filter((s) => s.live > 0 && !hasWayLeft(s)).map((s) => s.id));
  const isTaken = (id: string): boolean => taken.has(id);
  return spots
    .map((spot) => {
      const reasons = reasonsOf(spot, species, month, system).sort((a, b) => Math.abs(b.weight) - Math.abs(a.weight));
      const score = reasons.reduce((sum, r) => sum + r.weight, 0);
      return { id: spot.id, number: spot.number, name: spot.name, live: spot.live, kind: spot.offered.kind, score, reasons };
    })
    .sort((a, b) => Number(isTaken(a.id)) - Number(isTaken(b.id)) || b.score - a.score || a.number - b.number);
}

function reasonsOf(spot: Spot, species: Species, month: number, system: System): Reason[] {
  const { offered, use, seen, sink, bend, pool, passages, live, nearest, caught, nights } = spot;
  const print = (m: number): string => printLength(m, system);
  const found: Reason[] = [];
  const say = (weight: number, text: string): void => void found.push({ weight, text });
  const [first] = suggestionsFor(species, offered, month);
  if (!first) say(-6, `no set is tried for ${species} at such a place`);
  else if (first.first) say(2, `${first.type.toLowerCase()} is tried first here: ${first.why.split(';')[0] ?? ''}`);
  if (use.verdict === 'holds') say(3, use.said);
  if (use.verdict === 'warns') say(0.5, use.said);
  if (use.verdict === 'fails') say(-4, use.said);
  if (seen.includes(species)) say(2, `sign of ${species}`);
  else if (seen.length > 0) say(-1.5, `sign of ${seen.join(' and ')} only`);
  else say(-0.5, 'no sign noted yet');
  const { width, depth } = offered;
  if (width !== undefined && width <= (NARROW[species] ?? inches(24))) say(1.5, `${print(width)} wide: they must pass through it`);
  if (width !== undefined && width > WIDE) say(-1, `${print(width)} wide: they pass anywhere`);
  if (depth !== undefined && depth >= ENOUGH) say(0.5, `${print(depth)} of water`);
  if (depth !== undefined && depth < inches(2)) say(-0.5, depth <= 0 ? 'it stands dry now' : `only ${print(depth)} of water`);
  if (sink !== null && sink <= FIRM) say(1, `firm: it gives ${print(sink)}`);
  if (sink !== null && sink > SOFT) say(-1, `soft: it gives ${print(sink)}`);
  if (pool !== null && pool >= POOL && (species === 'mink' || species === 'otter')) say(1, `a pool of ${print(pool)} beside it keeps fish`);
  if (bend && species !== 'beaver') say(1, 'the outside of a bend: the current digs under the bank, and they keep along it');
  if (passages && hasWayLeft(spot)) say(1, `${many(passages.count - passages.set, 'way', 'ways')} of ${passages.count} without a set`);
  if (live > 0) say(hasWayLeft(spot) ? -1 : -4, `${many(live, 'live set')} here already`);
  else if (nearest !== null && nearest < NEAR) say(-1.5, `the next set is ${print(nearest)} away`);
  if (caught > 0) say(Math.min(3, 1 + caught / 2), `gave ${caught} in ${many(Math.round(nights), 'night')}`);
  else if (nights >= 10) say(-1.5, `gave nothing in ${many(Math.round(nights), 'night')}`);
  for (const device of offered.met ?? []) say(-0.25, metSays(device));
  return found;
}

const metSays = (device: DeviceClass): string => `a ${CLASS_WORDS[device]} may be known here`;
