import type { SetType } from '../sets/setType';
import { NO_REMEDY } from '../water/remedy';
import type { DeviceState } from '../water/state';
import type { SetOutlook } from './setOutlook';

/** What is done at a set at the next visit. */
export interface Doing {
  /** one line, without an end mark unless it asks: `Lower the bed 10 in` */
  order: string;
  /** why, as sentences; empty where nothing is known */
  why: string;
  /** metres the order moves the device up, down when negative */
  by: number;
  /** something is changed or set again there, not only looked at */
  isRemade: boolean;
}

/**
 * What is done at a set at the next visit, and why: one answer for every room. What the forecast asks for stands before what the level now asks for.
 *
 * @param state how it stands; null for a set without a device
 * @param outlook what the forecast says of it; null where there is none
 * @param looks what its type looks at when nothing is to be changed
 */
export function doingAt(state: DeviceState | null, outlook: SetOutlook | null, looks: SetType['looks'] = {}): Doing {
  if (!state) return { order: 'Look', why: '', by: 0, isRemade: false };
  const remedy = outlook?.remedy.order ? outlook.remedy : state.remedy;
  const held = state.beyond === '' ? remedy : { ...NO_REMEDY, order: 'Out of reach: pull with a hook, or wait' };
  return {
    order: held.order || (state.verdict === 'unknown' ? 'Look, and read the gauge' : (looks[state.verdict] ?? looks.else ?? 'Look')),
    why: [state.sentence, state.beyond, outlook?.sentence, held.then].filter(Boolean).join(' '),
    by: held.by,
    isRemade: state.beyond === '' && held.order !== '',
  };
}
