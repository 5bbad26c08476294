type Json = unknown;
type Fields = Record<string, Json>;

const isFields = (value: Json): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const hasIds = (value: Json): value is (Fields & { id: string })[] =>
  Array.isArray(value) && value.length > 0 && value.every((v) => isFields(v) && typeof v.id === 'string');
const same = (a: Json, b: Json): boolean => JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));

/** The same value with its keys in one order, so that two writings of one thing compare equal. */
export function sorted(value: Json): Json {
  if (Array.isArray(value)) return value.map(sorted);
  if (!isFields(value)) return value;
  return Object.fromEntries(
    Object.keys(value)
      .sort()
      .map((key) => [key, sorted(value[key])]),
  );
}

/**
 * Two changes of one thing put together. What a correction of an older entry means for the truth of today: a field that the correction changed and that nobody changed since
 * takes the corrected value; what was changed later stays. Lists of things with ids are matched by id.
 *
 * @param base the entry as it was written
 * @param corrected the entry as it should have been
 * @param current the truth now
 */
export function carry(base: Json, corrected: Json, current: Json): Json {
  if (same(base, current)) return corrected;
  if (same(base, corrected)) return current;
  if (hasIds(base) && hasIds(corrected) && hasIds(current)) return carryList(base, corrected, current);
  if (!isFields(base) || !isFields(corrected) || !isFields(current)) return current;
  const keys = [...new Set([...Object.keys(current), ...Object.keys(corrected)])];
  return Object.fromEntries(
    keys.map((key) => [key, carry(base[key], corrected[key], current[key])]).filter(([, value]) => value !== undefined),
  );
}

function carryList(base: (Fields & { id: string })[], corrected: (Fields & { id: string })[], current: (Fields & { id: string })[]): Json {
  const find = (list: (Fields & { id: string })[], id: string) => list.find((item) => item.id === id);
  const kept = current.filter((item) => find(corrected, item.id) || !find(base, item.id));
  const added = corrected.filter((item) => !find(base, item.id) && !find(current, item.id));
  return [...kept.map((item) => (find(base, item.id) ? carry(find(base, item.id), find(corrected, item.id), item) : item)), ...added];
}
