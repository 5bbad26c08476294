import type { Draft } from '#core/record/kinds';
import { wholeMinute } from '#core/time/localTime';
import { shownBy, type Hung } from '#core/water/gauge';
import { trackOf } from '#core/water/track';
import { db } from './database';
import { movingOf } from '#core/ahead/moving';
import { type Outlook } from '#core/ahead/ponds';
import { idBeside } from '#lib/form/newId';
import { record } from './record/write';
import type { NewEntry } from '#core/record/entry';
import { loadSeason } from './season';

/** A forecast is kept to a day and a half, a point every two hours. */
const KEPT = 19;

/** The points of a forecast as they are kept: as the gauge would show them. */
export function keptPoints({ from, courses }: Outlook, gauge: Hung) {
  const track = trackOf(courses, from.getTime(), 7200);
  const shown = (level: number): number => shownBy(gauge, level, from.getTime());
  return track.middle.slice(0, KEPT).map((middle, n) => ({
    at: track.from + n * track.every,
    low: shown(track.low[n] ?? middle),
    middle: shown(middle),
    high: shown(track.high[n] ?? middle),
  }));
}

/** Keeps what the forecast says from each new reading of a form on: a look at a check or at the bench is a reading as good as any. */
export async function keepAfter(locals: App.Locals, entries: readonly NewEntry[]): Promise<void> {
  for (const { kind, body } of entries) {
    const reading = body as Draft<'reading'>;
    if (kind === 'reading' && reading.bound === 'exact') await keepForecasts(locals, reading.gauge, reading.id, new Date(reading.at));
  }
}

/** Keeps what the forecast says from a new reading on, so that it can be held against what comes. It is the program's own and fails no form. */
export async function keepForecasts(locals: App.Locals, gauge: string, reading: string, at: Date): Promise<void> {
  const fresh = { ...locals };
  const season = await loadSeason(fresh);
  const board = season?.gauges.find((g) => g.id === gauge);
  if (!season || !board) return;
  const outlook = movingOf(season, fresh.now).waters[board.water]?.[board.surface];
  // one that was dated back begins no forecast: a newer one did
  if (!outlook || wholeMinute(outlook.from).getTime() !== wholeMinute(at).getTime()) return;
  const id = idBeside(reading, 'forecast');
  await record(db(), {
    id: idBeside(reading, 'forecast entry'),
    crew: locals.who.crew,
    kind: 'forecast',
    occurredAt: wholeMinute(outlook.from),
    by: null,
    body: { id, gauge, made: wholeMinute(outlook.from).toISOString(), points: keptPoints(outlook, board), note: '' },
  });
}
