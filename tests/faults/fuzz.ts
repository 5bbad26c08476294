import { seeded } from '#core/sim/random';
import { connect } from '#server/database';
import { everyForm, kindOf, NASTY, type PageForm } from '../support/forms';
import type { Program } from '../support/server';

/** An answer that is none: a fault of the program, a word of the sender unescaped, or none in time. */
export interface Fault {
  what: 'fault' | 'echo' | 'hang';
  /** enough to send it again */
  sent: string;
}

/** What a page must never give back as it is. */
const MARK = '<zq onload=zq>';
/** A request that is not answered by then hangs, ms. */
const HANGS = 15_000;

const VALUES: readonly string[] = [
  ...NASTY,
  ...[
    '',
    ' ',
    '0',
    '-1',
    '-0',
    '0.1',
    '½',
    '3 1/2 in',
    '99999 ft',
    '٣',
    'NaN',
    'Infinity',
    '0x10',
    '1,5',
    '1e-320',
    '١٢ in',
    '12 in 12 in',
  ],
  ...['true', 'yes', 'null', 'undefined', '{}', '{"a":', 'constructor', 'toString', '%', '%00', '%E0%A4%A', '\\', "'", '"', ';', '--'],
  ...[
    '../../../etc/passwd',
    '/morning',
    '//else.where',
    'javascript:zq()',
    '\r\nSet-Cookie: zq=1',
    '=1+1',
    '@zq',
    MARK,
    `"${MARK}`,
    '🦫🦫',
    'ﬀ',
  ],
  ...[
    '0001-01-01T00:00',
    '9999-12-31T23:59',
    '2026-02-30T10:00',
    '2026-11-01T01:30',
    '2026-03-08T02:30',
    '2026-11-25',
    '1970-01-01T00:00:00Z',
  ],
  ...[
    '00000000-0000-0000-0000-000000000000',
    'ffffffff-ffff-ffff-ffff-ffffffffffff',
    'not an id',
    'beaver',
    'wolverine',
    'live',
    'x'.repeat(9000),
  ],
];

interface Sent {
  path: string;
  init: RequestInit;
}

type Pick = <T>(list: readonly T[]) => T;

interface Known {
  forms: readonly PageForm[];
  pages: readonly string[];
  entries: readonly Record<string, unknown>[];
  ids: readonly string[];
  queries: readonly string[];
}

const ENDPOINTS = [
  ...[
    '/field/facts',
    '/field/outbox',
    '/places.json',
    '/morning/calendar.ics',
    '/morning/remarks.json',
    '/morning/run/stops.gpx',
    '/rules/book.json',
  ],
  ...[
    '/photo/x',
    '/pair',
    '/signin',
    '/signin/recover',
    '/shared/x',
    '/waters/export/line.gpx',
    '/waters/export/zq.kml',
    '/bench/card/reply.json',
    '/bench/x/card/card.json',
    '/health',
    '/ready',
  ],
  ...['/nowhere', '/bench/', '/waters/%00', '/check/..%2f..', '/morning/__data.json', '/_app/immutable/../../package.json', '/%'],
];
const METHODS = ['GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD'] as const;
const TYPES = ['application/json', 'text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=zq', 'image/jpeg', ''];

/** A form as its page sends it, with some fields bent, doubled, left out or added. */
function bentForm({ forms, ids }: Known, random: () => number, pick: Pick): Sent {
  const form = pick(forms);
  const body = new URLSearchParams();
  for (const [name, value] of form.fields) {
    const die = random();
    if (die < 0.06) continue;
    body.append(name, die < 0.3 ? pick(VALUES) : die < 0.36 ? pick(ids) : value);
    if (die > 0.97) body.append(name, pick(VALUES));
  }
  if (random() < 0.1) body.append(pick(VALUES), pick(VALUES));
  return { path: form.action, init: { method: 'POST', body, headers: { accept: 'text/html' } } };
}

/** A page with words in its address that no link carries, and ids of other things in its way. */
function bentPage({ pages, ids, queries }: Known, random: () => number, pick: Pick): Sent {
  const [way = '/', before = ''] = pick(pages).split('?');
  const path =
    random() < 0.25
      ? way.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/, () =>
          random() < 0.6 ? pick(ids) : encodeURIComponent(pick(VALUES).toWellFormed?.() ?? ''),
        )
      : way;
  const query = new URLSearchParams(before);
  for (let n = 0; n < 1 + random() * 3; n += 1) query.append(pick(queries), random() < 0.2 ? pick(ids) : pick(VALUES));
  return { path: `${path}?${query.toString()}`, init: { headers: { accept: 'text/html' } } };
}

/** Somewhere in a body another value stands. */
function bent(value: unknown, random: () => number, pick: Pick): unknown {
  const other = (): unknown => pick<unknown>([...VALUES, null, 0, -1, 1e308, 1e-320, true, [], {}, [[]], Number.MAX_SAFE_INTEGER]);
  if (typeof value !== 'object' || value === null) return random() < 0.3 ? other() : value;
  if (Array.isArray(value)) return random() < 0.1 ? other() : value.map((item) => bent(item, random, pick));
  const keys = Object.keys(value);
  const hit = pick(keys);
  return Object.fromEntries(
    Object.entries(value).flatMap(([key, own]): [string, unknown][] => {
      if (key !== hit) return [[key, own]];
      return random() < 0.15 ? [] : [[random() < 0.05 ? '__proto__' : key, bent(own, random, pick)]];
    }),
  );
}

/** What a device might send: entries of the record, bent. */
function bentOutbox({ entries, ids }: Known, random: () => number, pick: Pick): Sent {
  const uuid = (): string =>
    `0190${Math.floor(random() * 1e16)
      .toString(16)
      .padStart(28, '0')}`.replace(/^(.{8})(.{4}).(.{3}).(.{3})(.{12}).*/, '$1-$2-7$3-8$4-$5');
  const one = (): Record<string, unknown> => {
    const { kind, body, by, occurred_at: at, id } = pick(entries);
    const own = random() < 0.5 ? bent(body, random, pick) : body;
    return { id: random() < 0.8 ? uuid() : id, kind, occurredAt: at, by, body: own, ...(random() < 0.3 ? { opened: pick(ids) } : {}) };
  };
  const forms = Array.from({ length: 1 + random() * 3 }, () => Array.from({ length: 1 + random() * 3 }, one));
  const whole = { version: random() < 0.8 ? 2 : pick([0, 1, 3, 99, '2']), forms };
  const sent = random() < 0.1 ? bent(whole, random, pick) : whole;
  return { path: '/field/outbox', init: { method: 'POST', body: JSON.stringify(sent), headers: { 'content-type': 'application/json' } } };
}

/** Any address in any way, with anything. */
function anything({ ids }: Known, random: () => number, pick: Pick): Sent {
  const method = pick(METHODS);
  const path = pick(ENDPOINTS).replace('x', () => (random() < 0.5 ? pick(ids) : 'x'));
  const bytes = Uint8Array.from({ length: random() * 600 }, () => random() * 256);
  const body =
    method === 'GET' || method === 'HEAD'
      ? null
      : pick<BodyInit>([bytes, '{}', '[', '<!DOCTYPE a [<!ENTITY b SYSTEM "file:///etc/passwd">]><gpx>&b;</gpx>']);
  const headers: Record<string, string> = {};
  if (random() < 0.8) headers['content-type'] = pick(TYPES);
  if (random() < 0.3)
    headers.cookie = `person=${encodeURIComponent(pick(VALUES.slice(0, 40)).replace(/[^ -~]/g, ''))}; device=${pick(ids)}`;
  if (random() < 0.2) headers['accept-language'] = 'zq,*;q=9';
  return { path, init: { method, body, headers } };
}

/** What is known of the program before it is bent: its forms and pages, its entries and their ids, the words its addresses take. */
async function knownOf({ base, url }: Program, cookie: string): Promise<Known> {
  const { forms, pages } = await everyForm(async (path) => (await fetch(base + path, { headers: { cookie } })).text());
  const db = connect(url);
  const entries = (await db('entry')
    .select('id', 'kind', 'body', 'by', db.raw('occurred_at::text'))
    .limit(400)
    .orderByRaw('md5(id::text)')) as Record<string, unknown>[];
  await db.destroy();
  const ids = [
    ...new Set(entries.flatMap(({ id, body }) => [String(id), ...(JSON.stringify(body).match(/[0-9a-f]{8}-[0-9a-f-]{27}/g) ?? [])])),
  ];
  const words = pages.flatMap((page) => [...new URLSearchParams(page.split('?')[1] ?? '').keys()]);
  const names = forms.flatMap(({ fields }) => fields.map(([name]) => name));
  const asAt = (e: Record<string, unknown>): Record<string, unknown> => ({
    ...e,
    occurred_at: new Date(String(e.occurred_at)).toISOString(),
  });
  return {
    forms,
    pages,
    entries: entries.map(asAt),
    ids,
    queries: [...new Set([...words, ...names, 'undone', 'since', 'outcome', 'place', 'map'])],
  };
}

/**
 * Sends a program what nobody means: the same for the same seed. Some of it is let in, for it is right.
 *
 * @returns every answer that is a fault of the program
 */
export async function fuzz(
  program: Program,
  { requests, seed, person }: { requests: number; seed: number; person: string },
): Promise<Fault[]> {
  const random = seeded(seed);
  const pick: Pick = (list) => list[Math.floor(random() * list.length)] as (typeof list)[number];
  const cookie = `person=${person}`;
  const known = await knownOf(program, cookie);
  const kinds = [bentForm, bentForm, bentForm, bentForm, bentPage, bentPage, bentOutbox, anything];
  const sent = Array.from({ length: requests }, () => pick(kinds)(known, random, pick));
  const faults: Fault[] = [];
  const send = async ({ path, init }: Sent): Promise<void> => {
    const said = `${init.method ?? 'GET'} ${kindOf(path).slice(0, 120)} ${path.slice(0, 300)} ${String(init.body instanceof Uint8Array ? '' : (init.body ?? '')).slice(0, 900)}`;
    try {
      const headers = { origin: program.base, cookie, ...(init.headers as Record<string, string>) };
      const answer = await fetch(program.base + path, { ...init, headers, redirect: 'manual', signal: AbortSignal.timeout(HANGS) });
      const text = await answer.text();
      if (answer.status >= 500) faults.push({ what: 'fault', sent: `${answer.status} ${said}` });
      if (text.includes(MARK)) faults.push({ what: 'echo', sent: said });
    } catch (error) {
      // what no client can put on a line was never sent
      if (error instanceof TypeError && error.cause === undefined) return;
      faults.push({ what: 'hang', sent: `${String(error)} ${said}` });
    }
  };
  const lanes = Array.from({ length: 3 }, async (_, lane) => {
    for (let n = lane; n < sent.length; n += 3) await send(sent[n] as Sent);
  });
  await Promise.all(lanes);
  return faults;
}
