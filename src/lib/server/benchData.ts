import { sizeText } from '#core/devices/sizes';
import { settingAt } from '#core/sets/standing';
import type { SetType } from '#core/sets/setType';
import type { Station, TrapSet } from '#core/record/kinds';
import { toField } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { waterAt } from '#core/water/now';
import { newId } from './newId';
import type { Season } from './season';

/** Everything the bench shows for one set at one station; plain values, so that the page reckons while numbers change. */
export function benchData(season: Season, station: Station, type: SetType, set: TrapSet | undefined, number: number, locals: App.Locals) {
  const { now, who } = locals;
  const held = set && settingAt(set, now);
  const standing = Object.fromEntries((set?.stays ?? []).filter((s) => s.to === null).map((s) => [s.position, s.device]));
  const print = (key: string, value: number): string =>
    type.numbers[key]?.unit === 'share' ? `${Math.round(value * 100)} %` : printLength(value, who.person.system);
  const water = season.waters.find((w) => w.id === station.water);
  return {
    type: type.id,
    station,
    follows: season.follows[station.id] ?? null,
    waterName: water?.name ?? '',
    levels: waterAt(
      season.gauges.filter((g) => g.water === station.water),
      season.readings,
      now,
    ),
    words: who.words,
    ids: { entry: newId(), id: set?.id ?? newId() },
    held: held ?? null,
    fields: {
      number: String(set?.number ?? number),
      name: set?.name ?? station.name,
      state: set?.state ?? 'live',
      opens: set?.opens ?? '',
      anchor: set?.anchor ?? '',
      leftBecause: set?.leftBecause ?? '',
      note: set?.note ?? '',
      species: set?.species ?? type.species[0] ?? 'beaver',
      at: toField(now, season.line.zone),
      ...Object.fromEntries(Object.entries(held?.numbers ?? {}).map(([key, value]) => [`n.${key}`, print(key, value)])),
      ...Object.fromEntries(Object.entries(type.choices).map(([key, choice]) => [`c.${key}`, held?.choices[key] ?? choice.default])),
      ...Object.fromEntries(type.positions.map(({ id }) => [`d.${id}`, standing[id] ?? ''])),
    } as Record<string, string>,
    shed: season.shed
      .filter((d) => type.devices.includes(d.class) && d.condition !== 'lost' && d.condition !== 'broken')
      .map((d) => ({
        id: d.id,
        class: d.class,
        size: d.size,
        text: `${d.tag}, ${sizeText(d.class, d.size)}${d.set && d.set.id !== set?.id ? ` (stands in ${d.set.number} ${d.set.name})` : ''}`,
        free: !d.set || d.set.id === set?.id,
      })),
  };
}

export type BenchData = ReturnType<typeof benchData>;
