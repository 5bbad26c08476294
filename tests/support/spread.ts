import { createServer, request, type Server } from 'node:http';

/** Hands every request to the next of several servers, so that no two in a row meet the same process. */
export function spread(port: number, behind: () => readonly number[]): Promise<Server> {
  let turn = 0;
  const server = createServer((asked, answer) => {
    const ports = behind();
    const to = ports[(turn += 1) % ports.length] ?? 0;
    const headers = { ...asked.headers, host: `127.0.0.1:${to}` };
    if (headers.origin === `http://127.0.0.1:${port}`) headers.origin = `http://127.0.0.1:${to}`;
    const on = request({ port: to, host: '127.0.0.1', path: asked.url, method: asked.method, headers }, (given) => {
      answer.writeHead(given.statusCode ?? 502, given.headers);
      given.pipe(answer);
    });
    // one that is gone looks like one that is gone
    on.on('error', () => answer.destroy());
    asked.pipe(on);
  });
  return new Promise((resolve) => server.listen(port, '127.0.0.1', () => resolve(server)));
}
