import assert from 'node:assert/strict';
import { connect } from '#server/database';
import type { Program } from './server';

/** What a refused page says at its fields; its beginning where no field was refused. */
function faultsIn(page: string): string {
  const bare = (html: string): string =>
    html
      .replace(/<[^>]+>/g, ' ')
      .replace(/\s+/g, ' ')
      .trim();
  const faults = [...page.matchAll(/<p[^>]*class="[^"]*\b(?:error|bad)\b[^"]*"[^>]*>(.*?)<\/p>/gs)].map(([, text]) => bare(text ?? ''));
  return faults.length > 0 ? faults.join(' | ') : bare(page).slice(0, 600);
}

export interface Answer {
  status: number;
  location: string;
  text: string;
}

let made = 0;

/** The program as a browser without script meets it: plain posts, plain answers. */
export function webOf(program: () => Program) {
  const rows = async (table: string, where: Record<string, unknown> = {}): Promise<Record<string, unknown>[]> => {
    const db = connect(program().url);
    const found: Record<string, unknown>[] = await db(table).where(where);
    await db.destroy();
    return found;
  };
  let told: Promise<string> | undefined;
  /** a device that was told who works on it, where a person of the demo is there */
  const cookie = (): Promise<string> =>
    (told ??= rows('person', { name: 'Wren Ostby' }).then(([who]) => (who ? `person=${String(who.id)}` : '')));
  const send = async (path: string, body: URLSearchParams | FormData): Promise<Answer> => {
    const answer = await fetch(program().base + path, {
      method: 'POST',
      body,
      redirect: 'manual',
      headers: { origin: program().base, accept: 'text/html', cookie: await cookie() },
    });
    return { status: answer.status, location: answer.headers.get('location') ?? '', text: await answer.text() };
  };
  return {
    uuid: (): string => `01900000-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`,
    post: (path: string, fields: Record<string, string | string[]>): Promise<Answer> =>
      send(
        path,
        new URLSearchParams(Object.entries(fields).flatMap(([name, value]) => [value].flat().map((v): [string, string] => [name, v]))),
      ),
    /** a form with a file in it */
    postFile: (path: string, fields: Record<string, string>, name: string, file: Blob): Promise<Answer> => {
      const body = new FormData();
      for (const [key, value] of Object.entries(fields)) body.set(key, value);
      body.set(name, file, 'photo.jpg');
      return send(path, body);
    },
    get: async (path: string): Promise<string> => (await fetch(program().base + path, { headers: { cookie: await cookie() } })).text(),
    rows,
    saved: (answer: Answer, to: RegExp): void => {
      assert.equal(answer.status, 303, faultsIn(answer.text));
      assert.match(answer.location, to);
    },
    refused: (answer: Answer, status: number, ...sentences: (string | RegExp)[]): void => {
      assert.equal(answer.status, status, answer.location);
      for (const sentence of sentences) {
        if (typeof sentence === 'string') assert.ok(answer.text.includes(sentence), `no “${sentence}” in the page`);
        else assert.match(answer.text, sentence);
      }
      assert.doesNotMatch(answer.text, /node_modules|\.js:\d+:\d+/);
    },
  };
}
