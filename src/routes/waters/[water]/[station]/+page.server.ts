import { tell } from '#core/words/finding';
import { redirect } from '@sveltejs/kit';
import { SPECIES } from '#core/animals/species';
import type { Draft } from '#core/record/kinds';
import { FRESHNESSES, NOTED_KINDS, signKind } from '#core/sign/kinds';
import { bedProfile } from '#core/scene/bedProfile';
import { latest, MEASURES } from '#core/stations/measures';
import { printMeasure } from '#core/stations/measureText';
import { depthAt, relationOf, type DepthReading } from '#core/stations/relation';
import { waysText } from '#core/stations/ways';
import { standerOf, standingAt } from '#core/stations/standing';
import { iceHere } from '#core/ice/sheets';
import { dayText, whenText } from '#core/time/clock';
import { toField, wholeMinute } from '#core/time/localTime';
import { bedOf } from '#core/stations/placed';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { movingOf } from '#core/ahead/moving';
import { idBeside, newId } from '#lib/form/newId';
import { standingOf } from '#core/ahead/setOutlook';
import { photoFrom } from '$lib/server/photo';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { stationLevels } from '$lib/server/repositories/scouting';
import { depthReading } from '#lib/season/season';
import { surfacesAt } from '$lib/server/surfaces';
import { loadScouted, stationName, stationOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, water, levels, stations, station, frame } = await stationOf(locals, params.water, params.station);
  const [scouted, read] = await Promise.all([loadScouted(locals, water.id), stationLevels(db(), locals.who.crew, station.id)]);
  const { now } = locals;
  const { system } = frame;
  const { measures } = locals.who.person;
  const own = read.flatMap((d) => depthReading(d, station, season.surfaces));
  const level = levels.known[station.surface];
  const depths: DepthReading[] = [...(station.bed ? [station.bed] : []), ...own];
  const relation = relationOf(depths);
  const nearest = [...depths].sort((a, b) => Math.abs(a.level - (level ?? 0)) - Math.abs(b.level - (level ?? 0)))[0];
  const depth = relation && nearest && level !== undefined ? depthAt(relation, level, nearest, system) : null;
  const bed = bedOf(station);
  const still = water.kind === 'pond' && bed !== null && level !== undefined ? level - bed : null;
  const here = still ?? depth?.depth ?? null;
  const ice = iceHere(station, season.sheets[water.id], season.ice, now);
  const standing = tell(
    standingAt({ depth: here, sink: latest(station.measures, 'sink')?.value ?? null, ice }, standerOf(measures)),
    system,
  );
  const inADay = { station, follows: season.follows[station.id] ?? null, deadline: null };
  // of ice nothing is promised ahead: its caution is that of now
  const ahead = ice ? '' : (standingOf(inADay, movingOf(season, now), season, locals)?.sentence ?? '');
  return {
    station,
    water: water.name,
    isStream: water.kind !== 'pond',
    depth:
      still === null
        ? (depth?.sentence ?? 'Its depth was not measured.')
        : still > 0
          ? `${printLength(still, system)} of water now.`
          : `Dry by ${printLength(-still, system)} now.`,
    lies: station.lies.filter((l) => !l.gone).map(({ what, where }) => `${what}${where ? `, ${where}` : ''}`),
    standing,
    standingAhead: ahead === standing.sentence ? '' : ahead,
    owns: own.map((o) => ({
      id: o.id,
      entry: o.entry,
      when: whenText(new Date(o.at), now, season.clock),
      depth: printLength(o.depth, system),
      level: levelText(o.level, frame, station.surface),
    })),
    measures: [...new Set(station.measures.map((m) => m.what))].flatMap((what) => {
      const taken = latest(station.measures, what);
      if (!taken) return [];
      return [
        {
          label: MEASURES[what].label,
          text: printMeasure(what, taken.value, system),
          at: dayText(new Date(taken.at), season.clock),
          level: taken.level === null ? '' : levelText(taken.level, frame, station.surface),
        },
      ];
    }),
    profile: station.across?.points.map((p) => `${printLength(p.distance, system)}: ${printLength(p.depth, system)}`) ?? [],
    drawn: station.across
      ? bedProfile(station.across.points, level === undefined || station.across.level === null ? 0 : level - station.across.level, 480)
      : null,
    parent: stations.find((s) => s.id === station.parent) ?? null,
    children: stations
      .filter((s) => s.parent === station.id)
      .map((s) => ({ id: s.id, text: stationName(s), set: season.views.some((v) => v.station.id === s.id && v.state === 'live') })),
    sets: season.views
      .filter((v) => v.station.id === station.id)
      .map((v) => ({ id: v.id, text: `${v.number} ${v.name}, ${v.typeName.toLowerCase()}, ${v.state}` })),
    ways: waysText(
      station,
      season.views.filter(
        (v) =>
          v.state === 'live' && (v.station.id === station.id || stations.some((s) => s.parent === station.id && s.id === v.station.id)),
      ).length,
    ),
    use: scouted.use(station.id),
    cameraNights: scouted.cameras.filter((c) => c.station === station.id).reduce((sum, c) => sum + c.events.length, 0),
    signs: scouted.signs
      .filter((s) => s.station === station.id)
      .map(({ id, entry, at, kind, species, freshness, count, direction, note, photo, lat, lon }) => ({
        id,
        entry,
        when: whenText(new Date(at), now, season.clock),
        label: signKind(kind).label,
        tells: signKind(kind).tells,
        halfLife: scouted.halfLives[kind] ?? signKind(kind).halfLife,
        species,
        freshness,
        count,
        direction,
        note,
        photo,
        where: lat === null || lon === null ? '' : `${lat.toFixed(5)}, ${lon.toFixed(5)}`,
      })),
    kinds: NOTED_KINDS,
    species: SPECIES,
    usualSpecies: scouted.signs.find((s) => s.station === station.id)?.species ?? 'beaver',
    freshnesses: FRESHNESSES,
    nowField: toField(now, season.line.zone),
    ids: { entry: newId(), id: newId() },
    depthIds: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  sign: async ({ request, locals, params }) => {
    const { season, station } = await stationOf(locals, params.water, params.station);
    const data = await request.formData();
    const read = reader(data, locals.who);
    const at = read.text('at') === '' ? wholeMinute(locals.now) : read.instant('at', season.line.zone);
    const count = read.number('count');
    const [lat, lon] = [read.number('lat'), read.number('lon')];
    if (read.text('kind') === '') read.refuse('kind', 'Tap the sign that was found.');
    if (at && at > locals.now) read.refuse('at', 'A sign cannot be found in the future.');
    const photo = await photoFrom(read, data.get('photo'), locals.who.crew);
    if (!at || !read.ok()) return refused(read);
    const body: Draft<'sign'> = {
      id: read.text('id'),
      station: station.id,
      at: at.toISOString(),
      kind: read.text('kind'),
      species: (read.text('species') || 'beaver') as Draft<'sign'>['species'],
      freshness: (read.text('freshness') || 'hours') as Draft<'sign'>['freshness'],
      count: count ?? null,
      direction: read.text('direction'),
      note: read.text('note'),
      photo,
      lat: photo && lat !== undefined ? lat : null,
      lon: photo && lon !== undefined ? lon : null,
    };
    const common = { crew: locals.who.crew, kind: 'sign' as const, occurredAt: at, by: locals.who.person.id };
    // what was found together is noted together, an animal each
    const beside = ['2', '3'].flatMap((n): NewEntry[] => {
      const species = read.text(`species${n}`) as Draft<'sign'>['species'];
      const id = idBeside(body.id, `animal ${n}`);
      const own = { ...body, id, species, count: read.number(`count${n}`) ?? null, photo: null, lat: null, lon: null };
      return read.text(`species${n}`) === '' ? [] : [{ ...common, id: idBeside(id, 'entry'), body: own }];
    });
    const result = await attempt(read, () => record(db(), { ...common, id: read.text('entry'), body }, ...beside));
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/${params.station}?noted=1`);
  },

  /** A depth read at the place: with the gauge's level then it teaches how the place follows the gauge. */
  depth: async ({ request, locals, params }) => {
    const { season, station } = await stationOf(locals, params.water, params.station);
    const read = reader(await request.formData(), locals.who);
    const at = read.text('depthAt') === '' ? wholeMinute(locals.now) : read.instant('depthAt', season.line.zone);
    const depth = read.length('depth');
    const level = read.length('level');
    const { water, surface } = station;
    const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
    if (depth === undefined) read.refuse('depth', 'Type the depth at the place, for example knee.');
    if (at && at > locals.now) read.refuse('depthAt', 'A depth cannot be read in the future.');
    if (level !== undefined && !gauge) read.refuse('level', 'This water has no gauge on that surface.');
    if (at && level === undefined && (await surfacesAt(season.gauges, [{ water, surface, at }])).at(water, surface, at).how === 'unknown')
      read.refuse('level', 'The gauge was not read by then: type what it showed.');
    if (!at || depth === undefined || !read.ok()) return refused(read);
    const common = { crew: locals.who.crew, occurredAt: at, by: locals.who.person.id };
    const id = read.text('id');
    const entries: NewEntry[] = [
      { ...common, id: read.text('entry'), kind: 'stationLevel', body: { id, station: station.id, at: at.toISOString(), depth } },
    ];
    if (gauge && level !== undefined) {
      const note = 'read with a depth at a location';
      const body = {
        id: idBeside(id, 'reading'),
        gauge: gauge.id,
        at: at.toISOString(),
        level,
        bound: 'exact',
        source: 'gauge',
        note,
      } as const;
      entries.push({ ...common, id: idBeside(id, 'reading entry'), kind: 'reading', body });
    }
    const result = await attempt(read, () => record(db(), ...entries));
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/${params.station}?read=1`);
  },
};
