/** The file of a copy, by its moment: `zaprud-20261201-0420.gz`. */
export const nameOf = (at: Date): string => `zaprud-${at.toISOString().slice(0, 16).replace(/[-:]/g, '').replace('T', '-')}.gz`;

/** The moment in a name; null for any other file. */
export function timeOf(name: string): Date | null {
  const found = /^zaprud-(\d{4})(\d\d)(\d\d)-(\d\d)(\d\d)\.gz$/.exec(name);
  if (!found) return null;
  const [, year, month, day, hour, minute] = found;
  const at = new Date(`${year}-${month}-${day}T${hour}:${minute}:00Z`);
  return Number.isNaN(at.getTime()) ? null : at;
}

const DAY = 86_400_000;
/** The newest of each of so many days, weeks and months stays. */
const STAYS = { days: 7, weeks: 5, months: 12 } as const;

/** Copies that may go: all but the newest of the last seven days, five weeks and twelve months. Other files are never named. */
export function goes(names: readonly string[], now: Date): string[] {
  const all = names.flatMap((name) => {
    const at = timeOf(name);
    return at ? [{ name, at: at.getTime() }] : [];
  });
  const newestFirst = [...all].sort((a, b) => b.at - a.at);
  const kept = new Set<string>(newestFirst.slice(0, 1).map((c) => c.name));
  const keep = (of: (at: number) => number, most: number): void => {
    const seen = new Set<number>();
    for (const { name, at } of newestFirst) {
      const span = of(at);
      if (seen.has(span)) continue;
      if (seen.size >= most) return;
      seen.add(span);
      kept.add(name);
    }
  };
  keep((at) => Math.floor(at / DAY), STAYS.days);
  keep((at) => Math.floor(at / DAY / 7), STAYS.weeks);
  keep((at) => new Date(at).getUTCFullYear() * 12 + new Date(at).getUTCMonth(), STAYS.months);
  return all.filter((c) => !kept.has(c.name) && c.at <= now.getTime()).map((c) => c.name);
}
