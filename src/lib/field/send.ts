import { parse } from 'devalue';
import { BODY_VERSION } from '#core/record/kinds';
import { MOST_FORMS, type Answered } from './sent';
import { broughtUp, SHAPE, type Since, type Snapshot } from './snapshot';
import type { KeptPhoto, Told, Waiting } from './store';

/** So long an answer is waited for; a signal that is too thin is none, ms. */
const PATIENCE = 20_000;
/** What the server takes at once, with room to spare, bytes. */
const MOST_BYTES = 400_000;

/** Answers that trying again does not change: no outbox, not paired or ended, no season. */
const NO = [400, 401, 403, 404];

/** Said of a photo that cannot be opened, or for which there is no room. */
const NEVER = 422;

/** A photo that is not taken however often it is sent. */
export class NotTaken extends Error {}
/** The server answered, and does not take this. */
export class Refused extends Error {}

async function answer(path: string, init: RequestInit = {}): Promise<Response> {
  const got = await fetch(path, { ...init, signal: AbortSignal.timeout(PATIENCE) });
  if (got.redirected || NO.includes(got.status)) throw new Refused(String(got.status));
  if (got.status === NEVER) throw new NotTaken(String(got.status));
  if (!got.ok) throw new Error(String(got.status));
  return got;
}

/** The newest facts: what came since an older snapshot, or all of them where there is none or somebody else works on this device now. */
export async function newest(old: Snapshot | null): Promise<Snapshot> {
  if (old?.shape !== SHAPE) return parse(await (await answer('/field/facts')).text()) as Snapshot;
  const since = parse(await (await answer(`/field/facts?since=${old.newest}`)).text()) as Since;
  return since.person.id === old.person.id && since.crew === old.crew ? broughtUp(old, since) : newest(null);
}

/** As many forms as one sending takes, in their order; one at least. */
export function firstOf(forms: readonly Waiting[]): Waiting[] {
  const found: Waiting[] = [];
  let bytes = 0;
  for (const form of forms.slice(0, MOST_FORMS)) {
    bytes += JSON.stringify(form.entries).length;
    if (found.length > 0 && bytes > MOST_BYTES) break;
    found.push(form);
  }
  return found;
}

/** Sends forms; @returns what became of them that somebody has to know */
export async function sent(forms: readonly Waiting[]): Promise<Told[]> {
  const body = JSON.stringify({
    version: BODY_VERSION,
    forms: forms.map(({ entries }) => entries.map(({ crew: _, batch: __, corrects: ___, onto: ____, reason: _____, ...entry }) => entry)),
  });
  const got = await answer('/field/outbox', { method: 'POST', body, headers: { 'content-type': 'application/json' } });
  const { answers } = (await got.json()) as { answers: Answered[] };
  const labels = new Map(forms.flatMap(({ label, entries }) => entries.map(({ id }): [string, string] => [id, label])));
  return answers.filter(({ fate }) => fate === 'held').map((a) => ({ ...a, label: labels.get(a.id) ?? '' }));
}

/** The photos that forms come with. */
export const photosOf = (forms: readonly Waiting[]): string[] =>
  forms.flatMap(({ entries }) => entries.flatMap(({ body }) => ('photo' in body && body.photo ? [body.photo] : [])));

/** Sends a photo before its form. @throws NotTaken when the record never takes it, Error when it did not get through */
export async function sentPhoto({ id, type, bytes }: KeptPhoto): Promise<void> {
  await answer(`/photo/${id}`, { method: 'PUT', body: bytes, headers: { 'content-type': type } });
}

/** A form with its time moved: whatever in it was of the minute in which it was made. @param by ms */
export function moved(form: Waiting, by: number): Waiting {
  const entries = form.entries.map((entry) => {
    const at = entry.occurredAt.toISOString();
    const then = new Date(entry.occurredAt.getTime() + by);
    const body = JSON.parse(JSON.stringify(entry.body).replaceAll(at, then.toISOString())) as typeof entry.body;
    return { ...entry, occurredAt: then, body };
  });
  return { ...form, entries };
}
