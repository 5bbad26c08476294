import { entrySentence } from '#core/record/sentence';
import { whenText } from '#core/time/clock';
import { db } from '$lib/server/database';
import { surveys } from '$lib/server/repositories/scouting';
import { stationName, waterOf } from '$lib/server/scouting';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { water, season, stations } = await waterOf(locals, params.water);
  const names = Object.fromEntries([...stations.map((s) => [s.id, stationName(s)] as const), [water.id, water.name] as const]);
  const done = await surveys(db(), locals.who.crew, { water: water.id });
  return {
    water,
    done: done.map((s) => ({
      id: s.id,
      when: whenText(new Date(s.at), locals.now, season.clock),
      text: entrySentence('survey', s, names, locals.who.person.system),
    })),
  };
};
