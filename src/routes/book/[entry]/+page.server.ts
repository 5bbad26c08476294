import { error, redirect } from '@sveltejs/kit';
import { fieldsOf, withLeaf, type RecordField } from '#core/record/fields';
import { KIND_WORDS, WITHDRAWABLE, type Body, type Kind } from '#core/record/kinds';
import { entrySentence } from '#core/record/sentence';
import { clockOf, datedText } from '#core/time/clock';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { namesOf } from '$lib/server/names';
import { isId, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { entryOf, log } from '$lib/server/repositories/entries';
import { currentLine } from '$lib/server/repositories/sets';
import type { Actions, PageServerLoad } from './$types';

async function find(locals: App.Locals, id: string) {
  const [entry, line] = await Promise.all([isId(id) ? entryOf(db(), locals.who.crew, id) : undefined, currentLine(db(), locals.who.crew)]);
  if (!entry) error(404, 'There is no such entry in this book.');
  const zone = line?.zone ?? 'UTC';
  return { entry, zone, fields: entry.withdrawn ? [] : fieldsOf(entry.kind, entry.body, locals.who.person.system, zone) };
}

const nameOf = (field: RecordField): string => `f.${field.path.join('.')}`;

export const load: PageServerLoad = async ({ locals, params }) => {
  const { entry, zone, fields } = await find(locals, params.entry);
  const clock = clockOf(locals.who.person, zone);
  const [names, around] = await Promise.all([namesOf(locals.who.crew), log(db(), locals.who.crew, { subject: entry.subject })]);
  const { system } = locals.who.person;
  return {
    entry: {
      id: entry.id,
      kind: KIND_WORDS[entry.kind],
      withdrawn: entry.withdrawn,
      correctedBy: entry.corrected_by,
      corrects: entry.corrects,
      recorded: datedText(entry.recorded_at, clock),
      by: entry.by_name ?? '',
      reason: entry.reason,
    },
    sentence: entry.withdrawn ? 'Withdrawn' : entrySentence(entry.kind, entry.body as Body<Kind>, names.all, system),
    photo: 'photo' in entry.body ? (entry.body.photo as string | null) : null,
    open: !entry.withdrawn && entry.corrected_by === null,
    canWithdraw: WITHDRAWABLE.includes(entry.kind),
    fields: fields.map((f) => ({ ...f, name: nameOf(f), links: f.kind === 'link' ? (names.links[String(f.path.at(-1))] ?? []) : [] })),
    around: around.entries.map((e) => ({
      id: e.id,
      at: datedText(e.recorded_at, clock),
      by: e.by_name ?? '',
      corrects: e.corrects,
      withdrawn: e.withdrawn,
      reason: e.reason,
      text: e.withdrawn ? 'withdrawn' : entrySentence(e.kind, e.body as Body<Kind>, names.all, system),
    })),
    newEntry: newId(),
  };
};

/** Reads one field back; a field that was not touched keeps its exact value. */
function leaf(read: Reader, field: RecordField, zone: string): unknown {
  const name = nameOf(field);
  const text = read.text(name);
  if (text === field.text) return undefined;
  if (text === '' && field.optional) return field.kind === 'text' ? '' : null;
  switch (field.kind) {
    case 'length':
    case 'level':
      if (text === '') read.refuse(name, `${field.label} is needed.`);
      return read.length(name);
    case 'weight':
      return read.weight(name);
    case 'number':
      if (text === '') read.refuse(name, `${field.label} is needed.`);
      return read.number(name);
    case 'instant':
      return read.instant(name, zone)?.toISOString();
    case 'yes':
      return text === 'yes';
    default:
      return text;
  }
}

export const actions: Actions = {
  correct: async ({ request, locals, params }) => {
    const { entry, zone, fields } = await find(locals, params.entry);
    const read = reader(await request.formData(), locals.who);
    let body = entry.body as Body<Kind>;
    for (const field of fields) {
      const value = leaf(read, field, zone);
      if (value === undefined) continue;
      const isList = Array.isArray(field.path.reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], entry.body));
      body = withLeaf(
        body,
        field.path,
        isList
          ? String(value)
              .split(',')
              .map((s) => s.trim())
              .filter(Boolean)
          : value,
      );
    }
    if (!read.ok()) return refused(read);
    const occurred = 'at' in body && typeof body.at === 'string' ? new Date(body.at) : entry.occurred_at;
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: read.text('entry'),
          crew: locals.who.crew,
          kind: entry.kind,
          occurredAt: occurred,
          by: locals.who.person.id,
          body,
          corrects: entry.id,
          reason: read.text('reason'),
        }),
      (path) => `f.${path}`,
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/book/${read.text('entry')}`);
  },

  withdraw: async ({ request, locals, params }) => {
    const { entry } = await find(locals, params.entry);
    const read = reader(await request.formData(), locals.who);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        withdraws: entry.id,
        by: locals.who.person.id,
        reason: read.text('reason'),
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/book/${read.text('entry')}`);
  },
};
