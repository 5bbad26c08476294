import { colonyRange, rangeText } from '#core/counting/colonyRange';
import { contactText, tallyText } from '#core/counting/contacts';
import { catchText } from '#core/record/sentence';
import { whenText } from '#core/time/clock';
import { leftText } from '#core/words/left';
import { evidenceOf, waterCount } from '$lib/server/counting';
import { leftIn } from '$lib/server/left';
import { workedSets } from '$lib/server/totals';
import { db } from '$lib/server/database';
import { checks } from '$lib/server/repositories/checks';
import { loadScouted } from '$lib/server/scouting';
import { index } from '#lib/season/season';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const [season, scouted] = await Promise.all([loadSeason(locals, ['live', 'pulled']), loadScouted(locals)]);
  if (!season) return { waters: [] };
  const [visits, worked] = await Promise.all([checks(db(), locals.who.crew, { line: season.line.id }), workedSets(locals)]);
  const stations = index(season.stations);
  const waterOf = Object.fromEntries(season.sets.map((s) => [s.id, stations[s.station]?.water ?? '']));
  const { system } = locals.who.person;

  /** Who is left, where a lodge, a pile or a beaver was ever met. */
  const left = (water: string) => {
    const own = season.stations.filter((s) => s.water === water);
    const ids = new Set(own.map((s) => s.id));
    const here = {
      ...scouted,
      cameras: scouted.cameras.filter((c) => ids.has(c.station)),
      caught: scouted.caught.filter((c) => ids.has(c.station)),
    };
    const count = waterCount(here, 'beaver', season.line.zone);
    const lodged = own.some((s) => ['lodge', 'feed bed', 'dam'].includes(s.kind));
    if (!lodged && count.floor === 0 && !here.caught.some((c) => c.species === 'beaver')) return null;
    const evidence = evidenceOf(own, count, here, season.clock);
    const range = colonyRange(evidence, system);
    const signs = scouted.signs.filter((s) => ids.has(s.station));
    const found = leftIn({ season, water, worked: worked ?? [], scouted: { signs }, count, evidence, now: locals.now });
    return { text: found ? leftText(found) : rangeText(range), second: range.second };
  };

  return {
    waters: season.waters.map((water) => {
      const own = visits.filter((v) => waterOf[v.set] === water.id);
      const caught = own.flatMap((v) => v.devices.flatMap((d) => (d.catch ? [{ at: new Date(v.at), animal: d.catch }] : [])));
      return {
        id: water.id,
        name: water.name,
        counts: tallyText(caught.map((c) => c.animal.species)),
        left: left(water.id),
        met: contactText(own),
        caught: caught.map(({ at, animal }) => ({
          id: animal.id,
          when: whenText(at, locals.now, season.clock),
          text: catchText(animal, system),
        })),
      };
    }),
  };
};
