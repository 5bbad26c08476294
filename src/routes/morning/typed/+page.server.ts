import { redirect } from '@sveltejs/kit';
import { SPECIES } from '#core/animals/species';
import { clockTyped, lettersText, outcomeOf } from '#core/run/letters';
import { localDate } from '#core/time/localTime';
import { readCheck } from '#lib/check/checkForm';
import { checkPlace } from '$lib/server/checkPlace';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { keepAfter } from '$lib/server/keepForecasts';
import { idBeside, newId } from '#lib/form/newId';
import { paperRows } from '$lib/server/paper';
import { record } from '$lib/server/record/write';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals);
  return {
    entry: newId(),
    today: season ? localDate(locals.now, season.line.zone) : '',
    letters: lettersText(),
    animals: SPECIES,
    waters: season ? paperRows(season, locals) : [],
  };
};

type View = Season['views'][number];

/** What a row of the paper says, as the form of a check says it; a fault stands at its row. Null where nothing was typed. */
function checkOf(read: Reader, view: View): FormData | null {
  const typed = view.devices.filter((d) => read.text(`${d.stay}.found`) !== '');
  if (typed.length === 0) return null;
  const form = new FormData();
  const entry = read.text('entry');
  form.set('entry', idBeside(entry, `check ${view.id}`));
  form.set('id', idBeside(entry, `visit ${view.id}`));
  form.set('change', 'as it was');
  form.set('note', read.text(`${view.id}.note`));
  const clock = clockTyped(read.text(`${view.id}.at`));
  if (clock) form.set('at', `${read.text('day')}T${clock}`);
  else read.refuse(`${view.id}.at`, 'When, as hours and minutes: 815, 8:15 or 8:15 pm.');
  for (const { stay } of typed) {
    const outcome = outcomeOf(read.text(`${stay}.found`));
    if (!outcome) read.refuse(`${stay}.found`, `“${read.text(`${stay}.found`).slice(0, 20)}” is none of the letters: ${lettersText()}.`);
    form.set(`${stay}.outcome`, outcome ?? '');
    // what is noted of a trap that was not seen says where it was looked for, or why nobody came
    if (outcome === 'missing' || outcome === 'stolen' || outcome === 'not reached')
      form.set(`${stay}.searched`, read.text(`${view.id}.note`));
    if (outcome !== 'catch') continue;
    form.set(`${stay}.species`, read.text(`${stay}.animal`));
    form.set(`${stay}.alive`, read.text(`${stay}.alive`));
    if (!read.text(`${stay}.animal`)) read.refuse(`${stay}.animal`, 'Say which animal.');
    if (!read.text(`${stay}.alive`)) read.refuse(`${stay}.alive`, 'Say whether it lived when you came.');
  }
  return form;
}

/** Writes one row as the check it is; its faults go to its row. */
async function write(read: Reader, season: Season, view: View, locals: App.Locals): Promise<boolean> {
  const before = Object.keys(read.errors).length;
  const form = checkOf(read, view);
  const set = season.sets.find((s) => s.id === view.id);
  if (!form || !set || Object.keys(read.errors).length > before) return false;
  const own = reader(form, locals.who);
  const entries = await readCheck(own, await checkPlace({ season, set, view }, locals));
  const result = entries ? await attempt(own, () => record(db(), ...entries)) : null;
  if (result && 'done' in result) {
    if (entries && result.done === 'written') await keepAfter(locals, entries);
    return true;
  }
  const faults = [...Object.values(own.errors), result && 'failure' in result ? result.failure.data.problem : ''];
  read.refuse(`${view.id}.at`, faults.find(Boolean) ?? 'Not saved.');
  return false;
}

export const actions: Actions = {
  /** Every row that says something becomes a check; rows that are refused stay, with their reason, and what was saved is not written twice. */
  default: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const season = await loadSeason(locals);
    if (!season) return refused(read, 'No line was begun.', 404);
    let saved = 0;
    for (const view of season.views.filter((v) => v.state === 'live')) if (await write(read, season, view, locals)) saved += 1;
    if (!read.ok()) return refused(read, `${saved} saved. Look at the marked rows, and send it again: what is saved stays as it is.`);
    if (saved === 0) return refused(read, 'Nothing was typed: a letter a trap, and the time.');
    redirect(303, `/morning?typed=${read.text('entry')}`);
  },
};
