import { NOTHING_AROUND, type Around } from '#core/critique/asked';
import type { ChoiceKey } from '#core/sets/keys';
import { CLASS_WORDS, sizeText } from '#core/devices/sizes';
import { answered } from '#core/sets/fills';
import { setTypeOf } from '#core/sets/catalogue';
import { numberSpec } from '#core/sets/setType';
import { printNumber } from '#core/sets/numberText';
import { useOf } from '#core/sign/activity';
import type { Station } from '#core/stations/placed';
import { tell } from '#core/words/finding';
import { dayOf, type Stranger } from '#core/trainer/stranger';
import type { Build, Lesson } from '#core/trainer/lived';
import type { System } from '#core/units/factors';
import { plainFrame } from '#core/units/frame';
import type { BenchData } from '$lib/server/benchData';

/** What a lesson's place gives the critique: its sign, who was trapped before, ice. Nothing of the record. */
export function aroundOf(pond: Stranger, lesson: Lesson, station: Station): Around {
  const signs = pond.signs[station.id] ?? [];
  const { verdict, sentence } = tell(useOf(signs, dayOf(0)), 'us');
  return {
    ...NOTHING_AROUND,
    month: 11,
    use: { verdict, said: sentence },
    seen: ['beaver'],
    met: Object.fromEntries(pond.before.map((d) => [d, `A ${CLASS_WORDS[d]} was used here last winter, and some were left.`])),
    isFrozen: lesson.ice > 0.02,
    wentRound: lesson.tracks.filter((t) => t.station === station.id && t.went === 'round').length,
    slope: station.measures.find((m) => m.what === 'slope')?.value ?? null,
  };
}

/** Lent traps that stand in no other set. */
export function freeTraps(pond: Stranger, lesson: Lesson, but?: string): Stranger['traps'] {
  const used = new Set(lesson.sets.filter((s) => !s.pulled && s.build.id !== but).flatMap((s) => Object.values(s.build.traps)));
  return pond.traps.filter((t) => !used.has(t.id));
}

/** Everything the bench asks for, of a place that is in no record. @param held the set as it stands there */
export function benchOf(
  pond: Stranger,
  lesson: Lesson,
  at: { station: Station; type: string; held: Build | null; id: string },
  system: System,
): BenchData {
  const { station, held, id } = at;
  const type = setTypeOf(at.type);
  const known = answered(type, station);
  const free = freeTraps(pond, lesson, id).filter((t) => type.devices.includes(t.class));
  const first = type.positions.find((p) => !p.optional) ?? type.positions[0];
  const print = (key: string, value: number): string => printNumber(numberSpec(type, key) ?? { unit: 'length' }, value, system);
  const data: Omit<BenchData, 'fields'> & { fields: Record<string, string> } = {
    ...{ type: type.id, station, follows: null, waterName: 'A stranger’s pond', ice: null, neighbours: [], words: {}, hands: {} },
    levels: { known: lesson.levels, age: {}, atMost: {} },
    ...{ ids: { entry: '', id }, held: null, heldThen: null, frame: plainFrame(system), rulebook: '', rules: null },
    around: aroundOf(pond, lesson, station),
    ...{ overruled: {}, schools: {}, opened: undefined, opens: null, copied: '', jars: [], unfit: [] },
    fields: {
      state: 'live',
      species: 'beaver',
      anchor: held?.anchor ?? '',
      ...Object.fromEntries(Object.entries(held?.numbers ?? {}).map(([key, value]) => [`n.${key}`, print(key, value)])),
      ...Object.fromEntries(
        Object.entries(type.choices).map(([key, choice]) => [`c.${key}`, held?.choices[key] ?? known[key as ChoiceKey] ?? choice.default]),
      ),
      ...Object.fromEntries(type.positions.map((p) => [`d.${p.id}`, held?.traps[p.id] ?? (p.id === first?.id ? (free[0]?.id ?? '') : '')])),
    },
    shed: free.map((t) => ({ ...t, text: `${t.tag}, ${sizeText(t.class, t.size)}`, free: true })),
    takes: type.devices.map((c) => CLASS_WORDS[c]).join(' or '),
  };
  return data;
}
