import { browser } from '$app/environment';
import type { Track } from '#core/water/track';
import type { Answer, Asked } from './worker';

/** Asks the worker for a forecast; of answers that come back out of order only the newest is told. */
export function forecaster(told: (track: Track) => void): (asked: Omit<Asked, 'nth'>) => void {
  if (!browser) return () => undefined;
  let worker: Worker | null = null;
  let [sent, heard] = [0, 0];
  return (asked) => {
    worker ??= new Worker(new URL('./worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<Answer>): void => {
      if (data.nth <= heard) return;
      heard = data.nth;
      if (data.nth === sent) told(data.track);
    };
    sent += 1;
    worker.postMessage({ ...asked, nth: sent });
  };
}
