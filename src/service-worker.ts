/// <reference types="@sveltejs/kit" />
/// <reference lib="webworker" />
import { version } from '$service-worker';
import { registerRoute } from 'workbox-routing';
import { CacheFirst, NetworkOnly } from 'workbox-strategies';

/** Keeps the field part on the device. What the record says is never kept here: the page keeps its own facts. */
const worker = self as unknown as ServiceWorkerGlobalScope;
const CACHE = `field ${version}`;
const PHOTOS = 'photos';
/** A signal too thin to bring a page within this is none, s. */
const PATIENCE = 5;

worker.addEventListener('install', () => void worker.skipWaiting());
worker.addEventListener('activate', (event) => event.waitUntil(worker.clients.claim()));

/** A page and all it is drawn from are kept together or not at all; only then what an older version was drawn from goes. */
async function keep(urls: readonly string[]): Promise<boolean> {
  const cache = await caches.open(CACHE);
  const isNew = await Promise.all(urls.map(async (url) => url === '/field' || !(await cache.match(url))));
  try {
    await cache.addAll(urls.filter((_, i) => isNew[i]));
  } catch {
    return (await cache.match('/field')) !== undefined;
  }
  for (const name of await caches.keys()) if (name !== CACHE && name !== PHOTOS) await caches.delete(name);
  return true;
}

worker.addEventListener('message', (event) => {
  const { keep: urls } = event.data as { keep?: string[] };
  if (urls) event.waitUntil(keep(urls).then((isKept) => event.ports[0]?.postMessage(isKept)));
});

const network = new NetworkOnly({ networkTimeoutSeconds: PATIENCE });

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/_app/immutable/'),
  async ({ request }) => (await caches.match(request)) ?? fetch(request),
);

registerRoute(
  ({ url, sameOrigin }) => sameOrigin && (url.pathname === '/field' || url.pathname === '/field/__data.json'),
  async ({ request, event, url }) => {
    try {
      return await network.handle({ request, event });
    } catch (error) {
      const kept = await caches.match(url.pathname, { ignoreSearch: true });
      if (kept) return kept;
      throw error;
    }
  },
);

/** A photo never changes: one that was seen once is on the device. */
registerRoute(
  ({ url, sameOrigin, request }) => sameOrigin && request.method === 'GET' && url.pathname.startsWith('/photo/'),
  new CacheFirst({ cacheName: PHOTOS }),
);

/** Any other room without a signal: the field part is what opens. */
registerRoute(
  ({ request, sameOrigin }) => sameOrigin && request.mode === 'navigate',
  async ({ request }) => {
    try {
      return await fetch(request);
    } catch (error) {
      if (request.method === 'GET' && (await caches.match('/field'))) return Response.redirect('/field?away=1');
      throw error;
    }
  },
);
