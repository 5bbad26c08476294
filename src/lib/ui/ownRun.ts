import { browser } from '$app/environment';

/** The order in which this device goes its round: chosen on the page of the run, followed from check to check, forgotten the next day. */
const KEY = 'run';

interface Kept {
  day: string;
  stops: string[];
}

function kept(): Kept | null {
  try {
    const found = JSON.parse((browser && localStorage.getItem(KEY)) || 'null') as Kept | null;
    return found && Array.isArray(found.stops) ? found : null;
  } catch {
    return null;
  }
}

/** @param day local date of the run */
export function keepRun(day: string, stops: readonly string[]): void {
  localStorage.setItem(KEY, JSON.stringify({ day, stops }));
}

/**
 * Where a set stands in the order of the day and which is next, of those that still owe their check; null where no order was chosen, or without this set.
 *
 * @param shared the reader's own part, where the day was shared
 */
export function inOwnRun(
  { day, shared }: { day: string; shared: readonly string[] },
  set: string,
  owed: readonly string[],
): { place: number; of: number; next: string | null } | null {
  const run = shared.includes(set) ? { day, stops: [...shared] } : kept();
  if (run?.day !== day || !run.stops.includes(set)) return null;
  const next = run.stops.slice(run.stops.indexOf(set) + 1).find((id) => owed.includes(id));
  return { place: run.stops.indexOf(set) + 1, of: run.stops.length, next: next ?? null };
}
