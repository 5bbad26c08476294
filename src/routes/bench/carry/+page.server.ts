import { carriedOn, againstShed, summed, WAYS, type Carried } from '#core/gear/carry';
import { BACK_WORDS, comesBack } from '#core/gear/back';
import { sparesFor } from '#core/gear/spares';
import { onLoad, type Reason } from '#core/gear/today';
import { HOLDS, weigh } from '#core/gear/weigh';
import type { TrapSet } from '#core/record/kinds';
import { dateText, type Hours } from '#core/time/clock';
import { addDays, instantOf, localDate } from '#core/time/localTime';
import { db } from '$lib/server/database';
import { closedTo } from '#lib/bench/ruled';
import type { Parsed } from '#core/units/length';
import { parseWeight } from '#core/units/weight';
import { loadsOf, moreOfEach } from '#lib/season/load';
import { wornBySize } from '$lib/server/repositories/checks';
import { stock, toSalvage } from '$lib/server/repositories/gear';
import { listed, shedHas } from '$lib/server/shed';
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
    ? loadsOf(
        season,
        chosen.map(({ set }) => set),
        locals,
      )
    : [];
  const crew = locals.who.crew;
  const [kept, worn, salvage] = await Promise.all([stock(db(), crew, locals.now), wornBySize(db(), crew), toSalvage(db(), crew)]);
  const caught = new Set(salvage.map((s) => s.device));
  const shed = shedHas(season?.shed ?? [], kept);
  const needed = againstShed(carriedOn(summed(lists), way), shed);
  const spares = sparesOf(
    chosen.flatMap(({ set }) => season?.views.find((v) => v.id === set.id)?.devices.map(listed) ?? []),
    worn.map(({ looks, lost, ...device }) => ({ what: listed(device), looks, lost })),
  );
  const load = carriedOn(summed([needed, spares]), way);
  const { total, unknown } = weigh(load);
  const asked = url.searchParams.get('most')?.trim() ?? '';
  const typed = asked === '' ? null : positive(parseWeight(asked, locals.who.person.system));
  const holds = typed?.ok ? typed.value : HOLDS[way];
  return {
    way,
    most: { text: asked, error: typed && !typed.ok ? typed.sentence : '', kg: holds, isTyped: typed?.ok ?? false },
    weight: { total, unknown },
    spares: spares.map(({ what, count }) => ({
      what,
      count,
      have: (shed.devices[what] ?? 0) - (needed.find((n) => n.what === what)?.count ?? 0),
    })),
    worn: { looks: sumOf(worn.map((w) => w.looks)), lost: sumOf(worn.map((w) => w.lost)) },
    more: season ? moreOfEach(season, load, { shed, room: holds === null ? null : holds - total }, locals) : [],
    back: comesBack(
      chosen
        .flatMap(({ set }) => season?.views.find((v) => v.id === set.id) ?? [])
        .flatMap((view) =>
          view.devices.map((d) => ({
            ...{ tag: d.tag, set: `${view.number} ${view.name}`, class: d.class },
            ...{ left: d.spent?.outcome ?? null, hasCaught: caught.has(d.device) },
          })),
        ),
    ).map((b) => ({ ...b, why: BACK_WORDS[b.why] })),
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

/** The spares that a run takes along, by how often each size had to be replaced. @param today what each device of the run is called */
function sparesOf(today: readonly string[], worn: readonly { what: string; looks: number; lost: number }[]): Carried[] {
  return [...new Set(today)].sort().flatMap((what): Carried[] => {
    const known = worn.find((w) => w.what === what) ?? { looks: 0, lost: 0 };
    const count = sparesFor(known, today.filter((t) => t === what).length);
    return count > 0 ? [{ kind: 'device', what, count }] : [];
  });
}

const sumOf = (numbers: readonly number[]): number => numbers.reduce((sum, n) => sum + n, 0);

const positive = (parsed: Parsed): Parsed =>
  parsed.ok && parsed.value <= 0 ? { ok: false, sentence: 'What it carries is more than 0. Leave it empty for the usual.' } : parsed;
