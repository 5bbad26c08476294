import { liesOf, oneSet } from '$lib/server/oneSet';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { season, set, station, type, design } = await oneSet(locals, params.set);
  return {
    set: { id: set.id, number: set.number, name: set.name, hole: set.hole, photoLeft: set.photoLeft },
    type: type.name,
    place: `${season.waters.find((w) => w.id === station.water)?.name ?? ''}, ${station.number} ${station.name}`,
    holds: liesOf({ design, type }, set, locals),
  };
};
