import { error, redirect } from '@sveltejs/kit';
import { suggestionsFor } from '#core/planning/suggest';
import { CATALOGUE, findType } from '#core/sets/catalogue';
import { typesFor } from '#core/sets/search';
import { SPECIES } from '#core/animals/species';
import type { Offered } from '#core/sets/offer';
import type { DeviceClass } from '#core/devices/sizes';
import type { SetType } from '#core/sets/setType';
import { learnedHere } from '$lib/server/colonies';
import { offered } from '$lib/server/planning';
import { readBench } from '#lib/bench/readBench';
import { benchData } from '$lib/server/benchData';
import { saveBench } from '$lib/server/benchSave';
import { reader } from '#lib/form/reader';
import { refused } from '$lib/server/form';
import { numberFor } from '#core/sets/numbering';
import { setNumbers } from '$lib/server/repositories/sets';
import { db } from '$lib/server/database';
import { loadSeason } from '$lib/server/season';
import { surfacesAt } from '$lib/server/surfaces';
import type { Season } from '#lib/season/season';
import type { TrapSet } from '#core/record/kinds';
import type { Actions, PageServerLoad } from './$types';

/** The type that is tried first at a place in this month for an animal, or for the first one that a type is tried for, with the device at hand; of the catalogue where there is none. */
function suits(place: Offered, now: Date, animal: string | null, device: DeviceClass | undefined): SetType | undefined {
  const month = now.getUTCMonth() + 1;
  const wanted = SPECIES.find((s) => s === animal);
  const takes = (type: SetType | undefined): boolean => type !== undefined && (device === undefined || type.devices.includes(device));
  const proposed = (wanted ? [wanted] : SPECIES)
    .flatMap((species) => suggestionsFor(species, place, month))
    .filter((p) => takes(findType(p.built ?? '')));
  const first = proposed.find((p) => p.first) ?? proposed[0];
  return findType(first?.built ?? '') ?? typesFor({ place: place.kind, month }).find(takes) ?? CATALOGUE.find(takes);
}

/** The free trap that was chosen for the place, where one was. */
const deviceOf = (season: Season, url: URL) => season.shed.find((d) => d.id === url.searchParams.get('device') && !d.set);

async function placeOf(locals: App.Locals, url: URL) {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const station = season?.stations.find((s) => s.id === url.searchParams.get('station'));
  if (!season || !station) error(404, 'There is no such location in this record.');
  const place = async (): Promise<Offered> => offered(season, station, locals.now, await learnedHere(locals, station.water));
  const fitting =
    findType(url.searchParams.get('type') ?? '') ??
    suits(await place(), locals.now, url.searchParams.get('species'), deviceOf(season, url)?.class);
  if (!fitting) error(404, 'There is no such type of set.');
  return { season, station, type: fitting };
}

/** The set that a new one is made like: the one that is named, or the last of its type this season; none when `like` is empty. */
async function likeOf(season: Season, type: string, url: URL): Promise<TrapSet | undefined> {
  const named = url.searchParams.get('like');
  if (named === '') return undefined;
  const ofType = season.sets.filter((s) => s.type === type);
  const latest = (s: TrapSet): string => s.settings.at(-1)?.at ?? '';
  return ofType.find((s) => s.id === named) ?? ofType.sort((a, b) => latest(a).localeCompare(latest(b))).at(-1);
}

export const load: PageServerLoad = async ({ locals, url }) => {
  const { season, station, type } = await placeOf(locals, url);
  const like = await likeOf(season, type.id, url);
  const stations = season.stations.map((s) => s.number);
  const number = numberFor(station.number, await setNumbers(db(), season.line.id), stations);
  const bench = await benchData({ season, station, type, set: undefined, number, like }, locals);
  // a trap that was chosen for the place stands in its first position
  const chosen = deviceOf(season, url);
  const position = type.positions[0];
  if (chosen && position && type.devices.includes(chosen.class)) bench.fields[`d.${position.id}`] = chosen.id;
  // the animal that was asked for, where the type takes it
  const meant = type.species.find((s) => s === url.searchParams.get('species'));
  if (meant) bench.fields.species = meant;
  if (url.searchParams.get('state') === 'live') bench.fields.state = 'live';
  return { bench };
};

export const actions: Actions = {
  default: async ({ request, locals, url }) => {
    const { season, station, type } = await placeOf(locals, url);
    const read = reader(await request.formData(), locals.who);
    const written = await readBench(read, {
      season,
      station,
      type,
      before: undefined,
      now: locals.now,
      by: locals.who.person.id,
      system: locals.who.person.system,
      surfacesAt: (moments) => surfacesAt(season.gauges, moments),
    });
    if (!written) return refused(read);
    const failure = await saveBench(read, written, season, locals);
    if (failure) return failure;
    redirect(303, `/bench/${written.set.id}?saved=1`);
  },
};
