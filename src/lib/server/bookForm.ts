import { findNodeAtLocation, parse, parseTree, printParseErrorCode, type ParseError } from 'jsonc-parser';
import { rulebookSchema, PARTS, type BookPart, type Rulebook } from '#core/rules/book';
import { PART_FORMS, type BookField } from '#core/rules/fields';
import type { Reader } from '#lib/form/reader';
import { readRule } from './ruleForm';

/** A rulebook as it is typed rule by rule, or handed in as a file. */

/** A longer file is no rulebook. */
const LONGEST = 500_000;

type Fields = Record<string, unknown>;

/** What was typed of one rule; a fault stands at its field. */
function typedRule(read: Reader, part: BookPart): Fields {
  const rule: Fields = {};
  for (const field of PART_FORMS[part].fields) {
    const value = typedField(read, field);
    const [outer = '', inner] = field.name.split('.');
    if (inner === undefined) rule[outer] = value;
    else if (value !== null) rule[outer] = { ...(rule[outer] as Fields | undefined), [inner]: value };
  }
  return rule;
}

function typedField(read: Reader, { name, kind, optional }: BookField): unknown {
  const text = read.text(name);
  if (kind === 'many') return read.many(name);
  if (kind === 'yes') return text === 'yes';
  if (kind === 'interval') return readRule(read);
  if (kind === 'sizes') return text === '' ? [] : text.split(/[,;]\s*/).filter(Boolean);
  if (kind === 'number') return read.number(name) ?? null;
  if (kind === 'length') return read.length(name) ?? null;
  if (kind === 'way') return read.length(name, read.who.person.system === 'us' ? 'ft' : 'm') ?? null;
  if (text === '' && optional && kind !== 'text') return null;
  return text;
}

/** The book with a rule changed, added or taken out as its form says; null where a field was refused. */
export function withTypedRule(read: Reader, book: Rulebook): Rulebook | null {
  const part = PARTS.find((p) => p === read.text('part'));
  if (!part) {
    read.refuse('id', 'Choose the part of the book from the page.');
    return null;
  }
  const id = read.text('id');
  const was = read.text('rule');
  const at = book[part].findIndex((r) => r.id === was);
  const rules: unknown[] = [...book[part]];
  if (read.text('do') === 'remove') rules.splice(at, at === -1 ? 0 : 1);
  else {
    const made = { ...typedRule(read, part), id };
    if (!read.ok()) return null;
    if (at === -1) rules.push(made);
    else rules[at] = made;
  }
  const index = at === -1 ? rules.length - 1 : at;
  const parsed = rulebookSchema.safeParse({ ...book, [part]: rules });
  if (parsed.success) return parsed.data;
  for (const { path, message } of parsed.error.issues) {
    const own = path[0] === part && path[1] === index;
    const field = path.slice(2).join('.');
    const shown = PART_FORMS[part].fields.find((f) => f.name === field || field.startsWith(`${f.name}.`) || f.name.startsWith(`${field}.`));
    read.refuse(own ? (shown?.name ?? 'id') : 'id', message);
  }
  return null;
}

/** A rulebook from the text of a file; each fault is told with its line, and nothing of it is taken. */
export function bookFromText(text: string): { ok: true; book: Rulebook } | { ok: false; sentence: string } {
  if (text.length > LONGEST) return { ok: false, sentence: 'This file is longer than a rulebook can be.' };
  const errors: ParseError[] = [];
  const value: unknown = parse(text, errors, { disallowComments: false, allowTrailingComma: true });
  const lineAt = (offset: number): number => text.slice(0, offset).split('\n').length;
  const [fault] = errors;
  if (fault)
    return {
      ok: false,
      sentence: `Line ${lineAt(fault.offset)}: this is not JSON (${printParseErrorCode(fault.error)}). The book stays as it was.`,
    };
  const parsed = rulebookSchema.safeParse(value);
  if (parsed.success) return { ok: true, book: parsed.data };
  const tree = parseTree(text);
  const told = parsed.error.issues.slice(0, 5).map(({ path, message }) => {
    const place = path.filter((p): p is string | number => typeof p !== 'symbol');
    const lengths = place.map((_, n) => place.length - n);
    const node = tree && lengths.map((n) => findNodeAtLocation(tree, place.slice(0, n))).find((n) => n !== undefined);
    return `Line ${lineAt(node?.offset ?? 0)}${place.length > 0 ? `, ${place.join('.')}` : ''}: ${message}`;
  });
  return { ok: false, sentence: `${told.join(' ')} The book stays as it was.` };
}
