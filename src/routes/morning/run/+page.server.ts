import { MODES, type Mode } from '#core/run/travel';
import { instantOf, localDate, readLocalTime, toField } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { catchShare } from '$lib/server/repositories/checks';
import { db } from '$lib/server/database';
import { accessPoints, dayRun } from '#lib/season/dayRun';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** A beginning that is not longer ago is that of the run under way, ms. */
const LATELY = 12 * 3_600_000;
const LUNCHES = ['0', '20', '30', '45', '60'];

/** The run of a day: its stops in the order that breaks no deadline in the least time. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  if (!season) return { line: null };
  const { now } = locals;
  const { zone } = season.line;
  const said = (name: string): string => url.searchParams.get(name)?.trim() ?? '';
  const from = said('from') || toField(now, zone);
  const read = readLocalTime(from, zone, said('from.which'));
  const past = read.ok ? now.getTime() - read.at.getTime() : 0;
  const problem = read.ok ? (past > LATELY ? 'That is past already. Say when you begin.' : '') : read.sentence;
  // who is on his way already goes on from now
  const start = read.ok && past <= 0 ? read.at : now;
  const mode: Mode = Object.hasOwn(MODES, said('by')) ? (said('by') as Mode) : 'foot';
  const people: 1 | 2 = said('people') === '2' ? 2 : 1;
  const lunch = LUNCHES.includes(said('lunch')) ? said('lunch') : '0';
  const found = dayRun(season, { start, mode, access: said('begin') }, locals);
  const sun = sunOf(localDate(start, zone), zone, season.line);
  return {
    line: season.line.name,
    clock: season.clock,
    asked: { from: problem === '' && past > 0 ? toField(now, zone) : from, by: mode, people, lunch, begin: found.begin },
    problem,
    now: now.getTime(),
    start: start.getTime(),
    date: localDate(start, zone),
    /** minutes until noon; 0 where it is past */
    noon: Math.max(0, (instantOf(localDate(start, zone), '12:00', zone).getTime() - start.getTime()) / 60_000),
    light: sun.dawn && sun.dusk ? { from: sun.dawn.getTime(), to: sun.dusk.getTime() } : null,
    accesses: accessPoints(season).map(({ id, name }) => ({ value: id, text: name })),
    catches: await catchShare(db(), locals.who.crew, season.line.id),
    minutes: season.minutes,
    ...found,
  };
};
