import { armingsOf, type Spent } from '../check/spent';
import type { Device, Line, TrapSet } from '../record/kinds';
import type { Station } from '../stations/placed';
import { intervalOf, type InForce } from '../rules/inForce';
import { setDeadline } from '../time/deadline';
import type { Follows } from '../water/ownLevel';
import type { Layout } from '../water/layout';
import { setTypeOf } from './catalogue';
import { laidAt, layOut, type DeviceView, type Laid, type Missed, type SetView } from './standing';
import { remembered } from '../remembered';
import type { System } from '../units/factors';
import { plainFrame, type Frame } from '../units/frame';
import type { Gauge } from '../units/length';
import type { Surfaces } from '../water/levelAt';

/** The last look at a stay, the last one that left it spent where nothing set it again since, and a way there since that ended before it. */
export interface Look {
  /** null: nobody looked since it went live */
  at: Date | null;
  spent: Spent | null;
  missed: Missed | null;
}

export interface ViewContext {
  line: Line;
  /** the rulebook in force; null where the line has none */
  rules: InForce | null;
  stations: Record<string, Station>;
  /** own relations of stations on streams, by station */
  follows: Record<string, Follows>;
  /** ice over each station against the open sheet; 1 where it is left out */
  iceFactors: Record<string, number>;
  shed: Record<string, Device>;
  /** last real look at each stay, and what it left spent */
  looks: Record<string, Look>;
  surfaces: Surfaces;
  now: Date;
  /** in what the reader reads the levels of each water */
  frames: Record<string, Frame>;
  /** what the reader measured of himself */
  hands: Gauge;
}

/** What states, section and remedies need of a design; its drawings are made where they are shown. */
const lean = ({ parts, ground, needs, free, findings }: Layout): Layout => ({ parts, ground, needs, free, findings });

/** A set that was laid so lies so at every request: it is laid out once. */
const laidOut = remembered((type: string, laid: Laid, system: System): Layout => lean(layOut(setTypeOf(type), laid, system)), 4000);

/** A set of the record as the rooms show it: laid out, with its devices, its last look and its deadline. */
export function setView(
  set: TrapSet,
  { line, rules, stations, follows, iceFactors, shed, looks, surfaces, now, frames, hands }: ViewContext,
): SetView {
  const station = stations[set.station];
  if (!station) throw new RangeError(`set ${set.number} names a location that is not in the record`);
  const type = setTypeOf(set.type);
  const laid = laidAt(set, now, { station, follows: follows[station.id] ?? null, surfaces, shed, hands });
  const system = (frames[station.water] ?? plainFrame('us')).system;
  const devices = set.state === 'live' ? liveDevices(set, shed, looks) : [];
  const lastLooks = devices.map((d) => new Date(d.lastLook));
  const { every } = intervalOf(line, rules, { devices, situation: set.situation, underIce: type.underIce ?? false });
  const deadline = setDeadline(lastLooks, every, line.zone, line);
  return {
    id: set.id,
    number: set.number,
    name: set.name,
    type: set.type,
    typeName: type.name,
    species: set.species,
    state: set.state,
    opens: set.opens,
    leftBecause: set.leftBecause,
    anchor: set.anchor,
    station,
    follows: follows[station.id] ?? null,
    iceFactor: iceFactors[station.id] ?? 1,
    devices,
    then: laid.then,
    layout: laidOut(set.type, laid, system),
    every,
    deadline: deadline && deadline.toISOString(),
    missed: devices.map((d) => d.missed).find((m) => m !== null) ?? null,
    lastLook: lastLooks.length === 0 ? null : new Date(Math.min(...lastLooks.map(Number))).toISOString(),
  };
}

function liveDevices(set: TrapSet, shed: Record<string, Device>, looks: Record<string, Look>): DeviceView[] {
  const { positions } = setTypeOf(set.type);
  const labels = Object.fromEntries(positions.map((p) => [p.id, p.label]));
  const place = (stay: { position: string }): number => positions.findIndex((p) => p.id === stay.position);
  return [...set.stays]
    .sort((a, b) => place(a) - place(b))
    .flatMap((stay) => {
      const device = shed[stay.device];
      if (!device || stay.to !== null) return [];
      const look = looks[stay.id];
      const lastLook = look?.at?.toISOString() ?? stay.from;
      const { spent = null, missed = null } = look ?? {};
      return [
        {
          stay: stay.id,
          position: stay.position,
          label: labels[stay.position] ?? stay.position,
          device: device.id,
          tag: device.tag,
          class: device.class,
          size: device.size,
          since: stay.from,
          lastLook,
          missed,
          // what was armed or changed since is set again
          spent: spent && armingsOf(set).some((at) => at >= spent.at) ? null : spent,
        },
      ];
    });
}
