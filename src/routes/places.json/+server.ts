import { json } from '@sveltejs/kit';
import { loadSeason } from '$lib/server/season';
import type { RequestHandler } from './$types';

/** What can be gone to by its name: the waters, and the sets that are live or ready. */
export const GET: RequestHandler = async ({ locals }) => {
  const season = await loadSeason(locals);
  const sets = (season?.views ?? []).flatMap(({ id, number, name, state }) => [
    ...(state === 'live' ? [{ text: `Check ${number} ${name}`, href: `/check/${id}` }] : []),
    { text: `Bench ${number} ${name}`, href: `/bench/${id}` },
  ]);
  const waters = (season?.waters ?? []).flatMap(({ id, name }) => [
    { text: name, href: `/waters/${id}` },
    ...(season?.gauges.some((g) => g.water === id) ? [{ text: `Read a level at ${name}`, href: `/waters/${id}/levels` }] : []),
  ]);
  return json([...waters, ...sets]);
};
