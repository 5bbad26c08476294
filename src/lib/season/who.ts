import type { Person } from '#core/record/kinds';
import { wordsOf } from '#core/units/bodyGauge';
import type { Gauge } from '#core/units/length';

/** Who is working, and for which crew. */
export interface Who {
  crew: string;
  person: Person;
  words: Gauge;
}

/** Who asks, and when. */
export interface Asker {
  who: Who;
  now: Date;
}

export const whoOf = (crew: string, person: Person): Who => ({ crew, person, words: wordsOf(person.measures) });
