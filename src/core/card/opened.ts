import { setTypeOf } from '../sets/catalogue';
import type { Design } from '../sets/design';
import { printNumber } from '../sets/numberText';
import { numberSpec } from '../sets/setType';
import { sectionScene, type SectionScene } from '../scene/section';
import { layOut, statesOf, type SetView } from '../sets/standing';
import type { Station } from '../stations/placed';
import type { Clock } from '../time/clock';
import type { System } from '../units/factors';
import { frameOn, levelText } from '../units/frame';
import { tell, type Told } from '../words/finding';
import type { DeviceState, Water } from '../water/state';
import type { Card } from './card';

/** A card as its reader sees it: drawn and judged anew by his own program, in his units. */
export interface OpenedCard {
  design: Design;
  section: SectionScene;
  states: DeviceState[];
  /** what the design says against itself */
  findings: Told[];
  numbers: { label: string; text: string }[];
  /** the level that is expected, and how the set stands at its middle */
  ahead: { hours: number; level: string; stands: string }[];
  /** what the looks found, those in a row that found the same and changed nothing as one */
  looks: Looks[];
}

export interface Looks {
  from: string;
  to: string;
  count: number;
  found: string;
  changed: string;
}

/** Looks in the order of time, a row of alike ones in one line. */
export function inRows(outcomes: Card['outcomes']): Looks[] {
  const rows: Looks[] = [];
  for (const { at, found, changed } of outcomes) {
    const last = rows.at(-1);
    if (last && last.found === found && last.changed === '' && changed === '') Object.assign(last, { to: at, count: last.count + 1 });
    else rows.push({ from: at, to: at, count: 1, found, changed });
  }
  return rows;
}

export function openCard(card: Card, system: System, clock: Clock): OpenedCard {
  const type = setTypeOf(card.set.type);
  const frame = frameOn(card.gauges, system, clock);
  const station = stationOf(card);
  const { numbers, choices, devices, then } = card;
  const place = { kind: card.place.kind, surface: card.place.surface, bed: card.place.bed };
  const design = layOut(type, { numbers, choices, lures: card.lures, devices, then, place }, system);
  const view = viewOf(card, station, design);
  const known = (level?: number): Water => ({
    known: level === undefined ? card.now : { ...card.now, [card.place.surface]: level },
    age: {},
    atMost: {},
  });
  const section = sectionScene({
    water: { profile: card.place.profile, kind: card.place.waterKind },
    stations: [station],
    views: [view],
    levels: known(),
    earlier: null,
    size: { width: 1100, height: 300 },
    frame,
  });
  const print = (level: number): string => levelText(level, frame, card.place.surface);
  return {
    design,
    section,
    states: statesOf(view, known(), frame),
    findings: design.findings.filter((f) => f.verdict !== 'holds').map((f) => tell(f, system)),
    numbers: Object.entries(numbers).flatMap(([key, value]) => {
      const spec = numberSpec(type, key);
      return spec ? [{ label: spec.label, text: printNumber(spec, value, system) }] : [];
    }),
    looks: inRows(card.outcomes),
    ahead: card.ahead.map(({ hours, low, middle, high }) => ({
      hours,
      level: `${print(low)} to ${print(high)}`,
      stands: statesOf(view, known(middle), frame)
        .map((s) => s.label)
        .join(', '),
    })),
  };
}

function stationOf({ place, set, written }: Card): Station {
  const { kind, surface, along, name, bed } = place;
  return {
    ...{ id: set.id, water: set.id, number: set.number, name, kind, surface, along, lat: null, lon: null, parent: null, note: '' },
    ...{ sounded: null, crest: null, measures: [], across: null, lies: [], photo: null },
    bed: bed === null ? null : { depth: 0, level: bed, at: written },
  };
}

function viewOf({ set, then }: Card, station: Station, layout: Design): SetView {
  const { id, number, name, type, species, state, anchor } = set;
  return {
    ...{ id, number, name, type, species, state, anchor, station, layout, typeName: setTypeOf(type).name },
    ...{ opens: null, leftBecause: '', then, follows: null, iceFactor: 1, devices: [], deadline: null, missed: null, lastLook: null },
    every: { kind: 'elapsed', hours: 24 },
  };
}
