import { error, redirect, type RequestEvent } from '@sveltejs/kit';
import type { Gauge, ReadingBody } from '#core/record/kinds';
import { clockText } from '#core/time/clock';
import { wholeMinute } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { hungBelow, shownBy } from '#core/water/gauge';
import { exactOf } from '#core/water/series';
import { READING_LASTS } from '#core/water/state';
import { askIfFar } from '#lib/form/askIfFar';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { keepForecasts } from '$lib/server/keepForecasts';
import { idBeside } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';

type Event = RequestEvent<{ water: string }>;

async function opened({ request, locals, params }: Event) {
  const read = reader(await request.formData(), locals.who);
  const season = await loadSeason(locals);
  if (!season) error(404, 'No line was begun yet.');
  const surface = read.text('surface') === 'tail' ? ('tail' as const) : ('pond' as const);
  const gauge = season.gauges.find((g) => g.water === params.water && g.surface === surface);
  return { read, season, gauge };
}

/** The last reading of a gauge as it showed it, if it is of today; null else. */
function nowOn(gauge: Gauge, season: Season, now: Date): { level: number; text: string } | null {
  const last = exactOf(season.readings[gauge.id] ?? []).at(-1);
  if (!last || now.getTime() - last.at.getTime() > READING_LASTS) return null;
  const level = shownBy(gauge, last.level, last.at.getTime());
  return { level, text: `the water of ${clockText(last.at, season.clock)}` };
}

/** One look at a gauge: its level, or a mark that high water left. */
export async function reading(event: Event) {
  const { locals, params } = event;
  const { read, season, gauge } = await opened(event);
  const shown = read.length('level');
  const at = read.text('at') === '' ? wholeMinute(locals.now) : read.instant('at', season.line.zone);
  const isOver = read.text('bound') === 'over';
  const isCrest = isOver || read.text('bound') === 'crest';
  const doubt = isCrest && read.text('markDoubt') !== '' ? read.length('markDoubt') : undefined;
  const now = gauge && isOver ? nowOn(gauge, season, locals.now) : null;
  if (isOver && !now) read.refuse('level', 'What the mark is measured over was not read since yesterday: save a reading of now first.');
  const level = shown !== undefined && now ? now.level + shown : shown;
  const since = isCrest ? (read.text('since') === '' ? undefined : read.instant('since', season.line.zone)) : null;
  if (isCrest && read.text('since') === '') read.refuse('since', 'A high-water mark was left between two dates: say the earlier one.');
  if (level === undefined) read.refuse('level', 'Type the level on the gauge, for example 31 3/4 in.');
  if (!gauge) read.refuse('level', 'This water has no gauge on that surface.');
  if (at && at > locals.now) read.refuse('at', 'A reading cannot lie in the future.');
  if (gauge && at && !isCrest) askIfFar(read, 'level', gauge, at, season);
  if (!read.ok() || level === undefined || !gauge || !at) return refused(read);
  const body: ReadingBody = {
    id: read.text('id'),
    gauge: gauge.id,
    at: at.toISOString(),
    level,
    bound: isCrest ? 'crest' : 'exact',
    source: isCrest ? 'debris' : 'gauge',
    since: since ? since.toISOString() : null,
    doubt: doubt ?? null,
    clarity: (read.text('clarity') || 'not looked') as 'clear',
    set: null,
    note: now && shown !== undefined ? `${printLength(shown, locals.who.person.system)} above ${now.text}` : '',
  };
  const result = await attempt(read, () =>
    record(db(), {
      id: read.text('entry'),
      crew: locals.who.crew,
      kind: 'reading',
      occurredAt: at,
      by: locals.who.person.id,
      body,
    }),
  );
  if ('failure' in result) return result.failure;
  if (!isCrest && result.done === 'written') await keepForecasts(locals, gauge.id, read.text('entry'), at);
  redirect(303, `/waters/${params.water}?read=1`);
}

/** A rise that somebody told, with its doubt. */
export async function told(event: Event) {
  const { locals, params } = event;
  const { read, season, gauge } = await opened(event);
  const [rise, doubt] = [read.length('rise'), read.length('doubt')];
  const until = read.text('until') === '' ? undefined : read.instant('until', season.line.zone);
  if (rise === undefined) read.refuse('rise', 'Say by how much it will rise here; a fall with a minus.');
  if (doubt === undefined) read.refuse('doubt', 'Say how sure that is: give or take how much. 0 is certain.');
  if (read.text('until') === '') read.refuse('until', 'Say by when all of it is there.');
  if (read.text('who') === '') read.refuse('who', 'Say who told it: the radio, a neighbor upstream.');
  if (!gauge) read.refuse('rise', 'This water has no gauge on that surface.');
  const at = wholeMinute(locals.now);
  if (until && until <= at) read.refuse('until', 'What is all there already is read on the gauge.');
  if (!read.ok() || !gauge || rise === undefined || doubt === undefined || !until) return refused(read);
  const form = read.text('told');
  const result = await attempt(read, () =>
    record(db(), {
      id: idBeside(form, 'entry'),
      crew: locals.who.crew,
      kind: 'told',
      occurredAt: at,
      by: locals.who.person.id,
      body: {
        ...{ id: form, gauge: gauge.id, at: at.toISOString(), until: until.toISOString() },
        ...{ rise, doubt, who: read.text('who'), note: '' },
      },
    }),
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/waters/${params.water}?told=1`);
}

/** A gauge below the dam, with what it shows now. */
export async function below(event: Event) {
  const { locals, params } = event;
  const { read, season } = await opened(event);
  const [shows, drop] = [read.length('shows'), read.length('drop')];
  const pond = season.levels[params.water];
  if (shows === undefined)
    read.refuse('shows', 'Type what it shows now. Without a gauge drive a stake, call the water on it 0, and type 0.');
  if (drop === undefined) read.refuse('drop', 'Type how far the water below lies under the pond: a string with a level across the dam.');
  if (pond?.known.pond === undefined || (pond.age.pond ?? 0) > LATELY)
    read.refuse('drop', 'The drop is taken from the pond as it stands now: read its gauge first.');
  if (!read.ok() || shows === undefined || drop === undefined || pond?.known.pond === undefined) return refused(read);
  const form = read.text('below');
  const common = { crew: locals.who.crew, occurredAt: wholeMinute(locals.now), by: locals.who.person.id };
  const hung = hungBelow(pond.known.pond, drop, shows);
  const gauge: Gauge = { id: idBeside(form, 'gauge'), water: params.water, name: 'gauge', surface: 'tail', ...hung };
  const result = await attempt(
    read,
    () => record(db(), { ...common, id: form, kind: 'gauge', body: gauge }, firstReading(common, gauge.id, form, shows)),
    () => 'shows',
  );
  if ('failure' in result) return result.failure;
  redirect(303, `/waters/${params.water}?below=1`);
}

/** A reading as old as this still tells how the pond stands. [practice] */
const LATELY = 6 * 3_600_000;

function firstReading(common: { crew: string; occurredAt: Date; by: string }, gauge: string, form: string, level: number) {
  return {
    ...common,
    id: idBeside(form, 'reading entry'),
    kind: 'reading' as const,
    body: {
      ...{ id: idBeside(form, 'reading'), gauge, at: common.occurredAt.toISOString(), level },
      ...{ bound: 'exact' as const, source: 'gauge' as const, set: null, note: 'read as it was hung' },
    },
  };
}
