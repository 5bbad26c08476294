import { error, redirect } from '@sveltejs/kit';
import type { Draft } from '#core/record/kinds';
import { stationDiagram } from '#core/scene/stationDiagram';
import { latest, MEASURES, measuresFor, type Measure } from '#core/stations/measures';
import { parseMeasure, parseProfile, printMeasure } from '#core/stations/measureText';
import { wholeMinute } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { newId } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { stationName, stationOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { station, stations, water, season } = await stationOf(locals, params.water, params.station);
  const { system } = locals.who.person;
  return {
    station,
    water: water.name,
    diagram: stationDiagram(station.kind),
    fields: measuresFor(station.kind).map((what, i) => {
      const measure: Measure = MEASURES[what];
      const taken = latest(station.measures, what);
      return {
        what,
        letter: String.fromCharCode(65 + i),
        label: measure.label,
        how: measure.how,
        yes: measure.unit === 'yes',
        text: taken ? printMeasure(what, taken.value, system) : '',
      };
    }),
    profile: (station.across?.points ?? []).map((p) => `${printLength(p.distance, system)}, ${printLength(p.depth, system)}`).join('\n'),
    others: stations.filter((s) => s.id !== station.id).map((s) => ({ value: s.id, text: `${stationName(s)}, ${s.kind}` })),
    entry: newId(),
    opened: season.stored.stations.find((s) => s.id === station.id)?.entry,
  };
};

export const actions: Actions = {
  default: async ({ request, locals, params }) => {
    const { station, season } = await stationOf(locals, params.water, params.station);
    const read = reader(await request.formData(), locals.who);
    const { system } = locals.who.person;
    const at = wholeMinute(locals.now).toISOString();
    const stored = season.stored.stations.find((s) => s.id === station.id);
    if (!stored) error(404, 'There is no such location in this record.');
    const fresh: Draft<'station'>['measures'] = [];
    for (const what of measuresFor(station.kind)) {
      const text = read.text(`m.${what}`);
      const before = latest(station.measures, what);
      if (text === '' || (before && text === printMeasure(what, before.value, system))) continue;
      const parsed = parseMeasure(what, text, system, locals.who.words);
      if (parsed.ok) fresh.push({ what, value: parsed.value, at });
      else read.refuse(`m.${what}`, parsed.sentence);
    }
    const profile = parseProfile(read.text('profile'), system, locals.who.words);
    if (!profile.ok) read.refuse('profile', profile.sentence);
    if (!read.ok() || !profile.ok) return refused(read);
    const kept = stored.measures.filter((m) => !fresh.some((f) => f.what === m.what && f.at === m.at));
    const across = profile.points.length === 0 ? null : { points: profile.points, at };
    const same = JSON.stringify(across?.points) === JSON.stringify(station.across?.points);
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: 'station',
          occurredAt: new Date(at),
          by: locals.who.person.id,
          ...openedOn(read, stored),
          body: {
            ...bodyOf(stored),
            parent: read.text('parent') || null,
            measures: [...kept, ...fresh],
            across: same ? stored.across : across,
          },
        }),
      (path) => (path.startsWith('across') ? 'profile' : path.startsWith('measures') ? 'measures' : path),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/${params.station}?measured=1`);
  },
};
