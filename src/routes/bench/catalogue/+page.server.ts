import { SPECIES } from '#core/animals/species';
import { typesFor } from '#core/sets/search';
import { STATION_KINDS } from '#core/stations/kinds';
import { db } from '$lib/server/database';
import { devices } from '$lib/server/repositories/gear';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const asked = (name: string): string => url.searchParams.get(name) ?? '';
  const [shed, season] = await Promise.all([devices(db(), locals.who.crew), loadSeason(locals)]);
  const free = shed.filter((d) => !d.set && d.condition !== 'lost' && d.condition !== 'broken');
  const station = season?.stations.find((s) => s.id === asked('station'));
  const place = STATION_KINDS.find((k) => k === asked('place')) ?? station?.kind;
  const species = SPECIES.find((s) => s === asked('species'));
  const month = Number(asked('month')) || undefined;
  return {
    asked: { place: place ?? '', species: species ?? '', month: asked('month'), owned: asked('owned') === 'yes' },
    station: station ? { id: station.id, text: `${station.number} ${station.name}` } : null,
    found: typesFor({
      ...(place ? { place } : {}),
      ...(species ? { species } : {}),
      ...(month ? { month } : {}),
      ...(asked('owned') === 'yes' ? { owned: free } : {}),
    }).map((type) => type.id),
  };
};
