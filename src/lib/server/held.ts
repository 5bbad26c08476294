import { fail, redirect, type RequestEvent } from '@sveltejs/kit';
import { changesOf, changesText } from '#core/record/changes';
import { fold } from '#core/record/fold';
import { KIND_WORDS, SCHEMAS, type Body, type Kind } from '#core/record/kinds';
import { entrySentence } from '#core/record/sentence';
import { whenText } from '#core/time/clock';
import { isId } from '#lib/form/newId';
import type { Season } from '#lib/season/season';
import { db } from './database';
import { namesOf } from './names';
import { Refusal } from './record/refusal';
import { record } from './record/write';
import { pastOf, versionOf } from './repositories/entries';
import { decideHeld, heldAmong, heldOpen, type Held } from './repositories/held';

/** What devices sent and the record could not take, with both sides, for somebody to decide. */
export async function heldShown({ clock }: Season, { who, now }: App.Locals) {
  const held = await heldOpen(db(), who.crew);
  if (held.length === 0) return [];
  const names = await namesOf(who.crew);
  const { system } = who.person;
  return Promise.all(
    held.map(async ({ id, kind, body, by, opened, occurred_at, reason }) => {
      // what a device sent may be nothing that the record knows
      const { data: read } = SCHEMAS[kind].safeParse(body) as { data?: Body<Kind> };
      const past = await pastOf(db(), who.crew, kind, body.id);
      const then = past.findIndex((e) => e.id === opened);
      const was = then === -1 ? null : (fold(past.slice(0, then + 1)) as Body<Kind> | null);
      return {
        id,
        what: read ? entrySentence(kind, read, names.all, system) : `${KIND_WORDS[kind]}, sent in a form that cannot be read`,
        by: (by && names.all[by]) ?? 'Someone',
        when: whenText(occurred_at, now, clock),
        reason,
        mine: was && read ? changesText(changesOf(kind, was, read, system, clock), names.all) : '',
      };
    }),
  );
}

/** Writes a held entry after all, on top of what was changed since. @throws Refusal when the record still does not take it */
async function take({ who, now }: App.Locals, { id, batch, kind, body, by, opened, occurred_at: occurredAt }: Held): Promise<void> {
  const onto = opened ? await versionOf(db(), who.crew, body.id) : undefined;
  const on = opened ? { opened, ...(onto && onto !== opened ? { onto } : {}) } : {};
  await record(db(), { id, batch, crew: who.crew, kind, occurredAt, by, body: body as never, ...on });
  await decideHeld(db(), who.crew, { id, decision: 'taken', at: now, by: who.person.id });
}

/** The decision over one held entry: into the book on top of what is there, or left out. What was left out is kept as it was sent. */
export async function decide({ request, locals }: RequestEvent) {
  const data = await request.formData();
  const id = String(data.get('held') ?? '');
  const [held] = isId(id) ? await heldAmong(db(), locals.who.crew, [id]) : [];
  if (!held) return fail(404, { problem: 'Nothing of that kind waits to be decided.', held: id });
  if (held.decision !== null) redirect(303, '/morning');
  if (locals.role === 'helper')
    return fail(403, { problem: 'A helper decides nothing of the record: tell the one whose line it is.', held: id });
  try {
    if (data.get('decision') === 'take') await take(locals, held);
    else await decideHeld(db(), locals.who.crew, { id, decision: 'left', at: locals.now, by: locals.who.person.id });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return fail(409, { problem: error.message, held: id });
  }
  redirect(303, '/morning');
}
