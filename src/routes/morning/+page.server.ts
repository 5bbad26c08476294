import { tell } from '#core/words/finding';
import { latestStart, ruleText, type Owed } from '#core/time/deadline';
import { type Clock, dateText, dayText, daySaid, spanText, whenText } from '#core/time/clock';
import { addDays, localDate } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { tonight } from '#core/weather/tonight';
import { afterNight } from '#core/morning/afterNight';
import { LATELY, movedSays, setsSay } from '#core/morning/headline';
import { GAUGE_HALF } from '#core/scene/bandGauge';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { changeOf, type Change } from '#core/water/change';
import { exactOf, type Reading } from '#core/water/series';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import { roundRow } from '#lib/season/rounds';
import { openDuties } from '$lib/server/duties';
import { frameOf } from '#core/ahead/facts';
import { db } from '$lib/server/database';
import { entriesKept, entryOf } from '$lib/server/repositories/entries';
import { colonies } from '$lib/server/repositories/colonies';
import { intents } from '$lib/server/repositories/scouting';
import { movingOf, type MovingAll } from '#core/ahead/moving';
import { idBeside, isId } from '#lib/form/newId';
import { decide, heldShown } from '$lib/server/held';
import { undo } from '$lib/server/undo';
import type { Actions, PageServerLoad } from './$types';

const DAY = 24 * 3_600_000;

export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  if (!season) return { season: false as const };
  const { now, who } = locals;
  const { system } = who.person;
  const prepared = preparedPlaces(season, locals);
  const duties = openDuties(season, locals);
  const lookBacks = dueAgain(season, locals);
  const held = heldShown(season, locals);
  const live = season.views.filter((v) => v.state === 'live');
  const changes = season.waters.map((w) => ({
    id: w.id,
    name: w.name,
    change: changeAt(season, w.id, now),
    read:
      readingsOf(season, w.id)
        .filter(({ at }) => at <= now)
        .at(-1)?.at ?? null,
    frame: frameOf(season, w.id, system),
  }));
  const moving = movingOf(season, locals.now);
  const rows = live.map((view) => roundRow(season, view, moving, locals)).sort((a, b) => a.deadline.localeCompare(b.deadline));
  return {
    season: true as const,
    sets: setsSay(rows.map(({ state }) => ({ verdict: state?.verdict ?? 'unknown', foretold: state?.foretold }))),
    moved: live.length === 0 ? '' : movedSays(changes, now),
    due: {
      count: rows.length,
      text: dueText(
        rows.map((r) => ({ at: new Date(r.deadline), minutes: r.visit.minutes })),
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
    lookBacks: await lookBacks,
    held: await held,
    /** the water to begin at, where no place is known yet */
    firstWater: season.stations.length === 0 ? (season.waters[0] ?? null) : null,
    half: printLength(GAUGE_HALF, system),
    rule: [...new Set((live.length > 0 ? live.map((v) => v.every) : [season.line.rule]).map(ruleText))].join('; '),
    typedIn: await typedFrom(url.searchParams.get('typed'), season, who.crew),
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
  const intended = (await intents(db(), who.crew, { line: season.line.id }))
    .filter((i) => i.doing === 'prepared')
    .map((i) => ({ id: i.id, href: `/book/${i.entry}`, text: `${places[i.station] ?? ''}, ${i.type}`, opens: i.opens }));
  return [...sets, ...intended].map(({ opens, ...p }) => ({
    ...p,
    opens: opens === null ? '' : opens <= today ? 'today: load it' : dateText(opens, today, season.clock.hours),
  }));
}

/** Colonies that were called done, and that somebody wanted to look at again by now. */
async function dueAgain(season: Season, { now, who }: App.Locals) {
  const today = localDate(now, season.line.zone);
  return (await colonies(db(), who.crew)).flatMap(({ id, name, done }) =>
    done && done.lookBack <= today
      ? [{ id, name, text: `called done ${dayText(new Date(done.at), season.clock)}, to be looked at again` }]
      : [],
  );
}

function weatherTonight(season: Season, { hours }: MovingAll, { now, who }: App.Locals) {
  if (hours.length === 0) return [];
  const { zone } = season.line;
  const today = localDate(now, zone);
  const dusk = sunOf(today, zone, season.line).sunset ?? now;
  const dawn = sunOf(addDays(today, 1), zone, season.line).sunrise ?? new Date(now.getTime() + DAY);
  return tonight(hours, { now: now.getTime(), dusk: dusk.getTime(), dawn: dawn.getTime() }).map((f) => tell(f, who.person.system));
}

/** What was read on the pond gauge of a water, in the order of time. */
function readingsOf(season: Season, water: string): readonly Reading[] {
  const gauge = season.gauges.find((g) => g.water === water && g.surface === 'pond');
  return exactOf(gauge ? (season.readings[gauge.id] ?? []) : []);
}

/** What the last two readings of a water say of the night; null when the last one is not of today's night. */
function changeAt(season: Season, water: string, now: Date): Change | null {
  const change = changeOf(readingsOf(season, water), now);
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
  const minutes = owed.map((o) => Math.round(o.minutes));
  const span = [...new Set([Math.min(...minutes), Math.max(...minutes)])].join(' to ');
  return `${first}${begin}: ${span} min a set, driving extra.`;
}

/** How many checks stand in the book of what was typed in from a paper. @param form that typed them */
async function typedFrom(form: string | null, { views }: Season, crew: string): Promise<number> {
  if (!form || !isId(form)) return 0;
  return entriesKept(
    db(),
    crew,
    views.map((v) => idBeside(form, `check ${v.id}`)),
  );
}

async function savedEntry(id: string | null, crew: string) {
  if (!id || !isId(id)) return null;
  const entry = await entryOf(db(), crew, id);
  return entry && entry.kind === 'check' && !entry.corrected_by ? { id } : null;
}

export const actions: Actions = { undo, decide };
