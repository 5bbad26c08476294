import { randomUUID } from 'node:crypto';
import { redirect, type Handle, type HandleServerError, type ServerInit } from '@sveltejs/kit';
import { stringify } from 'devalue';
import { now } from '$lib/server/clock';
import { isId } from '#lib/form/newId';
import { AWAY_SENTENCE, atDoor, db, inCrew, isAway } from '$lib/server/database';
import { asksTooMuch } from '$lib/server/door/dear';
import { callerOf, type Caller } from '$lib/server/door/caller';
import { DOORS, isOpenTo } from '$lib/server/door/rooms';
import { plainPage, sendAgainPage } from '$lib/server/plainPage';
import { probe } from '$lib/server/ready';
import { isReadAlong, letReplicaRest, replicaHolds } from '$lib/server/replica';
import { whoIs } from '$lib/server/repositories/places';
import { startWork } from '$lib/server/work';
import { whoOf } from '#lib/season/who';
import { themeOf } from '$lib/ui/theme';

export const init: ServerInit = () => startWork();

/** Who works, from the cookie; an empty record leads to its first page. While PostgreSQL is away every form keeps what was typed. */
export const handle: Handle = async ({ event, resolve }) => {
  const watched = await probe(event.url.pathname);
  if (watched) return watched;
  event.locals.now = now();
  onlyIds(event.params);
  const typed = event.request.method === 'POST' ? event.request.clone() : null;
  const themed = (html: string) =>
    html.replace('%zaprud.theme%', themeOf(event.cookies.get('theme'), event.locals.sunIsDown ?? false, event.url.pathname));
  const send = () => resolve(event, { transformPageChunk: ({ html }) => themed(html) });
  try {
    const caller = await atDoor(() => callerOf(event, event.locals.now));
    if (caller.from === 'nowhere' || DOORS.includes(event.url.pathname))
      return guarded(await atDoor(() => outside(event, send)), event.url);
    const onReplica = isReadAlong(event) && (await replicaHolds());
    const response = await inCrew({ ...caller, onReplica }, () => inside(event, caller, send));
    const isAwayNow = event.locals.isAway && response.status >= 500;
    if (isAwayNow && typed) return await keepTyped(event, typed);
    return guarded(isAwayNow ? new Response(response.body, { status: 503, headers: response.headers }) : response, event.url);
  } catch (error) {
    if (!isAway(error)) throw error;
    letReplicaRest();
    logAway(event);
    if (typed) return keepTyped(event, typed);
    if (event.isDataRequest) return awayAsData();
    return plainPage(
      503,
      'Database not available',
      'Zaprud cannot reach its record just now. Nothing is lost. Load this page again in a moment.',
    );
  }
};

/** What an address names that is no id. */
const NAMES: readonly string[] = ['file', 'type'];
const NOBODY = '00000000-0000-0000-0000-000000000000';

/** What cannot be an id is asked for as one that nothing has: every room answers that there is no such thing. */
function onlyIds(params: Partial<Record<string, string>>): void {
  for (const [name, value] of Object.entries(params)) if (!NAMES.includes(name) && !isId(value ?? '')) params[name] = NOBODY;
}

type Event = Parameters<Handle>[0]['event'];
type Send = () => Response | Promise<Response>;

/** Answers one who was let in, as the person he is; a device works as the person it was let in for, and as no other. */
async function inside(event: Event, caller: Caller, send: Send): Promise<Response> {
  const { locals, cookies, url, route, request } = event;
  const picked = caller.person ?? cookies.get('person');
  const found = await whoIs(db(), picked && isId(picked) ? picked : undefined);
  Object.assign(locals, {
    isNear: caller.from === 'here',
    role: caller.role,
    device: caller.device ?? null,
    isPicked: found?.person.id === picked,
  });
  if (found) locals.who = whoOf(found.crew, found.person);
  else if (url.pathname !== '/begin') redirect(303, '/begin');
  if (!isOpenTo(caller.role, route.id)) return request.method === 'GET' && url.pathname === '/morning' ? toShared() : notHere();
  return (await asksTooMuch(event)) ? tooMuch() : send();
}

const toShared = (): Response => new Response(null, { status: 303, headers: { location: '/shared' } });
/** Said to a page and to a device alike; both send again what they have. */
function tooMuch(): Response {
  const response = plainPage(429, 'A moment', 'This device asked for much within a minute. Nothing was done: try again in a minute.');
  response.headers.set('retry-after', '60');
  return response;
}
const notHere = (): Response => plainPage(404, 'Not here', 'There is no such page.');

/** Nothing answers one who was not let in but the pages on which he is. */
async function outside({ url, request }: Event, send: Send): Promise<Response> {
  if (DOORS.includes(url.pathname)) return send();
  if (request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html'))
    return new Response(null, { status: 303, headers: { location: '/signin' } });
  return plainPage(
    401,
    'Not signed in',
    'This device is not signed in with Zaprud, or was ended. Sign in, or have a code shown at the machine, under People.',
  );
}

/** What a page may load and who may frame it; it says nothing of where it was read, and no shared cache keeps it. */
function guarded(response: Response, url: URL): Response {
  for (const [name, value] of GUARDS) if (!response.headers.has(name)) response.headers.set(name, value);
  if (url.protocol === 'https:') response.headers.set('strict-transport-security', 'max-age=31536000');
  return response;
}

const GUARDS = [
  ['x-content-type-options', 'nosniff'],
  ['x-frame-options', 'DENY'],
  ['referrer-policy', 'same-origin'],
  ['permissions-policy', 'geolocation=(self), camera=(self), microphone=(), payment=(), usb=()'],
  ['cross-origin-opener-policy', 'same-origin'],
  ['cache-control', 'private, no-cache'],
] as const;

const awayAsData = (): Response =>
  new Response(JSON.stringify({ message: AWAY_SENTENCE }), { status: 503, headers: { 'content-type': 'application/json' } });

async function keepTyped(event: Parameters<Handle>[0]['event'], typed: Request): Promise<Response> {
  if (event.request.headers.get('x-sveltekit-action') === 'true') {
    const body = { type: 'failure', status: 503, data: stringify({ problem: AWAY_SENTENCE, errors: {} }) };
    return new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
  }
  // what a device sends is no form of a page: it keeps it itself
  const form = await typed.formData().catch(() => null);
  return form ? sendAgainPage(AWAY_SENTENCE, event.url.pathname + event.url.search, form) : awayAsData();
}

const logAway = ({ request, url }: Parameters<Handle>[0]['event']): void =>
  console.error(`${request.method} ${url.pathname}: the database does not answer`);

/** The unexpected gets an id in the log and a plain page; no trace leaves the server. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
  if (status === 404) return { message: 'There is no such page.' };
  if (status === 413) return { message: 'That is more than Zaprud takes at once.' };
  if (isAway(error)) {
    event.locals.isAway = true;
    letReplicaRest();
    logAway(event);
    return { message: AWAY_SENTENCE };
  }
  const id = randomUUID().slice(0, 8);
  console.error(`[${id}] ${event.request.method} ${event.url.pathname}: ${message}`, error);
  return { message: 'Something went wrong here that should not have. What you typed may not be saved.', id };
};
