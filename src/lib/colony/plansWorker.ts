import { planOf, settingOf, type Picked } from '#core/colony/plans';
import { liveMany, type Many } from '#core/sim/colony/seasons';

export interface Asked {
  picked: Picked;
  month: number;
  seasons: number;
}
export interface Lived {
  /** seasons lived of both plans together */
  done: number;
  found: [Many, Many] | null;
}

/** Lives both plans off the page's own thread, and tells after each hundredth how far it is. */
self.onmessage = ({ data: { picked, month, seasons } }: MessageEvent<Asked>): void => {
  const tell = (lived: Lived): void => self.postMessage(lived);
  const setting = settingOf(picked.pond, month);
  const [first, second] = picked.plans.map((plan, n) =>
    liveMany({ setting, plan: planOf(plan, picked.pond.minutes), seasons, seed: picked.seed }, (done) =>
      tell({ done: n * seasons + done, found: null }),
    ),
  );
  if (first && second) tell({ done: 2 * seasons, found: [first, second] });
};
