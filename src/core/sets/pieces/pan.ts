import { POUND } from '../../units/factors';
import type { NumberSpec } from '../setType';

/** What fires the pan of a foothold, as a small scale shows it; nobody knows it who did not measure. */
export const PAN_PULL: NumberSpec = {
  label: 'Pan tension',
  help: 'what fires it, by a small scale on the pan',
  unit: 'weight',
  min: POUND / 4,
  max: 15 * POUND,
  origin: 'measured',
};
