import { catchText } from '#core/record/sentence';
import type { Station } from '#core/stations/placed';
import { whenText } from '#core/time/clock';
import { db } from '$lib/server/database';
import { checks } from '$lib/server/repositories/checks';
import { index, loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals, ['live', 'pulled']);
  if (!season) return { waters: [] };
  const visits = await checks(db(), locals.who.crew, { line: season.line.id });
  const stations = index<Station>(season.stations);
  const waterOf = Object.fromEntries(season.sets.map((s) => [s.id, stations[s.station]?.water ?? '']));
  const { system } = locals.who.person;
  return {
    waters: season.waters.map((water) => {
      const own = visits.filter((v) => waterOf[v.set] === water.id);
      const caught = own.flatMap((v) =>
        v.devices.flatMap((d) =>
          d.catch
            ? [
                {
                  id: d.catch.id,
                  when: whenText(new Date(v.at), locals.now, season.clock),
                  text: catchText(d.catch, system),
                  species: d.catch.species,
                },
              ]
            : [],
        ),
      );
      const learned = own.flatMap((v) => v.devices.map((d) => d.outcome)).filter((o) => ['miss', 'sprung empty', 'knocked'].includes(o));
      const lastCatch = own.find((v) => v.devices.some((d) => d.catch));
      const since = own.filter((v) => !lastCatch || v.at > lastCatch.at);
      return {
        id: water.id,
        name: water.name,
        caught,
        counts: [...new Set(caught.map((c) => c.species))]
          .map((species) => `${caught.filter((c) => c.species === species).length} ${species}`)
          .join(', '),
        learned: {
          miss: learned.filter((o) => o === 'miss').length,
          sprung: learned.filter((o) => o === 'sprung empty').length,
          knocked: learned.filter((o) => o === 'knocked').length,
        },
        quiet: since.length,
      };
    }),
  };
};
