import { CATALOGUE } from '#core/sets/catalogue';
import { stateOf } from '#core/sets/standing';
import { plainFrame } from '#core/units/frame';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const names = Object.fromEntries((season?.waters ?? []).map((w) => [w.id, w.name]));
  return {
    firstWater: season?.waters[0]?.id ?? null,
    stations: (season?.stations ?? []).map((s) => ({ id: s.id, text: `${s.number} ${s.name}, ${s.kind} at ${names[s.water] ?? ''}` })),
    types: CATALOGUE.map(({ id, name, idea, species }) => ({ id, name, idea, species: species.join(', ') })),
    sets: (season?.views ?? []).map((v) => {
      const state =
        v.state === 'live'
          ? stateOf(
              v,
              season?.levels[v.station.water] ?? { known: {}, age: {}, atMost: {} },
              season?.frames[v.station.water] ?? plainFrame(locals.who.person.system),
            )
          : null;
      return {
        id: v.id,
        number: v.number,
        name: v.name,
        type: v.typeName,
        state: v.state,
        verdict: state?.verdict ?? (v.state === 'live' ? ('unknown' as const) : v.state),
        label: state?.label ?? v.state,
        water: names[v.station.water] ?? '',
        devices: v.devices.map((d) => d.tag),
      };
    }),
  };
};
