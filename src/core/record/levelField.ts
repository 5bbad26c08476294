import { length } from './fieldKinds';

export const LEVEL_RANGE = 'A level lies between −10 and 30 m (−32 and 98 ft) on its gauge.';

/** A level of a water, m in its datum. */
export const levelField = (label: string) => length(label, -10, 30, LEVEL_RANGE, 'level');
