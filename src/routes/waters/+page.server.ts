import { redirect } from '@sveltejs/kit';
import { FORMS, parsePoints, pointsOf, shapeOf, type Form } from '#core/ground/points';
import { boundariesOf, outsideSentence } from '#core/ground/permission';
import { upwindText, windText } from '#core/ground/wind';
import { GROUND_KINDS, type GroundKind } from '#core/record/scouting';
import { simulateFix, simulateWind } from '#core/sim/outside';
import { spanText } from '#core/time/clock';
import { iceAt } from '#core/ice/growth';
import { merged } from '#core/weather/hours';
import type { Station } from '#core/stations/placed';
import { stateOf } from '#core/sets/standing';
import { gustText } from '#core/units/speed';
import { levelText, plainFrame } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { db } from '$lib/server/database';
import { bodyOf } from '#core/record/written';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { sites } from '$lib/server/repositories/places';
import { grounds } from '$lib/server/repositories/scouting';
import { factorAt } from '#core/ice/sheets';
import { weatherSince } from '$lib/server/repositories/moving';
import { lineRemarks } from '$lib/server/around';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import { frameOf } from '#core/ahead/facts';
import { readPlace } from '$lib/server/placeForm';
import type { Actions, PageServerLoad } from './$types';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;
const NEVER = { known: {}, age: {}, atMost: {} };

export const load: PageServerLoad = async ({ locals, url }) => {
  const [season, places, ground, told, remarks] = await Promise.all([
    loadSeason(locals),
    sites(db(), locals.who.crew),
    grounds(db(), locals.who.crew),
    weatherSince(db(), locals.who.crew, new Date(locals.now.getTime() - 2 * DAY)),
    lineRemarks(locals),
  ]);
  const { system } = locals.who.person;
  const { simulated, ...wind } = windNow(told, locals.now);
  const shown = places.find((s) => s.id === url.searchParams.get('site')) ?? places[0];
  return {
    remarks,
    ids: { entry: newId(), water: newId(), gaugeEntry: newId(), gauge: newId(), ground: newId(), groundEntry: newId() },
    shown: shown?.id ?? null,
    shownWater: url.searchParams.get('water'),
    wind: { ...wind, simulated, text: windText(wind, simulated, system), speedText: gustText(wind.speed, system) },
    fix:
      shown && shown.lat !== null && shown.lon !== null
        ? simulateFix(Math.floor(locals.now.getTime() / 60_000), [shown.lon, shown.lat])
        : null,
    kinds: GROUND_KINDS,
    ground: ground.map(({ id, site, water, kind, name, shape, note, entry }) => ({ id, site, water, kind, name, shape, note, entry })),
    stations: season ? stationsOnMap(season, ground, system, locals.now) : [],
    sites: places.map((site) => ({
      ...site,
      waters: (season?.waters ?? [])
        .filter((w) => w.site === site.id)
        .map((water) => {
          const levels = season?.levels[water.id];
          const frame = season?.frames[water.id] ?? plainFrame(system);
          const views = (season?.views ?? []).filter((v) => v.station.water === water.id);
          const verdicts = views.filter((v) => v.state === 'live').map((v) => stateOf(v, levels ?? NEVER, frame)?.verdict ?? 'unknown');
          const level = levels?.known.pond;
          const line = ground.find((g) => g.water === water.id && (g.kind === 'shore' || g.kind === 'stream line'));
          return {
            id: water.id,
            name: water.name,
            kind: water.kind,
            note: water.note,
            stations: (season?.stations ?? []).filter((s) => s.water === water.id).length,
            live: verdicts.length,
            out: verdicts.filter((v) => !['fine', 'nearEdge', 'unknown'].includes(v)).length,
            level: level === undefined ? 'never read' : `${levelText(level, frame)}, read ${spanText(levels?.age.pond ?? 0)} ago`,
            upwind: line && line.shape.type !== 'Point' ? upwindText(line.kind as 'shore', pointsOf(line.shape).points, wind) : '',
          };
        }),
    })),
  };
};

/** The wind of the hour as the record's station told it; else the simulated one. */
function windNow(told: Awaited<ReturnType<typeof weatherSince>>, now: Date) {
  const hour = merged(told).find((h) => h.at <= now.getTime() && h.at + HOUR > now.getTime());
  return hour
    ? { from: hour.from, speed: hour.wind, simulated: told.at(-1)?.source === 'simulated' }
    : { ...simulateWind(11, now), simulated: true };
}

function stationsOnMap(season: Season, ground: Awaited<ReturnType<typeof grounds>>, system: 'us' | 'metric', now: Date) {
  const leave = boundariesOf(ground);
  return season.stations.map((s) => {
    const view = season.views.find((v) => v.station.id === s.id);
    const state = view?.state === 'live' ? stateOf(view, season.levels[s.water] ?? NEVER, frameOf(season, s.water, system)) : null;
    return {
      id: s.id,
      water: s.water,
      number: s.number,
      name: s.name,
      kind: s.kind,
      lat: s.lat,
      lon: s.lon,
      mark: view ? (state?.verdict ?? (view.state === 'live' ? ('unknown' as const) : view.state)) : null,
      thin: thinText(season, s, now, system),
      label: view ? `${view.typeName}, ${state?.label ?? view.state}` : 'no set',
      outside: s.lat === null || s.lon === null ? null : outsideSentence(`${s.number} ${s.name}`, [s.lon, s.lat], leave),
    };
  });
}

/** Where the ice is thinner than over the open water; null elsewhere. */
function thinText(season: Season, station: Station, now: Date, system: 'us' | 'metric'): string | null {
  const sheet = season.sheets[station.water];
  const ice = sheet && iceAt(sheet.course, now.getTime());
  if (!sheet || !ice) return null;
  const { factor, why } = factorAt(station, sheet, season.ice);
  return factor < 0.8 ? `Thin ice: ${printLength(ice.low * factor, system)} may be all, ${why}. No ice is safe.` : null;
}

/** The choice of a site that is not in the record yet. */
const ANOTHER = 'another';

/** A new water with its first gauge. */
const waterWithGauge = (
  { crew, occurredAt, by }: Pick<NewEntry, 'crew' | 'occurredAt' | 'by'>,
  ids: { entry: string; gaugeEntry: string; gauge: string },
  body: NewEntry<'water'>['body'] & { id: string },
): NewEntry[] => [
  { crew, occurredAt, by, id: ids.entry, kind: 'water', body },
  {
    ...{ crew, occurredAt, by, id: ids.gaugeEntry, kind: 'gauge' as const },
    body: { id: ids.gauge, water: body.id, name: 'gauge', surface: 'pond', zero: 0 },
  },
];

export const actions: Actions = {
  water: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const id = read.text('water');
    const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
    const isNew = read.text('site') === ANOTHER;
    const site = isNew ? idBeside(id, 'site') : read.text('site');
    if (site === '') read.refuse('site', 'Choose the site on which the water lies.');
    if (isNew && read.text('siteName') === '') read.refuse('siteName', 'Name the site: its owner, its road, a word you will know it by.');
    const place = isNew ? readPlace(read) : { lat: null, lon: null };
    if (!read.ok()) return refused(read);
    const fresh: NewEntry[] = isNew
      ? [
          {
            ...common,
            id: idBeside(id, 'site entry'),
            kind: 'site',
            body: {
              ...{ id: site, name: read.text('siteName'), ...place, owner: read.text('owner'), access: read.text('access') },
              ...{ endangered: read.text('endangered'), users: read.text('users'), area: read.text('area') },
            },
          },
        ]
      : [];
    const result = await attempt(read, () =>
      record(
        db(),
        ...fresh,
        ...waterWithGauge(
          common,
          { entry: read.text('entry'), gaugeEntry: read.text('gaugeEntry'), gauge: read.text('gauge') },
          { id, site, name: read.text('name'), kind: read.text('kind') as 'pond', note: read.text('note') },
        ),
      ),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${id}`);
  },

  /** Saves a drawn or typed shape: a new piece of ground, an old one with its new shape, or a station's place. */
  ground: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const season = await loadSeason(locals);
    const subject = read.text('subject');
    const station = season?.stored.stations.find((s) => s.id === subject);
    const form = station ? 'point' : FORMS.includes(read.text('form') as Form) ? (read.text('form') as Form) : 'line';
    const points = parsePoints(read.text('points'));
    if (!points.ok) read.refuse('points', points.sentence);
    const made = points.ok ? shapeOf(form, points.points) : null;
    if (made && !made.ok) read.refuse('points', made.sentence);
    if (!read.ok() || !made?.ok) return refused(read);
    const common = { id: read.text('groundEntry'), crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
    const old = station ? undefined : (await grounds(db(), locals.who.crew)).find((g) => g.id === subject);
    const kept = old && { id: old.id, site: old.site, water: old.water, properties: old.properties };
    const isNewWater = !station && !old && read.text('water') === ANOTHER;
    const water = isNewWater ? idBeside(read.text('ground'), 'water') : read.text('water') || null;
    const fresh = { id: read.text('ground'), site: read.text('site'), water, properties: {} };
    const entryOf = (what: string): string => idBeside(read.text('groundEntry'), what);
    // a shore is a pond's, a line a stream's; the water is named as the drawing is
    const kind = read.text('groundKind') === 'shore' ? ('pond' as const) : ('stream' as const);
    const first =
      isNewWater && water
        ? waterWithGauge(
            common,
            { entry: entryOf('water'), gaugeEntry: entryOf('gauge'), gauge: idBeside(water, 'gauge') },
            { id: water, site: read.text('site'), name: read.text('groundName'), kind, note: '' },
          )
        : [];
    const result = await attempt(
      read,
      () =>
        record(
          db(),
          ...first,
          station && made.shape.type === 'Point'
            ? {
                ...common,
                kind: 'station',
                opened: station.entry,
                body: { ...bodyOf(station), lon: made.shape.coordinates[0], lat: made.shape.coordinates[1] },
              }
            : {
                ...common,
                kind: 'ground',
                ...(old ? { opened: old.entry } : {}),
                body: {
                  ...(kept ?? fresh),
                  kind: read.text('groundKind') as GroundKind,
                  name: read.text('groundName'),
                  shape: made.shape,
                  note: read.text('groundNote'),
                },
              },
        ),
      (path) =>
        path.startsWith('shape')
          ? 'points'
          : ['name', 'kind', 'note'].includes(path)
            ? `ground${path[0]?.toUpperCase()}${path.slice(1)}`
            : path,
    );
    if ('failure' in result) return result.failure;
    if (isNewWater) redirect(303, `/waters/${water}`);
    redirect(
      303,
      `/waters?site=${station ? (season?.waters.find((w) => w.id === station.water)?.site ?? '') : (old?.site ?? read.text('site'))}&drawn=1`,
    );
  },
};
