import { randomUUID } from 'node:crypto';
import { redirect, type Handle, type HandleServerError } from '@sveltejs/kit';
import { stringify } from 'devalue';
import { now } from '$lib/server/clock';
import { isId } from '#lib/form/newId';
import { AWAY_SENTENCE, db, isAway } from '$lib/server/database';
import { isNear, owns } from '$lib/server/pairing';
import { plainPage, sendAgainPage } from '$lib/server/plainPage';
import { probe } from '$lib/server/ready';
import { whoIs } from '$lib/server/repositories/places';
import { whoOf } from '#lib/season/who';
import { themeOf } from '$lib/ui/theme';

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
    const near = isNear(event.getClientAddress(), event.request.headers);
    const paired = near ? null : await owns(event.cookies.get('device'), event.locals.now);
    if (!near && !paired) return guarded(await unpaired(event, send));
    // a paired device works as the person it was paired for, and as no other
    const picked = paired ? paired.person_id : event.cookies.get('person');
    event.locals.isNear = near;
    const found = await whoIs(db(), picked && isId(picked) ? picked : undefined);
    event.locals.isPicked = found?.person.id === picked;
    if (found) event.locals.who = whoOf(found.crew, found.person);
    else if (event.url.pathname !== '/begin') redirect(303, '/begin');
    const response = await send();
    const isAwayNow = event.locals.isAway && response.status >= 500;
    if (isAwayNow && typed) return await keepTyped(event, typed);
    return guarded(isAwayNow ? new Response(response.body, { status: 503, headers: response.headers }) : response);
  } catch (error) {
    if (!isAway(error)) throw error;
    logAway(event);
    if (typed) return keepTyped(event, typed);
    if (event.isDataRequest)
      return new Response(JSON.stringify({ message: AWAY_SENTENCE }), { status: 503, headers: { 'content-type': 'application/json' } });
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

/** Nothing answers a device that was not paired but the page on which it is. */
async function unpaired({ url, request }: Parameters<Handle>[0]['event'], send: () => Response | Promise<Response>): Promise<Response> {
  if (url.pathname === '/pair') return send();
  if (request.method === 'GET' && (request.headers.get('accept') ?? '').includes('text/html'))
    return new Response(null, { status: 303, headers: { location: '/pair' } });
  return plainPage(
    401,
    'Not paired',
    'This device was not paired with Zaprud, or was ended. Have a code shown at the machine, under People.',
  );
}

/** What a page may load and who may frame it; it says nothing of where it was read, and no shared cache keeps it. */
function guarded(response: Response): Response {
  for (const [name, value] of GUARDS) if (!response.headers.has(name)) response.headers.set(name, value);
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

async function keepTyped(event: Parameters<Handle>[0]['event'], typed: Request): Promise<Response> {
  if (event.request.headers.get('x-sveltekit-action') === 'true') {
    const body = { type: 'failure', status: 503, data: stringify({ problem: AWAY_SENTENCE, errors: {} }) };
    return new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } });
  }
  return sendAgainPage(AWAY_SENTENCE, event.url.pathname + event.url.search, await typed.formData());
}

const logAway = ({ request, url }: Parameters<Handle>[0]['event']): void =>
  console.error(`${request.method} ${url.pathname}: the database does not answer`);

/** The unexpected gets an id in the log and a plain page; no trace leaves the server. */
export const handleError: HandleServerError = ({ error, event, status, message }) => {
  if (status === 404) return { message: 'There is no such page.' };
  if (status === 413) return { message: 'That is more than Zaprud takes at once.' };
  if (isAway(error)) {
    event.locals.isAway = true;
    logAway(event);
    return { message: AWAY_SENTENCE };
  }
  const id = randomUUID().slice(0, 8);
  console.error(`[${id}] ${event.request.method} ${event.url.pathname}: ${message}`, error);
  return { message: 'Something went wrong here that should not have. What you typed may not be saved.', id };
};
