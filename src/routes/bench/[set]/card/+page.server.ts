import { error, redirect } from '@sveltejs/kit';
import { readFile, replyFileSchema } from '#core/card/card';
import { openCard } from '#core/card/opened';
import { wholeMinute } from '#core/time/localTime';
import { datedText } from '#core/time/clock';
import { cardOf } from '$lib/server/card';
import { db } from '$lib/server/database';
import { attempt } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { repliesOf } from '$lib/server/repositories/interviews';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

/** So much may be asked on one card. */
const LONGEST = 2000;
const questionsOf = (url: URL): string => (url.searchParams.get('asks') ?? '').trim().slice(0, LONGEST);

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  const card = season && (await cardOf(params.set, questionsOf(url), locals));
  if (!season || !card) error(404, 'There is no such set in this record.');
  const replies = await repliesOf(db(), locals.who.crew, params.set);
  return {
    card,
    it: openCard(card, locals.who.person.system, season.clock),
    clock: season.clock,
    replies: replies.map(({ at, ...own }) => ({ ...own, at: datedText(new Date(at), season.clock) })),
    saved: url.searchParams.has('saved'),
    entry: newId(),
  };
};

export const actions: Actions = {
  /** a friend's answer, as his program saved it or as text: it stays with the set */
  reply: async ({ request, locals, params }) => {
    const data = await request.formData();
    const read = reader(data, locals.who);
    const file = data.get('file');
    const text = file instanceof File && file.size > 0 ? await file.text() : read.text('text');
    const isFile = text.trim().startsWith('{');
    const found = isFile ? readFile(text, replyFileSchema) : null;
    if (found && !found.ok) read.refuse('text', found.sentence);
    else if (found?.ok && found.value.set !== params.set) read.refuse('text', 'This reply was written to the card of another set.');
    const answer = found?.ok ? found.value.text : isFile ? '' : text.trim();
    const from = found?.ok ? found.value.from : read.text('from');
    if (answer === '' && !read.errors.text) read.refuse('text', 'Choose the file of the reply, or paste what was answered.');
    if (from === '' && !read.errors.text) read.refuse('from', 'Who answered? A name, or “a friend”.');
    const entry = read.text('entry');
    const result = await attempt(read, () =>
      record(db(), {
        id: entry,
        crew: locals.who.crew,
        kind: 'reply',
        occurredAt: locals.now,
        by: locals.who.person.id,
        body: { id: idBeside(entry, 'reply'), set: params.set, at: wholeMinute(locals.now).toISOString(), from, text: answer },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/bench/${params.set}/card?saved=1`);
  },
};
