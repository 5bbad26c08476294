import { error, redirect } from '@sveltejs/kit';
import { movingOf } from '#core/ahead/moving';
import { wordState } from '#core/run/leftWord';
import type { LeftWord } from '#core/record/kinds';
import { clockText, momentText, spanText, whenText } from '#core/time/clock';
import { localDate, wholeMinute } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { db } from '$lib/server/database';
import { accessPoints } from '#lib/season/dayRun';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { bodyOf } from '#core/record/written';
import { leftWords } from '$lib/server/repositories/leftWords';
import { roundRow } from '#lib/season/rounds';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import type { Actions, PageServerLoad } from './$types';

/** Word left at home: who is out, where, back by when; with what a person who waits should know. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  if (!season) return { line: null };
  const { now, who } = locals;
  const ways = season.words.length > 0 ? waysOf(season, locals) : { dangers: [], trucks: [] };
  return {
    line: season.line.name,
    me: who.person.name,
    words: season.words.map((word) => {
      const state = wordState(word, now);
      const late = now.getTime() - new Date(word.backBy).getTime();
      return {
        ...{ id: word.id, entry: word.entry, who: word.who, where: word.where, home: word.home, then: word.then, state },
        left: momentText(new Date(word.at), season.clock),
        by: whenText(new Date(word.backBy), now, season.clock),
        over: state === 'overdue' ? spanText(late) : '',
        dark: darkOf(season, word),
        ...ways,
      };
    }),
    ids: { entry: newId(), back: newId() },
    saved: url.searchParams.has('saved'),
  };
};

/** When it gets dark on the day on which somebody is to be back; empty where the line lies nowhere yet. */
function darkOf({ line, clock }: Season, { backBy }: LeftWord): string {
  const { sunset, dusk } = sunOf(localDate(new Date(backBy), line.zone), line.zone, line);
  return dusk && sunset ? `Sunset ${clockText(sunset, clock)}, dark ${clockText(dusk, clock)}.` : '';
}

/** What of the ways matters to who waits: what is dangerous there, where a truck can stand. */
function waysOf(season: Season, locals: App.Locals) {
  const moving = movingOf(season, locals.now);
  const waters = Object.fromEntries(season.waters.map((w) => [w.id, w.name]));
  const dangers = season.views
    .filter((v) => v.state === 'live')
    .flatMap((v) => {
      const { care } = roundRow(season, v, moving, locals);
      return care ? [{ of: `${v.number} ${v.name}`, water: waters[v.station.water] ?? '', care }] : [];
    });
  // what is true of several sets of one water is said once
  const said = [...new Set(dangers.map(({ water, care }) => `${water}|${care}`))].map((key) => {
    const alike = dangers.filter(({ water, care }) => `${water}|${care}` === key);
    const [first] = alike;
    return `${first?.water ?? ''}, ${alike.map((d) => d.of).join(', ')}: ${first?.care ?? ''}`;
  });
  return {
    dangers: said,
    trucks: accessPoints(season).map(({ name, at: [lon, lat] }) => `${name}: ${lat.toFixed(5)}, ${lon.toFixed(5)}`),
  };
}

export const actions: Actions = {
  /** Somebody goes out and says so. */
  leave: async ({ request, locals }) => {
    const season = await loadSeason(locals);
    if (!season) error(404, 'No line was begun yet.');
    const read = reader(await request.formData(), locals.who);
    const at = wholeMinute(locals.now);
    const backBy = read.instant('backBy', season.line.zone);
    if (backBy && backBy <= at) read.refuse('backBy', 'That is past already. Say by when you will be back.');
    if (!backBy || !read.ok()) return refused(read);
    const entry = read.text('entry');
    const body: LeftWord = {
      ...{ id: idBeside(entry, 'word'), line: season.line.id, who: read.text('who'), where: read.text('where'), at: at.toISOString() },
      ...{ backBy: backBy.toISOString(), home: read.text('home'), then: read.text('then'), back: null },
    };
    const result = await attempt(read, () =>
      record(db(), { id: entry, crew: locals.who.crew, kind: 'leftWord', occurredAt: at, by: locals.who.person.id, body }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/morning/word?saved');
  },

  /** One tap: back. Who is back already stays back. */
  back: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const word = (await leftWords(db(), locals.who.crew)).find((w) => w.id === read.text('word'));
    if (!word) redirect(303, '/morning/word');
    const at = wholeMinute(locals.now);
    const result = await attempt(read, () =>
      record(db(), {
        ...{ id: read.text('entry'), crew: locals.who.crew, kind: 'leftWord' as const, occurredAt: at, by: locals.who.person.id },
        ...openedOn(read, word),
        body: { ...bodyOf(word), back: at.toISOString() },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/morning');
  },
};
