import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHARED } from './server';

/** A form as it stands in a page: where it goes, and what it sends when nothing is touched. */
export interface PageForm {
  action: string;
  fields: [name: string, value: string][];
}

const attribute = (tag: string, name: string): string | undefined =>
  new RegExp(`\\s${name}="([^"]*)"`).exec(tag)?.[1]?.replaceAll('&amp;', '&');

/** The posted forms of a page, read without a browser. @param path of the page, for forms that go back to it */
export function formsOf(html: string, path: string): PageForm[] {
  const plain = path.split('?')[0] ?? path;
  return [...html.matchAll(/<form\b([^>]*)>(.*?)<\/form>/gs)].flatMap(([, head = '', body = '']) => {
    if (!/method="post"/i.test(head)) return [];
    const to = attribute(head, 'action') ?? path;
    const fields = [...body.matchAll(/<(?:input|select|textarea|button)\b[^>]*>/g)].flatMap(([tag]): [string, string][] => {
      const name = attribute(tag, 'name');
      return name && attribute(tag, 'type') !== 'file' ? [[name, attribute(tag, 'value') ?? '']] : [];
    });
    return [{ action: to.startsWith('?') ? plain + to : to, fields }];
  });
}

/** The ways inside the program that a page leads to. */
export const linksOf = (html: string): string[] =>
  [...html.matchAll(/<a\b[^>]*\shref="(\/[^"#]*)"/g)].map(([, href = '']) => href.replaceAll('&amp;', '&'));

/** One page of a kind: ids are all alike, and so are the sets. */
export const kindOf = (path: string): string => path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, 'id').replace(/=[^&]*/g, '');

export interface Rooms {
  forms: PageForm[];
  pages: string[];
}

/**
 * One form and one page of every kind that can be reached from Rounds. Programs of one suite have copies of one record: the first that asks
 * walks through it, the others are told.
 *
 * @param get a page by its path
 */
export async function everyForm(get: (path: string) => Promise<string>): Promise<Rooms> {
  const folder = process.env[SHARED];
  const kept = folder && join(folder, 'rooms.json');
  if (kept && existsSync(kept)) return JSON.parse(readFileSync(kept, 'utf8')) as Rooms;
  const rooms = await walked(get);
  if (kept) {
    writeFileSync(`${kept}.${process.pid}`, JSON.stringify(rooms));
    renameSync(`${kept}.${process.pid}`, kept);
  }
  return rooms;
}

async function walked(get: (path: string) => Promise<string>): Promise<Rooms> {
  const [seen, known, queue, pages] = [new Set<string>(), new Map<string, PageForm>(), ['/morning'], [] as string[]];
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    if (seen.has(kindOf(path)) || /\/export|\.(csv|json|gpx|kml)/.test(path)) continue;
    seen.add(kindOf(path));
    pages.push(path);
    const page = await get(path);
    queue.push(...linksOf(page));
    for (const form of formsOf(page, path)) {
      const kind = `${kindOf(form.action)} ${form.fields.map(([name]) => name.replace(/\d+/g, 'n')).join()}`;
      if (!known.has(kind)) known.set(kind, form);
    }
  }
  return { forms: [...known.values()], pages };
}

/** What no form of the program sends. */
export const NASTY = [
  '\u0000',
  '-'.repeat(36),
  '019b76da-a800-7000-8000-00000000000g',
  '__proto__',
  '2026-13-45T25:61',
  '9'.repeat(400),
  '\ud800x',
  '[]',
  '1e999',
];
