import { error, redirect } from '@sveltejs/kit';
import { PARTS, rulebookSchema, type BookPart, type Rulebook } from '#core/rules/book';
import { SLATE_PROVINCE, TARN_DISTRICT } from '#core/rules/examples';
import { monthDay } from '#core/time/clock';
import { localDate } from '#core/time/localTime';
import { dayOfYear } from '#core/rules/dates';
import { ruleText, type CheckRule } from '#core/time/deadline';
import { ruleLine, type LineReader } from '#core/words/ruleLines';
import { bookFromText, withTypedRule } from '$lib/server/bookForm';
import { ruleFieldTexts } from '$lib/server/bookFields';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { openedOn, reader, type Reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { bodyOf, type Written } from '#core/record/written';
import { record } from '$lib/server/record/write';
import type { NewEntry } from '#core/record/entry';
import { bookAt, rulebooks } from '$lib/server/repositories/rules';
import { currentLine } from '$lib/server/repositories/sets';
import { changedBy, ruleReader } from '#lib/bench/ruled';
import { readRule } from '$lib/server/ruleForm';
import { loadSeason } from '$lib/server/season';
import type { Season } from '#lib/season/season';
import type { OwnBook } from '#core/record/kinds';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  const books = await rulebooks(db(), locals.who.crew);
  const line = season?.line;
  const own = books.find((b) => b.id === line?.book);
  const part = PARTS.find((p) => p === url.searchParams.get('part'));
  return {
    season: line ? { name: line.name, season: line.season, rulebook: line.rulebook, zone: line.zone } : null,
    rule: line?.rule as CheckRule | undefined,
    words: line ? ruleText(line.rule) : '',
    books: books.map((b) => ({
      id: b.id,
      text: `${b.book.jurisdiction}${b.book.edition ? `, ${b.book.edition}` : ''}, version ${b.version}`,
    })),
    book: own && season ? bookShown(own, season, locals) : null,
    changed: own && season ? await changesOf(own, season, locals) : [],
    form: part && own ? ruleForm(own.book, part, url.searchParams.get('rule') ?? '', locals) : null,
    saved: url.searchParams.has('saved'),
    ids: { entry: newId(), book: newId() },
    opened: line?.entry,
  };
};

function bookShown(own: Written<OwnBook>, season: Season, locals: App.Locals) {
  const { hours, zone } = season.clock;
  const as: LineReader = {
    ...ruleReader(season, locals.who.person.system, locals.now),
    day: (md) => monthDay(Number(md.slice(0, 2)), Number(md.slice(3)), hours),
  };
  const { book, version, entry, id } = own;
  return {
    id,
    entry,
    version,
    jurisdiction: book.jurisdiction,
    edition: book.edition,
    today: dayOfYear(localDate(locals.now, zone)),
    date: localDate(locals.now, zone),
    seasons: book.seasons,
    closures: book.closures,
    parts: PARTS.map((part) => ({
      part,
      rules: book[part].map((rule) => ({ id: rule.id, text: ruleLine(part, rule as never, as), said: rule.said })),
    })),
  };
}

/** What this version of the book changed for the live sets. */
async function changesOf(own: OwnBook, season: Season, locals: App.Locals) {
  if (own.version === 1) return [];
  const before = await bookAt(db(), locals.who.crew, own.id, own.version - 1);
  return before ? changedBy(before.book, own.book, season, locals) : [];
}

function ruleForm(book: Rulebook, part: BookPart, id: string, { who }: App.Locals) {
  const rule = book[part].find((r) => r.id === id);
  return {
    part,
    rule: rule?.id ?? '',
    every: (rule as { every?: CheckRule } | undefined)?.every,
    values: ruleFieldTexts(part, rule, who.person.system),
  };
}

/** The rulebook in force with its line; a page without one has nothing to change. */
async function inForce(locals: App.Locals) {
  const line = await currentLine(db(), locals.who.crew);
  const books = await rulebooks(db(), locals.who.crew);
  return { line, books, own: books.find((b) => b.id === line?.book) };
}

/** Writes a new version of a book, or its first; and puts it in force where the line has none. */
async function saveBook(read: Reader, locals: App.Locals, book: Rulebook, own: Written<OwnBook> | undefined) {
  const { line } = await inForce(locals);
  const common = { crew: locals.who.crew, occurredAt: locals.now, by: locals.who.person.id };
  const entry = read.text('entry');
  const id = own?.id ?? idBeside(entry, 'book');
  const entries: NewEntry[] = [
    {
      ...common,
      id: entry,
      kind: 'rulebook',
      body: { id, version: (own?.version ?? 0) + 1, book, note: own?.note ?? '' },
      ...(own ? openedOn(read, own) : {}),
    },
  ];
  if (line && line.book === null)
    entries.push({ ...common, id: idBeside(entry, 'line'), kind: 'line', body: { ...bodyOf(line), book: id }, opened: line.entry });
  const result = await attempt(read, () => record(db(), ...entries));
  if ('failure' in result) return result.failure;
  redirect(303, '/rules?saved=1');
}

const EXAMPLES: Readonly<Record<string, unknown>> = { tarn: TARN_DISTRICT, slate: SLATE_PROVINCE };

export const actions: Actions = {
  /** how often, where the book is silent, and the book that is in force */
  line: async ({ request, locals }) => {
    const { line, books } = await inForce(locals);
    const read = reader(await request.formData(), locals.who);
    if (!line) return refused(read, 'No line was begun yet.');
    const rule = readRule(read);
    const chosen = read.text('book');
    const book = read.has('book') ? (books.find((b) => b.id === chosen)?.id ?? null) : line.book;
    if (chosen !== '' && book === null) read.refuse('book', 'Choose one of the rulebooks of this record.');
    if (!rule || !read.ok()) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'line',
        occurredAt: locals.now,
        by: locals.who.person.id,
        ...openedOn(read, line),
        body: { ...bodyOf(line), rule, rulebook: read.text('rulebook'), book },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, '/rules?saved=1');
  },

  /** one rule of the book in force: changed, added or taken out */
  rule: async ({ request, locals }) => {
    const { own } = await inForce(locals);
    const read = reader(await request.formData(), locals.who);
    if (!own) return refused(read, 'There is no rulebook in force: import one, or begin with an example.');
    const book = withTypedRule(read, own.book);
    if (!book) return refused(read);
    return saveBook(read, locals, book, own);
  },

  /** a book from a file or pasted: the same jurisdiction gets a new version, another becomes a book of its own */
  import: async ({ request, locals }) => {
    const data = await request.formData();
    const read = reader(data, locals.who);
    const file = data.get('file');
    const text = file instanceof File && file.size > 0 ? await file.text() : read.text('text');
    if (text.trim() === '') read.refuse('text', 'Choose a file, or paste a rulebook.');
    const found = text.trim() === '' ? null : bookFromText(text);
    if (found && !found.ok) read.refuse('text', found.sentence);
    if (!found?.ok || !read.ok()) return refused(read);
    const { books } = await inForce(locals);
    const own = books.find((b) => b.book.jurisdiction === found.book.jurisdiction);
    return saveBook(read, locals, found.book, own);
  },

  example: async ({ request, locals }) => {
    const read = reader(await request.formData(), locals.who);
    const which = read.text('which');
    if (!Object.hasOwn(EXAMPLES, which)) error(400, 'There is no such example.');
    const book = rulebookSchema.parse(EXAMPLES[which]);
    const { books } = await inForce(locals);
    return saveBook(
      read,
      locals,
      book,
      books.find((b) => b.book.jurisdiction === book.jurisdiction),
    );
  },
};
