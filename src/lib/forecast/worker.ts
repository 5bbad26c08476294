import { pondForecast } from '#core/water/pondForecast';
import type { ToldRise } from '#core/record/kinds';
import { withTold } from '#core/water/toldRise';
import type { PondModel } from '#core/water/balance';
import { trackOf, type Track } from '#core/water/track';

/** A pond to be forecast from a level that is thought of. */
export interface Asked {
  nth: number;
  model: PondModel;
  level: number;
  from: number;
  hours: number;
  /** rises that somebody told and that are not all there */
  told: ToldRise[];
}

export interface Answer {
  nth: number;
  track: Track;
}

/** Many forecasts a second while a level is dragged: off the page's own thread. */
self.onmessage = ({ data }: MessageEvent<Asked>): void => {
  const { nth, model, level, from, hours, told } = data;
  const answer: Answer = { nth, track: trackOf(withTold(pondForecast(model, level, hours), told, from), from) };
  self.postMessage(answer);
};
