import { browser } from '$app/environment';
import PlanWorker from './worker?worker&inline';
import type { Answer, Asked } from './worker';

/** Asks the worker for the plan of a day; only the answer to the newest question is told. */
export function planner(told: (answer: Answer) => void): (asked: Omit<Asked, 'nth'>) => void {
  if (!browser) return () => undefined;
  let worker: Worker | null = null;
  let sent = 0;
  return (asked) => {
    worker ??= new PlanWorker();
    worker.onmessage = ({ data }: MessageEvent<Answer>): void => {
      if (data.nth === sent) told(data);
    };
    sent += 1;
    worker.postMessage({ ...asked, nth: sent });
  };
}
