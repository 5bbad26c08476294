import type { WaterBody } from '../water/placed';
import type { Station } from './placed';

/** Whether a water stands behind a dam, so that breaks drain it and another water lies below: a pond, or a stream on which a dam is recorded. */
export const isDammed = ({ id, kind }: Pick<WaterBody, 'id' | 'kind'>, stations: readonly Pick<Station, 'water' | 'kind'>[]): boolean =>
  kind === 'pond' || stations.some((s) => s.water === id && s.kind === 'dam');
