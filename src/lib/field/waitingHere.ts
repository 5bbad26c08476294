/** How much waits on this device, for the pages that do not open its store. */
const KEY = 'field waiting';

export const noteWaiting = (count: number): void => localStorage.setItem(KEY, String(count));

export const waitingHere = (): number => Number(localStorage.getItem(KEY) ?? 0) || 0;
