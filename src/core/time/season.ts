/** The season that a local date lies in, by the winter it belongs to: `2026-27` from July 2026 to June 2027. [practice] */
export function seasonOf(date: string): string {
  const [year = 0, month = 1] = date.split('-').map(Number);
  const first = month >= 7 ? year : year - 1;
  return `${first}-${String((first + 1) % 100).padStart(2, '0')}`;
}
