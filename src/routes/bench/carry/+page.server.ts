import { carriedOn, cutAndCarry, againstShed, summed, WAYS } from '#core/gear/carry';
import { db } from '$lib/server/database';
import { designOf } from '$lib/server/oneSet';
import { stock } from '$lib/server/repositories/gear';
import { shedHas } from '$lib/server/shed';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** Cut and carry, summed over what is planned and prepared, against the shed. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  const way = WAYS.find((w) => w === url.searchParams.get('way')) ?? 'truck';
  const ahead = (season?.sets ?? []).filter((s) => s.state === 'planned' || s.state === 'prepared');
  const picked = url.searchParams.getAll('set');
  const chosen = ahead.filter((s) => picked.length === 0 || picked.includes(s.id));
  const lists = season
    ? chosen.map((set) => {
        const { design, type } = designOf(season, set, locals);
        return cutAndCarry(design, type.tools);
      })
    : [];
  const kept = await stock(db(), locals.who.crew, locals.now);
  const needed = againstShed(carriedOn(summed(lists), way), shedHas(season?.shed ?? [], kept));
  return {
    way,
    ways: WAYS,
    sets: ahead.map((s) => ({ id: s.id, text: `${s.number} ${s.name}`, state: s.state, chosen: chosen.includes(s) })),
    needed,
  };
};
