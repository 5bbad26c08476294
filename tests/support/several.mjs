import cluster from 'node:cluster';
import http from 'node:http';
import { join } from 'node:path';

/** So many servers behind one address, which share nothing but their record. Every request opens its own connection, so that the next one answers it. */
if (cluster.isPrimary) {
  for (let n = 0; n < Number(process.argv[2]); n += 1) cluster.fork();
  for (const signal of ['SIGTERM', 'SIGINT'])
    process.on(signal, () => {
      for (const worker of Object.values(cluster.workers ?? {})) worker?.process.kill(signal);
    });
  cluster.on('exit', () => {
    if (Object.keys(cluster.workers ?? {}).length === 0) process.exit(0);
  });
} else {
  const create = http.createServer;
  http.createServer = (...words) => create(...words).prependListener('request', (_, answer) => answer.setHeader('connection', 'close'));
  await import(join(process.cwd(), 'serve.mjs'));
}
