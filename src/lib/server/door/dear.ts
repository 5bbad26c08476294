import type { RequestEvent } from '@sveltejs/kit';
import { db } from '../database';
import { noteUse } from '../repositories/door';

/** What costs much: files of everything, photos, totals of the book. */
const DEAR: Record<string, string[]> = {
  GET: ['/people/copies/[copy]', '/people/me', '/waters/export/[file]', '/book/earns', '/book/water'],
  POST: ['/people/copies', '/waters/exchange'],
  PUT: ['/photo/[photo]'],
};
/** So often a minute a device is answered; one that comes back after days brings many photos at once. [practice] */
const MOST: Record<string, number> = { GET: 60, POST: 60, PUT: 240 };

/** Whether a device asks for what costs much more often than it is answered. At the machine itself nobody is counted. */
export async function asksTooMuch({ request, route, locals }: RequestEvent): Promise<boolean> {
  if (!locals.device || !DEAR[request.method]?.includes(route.id ?? '')) return false;
  return (await noteUse(db(), locals.who.crew, locals.device, locals.now)) > (MOST[request.method] ?? 0);
}
