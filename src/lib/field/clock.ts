import { wholeMinute } from '#core/time/localTime';

/** The time of the record by the clock of this device, to the minute. @param offset by how much the record is ahead, ms */
export const minuteNow = (offset: number): Date => wholeMinute(new Date(Date.now() + offset));
