import { shyOf } from '#core/colony/fears';
import { KNOWN_GEAR, pickedFrom } from '#core/colony/plans';
import { nightsOf, ruleText } from '#core/time/deadline';
import { localDate } from '#core/time/localTime';
import { loadColonies, readColony, type ColonyRead } from '$lib/server/colonies';
import { headOf } from '$lib/server/colonyPage';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** What a link picks; of a colony of the record how many live there and what they know, where the link does not say otherwise. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const like = await likeOf(locals, url.searchParams.get('like'));
  const said = (name: string): string | null => url.searchParams.get(name) ?? like?.own[name] ?? null;
  const season = await loadSeason(locals, ['live', 'pulled']);
  return {
    ...pickedFrom(said),
    month: Number(localDate(locals.now, season?.line.zone ?? 'UTC').slice(5, 7)),
    like,
    /** what the line is checked by; null without one */
    law: season && { nights: nightsOf(season.line.rule), said: ruleText(season.line.rule) },
  };
};

async function likeOf(locals: App.Locals, wanted: string | null) {
  const known = wanted ? await loadColonies(locals) : null;
  const scope = known?.scopes.find((s) => s.id === wanted);
  if (!known || !scope) return null;
  const read = readColony(known, scope, locals);
  const knows = KNOWN_GEAR.find((gear) => shyOf(read.taught).some((device) => device === gear));
  const own: Record<string, string | undefined> = { lived: expected(read), knows };
  return { id: scope.id, name: scope.name, said: headOf(read), own };
}

/** The mean of who may be left, one at least: a pond without anybody needs no plan. */
function expected({ left }: Pick<ColonyRead, 'left'>): string | undefined {
  if (!left) return undefined;
  const mean = left.chances.reduce((sum, chance, animals) => sum + chance * animals, 0);
  return String(Math.min(15, Math.max(1, Math.round(mean))));
}
