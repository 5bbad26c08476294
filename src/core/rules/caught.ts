import type { Species } from '../animals/species';
import type { Rulebook } from './book';
import { seasonAt, type Day } from './seasons';

/** A catch as a book looks at it; those of its kind before it count towards a limit. */
export interface CaughtThen {
  species: Species;
  at: Date;
  day: Day;
  before: { inSeason: number; onDay: number };
}

/** Somebody is to be told, and by when. */
export interface Duty {
  rule: string;
  whom: string;
  how: string;
  by: Date;
}

/** What a catch is by the book: in season and within its limit, or not meant to be taken, or the book says nothing of the animal. */
export interface CaughtAs {
  is: 'ordinary' | 'incidental' | 'silent';
  /** the rule that says so */
  rule: string | null;
  because: 'closed' | 'over the limit' | null;
  /** how many of its kind by it, of how many; none where the book has no limit */
  limit: { rule: string; count: number; most: number; per: 'day' | 'season' } | null;
  /** the rule that wants a tag on it */
  tag: string | null;
  duties: Duty[];
}

/** How a catch stands to the book, with who is to be told by when. A closed season stands before a limit. */
export function caughtAs(book: Rulebook, { species, at, day, before }: CaughtThen): CaughtAs {
  const season = seasonAt(book, species, day);
  const limits = book.limits.filter((l) => l.species === species);
  const counted = limits.flatMap(({ id, most, per }) =>
    most === null ? [] : [{ rule: id, count: (per === 'day' ? before.onDay : before.inSeason) + 1, most, per }],
  );
  const over = counted.find((l) => l.count > l.most);
  const closed = season.is === 'closed' ? season.rule : null;
  const is = closed || over ? 'incidental' : season.is === 'silent' ? 'silent' : 'ordinary';
  return {
    is,
    rule: closed ?? over?.rule ?? (season.is === 'open' ? season.rule : null),
    because: closed ? 'closed' : over ? 'over the limit' : null,
    limit: closed ? null : (over ?? counted[0] ?? null),
    tag: closed ? null : (limits.find((l) => l.tag)?.id ?? null),
    duties: book.tell
      .filter((t) => (t.species.length === 0 || t.species.includes(species)) && (t.of === 'every catch' || is === 'incidental'))
      .map(({ id, whom, how, hours }) => ({ rule: id, whom, how, by: new Date(at.getTime() + hours * 3_600_000) })),
  };
}
