import type { Share } from '../record/kinds';

/** One person's part of a day. */
export interface Part {
  person: string;
  /** his sets in their order */
  stops: string[];
  /** of those, the ones that still owe their look */
  left: string[];
}

/**
 * Who goes where today, and what of it is left: a set that anybody looked at leaves its list.
 *
 * @param shares that were said of late
 * @param day local date
 * @param owed sets that still owe their look today
 */
export function partsOf(shares: readonly Pick<Share, 'day' | 'parts'>[], day: string, owed: readonly string[]): Part[] {
  const said = shares.find((s) => s.day === day);
  return (said?.parts ?? []).map(({ person, stops }) => ({ person, stops, left: stops.filter((id) => owed.includes(id)) }));
}
