import { liesOf } from '#lib/season/oneSet';
import { oneSet } from '$lib/server/oneSet';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const one = await oneSet(locals, params.set);
  const { season, set, station, type } = one;
  return {
    set: { id: set.id, number: set.number, name: set.name, hole: set.hole, photoLeft: set.photoLeft },
    type: type.name,
    place: `${season.waters.find((w) => w.id === station.water)?.name ?? ''}, ${station.number} ${station.name}`,
    holds: liesOf(one, set, season, locals),
  };
};
