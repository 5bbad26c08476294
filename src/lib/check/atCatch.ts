import type { Species } from '#core/animals/species';
import { caughtAs } from '#core/rules/caught';
import { whenText } from '#core/time/clock';
import { wallOf } from '#core/time/localTime';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

/** A catch of the season that counts towards the limits of its book. */
export interface Caught {
  species: Species;
  at: Date;
}

/** What a check says of each animal before it is logged: closed by the book, to be told, with a tag; empty where it says nothing. */
export function atCatch(season: Season, water: string, caught: readonly Caught[], { now }: Asker): Partial<Record<Species, string>> {
  const { rules, line, areas } = season;
  if (!rules) return {};
  const { date, clock } = wallOf(now, line.zone);
  const said: Partial<Record<Species, string>> = {};
  for (const species of ['beaver', 'muskrat', 'mink', 'otter', 'raccoon', 'other'] as const) {
    const own = caught.filter((c) => c.species === species);
    const onDay = own.filter((c) => wallOf(c.at, line.zone).date === date).length;
    const day = { date, time: clock, area: areas[water] ?? '' };
    const as = caughtAs(rules.book, { species, at: now, day, before: { inSeason: own.length, onDay } });
    const told = as.duties.map((d) => `tell ${d.whom} by ${whenText(d.by, now, season.clock)}${d.how ? `, ${d.how}` : ''}`);
    const why =
      as.because === 'closed' ? 'closed' : as.because ? `over the limit of ${as.limit?.most ?? 0} a ${as.limit?.per ?? 'season'}` : '';
    const parts = [
      ...(as.is === 'incidental' ? [`${species} ${why} by your rulebook (${as.rule ?? ''}): it is booked as incidental`] : []),
      ...told,
      ...(as.tag ? [`a tag on it (${as.tag})`] : []),
      ...(as.is !== 'incidental' && as.limit ? [`${as.limit.count} of ${as.limit.most} a ${as.limit.per}`] : []),
    ];
    const sentence = parts.join('; ');
    if (sentence !== '') said[species] = `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`;
  }
  return said;
}
