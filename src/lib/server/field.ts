import type { NewEntry } from '#core/record/entry';
import { BODY_VERSION, type Kind } from '#core/record/kinds';
import { upgrade } from '#core/record/upgrade';
import type { Answered, SentEntry } from '#lib/field/sent';
import { SHAPE, sinceThen, type Since, type Snapshot } from '#lib/field/snapshot';
import { seasonIn, seasonOf } from '#lib/season/season';
import { db } from './database';
import { caughtSoFar } from './duties';
import { keepAfter } from './keepForecasts';
import { Refusal } from './record/refusal';
import { record } from './record/write';
import { zerosOf } from './record/zeros';
import { catchShare, checks } from './repositories/checks';
import { heldAmong, holdEntry, type Held } from './repositories/held';
import { people } from './repositories/places';
import { factsOf } from './season';
import { staleText } from './stale';
import { takenAtChecks } from './usedUp';

/** How many checks of a set a device knows. */
const PAST = 6;
/** A device whose clock runs ahead by no more than this is believed, ms. */
const AHEAD = 15 * 60_000;

/** All that a device takes along; null when no line was begun. */
export async function snapshotOf(locals: App.Locals): Promise<Snapshot | null> {
  const { who, now } = locals;
  // asked first: what is written meanwhile is sent once more with the next change, and never missed
  const newest = await newestOf(who.crew);
  const facts = await factsOf(locals);
  if (!facts) return null;
  const season = seasonIn(seasonOf(facts, locals));
  const [crew, visits, caught, supplies, catches] = await Promise.all([
    people(db(), who.crew),
    checks(db(), who.crew, { line: facts.line.id, each: PAST }),
    caughtSoFar(season, locals),
    takenAtChecks(locals),
    catchShare(db(), who.crew, facts.line.id),
  ]);
  const live = new Set(facts.sets.filter((s) => s.state === 'live').map((s) => s.id));
  const past: Snapshot['past'] = {};
  for (const visit of visits) if (live.has(visit.set)) (past[visit.set] ??= []).push(visit);
  const names = crew.map(({ id, name }) => ({ id, name }));
  return { shape: SHAPE, crew: who.crew, person: who.person, people: names, facts, past, caught, supplies, catches, taken: now, newest };
}

/** What came since a device took its snapshot; null when no line was begun. */
export async function sinceOf(locals: App.Locals, seq: number): Promise<Since | null> {
  const all = await snapshotOf(locals);
  if (!all) return null;
  const rows: { kind: Kind; gauge: string | null }[] = await db()('entry')
    .distinct('kind', db().raw(`case when kind in ('reading', 'logged') then body ->> 'gauge' end as gauge`))
    .where({ crew_id: locals.who.crew })
    .where('seq', '>', seq);
  // one that was taken back says no more of which gauge it was
  const isBare = rows.some(({ kind, gauge }) => (kind === 'reading' || kind === 'logged') && gauge === null);
  const gauges = isBare ? all.facts.boards.map(({ id }) => id) : rows.flatMap(({ gauge }) => gauge ?? []);
  return sinceThen(all, new Set(rows.map(({ kind }) => kind)), new Set(gauges));
}

async function newestOf(crew: string): Promise<number> {
  const row: { seq: number } | undefined = await db()('entry').select('seq').where({ crew_id: crew }).orderBy('seq', 'desc').first();
  return row?.seq ?? 0;
}

/**
 * Writes what a device sends, a form at a time as one. A form that the record does not take whole is taken entry by entry; what then
 * is refused is kept as it was sent until somebody decides.
 */
export async function takeForms(locals: App.Locals, forms: readonly SentEntry[][], version: number): Promise<Answered[]> {
  const answers: Answered[] = [];
  for (const form of forms) answers.push(...(await takeForm(locals, form, version)));
  return answers;
}

async function takeForm(locals: App.Locals, form: readonly SentEntry[], version: number): Promise<Answered[]> {
  const { who } = locals;
  const ids = form.map(({ id }) => id);
  const before = await heldAmong(db(), who.crew, ids);
  const batch = ids[0] ?? '';
  const entries = await Promise.all(form.map((sent) => entryOf(locals, sent, batch, version)));
  if (before.length === 0 && !entries.some((e) => isAhead(e, locals.now))) {
    const done = await taken(locals, ...entries);
    if (typeof done === 'string') return ids.map((id) => ({ id, fate: done, reason: '' }));
  }
  const answers: Answered[] = [];
  for (const entry of entries) {
    const was = before.find(({ id }) => id === entry.id);
    answers.push(was ? answerOf(was) : await takeEntry(locals, entry));
  }
  return answers;
}

const answerOf = ({ id, decision, reason }: Held): Answered =>
  decision === null ? { id, fate: 'held', reason } : { id, fate: decision === 'taken' ? 'already here' : 'left', reason: '' };

const isAhead = ({ occurredAt }: NewEntry, now: Date): boolean => occurredAt.getTime() > now.getTime() + AHEAD;

async function entryOf({ who }: App.Locals, sent: SentEntry, batch: string, version: number): Promise<NewEntry> {
  const { id, kind, by, opened } = sent;
  const occurredAt = new Date(sent.occurredAt);
  const old = version < BODY_VERSION;
  const body = old ? upgrade(kind, sent.body, version, (await zerosOf(db(), who.crew))(Infinity), occurredAt) : sent.body;
  return { id, crew: who.crew, kind, occurredAt, by, body: body as never, batch, ...(opened ? { opened } : {}) };
}

async function takeEntry(locals: App.Locals, entry: NewEntry): Promise<Answered> {
  const { id, batch = id, kind, occurredAt, by, opened = null } = entry;
  const done = isAhead(entry, locals.now) ? AHEAD_OF_TIME : await taken(locals, entry);
  if (typeof done === 'string') return { id, fate: done, reason: '' };
  const reason = done.stale ? await staleText(done.stale, locals.who) : done.message;
  const body = entry.body as Held['body'];
  await holdEntry(db(), locals.who.crew, {
    ...{ id, batch, kind, body, by, opened, reason },
    occurred_at: occurredAt,
    version: BODY_VERSION,
    received_at: locals.now,
  });
  return { id, fate: 'held', reason };
}

const AHEAD_OF_TIME = new Refusal({ at: 'Its time has not come yet: the clock of that device ran ahead.' });

/** Errors of the database's own state, by class: connection, rollback, resources, operator, system. What came with them is sent again as it is. */
const OF_THE_MOMENT = /^(08|25|40|53|55|57|58|XX|E[A-Z]+$)/;

/**
 * Writes entries as one. @returns why not, where sending them again would not help: a form at which the program itself stumbles is kept
 * for somebody to decide, and those behind it go on
 */
async function taken(locals: App.Locals, ...entries: NewEntry[]): Promise<'taken' | 'already here' | Refusal> {
  let done: Awaited<ReturnType<typeof record>>;
  try {
    done = await record(db(), ...entries);
  } catch (error) {
    if (error instanceof Refusal) return error;
    const { code, name } = error as { code?: unknown; name?: string };
    if ((typeof code === 'string' && OF_THE_MOMENT.test(code)) || name === 'KnexTimeoutError') throw error;
    console.error(error);
    return new Refusal({ form: 'The program stumbled over this one. It is kept as it was sent: nothing of it is lost.' });
  }
  if (done === 'written') await keepAfter(locals, entries);
  return done === 'written' ? 'taken' : 'already here';
}
