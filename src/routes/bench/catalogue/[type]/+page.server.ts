import { error } from '@sveltejs/kit';
import { findType } from '#core/sets/catalogue';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const type = findType(params.type);
  if (!type) error(404, 'The catalogue holds no such type of set.');
  const season = await loadSeason(locals);
  const names = Object.fromEntries((season?.waters ?? []).map((w) => [w.id, w.name]));
  return {
    type: type.id,
    chosen: url.searchParams.get('station') ?? '',
    stations: (season?.stations ?? [])
      .filter((s) => type.stations.includes(s.kind))
      .map((s) => ({ value: s.id, text: `${s.number} ${s.name}, ${s.kind} at ${names[s.water] ?? ''}` })),
  };
};
