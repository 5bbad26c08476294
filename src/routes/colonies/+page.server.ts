import { contactText, tallyText } from '#core/counting/contacts';
import { together } from '#core/colony/story';
import { fearText } from '#core/words/colony';
import { dateText } from '#core/time/clock';
import { localDate } from '#core/time/localTime';
import { loadColonies, readColony } from '$lib/server/colonies';
import { clearOf, headOf, noneLeft } from '$lib/server/colonyPage';
import { colonyStory } from '$lib/server/colonyStory';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const known = await loadColonies(locals);
  if (!known) return { colonies: [], others: [] };
  const { season } = known;
  const today = localDate(locals.now, season.line.zone);
  const reads = known.scopes.map((scope) => readColony(known, scope, locals));
  const waterName = Object.fromEntries(season.waters.map((w) => [w.id, w.name]));
  /** a water that nobody named a colony of is one where a lodge, a dam or a pile stands, or a beaver was met */
  const lives = ({ scope, stations, count, seen }: (typeof reads)[number]): boolean =>
    scope.colony !== null ||
    stations.some((s) => ['lodge', 'feed bed', 'dam'].includes(s.kind)) ||
    count.floor > 0 ||
    seen.caught.some((c) => c.species === scope.species);
  const tally = ({ worked }: (typeof reads)[number]): string =>
    tallyText(worked.flatMap(({ visits }) => visits.flatMap((v) => v.devices.flatMap((d) => d.catch?.species ?? []))));
  return {
    colonies: reads.filter(lives).map((read) => {
      const { scope, histories, taught } = read;
      const chance = noneLeft(read);
      const { done } = scope.colony ?? { done: null };
      return {
        id: scope.id,
        name: scope.name,
        where: scope.colony ? scope.waters.map((w) => waterName[w]).join(', ') : '',
        caught: tally(read),
        said: done
          ? `Called done ${dateText(done.at.slice(0, 10), today, season.clock.hours)}; look again ${dateText(done.lookBack, today, season.clock.hours)}.`
          : headOf(read),
        clear: done === null && chance !== null && chance >= clearOf(read),
        fear: histories.some((h) => h.looks.length > 0) ? fearText(taught.fears) : '',
        met: contactText(read.worked.flatMap(({ visits }) => visits)),
        nights: together(colonyStory(read, season, locals.now, locals.who.person.system).story, 'Everywhere'),
      };
    }),
    others: reads
      .filter((read) => !lives(read))
      .map((read) => ({
        id: read.scope.id,
        name: read.scope.name,
        caught: tally(read),
        met: contactText(read.worked.flatMap(({ visits }) => visits)),
      })),
  };
};
