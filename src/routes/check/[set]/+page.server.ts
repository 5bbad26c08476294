import { error, redirect } from '@sveltejs/kit';
import { asksNow, oneChange } from '#core/check/advice';
import type { Check, TrapSet } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import { fieldOfCheck, readCheck } from '#lib/check/checkForm';
import { checkPage } from '#lib/check/page';
import { isId, newId } from '#lib/form/newId';
import { reader } from '#lib/form/reader';
import { checkPlace } from '$lib/server/checkPlace';
import { db } from '$lib/server/database';
import { caughtSoFar } from '$lib/server/duties';
import { attempt, refused } from '$lib/server/form';
import { keepAfter } from '$lib/server/keepForecasts';
import { record } from '$lib/server/record/write';
import { checks } from '$lib/server/repositories/checks';
import { entryOf } from '$lib/server/repositories/entries';
import { people } from '$lib/server/repositories/places';
import { loadSeason } from '$lib/server/season';
import { undo } from '$lib/server/undo';
import { takenAtChecks } from '$lib/server/usedUp';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, id: string) {
  const season = await loadSeason(locals, ['live', 'pulled', 'prepared', 'planned']);
  const set = season?.sets.find((s) => s.id === id);
  const view = season?.views.find((v) => v.id === id);
  if (!season || !set || !view) error(404, 'There is no such set in this record.');
  return { season, set, view };
}

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { season, set, view } = await find(locals, params.set);
  const { who, isPicked } = locals;
  const asked = url.searchParams.get('outcome');
  const [past, crew, caught, supplies, asking, advice] = await Promise.all([
    checks(db(), who.crew, { set: set.id, limit: 6 }),
    people(db(), who.crew),
    asked === null ? [] : caughtSoFar(season, locals),
    asked === null ? [] : takenAtChecks(locals),
    askingOf(url.searchParams.get('ask'), who.crew),
    adviceOf(url.searchParams.get('saved'), set, who.crew),
  ]);
  const names = crew.map(({ id, name }) => ({ id, name }));
  return {
    ...checkPage({ season, set, view, outcome: asked }, { past, caught, supplies, people: names }, locals),
    asking,
    advice,
    /** who may be checking: asked once on a device, where more than one may be */
    asksWho: isPicked || names.length < 2 ? [] : names,
    here: url.pathname + url.search,
    ids: { entry: newId(), id: newId() },
    saved: url.searchParams.get('saved') ?? '',
  };
};

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

export const actions: Actions = {
  undo,

  /** One tap: every device of the set as it was found likely. */
  quick: async ({ request, locals, params }) => {
    const place = await find(locals, params.set);
    const data = await request.formData();
    for (const d of place.view.devices) data.set(`${d.stay}.outcome`, String(data.get('outcome') ?? 'untouched'));
    const read = reader(data, locals.who);
    const before = await checks(db(), locals.who.crew, { set: place.set.id, limit: 2 });
    const entries = await readCheck(read, await checkPlace(place, locals));
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
    const entries = await readCheck(read, await checkPlace(place, locals));
    if (!entries) return refused(read);
    const visit = entries[0]?.body as Check;
    const result = await attempt(read, () => record(db(), ...entries), fieldOfCheck(visit));
    if ('failure' in result) return result.failure;
    if (result.done === 'written') await keepAfter(locals, entries);
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
