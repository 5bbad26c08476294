/** What this browser keeps, and whether it may throw it away. */
export interface Keeping {
  /** the page itself opens without a signal */
  isOffline: boolean;
  /** the browser has promised not to throw anything away */
  isLasting: boolean;
}

/** The addresses that this page was drawn from, as the browser tells them; it is watched, for a browser lists only so many afterwards. */
const drawn = new Set<string>();
const note = (list: PerformanceEntry[]): void => list.forEach(({ name }) => drawn.add(name));
let watch: PerformanceObserver | null = null;
function watchFiles(): void {
  if (watch) return;
  watch = new PerformanceObserver((list) => note(list.getEntries()));
  watch.observe({ type: 'resource', buffered: true });
}

/**
 * Has the browser keep the page and everything it is drawn from, and asks it to keep what is stored.
 *
 * @returns what it keeps; without https a browser keeps no page
 */
export async function keepPage(): Promise<Keeping> {
  const isLasting = (await navigator.storage?.persist?.()) ?? false;
  if (!('serviceWorker' in navigator)) return { isOffline: false, isLasting };
  watchFiles();
  try {
    await navigator.serviceWorker.register('/service-worker.js', { type: 'module' });
    const { active } = await navigator.serviceWorker.ready;
    // the worker of the next version comes while this page is open, and keeps its own
    navigator.serviceWorker.addEventListener('controllerchange', () => {
      const { controller } = navigator.serviceWorker;
      if (controller) void filled(controller);
    });
    return { isOffline: active ? await filled(active) : false, isLasting };
  } catch {
    return { isOffline: (await caches.match('/field')) !== undefined, isLasting };
  }
}

/** Has the worker keep photos that may be looked for out of reach; without one nothing is kept. */
export async function keepPhotos(ids: readonly string[]): Promise<void> {
  if (!navigator.serviceWorker?.controller) return;
  for (const id of ids) if (!(await caches.match(`/photo/${id}`))) await fetch(`/photo/${id}`).catch(() => undefined);
}

/** Tells the worker which files this page was drawn from, and waits until it has them all. */
function filled(worker: ServiceWorker): Promise<boolean> {
  note(watch?.takeRecords() ?? []);
  const used = [...drawn].map((name) => new URL(name));
  const files = used.filter((url) => url.origin === location.origin && /^\/(_app|favicon|icon|manifest)/.test(url.pathname));
  // a browser that hides what it loaded keeps no page, and what an older version kept stays
  if (!files.some(({ pathname }) => pathname.startsWith('/_app/'))) return Promise.resolve(false);
  const data = used.find((url) => url.pathname === '/field/__data.json');
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = ({ data: isKept }) => resolve(isKept === true);
    const urls = [...new Set([...files.map((u) => u.pathname), ...(data ? [data.pathname + data.search] : []), '/field'])];
    worker.postMessage({ keep: urls }, [port2]);
  });
}
