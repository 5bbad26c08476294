import { parentPort } from 'node:worker_threads';
import { outlookText } from '#core/water/outlook';
import { pondForecast } from '#core/water/pondForecast';
import type { PondModel } from '#core/water/balance';

/** What a worker reckons of a whole line: eight ponds with their bands, and what each of sixty sets answers. */
function line(): number {
  const start = performance.now();
  const ponds = Array.from({ length: 8 }, (_, n) => {
    const model: PondModel = {
      area: [{ level: 0, area: 2000 + n * 900 }],
      inflow: 0.004,
      seepage: 0,
      tail: -1,
      breaks: [{ shape: { kind: 'V', side: 0.6 }, sill: 0, from: 0, to: 40_000, cd: 1 }],
      pipes: [],
      rain: [{ from: 20_000, to: 50_000, flow: 0.01 }],
    };
    return pondForecast(model, 0.5, 48);
  });
  for (let n = 0; n < 60; n += 1) {
    const courses = ponds[n % ponds.length];
    if (!courses) continue;
    outlookText(
      {
        courses,
        band: { min: 0.2 + n * 0.004, max: 0.6 + n * 0.004 },
        now: 0,
        check: 86_400,
        after: 172_800,
        then: { min: 'dry', max: 'too deep' },
        say: { down: 'Set it', up: 'Raise it' },
        room: 0.4,
        clock: String,
      },
      'us',
    );
  }
  return performance.now() - start;
}

parentPort?.on('message', () => parentPort?.postMessage(line()));
