import { SPECIES, type Species } from '#core/animals/species';
import { CLASS_WORDS } from '#core/devices/sizes';
import { againstText, hourText } from '#core/words/earns';
import { earnedOf, groupsOf } from '#core/effort/earns';
import { nightsRange, rateOf, rateSays } from '#core/effort/rate';
import { setTotal } from '#core/effort/totals';
import { middleOf } from '#core/run/work';
import type { TrapSet } from '#core/record/kinds';
import { sideOf } from '#core/schools/sides';
import { setTypeOf } from '#core/sets/catalogue';
import { SCHOOL_IDS, SCHOOLS, type SchoolId } from '#core/words/schools';
import type { Season } from '#lib/season/season';
import { builtAs } from '$lib/server/schools';
import { loadSeason } from '$lib/server/season';
import { stationName } from '$lib/server/scouting';
import { workedSets } from '$lib/server/totals';
import type { PageServerLoad } from './$types';

const BY = { type: 'type of set', device: 'trap', place: 'kind of place', station: 'place' } as const;
type By = keyof typeof BY | `school ${SchoolId}`;

/** The side on which a set stands; null where the matter does not touch it. */
function sideSaid(matter: SchoolId, set: TrapSet, season: Season, now: Date): string | null {
  const view = season.views.find((v) => v.id === set.id);
  const side = view ? sideOf(matter, builtAs(set, view, season, now)) : null;
  return side && SCHOOLS[matter][side].says;
}

const SCHOOL_WAYS = SCHOOL_IDS.map((id) => ({ value: `school ${id}` as const, text: SCHOOLS[id].about.toLowerCase() }));

/** Which set earns its minutes: catches, contacts, hours in range and minutes of sets that are alike in something. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const [season, worked] = await Promise.all([loadSeason(locals, ['live', 'pulled']), workedSets(locals)]);
  const animals = SPECIES.filter((s) => worked?.some(({ set }) => set.species === s));
  const asked = url.searchParams.get('species') as Species;
  const species = animals.includes(asked) ? asked : (animals[0] ?? 'beaver');
  const wanted = url.searchParams.get('by') as By;
  const matter = SCHOOL_IDS.find((id) => wanted === `school ${id}`) ?? null;
  const by: By = matter ? wanted : Object.hasOwn(BY, wanted) ? wanted : 'type';
  const base = { species, animals, by, ways: [...Object.entries(BY).map(([value, text]) => ({ value, text })), ...SCHOOL_WAYS] };
  if (!season || !worked) return { ...base, rows: [], most: 1, caught: 0 };
  const minutes = middleOf(season.minutes);
  const station = Object.fromEntries(season.stations.map((s) => [s.id, s]));
  const device = Object.fromEntries(season.shed.map((d) => [d.id, d]));
  const sets = worked
    .filter(({ set }) => set.species === species)
    .flatMap(({ set, visits, asked: with_ }) => {
      const side = matter && sideSaid(matter, set, season, locals.now);
      if (matter && !side) return [];
      const at = station[set.station];
      const trap = device[set.stays.at(-1)?.device ?? ''];
      const key: Record<keyof typeof BY, string> = {
        type: setTypeOf(set.type).name,
        device: trap ? `${CLASS_WORDS[trap.class]} ${trap.size}` : 'unknown trap',
        place: at?.kind ?? 'unknown place',
        station: at ? stationName(at) : 'unknown place',
      };
      const own = side ?? key[by as keyof typeof BY];
      return [{ ...earnedOf(set, visits, setTotal(set, visits, with_).inBand, minutes), key: own }];
    });
  const groups = groupsOf(sets, (s) => s.key);
  const rates = groups.map((g) => rateOf(g.caught, g.hours));
  const ends = rates.flatMap((r) => (r ? [r.limits.high, r.rate.high] : [])).filter(Number.isFinite);
  return {
    ...base,
    rows: groups.map((g, n) => ({
      ...{ key: g.key, sets: g.sets, caught: g.caught, contacts: g.contacts, minutes: Math.round(g.minutes) },
      nights: nightsRange(g.hours),
      rate: rates[n] ?? null,
      said: rateSays(g.caught, g.hours, ''),
      hour: hourText(g.caught, g.minutes),
      against: againstText(g.against),
      written: g.written === g.times ? '' : `${g.written} of ${g.times} times written`,
    })),
    // one very wide line does not make dots of all others
    most: Math.min(
      Math.max(1, ...ends),
      3 * Math.max(10, ...rates.flatMap((r) => (r && Number.isFinite(r.rate.high) ? [r.rate.high] : []))),
    ),
    caught: sets.reduce((sum, s) => sum + s.caught, 0),
  };
};
