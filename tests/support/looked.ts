import type { CheckedDevice } from '#core/record/kinds';

/** A device as a look finds it where nothing happened: what a test looks for is put over it. */
export const AS_SET: Omit<CheckedDevice, 'id' | 'stay'> = {
  outcome: 'untouched',
  cause: 'not asked',
  flags: [],
  searched: '',
  felt: 'not said',
  baitBy: 'not said',
  catch: null,
};
