import { addDays, instantOf, localDate } from '../time/localTime';

const DAY = 86_400_000;

/** A set as it is asked whether it is a stop of the day. */
export interface Due {
  /** ISO; null when nothing of it is live */
  deadline: string | null;
  lastLook: string | null;
}

/** Whether a check belongs to the run that begins at a moment: it is owed on that date, or within a day after it and nobody looked on that date yet. */
export function isCloseTo({ deadline, lastLook }: Due, start: Date, zone: string): boolean {
  if (deadline === null) return false;
  const date = localDate(start, zone);
  const due = new Date(deadline);
  if (due <= instantOf(addDays(date, 1), '00:00', zone)) return true;
  const isLookedAt = lastLook !== null && localDate(new Date(lastLook), zone) === date;
  return !isLookedAt && due.getTime() - start.getTime() <= DAY;
}
