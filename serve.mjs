/** The small server around the built handler: hosts that are allowed, how much it takes at once, and a clean stop. */
import http from 'node:http';
import os from 'node:os';
import compression from 'compression';

const port = Number(process.env.PORT ?? 8642);
const isOnNetwork = process.env.ZAPRUD_LAN === '1';
const host = process.env.HOST ?? (isOnNetwork ? '0.0.0.0' : '127.0.0.1');
/** where other devices reach this machine; each is asked for its pairing */
const own = Object.values(os.networkInterfaces())
  .flat()
  .filter((found) => found?.family === 'IPv4' && !found.internal)
  .map((found) => `${found?.address}:${port}`);
const reached = isOnNetwork ? own : [];
process.env.ZAPRUD_ADDRESSES = reached.map((at) => `http://${at}`).join(',');
const KILOBYTE = 1024;
/** Forms are small; photos and tracks will have routes of their own with limits of their own. */
const LIMIT = 512 * KILOBYTE;

process.env.PROTOCOL_HEADER = 'x-zaprud-protocol';
process.env.HOST_HEADER = 'host';
process.env.BODY_SIZE_LIMIT = String(LIMIT);
const { handler } = await import('./build/handler.js');

/** Pages and data go out compressed: signal is thin where they are read. */
const squeeze = compression();

const named = (process.env.ZAPRUD_HOSTS ?? '').split(',').filter(Boolean);
const allowed = new Set([`127.0.0.1:${port}`, `localhost:${port}`, `[::1]:${port}`, ...reached, ...named]);

function plain(response, status, title, sentence) {
  response.writeHead(status, { 'content-type': 'text/html; charset=utf-8', connection: 'close' });
  response.end(
    `<!doctype html><html lang="en"><meta charset="utf-8"><title>${title} · Zaprud</title><main style="font:18px/1.5 sans-serif;max-width:34rem;margin:12vh auto"><h1>${title}</h1><p>${sentence}</p></main></html>`,
  );
}

const server = http.createServer((request, response) => {
  if (!allowed.has(request.headers.host ?? '')) {
    return plain(
      response,
      421,
      'Another address',
      'Zaprud does not answer to that name. Open it at the address it printed, or name the host in ZAPRUD_HOSTS.',
    );
  }
  if (Number(request.headers['content-length'] ?? 0) > LIMIT) {
    request.resume();
    return plain(
      response,
      413,
      'Too large',
      `That is more than Zaprud takes at once: a form may hold ${LIMIT / KILOBYTE} kB. Go back: what you typed is still there.`,
    );
  }
  if (request.headers['transfer-encoding'] !== undefined) {
    request.resume();
    return plain(response, 411, 'How long?', 'A form says its length before it is sent. Go back and send it again.');
  }
  // whoever names the hosts has a server of his own before this one, and it says how it was asked
  request.headers['x-zaprud-protocol'] = named.length > 0 && request.headers['x-forwarded-proto'] === 'https' ? 'https' : 'http';
  squeeze(request, response, () => handler(request, response, () => plain(response, 404, 'Not here', 'There is no such page.')));
});

// whoever begins a request and does not finish it is let go
server.requestTimeout = 15_000;
server.headersTimeout = 10_000;

server.on('error', (error) => {
  console.error(
    error.code === 'EADDRINUSE'
      ? `  Port ${port} is taken by another program. Stop it, or choose another: PORT=8650 ./start`
      : `  The server could not start: ${error.message}`,
  );
  process.exit(1);
});
server.listen(port, host, () => {
  console.log(`  Zaprud is open at http://${isOnNetwork ? '127.0.0.1' : host}:${port}   (Ctrl-C stops it)`);
  for (const at of reached) console.log(`  On your network at http://${at} for devices that are let in, under People`);
  const isElsewhere = !/^(127\.|localhost$|::1$)/.test(host);
  if (isElsewhere) console.log('  Whoever comes from elsewhere signs in, or is let in under People');
  if (named.length > 0 || process.env.ZAPRUD_DOOR === 'closed')
    console.log('  Everybody signs in, at this machine too: ./invite NAME lets the first one in');
});

let stopping = false;
function stop() {
  if (stopping) return;
  stopping = true;
  server.close(() => process.exit(0));
  setTimeout(() => server.closeAllConnections(), 1500).unref();
  setTimeout(() => process.exit(0), 3000).unref();
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop);
