import { pondForecast } from '#core/water/pondForecast';
import type { PondModel } from '#core/water/balance';
import { trackOf, type Track } from '#core/water/track';

/** A pond to be forecast from a level that is thought of. */
export interface Asked {
  nth: number;
  model: PondModel;
  level: number;
  from: number;
  hours: number;
}

export interface Answer {
  nth: number;
  track: Track;
}

/** Many forecasts a second while a level is dragged: off the page's own thread. */
self.onmessage = ({ data }: MessageEvent<Asked>): void => {
  const { nth, model, level, from, hours } = data;
  const answer: Answer = { nth, track: trackOf(pondForecast(model, level, hours), from) };
  self.postMessage(answer);
};
