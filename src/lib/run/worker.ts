import { dayPlan, waysOut, type DayPlan, type Ways } from '#core/run/dayPlan';
import type { Run } from '#core/run/tour';

export interface Asked {
  nth: number;
  run: Run;
  people: 1 | 2;
}

export interface Answer {
  nth: number;
  plan: DayPlan;
  /** what would bring all in time; undefined while it is looked for, null where all are in time */
  ways?: Ways | null;
}

/** A day is put in order off the page's own thread; what helps where something is late takes longer and follows. */
self.onmessage = ({ data: { nth, run, people } }: MessageEvent<Asked>): void => {
  const tell = (answer: Answer): void => self.postMessage(answer);
  const plan = dayPlan(run, people);
  tell({ nth, plan });
  tell({ nth, plan, ways: waysOut(run, plan) });
};
