import { error, redirect } from '@sveltejs/kit';
import type { WaterBody } from '#core/water/placed';
import type { StationKind } from '#core/stations/kinds';
import type { Water } from '#core/water/state';
import { STATION_KINDS } from '#core/stations/kinds';
import { stateOf } from '#core/sets/standing';
import { spanText, whenText } from '#core/time/clock';
import { toField, wholeMinute } from '#core/time/localTime';
import { parseLength, printWay, smallUnit } from '#core/units/length';
import { besideLine, type Position } from '#core/ground/geodesic';
import { lineOf, parsePoints } from '#core/ground/points';
import type { System } from '#core/units/factors';
import { trackOf } from '#core/water/track';
import { clarityText, crestText } from '#core/water/seenText';
import { riseText, stillToCome } from '#core/water/toldRise';
import { exactOf } from '#core/water/series';
import { changeOf } from '#core/water/change';
import { offGauge } from '#core/units/frame';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { seenAt } from '$lib/server/repositories/readings';
import { movingOf, type MovingAll } from '#core/ahead/moving';
import { AHEAD, pondModel, type Outlook } from '#core/ahead/ponds';
import { outlookOf, reasonsText, standingOf } from '#core/ahead/setOutlook';
import { placeOn } from '$lib/server/placeOn';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import { frameOf } from '#core/ahead/facts';
import { sizeText } from '#core/devices/sizes';
import { first } from './first';
import { below, reading, told } from './gauges';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params, locals, url }) => {
  const season = await loadSeason(locals);
  const water = season?.waters.find((w) => w.id === params.water);
  if (!season || !water) error(404, 'There is no such water in this record.');
  const { system } = locals.who.person;
  const frame = frameOf(season, water.id, system);
  const gauges = season.gauges.filter((g) => g.water === water.id);
  const pond = gauges.find((g) => g.surface === 'pond');
  const levels = season.levels[water.id] ?? { known: {}, age: {}, atMost: {} };
  const asked = url.searchParams.get('level');
  const parsed = asked ? parseLength(asked, smallUnit(system), locals.who.words) : null;
  const readings = pond ? (season.readings[pond.id] ?? []) : [];
  const change = changeOf(readings, locals.now);
  const numbers = season.stations.map((s) => s.number);
  const moving = movingOf(season, locals.now);
  const own = moving.waters[water.id];
  const sheet = season.sheets[water.id];
  const seen = pond ? await seenAt(db(), locals.who.crew, pond.id) : [];
  return {
    water,
    frame,
    gauges,
    stations: season.stations.filter((s) => s.water === water.id),
    follows: season.follows,
    views: season.views.filter((v) => v.station.water === water.id),
    levels,
    earlier: change && { level: change.from.level, when: whenText(change.from.at, locals.now, season.clock) },
    read: Object.fromEntries(Object.entries(levels.age).map(([axis, age]) => [axis, `read ${spanText(age)} ago`])),
    now: locals.now.getTime(),
    tracks: {
      pond: own?.pond ? trackOut(own.pond) : null,
      tail: own?.tail ? trackOut(own.tail) : null,
      sheet: sheet
        ? {
            from: sheet.course[0]?.at ?? 0,
            every: 3 * HOUR,
            low: sheet.course.map((p) => p.low),
            middle: sheet.course.map((p) => p.middle),
            high: sheet.course.map((p) => p.high),
          }
        : null,
    },
    snow: sheet?.last.snow ?? 0,
    whatIfModel: own?.pond && !own.pond.fit ? whatIfModel(water, levels, season, moving, locals.now) : null,
    lacks: own?.pond?.lacks ?? [],
    reasons: own?.pond ? reasonsText(own.pond, locals.now, system) : '',
    standing: Object.fromEntries(
      season.stations
        .filter((s) => s.water === water.id)
        .map((station) => {
          const view = season.views.find((v) => v.station.id === station.id && v.state === 'live');
          const place = { station, follows: season.follows[station.id] ?? null, deadline: view?.deadline ?? null };
          const ahead = standingOf(place, moving, season, locals);
          return [station.id, { sentence: ahead?.sentence ?? '', short: ahead?.short ?? '' }];
        }),
    ),
    ahead: Object.fromEntries(
      season.views
        .filter((v) => v.station.water === water.id && v.state === 'live')
        .map((v) => [v.id, outlookOf(v, stateOf(v, levels, frame), season, moving, locals)]),
    ),
    clarity: clarityText(seen, locals.now),
    crest: crestText(seen, frame),
    asked: asked ?? '',
    askedProblem: parsed && !parsed.ok ? parsed.sentence : '',
    whatIf: parsed?.ok ? offGauge(parsed.value, frame) : null,
    nowField: toField(locals.now, season.line.zone),
    nextNumber: Math.max(0, ...numbers) + 1,
    kinds: STATION_KINDS,
    ids: { entry: newId(), id: newId(), told: newId(), below: newId() },
    told: toldAt(season, water.id, locals),
    lackingEntry: newId(),
    firstEntry: newId(),
    free: season.shed
      .filter((d) => !d.set && d.condition === 'good')
      .slice(0, 40)
      .map((d) => ({ value: d.id, text: `${d.tag}, ${sizeText(d.class, d.size)}` })),
    stationIds: { entry: newId(), id: newId() },
    tapped: tappedOf(url.searchParams.get('at'), lineOf(season.ground, water.id), system),
  };
};

const HOUR = 3_600_000;

/** A place that was tapped on the map, as the form of a new station takes it; null where none was. */
function tappedOf(at: string | null, line: Position[] | null, system: System) {
  const parsed = at === null ? null : parsePoints(at);
  const place = parsed?.ok ? parsed.points[0] : undefined;
  if (!place) return null;
  const beside = line && besideLine(line, place);
  return {
    ...{ lat: String(place[1]), lon: String(place[0]) },
    along: beside ? printWay(beside.along, system) : '',
    from: beside ? `as tapped on the map, ${printWay(beside.off, system)} beside its line` : '',
  };
}

/** Rises that somebody told of a water and that its readings do not hold yet, as sentences. */
function toldAt(season: Season, water: string, { now, who }: App.Locals): { entry: string; text: string }[] {
  return season.gauges
    .filter((g) => g.water === water)
    .flatMap(({ id, surface }) => {
      const read =
        exactOf(season.readings[id] ?? [])
          .at(-1)
          ?.at.getTime() ?? 0;
      return stillToCome(season.told, read)
        .filter((t) => t.gauge === id)
        .map((t) => ({
          entry: t.entry,
          text: `${surface === 'tail' ? 'Told of below the dam: ' : 'Told: '}${riseText(t, who.person.system)} by ${whenText(new Date(t.until), now, season.clock)} (${t.who}).`,
        }));
    });
}

/** The pond as it would be calculated from another level, for what is dragged. */
function whatIfModel(water: WaterBody, { known }: Water, season: Season, { open, ground, hours }: MovingAll, now: Date) {
  if (known.pond === undefined) return null;
  const own = open.filter((o) => o.water === water.id);
  const model = pondModel(water, known.pond, now, { ground, open: own, hours, season, tail: known.tail });
  const pond = season.gauges.find((g) => g.water === water.id && g.surface === 'pond');
  return model && { model, hours: AHEAD, told: season.told.filter((t) => t.gauge === pond?.id) };
}

const trackOut = ({ from, courses }: Outlook) => trackOf(courses, from.getTime());

export const actions: Actions = {
  first,

  whatIf: async ({ request, params }) => {
    const level = String((await request.formData()).get('level') ?? '');
    redirect(303, `/waters/${params.water}?level=${encodeURIComponent(level)}`);
  },

  reading,
  told,
  below,

  station: async ({ request, locals, params }) => {
    const read = reader(await request.formData(), locals.who);
    const season = await loadSeason(locals);
    const surface = read.text('surface') === 'tail' ? 'tail' : 'pond';
    const along = read.length('along', locals.who.person.system === 'us' ? 'ft' : 'm');
    const depth = read.length('depth');
    const crest = read.length('crest');
    const number = read.number('number');
    const level = season?.levels[params.water]?.known[surface];
    if (along === undefined) read.refuse('along', 'Say how far along the shore it lies, for example 120 ft.');
    if (number === undefined) read.refuse('number', 'A location has a number.');
    if (depth !== undefined && level === undefined)
      read.refuse('depth', 'A depth is measured from a level: save a reading of the gauge first.');
    if (!read.ok() || along === undefined || number === undefined) return refused(read);
    const at = wholeMinute(locals.now);
    const tapped = parsePoints(`${read.text('lat')}, ${read.text('lon')}`);
    const place = (tapped.ok ? tapped.points[0] : null) ?? (await placeOn(locals, params.water, along));
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'station',
          occurredAt: at,
          by: locals.who.person.id,
          body: {
            id: read.text('id'),
            water: params.water,
            number,
            name: read.text('name'),
            kind: read.text('kind') as StationKind,
            surface,
            along,
            lat: place?.[1] ?? null,
            lon: place?.[0] ?? null,
            bed: depth === undefined ? null : { depth, at: at.toISOString() },
            crest: crest === undefined ? null : { height: crest, at: at.toISOString() },
            note: read.text('note'),
          },
        }),
      (path) => (path.startsWith('bed') ? 'depth' : path.startsWith('crest') ? 'crest' : path),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}`);
  },
};
