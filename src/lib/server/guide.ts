import type { Species } from '#core/animals/species';
import { critique } from '#core/critique/critique';
import { cutAndCarry } from '#core/gear/carry';
import { choicesFor, costOf, firstThree, type Choice, type Cost, type DesignAsked } from '#core/guide/designs';
import { rankSpots, type Spot } from '#core/guide/places';
import { middleOf, placingOf } from '#core/run/work';
import { crewMean } from '#core/planning/plan';
import { beginsWith } from '#core/schools/sides';
import { setTypeOf } from '#core/sets/catalogue';
import { layOut, placeOf, usualDevices } from '#core/sets/standing';
import { latest } from '#core/stations/measures';
import type { Station } from '#core/stations/placed';
import { localDate } from '#core/time/localTime';
import { armAndWaders } from '#core/units/bodyGauge';
import { remarkText } from '#core/words/critique';
import { aroundOf, loadKnown } from './around';
import { offered } from './planning';
import { seasonTotals } from './totals';

/** Remarks of a design that are told beside it. */
const REMARKS = 2;
/** Places that a larger plan takes. */
const MANY = 3;

type Known = NonNullable<Awaited<ReturnType<typeof loadKnown>>>;
type Totals = NonNullable<Awaited<ReturnType<typeof seasonTotals>>>;

/** The places of a water in the order to set them for an animal, and the designs to choose from at one of them. Null where there is no such water. */
export async function loadGuide(locals: App.Locals, water: string, species: Species, chosen: string | null) {
  const known = await loadKnown(locals, water);
  const body = known?.season.waters.find((w) => w.id === water);
  if (!known || !body) return null;
  const totals = (await seasonTotals(locals)) ?? [];
  const { season } = known;
  const { system } = locals.who.person;
  const month = Number(localDate(locals.now, season.line.zone).slice(5, 7));
  const here = season.stations.filter((s) => s.water === water);
  const ranked = rankSpots(
    here.map((s) => spotOf(known, s, species, totals, locals)),
    species,
    month,
    system,
  );
  const station = here.find((s) => s.id === chosen) ?? here.find((s) => s.id === ranked[0]?.id);
  const askedAt = (at: Station): DesignAsked => ({
    species,
    month,
    offered: offered(season, at, locals.now, known.taught),
    owned: ownedIn(known),
    tried: triedAt(known, at),
  });
  const { first, next } = station ? firstThree(askedAt(station)) : { first: [], next: null };
  const cost = costing(known, species, totals, locals);
  const [best] = ranked;
  const top = ranked.filter((r) => r.live === 0).slice(0, MANY);
  const firstAt = (id: string): { station: Station; choice: Choice } | null => {
    const at = here.find((s) => s.id === id);
    const choice = at && choicesFor(askedAt(at))[0];
    return at && choice ? { station: at, choice } : null;
  };
  return {
    water: { id: body.id, name: body.name },
    species,
    ranked,
    station: station ? { id: station.id, name: `${station.number} ${station.name}`, kind: station.kind, surface: station.surface } : null,
    levels: season.levels[water]?.known ?? {},
    designs: station
      ? first.map((choice) => ({
          ...choice,
          ...drawn(known, station, choice, species, locals),
          cost: cost([{ station, choice }], choice.name),
        }))
      : [],
    next,
    plans: best
      ? [top.slice(0, 1), top]
          .map((list) => list.flatMap((r) => firstAt(r.id) ?? []))
          .filter((list, n, all) => list.length > 0 && (n === 0 || list.length > (all[0]?.length ?? 0)))
          .map((list) => cost(list, list.length === 1 ? 'One set' : `${list.length} sets at once`))
      : [],
  };
}

function spotOf(known: Known, station: Station, species: Species, totals: Totals, locals: App.Locals): Spot {
  const { season, scouted } = known;
  const value = (what: Parameters<typeof latest>[1]): number | null => latest(station.measures, what)?.value ?? null;
  const live = season.sets.filter((s) => s.state === 'live');
  const ways = value('passages');
  const own = live.filter((s) => s.station === station.id).length;
  const beside = live.flatMap((s) => {
    const at = season.stations.find((p) => p.id === s.station);
    return at && at.water === station.water && at.id !== station.id ? [Math.abs(at.along - station.along)] : [];
  });
  const gave = totals.filter((t) => t.station === station.id && t.species === species);
  const { verdict, sentence } = scouted.use(station.id);
  return {
    ...{
      id: station.id,
      number: station.number,
      name: station.name,
      offered: offered(season, station, locals.now, known.taught),
      live: own,
    },
    use: { verdict, said: sentence },
    seen: [...new Set(scouted.found(station.id).map((s) => s.species))],
    sink: value('pushIn') ?? value('sink'),
    bend: value('bend') === null ? null : value('bend') === 1,
    pool: value('poolDepth'),
    passages: ways === null ? null : { count: ways, set: own },
    nearest: beside.length === 0 ? null : Math.min(...beside),
    caught: gave.reduce((n, t) => n + (t.caught[species] ?? 0), 0),
    nights: gave.reduce((n, t) => n + t.inBand.high / 24, 0),
  };
}

const ownedIn = ({ season }: Known) =>
  season.shed
    .filter((d) => !d.set && d.condition !== 'broken' && d.condition !== 'lost')
    .map(({ class: kind, size }) => ({ class: kind, size }));

const triedAt = ({ season, visits }: Known, { id }: Station) =>
  season.sets
    .filter((s) => s.station === id)
    .map((s) => {
      const looks = visits.get(s.id) ?? [];
      return {
        type: s.type as string,
        looks: looks.length,
        caught: looks.flatMap((v) => v.devices).filter((d) => d.outcome === 'catch').length,
      };
    });

/** A design as it would stand at the place now, with what an old hand would say against it. */
function drawn(known: Known, station: Station, choice: Choice, species: Species, locals: App.Locals) {
  const { season } = known;
  const type = setTypeOf(choice.type);
  const { system, measures } = locals.who.person;
  const usual = usualDevices(type);
  const devices = choice.device ? Object.fromEntries(Object.keys(usual).map((at) => [at, choice.device ?? type.usual])) : usual;
  const choices = beginsWith(season.line.schools, type, species);
  const then = season.levels[station.water]?.known ?? {};
  const place = placeOf(station, season.follows[station.id] ?? null);
  const design = layOut(type, { numbers: {}, choices, then, place, devices, hands: armAndWaders(measures) }, system);
  const around = aroundOf(known, station, type, undefined, locals);
  const remarks = critique({
    ...{
      type,
      species,
      state: 'planned' as const,
      numbers: {},
      choices,
      devices,
      design,
      then,
      surface: station.surface,
      anchor: '',
      around,
    },
  });
  const closed = around.closed.includes(species) ? [`${species} closed today by your rulebook`] : [];
  return { design, remarks: [...closed, ...remarks.slice(0, REMARKS).map((r) => remarkText(r, system).sentence)] };
}

/** What sets of some designs cost and give: by the person's own minutes, and by what such sets gave this season. */
function costing({ season }: Known, species: Species, totals: Totals, locals: App.Locals) {
  const minutes = middleOf(season.minutes);
  const placed = (type: string): { place: number; ice: number } => ({
    place: placingOf(type, season.minutes.place, season.times).minutes,
    ice: placingOf(type, season.minutes.ice, season.times).minutes,
  });
  const typeOf = Object.fromEntries(season.sets.map((s) => [s.id, s.type as string]));
  const own = totals.filter((t) => t.species === species);
  const nightsOf = (list: Totals): number => list.reduce((n, t) => n + t.inBand.high / 24, 0);
  const caughtOf = (list: Totals): number => list.reduce((n, t) => n + (t.caught[species] ?? 0), 0);
  const mean = crewMean(caughtOf(own), nightsOf(own));
  return (list: { station: Station; choice: Choice }[], name: string): Cost => {
    const each = list.map(({ station, choice }) => {
      const type = setTypeOf(choice.type);
      const place = placeOf(station, season.follows[station.id] ?? null);
      const laid = { numbers: {}, choices: {}, then: season.levels[station.water]?.known ?? {}, place, devices: usualDevices(type) };
      const carried = cutAndCarry(layOut(type, laid, locals.who.person.system));
      const alike = own.filter((t) => typeOf[t.id] === choice.type);
      return costOf({
        name,
        sets: 1,
        traps: Object.keys(usualDevices(type)).length,
        underIce: type.underIce ?? false,
        minutes: { ...minutes, ...placed(type.id) },
        pieces: carried.filter((c) => c.kind !== 'device' && c.kind !== 'cable').reduce((n, c) => n + c.count, 0),
        cable: carried.filter((c) => c.kind === 'cable').reduce((n, c) => n + (c.amount ?? 0), 0),
        caught: caughtOf(alike),
        nights: nightsOf(alike),
        mean,
      });
    });
    const sum = (of: (cost: Cost) => number): number => each.reduce((n, c) => n + of(c), 0);
    return {
      name,
      ...{ minutes: sum((c) => c.minutes), look: sum((c) => c.look), traps: sum((c) => c.traps) },
      ...{ pieces: sum((c) => c.pieces), cable: sum((c) => c.cable), perNight: sum((c) => c.perNight) },
      rests: each.length === 1 ? (each[0]?.rests ?? '') : 'each by its own kind',
    };
  };
}
