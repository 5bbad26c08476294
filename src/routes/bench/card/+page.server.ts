import { cardSchema, readFile } from '#core/card/card';
import { openCard } from '#core/card/opened';
import { clockOf } from '#core/time/clock';
import { reader } from '#lib/form/reader';
import { refused } from '$lib/server/form';
import { loadSeason } from '$lib/server/season';
import type { Actions } from './$types';

export const actions: Actions = {
  /** opens the card of a friend: nothing of it is written into the record */
  default: async ({ request, locals }) => {
    const data = await request.formData();
    const read = reader(data, locals.who);
    const file = data.get('file');
    const text = file instanceof File && file.size > 0 ? await file.text() : read.text('text');
    if (text.trim() === '') read.refuse('text', 'Choose the file of a card, or paste it.');
    const found = text.trim() === '' ? null : readFile(text, cardSchema);
    if (found && !found.ok) read.refuse('text', found.sentence);
    if (!found?.ok) return refused(read, 'Not opened: look at the marked field.');
    const { person } = locals.who;
    const zone = found.value.zone ?? (await loadSeason(locals))?.line.zone ?? 'UTC';
    const clock = clockOf(person, zone);
    return { card: found.value, it: openCard(found.value, person.system, clock), clock, reader: person.name };
  },
};
