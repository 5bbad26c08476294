import { seeded } from './random';

/** The simulated gauge, read once more: it drifts back to where it usually stands, with the noise of a board in wind. Stands in for a gauge that sends its level. */
export function simulateGauge(seed: number, last: number, usual: number, hours: number): number {
  const random = seeded(seed);
  const back = (usual - last) * (1 - Math.exp(-hours / 40));
  return Math.round((last + back + (random() - 0.5) * 0.012) * 1000) / 1000;
}
