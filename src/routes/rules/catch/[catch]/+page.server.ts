import { error, redirect } from '@sveltejs/kit';
import { catchText } from '#core/record/sentence';
import { setTypeOf } from '#core/sets/catalogue';
import { sizeText } from '#core/devices/sizes';
import { datedText } from '#core/time/clock';
import { toField, wholeMinute } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { dutyShown, judgedCatches } from '$lib/server/duties';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { isId, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { people } from '$lib/server/repositories/places';
import { dutiesDone } from '$lib/server/repositories/rules';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, id: string) {
  const season = await loadSeason(locals);
  const found = season && isId(id) ? (await judgedCatches(season, locals.who.crew)).find((c) => c.row.id === id) : undefined;
  if (!season || !found) error(404, 'There is no such catch in this season, or no rulebook is in force.');
  return { season, ...found };
}

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { season, row, as } = await find(locals, params.catch);
  const [done, crew] = await Promise.all([dutiesDone(db(), locals.who.crew), people(db(), locals.who.crew)]);
  const station = season.stations.find((s) => s.id === row.station);
  const water = season.waters.find((w) => w.id === row.water);
  const rules = season.rules?.book;
  const { system } = locals.who.person;
  return {
    species: row.species,
    set: { id: row.set, text: `${row.number} ${row.name}` },
    is: as.is,
    because: as.because,
    rule: as.rule,
    said: rules
      ? (Object.values(rules)
          .flatMap((list) => (Array.isArray(list) ? (list as { id: string; said: string }[]) : []))
          .find((r) => r.id === as.rule)?.said ?? '')
      : '',
    limit: as.limit,
    facts: [
      ['Animal', catchText({ ...row, strikes: [], bites: 'not looked' }, system)],
      ['State', row.alive ? 'alive when found' : 'dead when found'],
      ['Found', `${datedText(row.at, season.clock)} by ${crew.find((p) => p.id === row.by)?.name ?? 'somebody of the crew'}`],
      ['Place', `${station ? `${station.number} ${station.name}, ${station.kind}` : ''} at ${water?.name ?? ''}`],
      [
        'Position',
        station && station.lat !== null && station.lon !== null ? `${station.lat.toFixed(5)}, ${station.lon.toFixed(5)}` : 'not recorded',
      ],
      [
        'Trap',
        `${sizeText(row.class, row.size)} ${row.device}, ${setTypeOf(row.type).name.toLowerCase()}, meant for ${season.sets.find((s) => s.id === row.set)?.species ?? 'another'}`,
      ],
      ['Fate', row.fate],
      ['Tag', row.tag || (as.tag ? `none noted; the book wants one (${as.tag})` : 'none')],
    ] as const,
    spare: (rules?.spare ?? []).filter((s) => s.species === row.species).map((s) => ({ id: s.id, text: s.measure })),
    duties: as.duties.map((d) => dutyShown(d, done.get(`${row.id} ${d.rule}`), season, locals.now)),
    book: rules ? `${rules.jurisdiction}, version ${season.rules?.version ?? 1}` : '',
    nowField: toField(locals.now, season.line.zone),
    ids: { entry: newId(), id: newId() },
    saved: url.searchParams.has('saved'),
  };
};

export const actions: Actions = {
  /** somebody was told */
  default: async ({ request, locals, params }) => {
    const { season, row, as } = await find(locals, params.catch);
    const read = reader(await request.formData(), locals.who);
    const rule = as.duties.find((d) => d.rule === read.text('rule'))?.rule;
    if (!rule) read.refuse('note', 'The book has no such duty for this catch.');
    const at = read.text('at') === '' ? wholeMinute(locals.now) : read.instant('at', season.line.zone);
    if (at && at > locals.now) read.refuse('at', 'Nobody was told in the future.');
    if (at && at < row.at) read.refuse('at', 'It was told before the catch: check the time.');
    if (!rule || !at || !read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'duty',
        occurredAt: at,
        by: locals.who.person.id,
        body: { id: read.text('id'), catch: row.id, rule, at: at.toISOString(), note: read.text('note') },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/rules/catch/${row.id}?saved=1`);
  },
};
