import { lettersText } from '#core/run/letters';
import { clockText, dayText, momentText } from '#core/time/clock';
import { localDate } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { paperRows } from '$lib/server/paper';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** The round on paper. */
export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals);
  if (!season) return { line: null, waters: [], day: '', light: '', made: '', letters: '' };
  const { line, clock } = season;
  const { sunrise, sunset } = sunOf(localDate(locals.now, line.zone), line.zone, line);
  return {
    line: line.name,
    day: dayText(locals.now, clock),
    light: sunrise && sunset ? `Sunrise ${clockText(sunrise, clock)}, sunset ${clockText(sunset, clock)}.` : '',
    made: momentText(locals.now, clock),
    letters: lettersText(),
    waters: paperRows(season, locals),
  };
};
