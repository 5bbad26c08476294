import { error, redirect } from '@sveltejs/kit';
import { doingAt } from '#core/ahead/doing';
import { movingOf } from '#core/ahead/moving';
import { outlookOf, standingOf } from '#core/ahead/setOutlook';
import { seenAtSet } from '#core/counting/atSet';
import { asksNow, likelyOutcome, oneChange } from '#core/check/advice';
import { OUTCOMES } from '#core/record/checks';
import type { Check, TrapSet } from '#core/record/kinds';
import { freshLure } from '#core/lure/lure';
import { othersIn } from '#core/others/others';
import { armingCheck } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { settingAt, statesOf } from '#core/sets/standing';
import { daySaid, whenText } from '#core/time/clock';
import { localDate, toField } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { worst } from '#core/water/state';
import { readCheck } from '$lib/server/checkForm';
import { db } from '$lib/server/database';
import { attempt, reader, refused } from '$lib/server/form';
import { isId, newId } from '$lib/server/newId';
import { keepAfter } from '$lib/server/keepForecasts';
import { record } from '$lib/server/record/write';
import { checks } from '$lib/server/repositories/checks';
import { entryOf } from '$lib/server/repositories/entries';
import { people } from '$lib/server/repositories/places';
import { designOf, liesOf } from '$lib/server/oneSet';
import { loadSeason, type Season } from '$lib/server/season';
import { atCatch } from '$lib/server/duties';
import { frameOf } from '#core/ahead/facts';
import { undo } from '$lib/server/undo';
import { takenAtChecks } from '$lib/server/usedUp';
import { unitWords } from '#core/gear/stock';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, id: string) {
  const season = await loadSeason(locals, ['live', 'pulled', 'prepared', 'planned']);
  const set = season?.sets.find((s) => s.id === id);
  const view = season?.views.find((v) => v.id === id);
  if (!season || !set || !view) error(404, 'There is no such set in this record.');
  return { season, set, view, now: locals.now, who: locals.who };
}

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { season, set, view, now, who } = await find(locals, params.set);
  const frame = frameOf(season, view.station.water, who.person.system);
  const { system } = frame;
  const water = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const states = statesOf(view, water, frame);
  const state = worst(states);
  const moving = movingOf(season, now);
  const doing = doingAt(state, outlookOf(view, state, season, moving, locals), setTypeOf(view.type).looks);
  const standing = standingOf(view, moving, season, locals);
  const past = await checks(db(), who.crew, { set: set.id, limit: 6 });
  const crew = (await people(db(), who.crew)).map(({ id, name }) => ({ id, name }));
  const asked = url.searchParams.get('outcome');
  const held = settingAt(set, now);
  const devices = Object.fromEntries(view.devices.map((d) => [d.position, d]));
  return {
    view,
    water,
    state,
    then: view.then[view.station.surface] ?? null,
    design: designOf(season, set, locals).design,
    lies: asked === 'missing' ? liesOf(designOf(season, set, locals), set, season, locals) : null,
    likely: likelyOutcome(state?.verdict ?? 'unknown'),
    outcome: OUTCOMES.find((o) => o === asked) ?? (asked === 'other' ? 'other' : null),
    doing,
    seen: seenAtSet(season.seenLate[view.station.id] ?? [], view.lastLook ? new Date(view.lastLook) : null),
    wading: standing?.short ? standing.sentence : '',
    lower: doing.by === 0 ? '' : printLength(-doing.by, system),
    onSlide: held.choices.hold === 'slide',
    /** what lies in a bed is not knocked down: its bed is empty */
    hasBed: view.devices.every((d) => d.class === 'foothold'),
    asks: asksNow(past),
    asking: await askingOf(url.searchParams.get('ask'), who.crew),
    advice: await adviceOf(url.searchParams.get('saved'), set, who.crew),
    hole: set.hole,
    opened: set.entry,
    past: past.map((c) => ({
      at: daySaid(new Date(c.at), now, season.clock),
      found: c.devices.map((d) => d.outcome).join(', '),
      change: c.change,
    })),
    arming: armingCheck(setTypeOf(set.type), devices, held.choices),
    remake: [...(setTypeOf(set.type).remake ?? []), ...(held.lures ? [freshLure(held.lures)] : [])].join(' '),
    supplies:
      asked === null
        ? []
        : (await takenAtChecks(locals)).map(({ id, name, unit }) => ({ id, text: `${name}, in ${unitWords(unit, system)}` })),
    people: crew,
    /** who may be checking: asked once on a device, where more than one may be */
    asksWho: locals.isPicked || crew.length < 2 ? [] : crew,
    here: url.pathname + url.search,
    /** what the rulebook says of each animal that may be in it */
    /** who else can be in it */
    others: asked === null ? [] : othersAt(season, set, locals),
    atCatch: asked === null ? {} : await atCatch(season, view.station.water, locals),
    order: orderOf(season, set.id),
    owedBy: view.deadline ? whenText(new Date(view.deadline), now, season.clock) : '',
    nowAt: now.getTime(),
    today: localDate(now, season.line.zone),
    nowField: toField(now, season.line.zone),
    ids: { entry: newId(), id: newId() },
    saved: url.searchParams.get('saved') ?? '',
  };
};

/** Who else this set can hold, by the list of the bench. */
function othersAt(season: Season, set: TrapSet, locals: App.Locals): string[] {
  const { type, station, setting, devices, then, design } = designOf(season, set, locals);
  const built = { type, design, then, species: set.species, choices: setting.choices, surface: station.surface };
  return othersIn({ ...built, devices: Object.values(devices), panPull: setting.numbers.panPull, seen: [], users: '' }).map((o) => o.who);
}

async function askingOf(entry: string | null, crew: string) {
  if (!entry || !isId(entry)) return null;
  const found = await entryOf(db(), crew, entry);
  return found?.kind === 'check' && !found.corrected_by ? { entry } : null;
}

/** The one change that the answers of the check just saved point to; empty where it was not asked. */
async function adviceOf(saved: string | null, set: TrapSet, crew: string): Promise<string> {
  const entry = saved && isId(saved) ? await entryOf(db(), crew, saved) : undefined;
  const visit = entry?.kind === 'check' && !entry.withdrawn ? (entry.body as Check) : null;
  return visit?.set === set.id && visit.asked ? oneChange(visit.asked, setTypeOf(set.type).devices) : '';
}

function orderOf(season: Season, id: string) {
  const owed = season.views.filter((v) => v.deadline).sort((a, b) => (a.deadline ?? '').localeCompare(b.deadline ?? ''));
  const place = owed.findIndex((v) => v.id === id);
  const next = owed.find((v, i) => i > place && v.id !== id)?.id ?? null;
  return { place: place + 1, of: owed.length, next, owed: owed.map((v) => v.id) };
}

export const actions: Actions = {
  undo,

  /** One tap: every device of the set as it was found likely. */
  quick: async ({ request, locals, params }) => {
    const place = await find(locals, params.set);
    const data = await request.formData();
    for (const d of place.view.devices) data.set(`${d.stay}.outcome`, String(data.get('outcome') ?? 'untouched'));
    const read = reader(data, locals.who);
    const before = await checks(db(), locals.who.crew, { set: place.set.id, limit: 2 });
    const entries = await readCheck(read, place);
    if (!entries) return refused(read);
    const result = await attempt(read, () => record(db(), ...entries));
    if ('failure' in result) return result.failure;
    if (result.done === 'written') await keepAfter(locals, entries);
    const entry = read.text('entry');
    if (read.text('outcome') === 'untouched' && asksNow(before)) redirect(303, `/check/${params.set}?ask=${entry}&saved=${entry}`);
    redirect(303, `/morning?saved=${entry}`);
  },

  save: async ({ request, locals, params }) => {
    const place = await find(locals, params.set);
    const read = reader(await request.formData(), locals.who);
    const entries = await readCheck(read, place);
    if (!entries) return refused(read);
    const fieldOf = (path: string): string => {
      const own = /^devices\.(\d+)\.(?:catch\.)?(\w+)$/.exec(path);
      const visit = entries[0]?.body as Check | undefined;
      const stay = own && visit?.devices[Number(own[1])]?.stay;
      return own && stay ? `${stay}.${own[2]}` : path;
    };
    const result = await attempt(read, () => record(db(), ...entries), fieldOf);
    if ('failure' in result) return result.failure;
    if (result.done === 'written') await keepAfter(locals, entries);
    const visit = entries[0]?.body as Check;
    if (visit.asked) redirect(303, `/check/${params.set}?saved=${read.text('entry')}`);
    redirect(303, `/morning?saved=${read.text('entry')}`);
  },

  /** The answers to the second untouched in a row, as a correction of the check that was just saved. */
  ask: async ({ request, locals, params }) => {
    const place = await find(locals, params.set);
    const read = reader(await request.formData(), locals.who);
    const target = await entryOf(db(), locals.who.crew, read.text('corrects'));
    if (!target || target.kind !== 'check' || target.body.set !== place.set.id)
      return refused(read, 'There is no such check to answer for.', 404);
    const asked = { seenOnCamera: read.text('seenOnCamera'), inUse: read.text('inUse'), usedBefore: read.text('usedBefore') };
    const body = { ...(target.body as Check), asked: asked as Check['asked'] };
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'check',
        occurredAt: target.occurred_at,
        by: locals.who.person.id,
        body,
        corrects: target.id,
        reason: 'answers to the second untouched',
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/check/${params.set}?saved=${read.text('entry')}`);
  },
};
