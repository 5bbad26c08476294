import { carriedOn, cutAndCarry, againstShed, summed, WAYS } from '#core/gear/carry';
import { forLook, onLoad, type Reason } from '#core/gear/today';
import type { TrapSet } from '#core/record/kinds';
import { dateText, type Hours } from '#core/time/clock';
import { addDays, instantOf, localDate } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { closedTo } from '#lib/bench/ruled';
import { designOf } from '#lib/season/oneSet';
import { stock } from '$lib/server/repositories/gear';
import { shedHas } from '$lib/server/shed';
import { loadSeason } from '$lib/server/season';
import type { PageServerLoad } from './$types';

/** How the sets of a load are told apart: what each takes along is said once. */
const LOADS: { name: string; takes: string; holds: (set: Pick<TrapSet, 'state'>, reason: Reason) => boolean }[] = [
  { name: 'Due today', takes: 'tools, bait and lure', holds: (_, reason) => reason === 'due' },
  { name: 'Prepared', takes: 'all they are built of', holds: ({ state }) => state === 'prepared' },
  { name: 'Planned', takes: 'all they are built of', holds: ({ state }) => state === 'planned' },
];

/** The later of the days on which a set opens, where it lies ahead. */
function opensOn(days: (string | null)[], today: string, hours: Hours): string | null {
  const last = days
    .filter((d): d is string => d !== null && d > today)
    .sort()
    .at(-1);
  return last ? dateText(last, today, hours) : null;
}

/** The load of the day, summed against the shed: what is set up wholly, and what the sets due take to be looked at and set again. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  const way = WAYS.find((w) => w === url.searchParams.get('way')) ?? 'truck';
  const picked = url.searchParams.getAll('set');
  const zone = season?.line.zone ?? 'UTC';
  const clock = season?.clock.hours ?? 24;
  const today = localDate(locals.now, zone);
  const day = { today, end: instantOf(addDays(today, 1), '00:00', zone) };
  const deadlines = Object.fromEntries((season?.views ?? []).map((v) => [v.id, v.deadline]));
  const ahead = (season?.sets ?? [])
    .map((set) => {
      const closed = season && set.state !== 'live' ? closedTo(season, set, locals.now) : null;
      return { set, closed, reason: closed ? null : onLoad(set, deadlines[set.id] ?? null, day) };
    })
    .filter(({ set, reason }) => set.state === 'planned' || set.state === 'prepared' || reason !== null);
  const isPlan = url.searchParams.get('of') === 'plan';
  const chosen = ahead.filter(({ set, closed, reason }) => {
    if (picked.length > 0) return picked.includes(set.id);
    // what may not be set yet stays at home
    return isPlan ? set.state !== 'live' && !closed : reason !== null;
  });
  const lists = season
    ? chosen.map(({ set }) => {
        const { design, type } = designOf(season, set, locals);
        const whole = cutAndCarry(design, type.tools);
        return set.state === 'live' ? forLook(whole) : whole;
      })
    : [];
  const kept = await stock(db(), locals.who.crew, locals.now);
  const needed = againstShed(carriedOn(summed(lists), way), shedHas(season?.shed ?? [], kept));
  return {
    way,
    ways: WAYS,
    count: chosen.length,
    ahead: LOADS.map(({ name, takes, holds }) => ({
      name,
      takes,
      sets: ahead
        .filter(({ set, reason }) => holds(set, reason))
        .map(({ set, closed }) => ({
          id: set.id,
          text: `${set.number} ${set.name}`,
          opens: opensOn([set.opens, closed?.opens ?? null], today, clock),
          closed: closed?.rule ?? '',
          chosen: chosen.some((c) => c.set === set),
        })),
    })).filter(({ sets }) => sets.length > 0),
    needed,
  };
};
