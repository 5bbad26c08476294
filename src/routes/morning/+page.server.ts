import { minutesOf } from '#core/planning/minutes';
import { latestStart, ruleText, type Owed } from '#core/time/deadline';
import { type Clock, dateText, daySaid, spanText, whenText } from '#core/time/clock';
import { addDays, localDate } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { tonight } from '#core/weather/tonight';
import { seenAtSet } from '#core/counting/atSet';
import { afterNight } from '#core/morning/afterNight';
import { movedSays, setsSay } from '#core/morning/headline';
import { sizeText } from '#core/devices/sizes';
import { GAUGE_HALF } from '#core/scene/bandGauge';
import { setTypeOf } from '#core/sets/catalogue';
import { stateOf, type SetView } from '#core/sets/standing';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { changeOf, type Change } from '#core/water/change';
import { spareText } from '#core/water/state';
import { loadSeason, type Season } from '$lib/server/season';
import { openDuties } from '$lib/server/duties';
import { frameOf } from '#core/ahead/facts';
import { db } from '$lib/server/database';
import { entryOf } from '$lib/server/repositories/entries';
import { intents } from '$lib/server/repositories/scouting';
import { movingOf, type MovingAll } from '#core/ahead/moving';
import { doingAt } from '#core/ahead/doing';
import { outlookOf, standingOf } from '#core/ahead/setOutlook';
import { isId } from '$lib/server/newId';
import { undo } from '$lib/server/undo';
import type { Actions, PageServerLoad } from './$types';

/** A change is of this night while its last reading is not older. */
const LATELY = 24 * 3_600_000;
const DAY = 24 * 3_600_000;

export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  if (!season) return { season: false as const };
  const { now, who } = locals;
  const { system } = who.person;
  const prepared = preparedPlaces(season, locals);
  const duties = openDuties(season, locals);
  const live = season.views.filter((v) => v.state === 'live');
  const changes = season.waters.map((w) => ({
    id: w.id,
    name: w.name,
    change: changeAt(season, w.id, now),
    frame: frameOf(season, w.id, system),
  }));
  const moving = movingOf(season, locals.now);
  const rows = live.map((view) => row(season, view, moving, locals)).sort((a, b) => a.deadline.localeCompare(b.deadline));
  return {
    season: true as const,
    sets: setsSay(rows.map((r) => r.state?.verdict ?? 'unknown')),
    moved: live.length === 0 ? '' : movedSays(changes, now),
    due: {
      count: rows.length,
      text: dueText(
        live.flatMap((v) => owedOf(v, locals)),
        now,
        season.clock,
      ),
    },
    groups: afterNight(
      rows.map((r) => ({
        id: r.id,
        verdict: r.state?.verdict ?? 'unknown',
        beyond: (r.state?.beyond ?? '') !== '',
        idleThen: r.idleThen,
        cutOff: r.cutOff,
      })),
    ),
    weather: weatherTonight(season, moving, locals).filter((f) => f.verdict === 'warns'),
    waters: season.waters
      .map((w) => ({
        id: w.id,
        name: w.name,
        now: waterText(season, w.id, changes.find((c) => c.id === w.id)?.change ?? null, locals),
        rows: rows.filter((r) => r.water === w.id),
      }))
      .filter((w) => w.rows.length > 0)
      .sort((a, b) => (a.rows[0]?.deadline ?? '').localeCompare(b.rows[0]?.deadline ?? '')),
    prepared: await prepared,
    duties: await duties,
    /** the water to begin at, where no place is known yet */
    firstWater: season.stations.length === 0 ? (season.waters[0] ?? null) : null,
    half: printLength(GAUGE_HALF, system),
    rule: [...new Set((live.length > 0 ? live.map((v) => v.every) : [season.line.rule]).map(ruleText))].join('; '),
    saved: await savedEntry(url.searchParams.get('saved'), who.crew),
  };
};

/** Sets and places that wait for their date: they go on that day's load list and owe no check until then. */
async function preparedPlaces(season: Season, { now, who }: App.Locals) {
  const today = localDate(now, season.line.zone);
  const places = Object.fromEntries(season.stations.map((s) => [s.id, `${s.number} ${s.name}`]));
  const sets = season.views
    .filter((v) => v.state === 'prepared')
    .map((v) => ({ id: v.id, href: `/bench/${v.id}`, text: `${v.number} ${v.name}`, opens: v.opens }));
  const intended = (await intents(db(), who.crew, season.line.id))
    .filter((i) => i.doing === 'prepared')
    .map((i) => ({ id: i.id, href: `/book/${i.entry}`, text: `${places[i.station] ?? ''}, ${i.type}`, opens: i.opens }));
  return [...sets, ...intended].map(({ opens, ...p }) => ({
    ...p,
    opens: opens === null ? '' : opens <= today ? 'today: load it' : dateText(opens, today, season.clock.hours),
  }));
}

function weatherTonight(season: Season, { hours }: MovingAll, { now, who }: App.Locals) {
  if (hours.length === 0) return [];
  const { zone } = season.line;
  const today = localDate(now, zone);
  const dusk = sunOf(today, zone, season.line).sunset ?? now;
  const dawn = sunOf(addDays(today, 1), zone, season.line).sunrise ?? new Date(now.getTime() + DAY);
  return tonight(hours, now.getTime(), dusk.getTime(), dawn.getTime(), who.person.system);
}

function row(season: Season, view: SetView, moving: MovingAll, locals: App.Locals) {
  const { now, who } = locals;
  const water = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const state = stateOf(view, water, frameOf(season, view.station.water, who.person.system));
  const deadline = view.deadline ?? now.toISOString();
  const outlook = outlookOf(view, state, season, moving, locals);
  const standing = standingOf(view, moving, season, locals);
  const { order, why } = doingAt(state, outlook, setTypeOf(view.type).looks);
  return {
    id: view.id,
    number: view.number,
    name: view.name,
    water: view.station.water,
    kind: view.devices[0]?.class ?? ('bodyGrip' as const),
    devices: devicesText(view.devices),
    tags: view.devices.map((d) => d.tag).join(', '),
    state,
    spare: state ? spareText(state, who.person.system) : '',
    then: view.then[view.station.surface] ?? null,
    deadline,
    by: whenText(new Date(deadline), now, season.clock),
    overdue: new Date(deadline) < now,
    missed: view.missed?.why ?? '',
    order,
    why: [missedText(view, now, season.clock), seenAtSet(season.seenLate[view.station.id] ?? [], lastLookOf(view)), why, standing?.sentence]
      .filter(Boolean)
      .join(' '),
    wading: standing?.short ?? '',
    idleThen: outlook?.idle ?? false,
    cutOff: standing !== null && standing.now && !standing.atCheck,
  };
}

const lastLookOf = ({ lastLook }: SetView): Date | null => (lastLook ? new Date(lastLook) : null);

/** A way there that ended before the set, with the check that it still owes. */
function missedText({ missed, deadline, lastLook }: SetView, now: Date, clock: Clock): string {
  if (!missed) return '';
  const owed =
    deadline && new Date(deadline) < now
      ? ` Its check is broken since ${whenText(new Date(deadline), now, clock)}`
      : ' Its check is still due';
  return `Not reached ${whenText(new Date(missed.at), now, clock)}: ${missed.why}.${owed}${lastLook ? `, last seen ${whenText(new Date(lastLook), now, clock)}` : ''}.`;
}

/** Sizes and how many of each: `2 × 330`. */
function devicesText(devices: SetView['devices']): string {
  const sizes = devices.map((d) => sizeText(d.class, d.size));
  return [...new Set(sizes)]
    .map((size) => [sizes.filter((s) => s === size).length, size] as const)
    .map(([n, size]) => (n === 1 ? size : `${n} × ${size}`))
    .join(', ');
}

/** What the last two readings of a water say of the night; null when the last one is not of today's night. */
function changeAt(season: Season, water: string, now: Date): Change | null {
  const gauge = season.gauges.find((g) => g.water === water && g.surface === 'pond');
  const change = gauge ? changeOf(season.readings[gauge.id] ?? [], now) : null;
  return change && now.getTime() - change.to.at.getTime() < LATELY ? change : null;
}

function waterText(season: Season, water: string, change: Change | null, { who, now }: App.Locals): string {
  const frame = frameOf(season, water, who.person.system);
  const levels = season.levels[water];
  const level = levels?.known.pond;
  if (level === undefined) return 'never read';
  const age = levels?.age.pond ?? 0;
  const moved =
    change === null
      ? ''
      : Math.abs(change.to.level - change.from.level) < 0.0127
        ? ', steady'
        : `, ${levelText(change.from.level, frame)} ${daySaid(change.from.at, now, frame)}`;
  return `${levelText(level, frame)}${moved}, read ${spanText(age)} ago`;
}

function dueText(owed: readonly Owed[], now: Date, clock: Clock): string {
  const start = latestStart(owed);
  if (!start) return '';
  const overdue = owed.filter(({ at }) => at < now).length;
  const first = overdue > 0 ? `${overdue} overdue. ` : '';
  const begin = start < now ? 'Start now, the tightest first' : `Start by ${whenText(start, now, clock)}`;
  const minutes = [...new Set(owed.map((o) => o.minutes))].sort((a, b) => a - b);
  return `${first}${begin}: ${minutes.join(' to ')} min a set, driving extra.`;
}

/** What a check takes by this person: through ice the hole is opened anew. */
function owedOf(view: SetView, { who }: App.Locals): Owed[] {
  const own = minutesOf(who.person.minutes);
  return view.deadline ? [{ at: new Date(view.deadline), minutes: setTypeOf(view.type).underIce ? own.ice : own.place }] : [];
}

async function savedEntry(id: string | null, crew: string) {
  if (!id || !isId(id)) return null;
  const entry = await entryOf(db(), crew, id);
  return entry && entry.kind === 'check' && !entry.corrected_by ? { id } : null;
}

export const actions: Actions = { undo };
