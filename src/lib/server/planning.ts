import { tell } from '#core/words/finding';
import { intervalOf } from '#core/rules/inForce';
import { seasonAt } from '#core/rules/seasons';
import type { Station } from '#core/stations/placed';
import { SPECIES, type Species } from '#core/animals/species';
import { latest } from '#core/stations/measures';
import { offeredAt } from '#core/stations/offered';
import type { Offered } from '#core/sets/offer';
import { standerOf, standingAt } from '#core/stations/standing';
import { iceHere } from '#core/ice/sheets';
import { placingOf } from '#core/run/work';
import { setTypeOf } from '#core/sets/catalogue';
import { crewMean, planOf, planSentence, withinSentence, type Candidate, type PlanInput, type Ranked } from '#core/planning/plan';
import { metOn, type Met } from '#core/planning/met';
import { suggestionsFor, type Suggestion } from '#core/planning/suggest';
import { boundariesOf, outsideSentence } from '#core/ground/permission';
import { clockText, dateText, dayText } from '#core/time/clock';
import { addDays, instantOf, localDate } from '#core/time/localTime';
import { isPlaced, sunOf } from '#core/time/sun';
import { cameraPlaces } from './counting';
import { learnedHere } from './colonies';
import { db } from './database';
import { grounds, intents } from './repositories/scouting';
import { loadScouted, stationName } from './scouting';
import { mostlyMeant } from '#core/planning/mostlyMeant';
import { loadSeason } from './season';
import type { Season } from '#lib/season/season';
import { yieldsOf } from './yields';

export const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

export interface Asked {
  species: Species;
  wanted: number;
  handled: number;
  people: number;
  traps: number;
  days: string[];
  minutes: number | null;
  water: string | null;
}

/** What the plan is asked, out of the address; an absurd number falls back to its default. @param usual the animal, where none is named */
export function askedOf(params: URLSearchParams, freeTraps: number, usual: Species): Asked {
  const number = (name: string, otherwise: number, least = 0): number => {
    const value = Number(params.get(name));
    return params.get(name) && Number.isFinite(value) && value >= least && value <= 500 ? value : otherwise;
  };
  const species = params.get('species') as Species;
  const days = params.getAll('day').filter((d) => (WEEKDAYS as readonly string[]).includes(d));
  return {
    species: SPECIES.includes(species) ? species : usual,
    wanted: number('wanted', 6, 1),
    handled: number('handled', 3, 0.5),
    people: Math.round(number('people', 1, 1)),
    traps: Math.round(number('traps', freeTraps)),
    days: days.length > 0 ? days : [...WEEKDAYS],
    minutes: params.get('minutes') ? number('minutes', 40, 1) : null,
    water: params.get('water') || null,
  };
}

/** The next two free days from today on, local dates. */
export function freeDays(today: string, days: readonly string[]): [string, string] {
  const dates = Array.from({ length: 15 }, (_, i) => addDays(today, i)).filter((d) =>
    days.includes(WEEKDAYS[(new Date(`${d}T12:00:00Z`).getUTCDay() + 6) % 7] ?? ''),
  );
  return [dates[0] ?? today, dates[1] ?? addDays(dates[0] ?? today, 7)];
}

export interface PlanRow extends Ranked {
  number: number;
  name: string;
  water: string;
  waterId: string;
  kind: string;
  use: string;
  known: boolean;
  types: { type: string; built: string | null; why: string }[];
}

/** What a place is, for the types that are tried there. @param taught what its animals learned this season */
export const offered = (season: Season, station: Station, now: Date, taught: readonly Met[]): Offered => ({
  ...offeredAt(
    station,
    season.levels[station.water]?.known ?? {},
    iceHere(station, season.sheets[station.water], season.ice, now) !== null,
    metOn(station.water, [...season.earlier, ...taught]),
  ),
  schools: season.line.schools,
  shyOf: taught.filter((m) => m.water === station.water).flatMap((m) => m.devices),
});

/** The days of a plan, and how long it is light on the first of them. */
function daysOf(season: Season, days: readonly string[], now: Date) {
  const { zone } = season.line;
  const today = localDate(now, zone);
  const [setting, back] = freeDays(today, days);
  const sun = sunOf(setting, zone, season.line);
  const begin = setting === today && sun.sunrise && now > sun.sunrise ? now : (sun.sunrise ?? instantOf(setting, '07:00', zone));
  const sunset = sun.sunset ?? instantOf(setting, '17:00', zone);
  const until = isPlaced(season.line) ? clockText(sunset, season.clock) : null;
  return {
    ...{ today, setting, back, until },
    light: until === null ? Infinity : Math.max(0, Math.floor((sunset.getTime() - begin.getTime()) / 60_000)),
    nights: Math.round((Date.parse(back) - Date.parse(setting)) / 86_400_000),
  };
}

type Yields = Awaited<ReturnType<typeof yieldsOf>>;
const caughtOf = (list: Yields): number => list.reduce((n, y) => n + y.caught, 0);
const nightsOf = (list: Yields): number => list.reduce((n, y) => n + y.hours.high / 24, 0);

/** All that places are weighed by. */
interface Weighing {
  locals: App.Locals;
  season: Season;
  scouted: Awaited<ReturnType<typeof loadScouted>>;
  /** of the animal that is meant */
  yields: Yields;
  leave: ReturnType<typeof boundariesOf>;
  intended: Awaited<ReturnType<typeof intents>>;
  species: ReturnType<typeof askedOf>['species'];
  setting: string;
}

/** A place as the plan weighs it, with the type that suits it first. */
function candidateOf(s: Station, suggestion: Suggestion | null, weighing: Weighing): Candidate {
  const { locals, season, scouted, yields, leave, intended, species, setting } = weighing;
  const kindOf = (id: string) => season.stations.find((own) => own.id === id)?.kind;
  const alike = yields.filter((y) => kindOf(y.station) === s.kind);
  return {
    id: s.id,
    name: stationName(s),
    water: season.waters.find((w) => w.id === s.water)?.name ?? '',
    activity: scouted.activity(s.id, species) ?? (scouted.activity(s.id) === null ? null : 0),
    caught: caughtOf(alike),
    nights: nightsOf(alike),
    suggestion,
    ...(suggestion ? { minutes: placingMinutes(season, suggestion.built) } : {}),
    barred: closedBy(season, s, species, setting) ?? barredOf(locals, season, s, leave),
    taken: takenOf(season, intended, s),
  };
}

/** What is meant for places already: by an intent, or by a set of the bench that does not stand yet. */
function intendedAt({ season, intended }: Weighing, here: Readonly<Record<string, Station>>, today: string) {
  const dated = (opens: string | null): string => (opens ? ` for ${dateText(opens, today, season.clock.hours)}` : '');
  const meant = intended.map((i) => {
    const place = here[i.station];
    const said = i.doing === 'left' ? `left unset, ${i.because}` : `${i.type}, ${i.doing}${dated(i.opens)}`;
    return { id: i.id, station: place?.number ?? 0, text: `${place ? stationName(place) : ''}: ${said}`, href: `/book/${i.entry}` };
  });
  const built = season.views
    .filter((v) => (v.state === 'planned' || v.state === 'prepared') && here[v.station.id])
    .map((v) => {
      const text = `${v.number} ${v.name}: ${v.typeName}, ${v.state}${dated(v.opens)}`;
      return { id: v.id, station: v.station.number, text, href: `/bench/${v.id}` };
    });
  return [...meant, ...built].filter((i) => i.text.trim() !== '');
}

/** The plan: every place of the crew, or of one water, in the order of what it brings, taken or left with its reason. */
export async function loadPlan(locals: App.Locals, params: URLSearchParams) {
  const season = await loadSeason(locals);
  if (!season) return null;
  const [scouted, yields, ground, intended, taught] = await Promise.all([
    loadScouted(locals),
    yieldsOf(locals),
    grounds(db(), locals.who.crew),
    intents(db(), locals.who.crew, { line: season.line.id }),
    learnedHere(locals),
  ]);
  const free = season.shed.filter((d) => d.set === null && d.condition !== 'broken' && d.condition !== 'lost').length;
  const asked = askedOf(params, free, mostlyMeant(season.views));
  const { species } = asked;
  const { today, setting, back, until, light, nights } = daysOf(season, asked.days, locals.now);
  const own = yields.filter((y) => y.species === species);
  const mean = crewMean(caughtOf(own), nightsOf(own));
  const each = season.minutes.place.minutes;
  const { wanted, handled, people, traps } = asked;
  const input: PlanInput = {
    ...{ wanted, handled, people, traps, each, nights, mean },
    minutes: asked.minutes ?? light,
    isPaced: season.line.schools.pace === 'one',
  };
  const month = Number(setting.slice(5, 7));
  const here = season.stations.filter((s) => !asked.water || s.water === asked.water);
  const byId = Object.fromEntries(here.map((s) => [s.id, s]));
  const types = Object.fromEntries(here.map((s) => [s.id, suggestionsFor(species, offered(season, s, locals.now, taught), month)]));
  const weighing: Weighing = { ...{ locals, season, scouted, yields: own, intended, species, setting }, leave: boundariesOf(ground) };
  const candidates = here.map((s) => candidateOf(s, types[s.id]?.find((t) => t.first) ?? null, weighing));
  const rows = planOf(candidates, input).map((ranked): PlanRow => {
    const place = byId[ranked.id] as Station;
    const { id, number, kind, water: waterId } = place;
    const water = season.waters.find((w) => w.id === waterId)?.name ?? '';
    const known = scouted.activity(id) !== null;
    const said = { name: stationName(place), use: scouted.use(id).sentence, types: types[id] ?? [] };
    return { ...ranked, number, kind, waterId, water, known, ...said };
  });
  const take = rows.filter((r) => r.take);
  const [camera] = await cameraPlaces(locals, season, scouted, here);
  const words = (date: string): string => dayText(instantOf(date, '12:00', season.line.zone), season.clock);
  return {
    ...{ asked, setting, back, nights, light, each, free, rows, mean, season },
    sentence: planSentence(take, { day: words(setting), back: words(back), nights, until }, input),
    rule: intervalOf(season.line, season.rules, { devices: [], situation: null, underIce: false }).every,
    within: asked.minutes === null ? null : withinSentence(asked.minutes, asked.traps, asked.people, each, take),
    camera: camera?.sentence ?? null,
    waters: season.waters.map((w) => ({ value: w.id, text: w.name })),
    intended: intendedAt(weighing, byId, today),
  };
}

/** What placing a set of a type takes its reader: by that type where he wrote often enough, through ice by its own. */
function placingMinutes({ minutes, times }: Season, type: string): number {
  const any = setTypeOf(type).underIce ? minutes.ice : minutes.place;
  return placingOf(type, any, times).minutes;
}

/** What keeps a person from a place: no leave, too deep, ice under the table's figure; null where nothing known does. */
/** That the rulebook in force closes the animal on the day of setting, with its rule and the day on which it opens; null where it does not. */
function closedBy({ rules, areas, clock }: Season, { water }: Station, species: Species, date: string): string | null {
  if (!rules) return null;
  const found = seasonAt(rules.book, species, { date, time: '12:00', area: areas[water] ?? '' });
  if (found.is !== 'closed') return null;
  const opens = found.opens ? ` Opens ${dateText(found.opens.date, date, clock.hours)}.` : '';
  return `Closed then by your rulebook (${found.rule}).${opens}`;
}

export function barredOf({ who, now }: App.Locals, season: Season, s: Station, leave: [number, number][][]): string | null {
  const outside = s.lat === null || s.lon === null ? null : outsideSentence(stationName(s), [s.lon, s.lat], leave);
  if (outside) return outside;
  const level = season.levels[s.water]?.known[s.surface];
  const depth = s.bed && level !== undefined ? level - (s.bed.level - s.bed.depth) : null;
  const sink = latest(s.measures, 'sink')?.value ?? null;
  const ice = iceHere(s, season.sheets[s.water], season.ice, now);
  const standing = tell(standingAt({ depth, sink, ice }, standerOf(who.person.measures)), who.person.system);
  return standing.verdict === 'fails' ? standing.sentence : null;
}

function takenOf(season: Season, intended: { station: string; doing: string; type: string; because: string }[], s: Station): string | null {
  const view = season.views.find((v) => v.station.id === s.id);
  if (view) return `${view.state === 'live' ? 'A live set stands there' : `In the plan, ${view.state}`}: ${view.number} ${view.name}.`;
  const intent = intended.find((i) => i.station === s.id);
  if (!intent) return null;
  return intent.doing === 'left' ? `Left unset: ${intent.because}.` : `In the plan, ${intent.doing}: ${intent.type}.`;
}
