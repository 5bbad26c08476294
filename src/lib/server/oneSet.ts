import { error } from '@sveltejs/kit';
import { designOf } from '#lib/season/oneSet';
import { loadSeason } from './season';

/** One set of the season with its design, for the pages about it. */
export async function oneSet(locals: App.Locals, id: string) {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const set = season?.sets.find((s) => s.id === id);
  if (!season || !set) error(404, 'There is no such set in this record.');
  return { season, set, ...designOf(season, set, locals) };
}
