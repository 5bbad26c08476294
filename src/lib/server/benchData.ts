import { armAndWaders } from '#core/units/bodyGauge';
import { CLASS_WORDS, sizeText } from '#core/devices/sizes';
import { devicesAt, settingAt, thenOf } from '#core/sets/standing';
import { habitsOf } from '#core/sets/habits';
import { numberSpec, type SetType } from '#core/sets/setType';
import { printNumber } from '#core/sets/numberText';
import { answered } from '#core/sets/fills';
import type { ChoiceKey } from '#core/sets/keys';
import type { Device, Setting, TrapSet } from '#core/record/kinds';
import type { Station } from '#core/stations/placed';
import { localDate, toField } from '#core/time/localTime';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { db } from './database';
import { openings } from './repositories/scouting';
import { beginsWith } from '#core/schools/sides';
import { lureFields } from '#core/lure/typed';
import { stock } from './repositories/gear';
import { iceAhead } from './iceAhead';
import { newId } from '#lib/form/newId';
import { aroundOf, loadKnown } from './around';
import { factsHere } from '#lib/bench/ruled';
import { neighboursOf } from '#lib/season/oneSet';
import type { Written } from '#core/record/written';
import { index, type Season } from '#lib/season/season';
import { frameOf } from '#core/ahead/facts';

/** A set at the bench: one that stands in the record, or a new one, perhaps built like another. */
export interface Built {
  season: Season;
  station: Station;
  type: SetType;
  set: Written<TrapSet> | undefined;
  number: number;
  like?: TrapSet | undefined;
}

/** Everything the bench shows for one set at one station; plain values, so that the page calculates while numbers change. */
export async function benchData(built: Built, locals: App.Locals) {
  const { season, station, type, set, like } = built;
  const { now, who } = locals;
  const held = set && settingAt(set, now);
  const model = held ?? (like && habitsOf(type, settingAt(like, now)));
  return {
    type: type.id,
    station,
    follows: season.follows[station.id] ?? null,
    waterName: season.waters.find((w) => w.id === station.water)?.name ?? '',
    levels: season.levels[station.water] ?? { known: {}, age: {}, atMost: {} },
    ice: type.underIce ? iceAhead(season, station, set, locals) : null,
    neighbours: neighboursOf(season, station, set?.id, locals),
    words: who.words,
    /** what the reader measured of himself */
    hands: armAndWaders(who.person.measures),
    ids: { entry: newId(), id: set?.id ?? newId() },
    held: held ?? null,
    /** the levels it was measured from */
    heldThen: held ? thenOf(held, station, season.surfaces) : null,
    frame: frameOf(season, station.water, who.person.system),
    /** the user's own notes of the rules, shown beside every set */
    rulebook: season.line.rulebook,
    rules: rulesAt(built, now),
    /** what the critique looks at beside the design */
    around: await aroundHere(station, type, set, locals),
    overruled: set?.overruled ?? {},
    schools: season.line.schools,
    opened: set?.entry,
    opens: await opensOf(built, model, locals),
    /** the set whose numbers stand in the fields of a new one */
    copied: like ? `${like.number} ${like.name}` : '',
    fields: fieldsOf(built, model, locals),
    shed: shedFor(built),
    /** jars and bundles that what draws is taken from */
    jars: await jarsOf(locals),
    /** what is free and does not fit, with what would */
    unfit: usable(season)
      .filter((d) => !d.set && !type.devices.includes(d.class))
      .map((d) => `${d.tag}, ${sizeText(d.class, d.size)}`),
    takes: type.devices.map((c) => CLASS_WORDS[c]).join(' or '),
  };
}

/** What it is judged by, and what the record answers of it; null without a rulebook. */
function rulesAt({ season, station, set }: Built, now: Date) {
  return (
    season.rules && {
      book: season.rules.book,
      version: season.rules.version,
      attested: set?.attested ?? [],
      judged: set?.judged?.version ?? null,
      facts: factsHere(season, station, set && season.views.find((v) => v.id === set.id), now, now),
      today: localDate(now, season.line.zone),
      hours: season.clock.hours,
    }
  );
}

/** What stands in the fields of its form, as its reader writes it. @param model the setting whose numbers and choices stand there */
function fieldsOf({ season, station, type, set, number, like }: Built, model: Partial<Setting> | undefined, { now, who }: App.Locals) {
  const standing = {
    ...set?.reserved,
    ...Object.fromEntries((set?.stays ?? []).flatMap((s) => (s.to === null ? [[s.position, s.device]] : []))),
  };
  const freshTags = like ? freeAs(like, season, now) : {};
  const print = (key: string, value: number): string => printNumber(numberSpec(type, key) ?? { unit: 'length' }, value, who.person.system);
  const known = answered(type, station);
  const species = set?.species ?? like?.species ?? type.species[0] ?? 'beaver';
  /** what a new set begins with by the schools of its line */
  const byLine = beginsWith(season.line.schools, type, like?.species ?? type.species[0] ?? 'beaver');
  const choices = Object.entries(type.choices).map(([key, choice]) => [
    `c.${key}`,
    model?.choices?.[key] ?? known[key as ChoiceKey] ?? byLine[key] ?? choice.default,
  ]);
  const fields: Record<string, string> = {
    number: String(set?.number ?? number),
    name: set?.name ?? station.name,
    // what is built like a live set is built now; else nothing goes live that nobody said
    state: set?.state ?? (like?.state === 'live' ? 'live' : 'planned'),
    ...{ opens: set?.opens ?? '', anchor: set?.anchor ?? '', hole: set?.hole ?? '', leftBecause: set?.leftBecause ?? '' },
    ...{ took: set?.took ? String(set.took) : '', note: set?.note ?? '' },
    ...{ situation: set?.situation ?? '', exemption: set?.exemption ?? '', species },
    at: toField(now, season.line.zone),
    ...Object.fromEntries(Object.entries(model?.numbers ?? {}).map(([key, value]) => [`n.${key}`, print(key, value)])),
    ...(Object.fromEntries(choices) as Record<string, string>),
    ...lureFields(model?.lures),
    ...Object.fromEntries(type.positions.map(({ id }) => [`d.${id}`, standing[id] ?? freshTags[id] ?? ''])),
  };
  return fields;
}

/** What of the shed can be set at all. */
const usable = ({ shed }: Season) => shed.filter((d) => d.condition !== 'lost' && d.condition !== 'broken');

/** The traps that fit a type, each with where it stands. */
const shedFor = ({ season, type, set }: Built) =>
  usable(season)
    .filter((d) => type.devices.includes(d.class))
    .map((d) => ({
      id: d.id,
      class: d.class,
      size: d.size,
      text: `${d.tag}, ${sizeText(d.class, d.size)}${d.set && d.set.id !== set?.id ? ` (stands in ${d.set.number} ${d.set.name})` : ''}`,
      free: !d.set || d.set.id === set?.id,
    }));

async function aroundHere(station: Station, type: SetType, set: TrapSet | undefined, locals: App.Locals) {
  const known = await loadKnown(locals, station.water);
  return known && aroundOf(known, station, type, set, locals);
}

/** What a type that opens the dam is asked when its set goes live: the break as its numbers and the water of now have it. Null where it opens none, or did already. */
async function opensOf(
  { season, station, type, set }: Built,
  model: Partial<Pick<Setting, 'numbers'>> | undefined,
  { who }: App.Locals,
): Promise<{ words: string; width: string; bottom: string } | null> {
  const { acts } = type;
  if (!acts || set?.state === 'live') return null;
  const running = (await openings(db(), who.crew, station.water)).filter((o) => !o.mended);
  if (set && running.some((o) => o.set === set.id)) return null;
  const level = season.levels[station.water]?.known.pond;
  const bottom =
    level === undefined
      ? ''
      : levelText(level - (model?.numbers?.breakDepth ?? acts.depth), frameOf(season, station.water, who.person.system));
  return { words: acts.words, width: printLength(model?.numbers?.breakWidth ?? acts.width, who.person.system), bottom };
}

/** What of the shed draws, by portions, with how much of it there is. */
async function jarsOf({ who, now }: App.Locals): Promise<{ id: string; text: string }[]> {
  const kept = await stock(db(), who.crew, now);
  return kept
    .filter(({ kind, unit }) => (kind === 'lure' || kind === 'bait') && unit !== 'length' && unit !== 'weight')
    .map(({ id, name, have }) => ({ id, text: `${name} (${Math.round(have * 10) / 10})` }));
}

/** For each place of a set a free device of the same size as stands in it. */
function freeAs(like: TrapSet, season: Season, now: Date): Record<string, string> {
  const free = usable(season).filter((d) => !d.set);
  const taken = new Set<string>();
  const sizes = devicesAt(like, now, index<Device>(season.shed));
  return Object.fromEntries(
    Object.entries(sizes).flatMap(([position, wanted]) => {
      const found = free.find((d) => d.class === wanted.class && d.size === wanted.size && !taken.has(d.id));
      if (!found) return [];
      taken.add(found.id);
      return [[position, found.id]];
    }),
  );
}

export type BenchData = Awaited<ReturnType<typeof benchData>>;
