import { calibrate, type Calibration } from '#core/counting/calibration';

export interface Drawn {
  done: number;
  found: Calibration | null;
}

/** Draws colonies off the page's own thread, and tells after each hundred how far it is. */
self.onmessage = ({ data: { count, seed } }: MessageEvent<{ count: number; seed: number }>): void => {
  const tell = (drawn: Drawn): void => self.postMessage(drawn);
  tell({ done: count, found: calibrate(count, seed, (done) => tell({ done, found: null })) });
};
