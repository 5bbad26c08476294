import { sizeText } from '#core/devices/sizes';
import type { NewEntry } from '#core/record/entry';
import type { TrapSet } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { armingCheck } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { printNumber } from '#core/sets/numberText';
import { numberSpec, type FilledPosition } from '#core/sets/setType';
import { settingAt } from '#core/sets/standing';
import { benchEntries, fieldOfBench } from '#lib/bench/entries';
import { readBench } from '#lib/bench/readBench';
import { againstSchemas } from '#lib/form/againstSchemas';
import type { Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

type Planned = Written<TrapSet>;

/** What is asked of a set that was planned or prepared as it goes live: its traps, its anchor, its arming check. What the bench knew of it stays. */
export function placingOf(season: Season, set: Planned, { who, now }: Asker) {
  const type = setTypeOf(set.type);
  const { numbers, choices } = settingAt(set, now);
  const print = (key: string, value: number): string => printNumber(numberSpec(type, key) ?? { unit: 'length' }, value, who.person.system);
  const kept: [string, string][] = [
    ...Object.entries(numbers).map(([key, value]): [string, string] => [`n.${key}`, print(key, value)]),
    ...Object.entries(choices).map(([key, value]): [string, string] => [`c.${key}`, value]),
    ['name', set.name],
    ['species', set.species],
    ['number', String(set.number)],
    ['note', set.note],
    ['state', 'live'],
  ];
  const usable = season.shed.filter(
    (d) => type.devices.includes(d.class) && d.set === null && (d.condition === 'good' || d.condition === 'worn'),
  );
  const devices = type.positions.map(({ id, label, optional }) => ({
    position: id,
    label,
    chosen: set.reserved[id] ?? '',
    options: [
      { value: '', text: optional ? 'none' : 'choose' },
      ...usable.map((d) => ({ value: d.id, text: `${d.tag}, ${sizeText(d.class, d.size)}` })),
    ],
  }));
  const filled = Object.fromEntries(type.positions.filter((p) => !p.optional).map((p): [string, FilledPosition] => [p.id, type.usual]));
  return {
    kept,
    devices,
    arming: armingCheck(type, filled, choices),
    caution: type.acts ? 'Opening a dam moves water onto others: note who was told.' : '',
  };
}

/** A set that goes live, as the bench would write it; null when a field was refused. */
export async function placingEntries(read: Reader, season: Season, set: Planned, asker: Asker): Promise<NewEntry[] | null> {
  const station = season.stations.find((s) => s.id === set.station);
  if (!station) return null;
  const { who, now } = asker;
  const place = { season, station, type: setTypeOf(set.type), before: set, now, by: who.person.id, system: who.person.system };
  const written = await readBench(read, { ...place, surfacesAt: () => season.surfaces });
  if (!written) return null;
  return againstSchemas(read, benchEntries(read, written, season, who), fieldOfBench);
}
