import { many } from '../units/many';
import type { Suggestion } from './suggest';

/** A place that could be set. */
export interface Candidate {
  id: string;
  name: string;
  water: string;
  /** 0 to 1; null when no sign was ever noted */
  activity: number | null;
  /** animals and working nights at places of its kind so far */
  caught: number;
  nights: number;
  suggestion: Suggestion | null;
  /** minutes of placing it, by one person; left out: as any set */
  minutes?: number;
  /** what stands in the way whatever it is worth: no leave, out of reach */
  barred: string | null;
  /** a set or a plan stands there already */
  taken: string | null;
}

export interface PlanInput {
  wanted: number;
  /** animals that can be skinned and carried in a day */
  handled: number;
  people: number;
  traps: number;
  /** minutes of light left for placing; Infinity when the day is open */
  minutes: number;
  /** minutes of one set by one person */
  each: number;
  /** nights until the next free days are over */
  nights: number;
  /** one set a water at a time, the rest kept unspoiled: a school that the line may pick */
  isPaced?: boolean;
  /** the crew's own catch per working night, all places */
  mean: number;
}

export interface Ranked {
  id: string;
  /** animals per night expected, drawn towards the crew's mean */
  perNight: number;
  /** minutes of placing it */
  minutes: number;
  /** animals per hour of work */
  value: number;
  take: boolean;
  /** what leaves it; null when it is taken */
  left: Left | null;
  why: string;
}

/** What leaves a place, in the words that its count is read with: `12 set or planned already`. */
export const LEFT_WORDS = {
  taken: 'set or planned already',
  barred: 'closed by depth, ice, permission or rulebook',
  noType: 'without a set for this animal',
  unused: 'likely not in use',
  noTrap: 'without a free trap',
  noLight: 'not reached before dark',
  rested: 'kept unspoiled',
  enough: 'more than you want',
  handled: 'more than you can handle',
} as const;
export type Left = keyof typeof LEFT_WORDS;

/** A place without sign counts for little; figures of a kind are drawn towards the crew's mean by this many nights. [practice] */
const UNSEEN = 0.2;
const DRAWN = 20;
/** Under this activity a place is left: look again first. [practice] */
const IDLE = 0.15;

/** Catch a night over all before a crew has nights of its own. [practice] */
const USUAL = 0.1;

/** A crew's own catch per working night, drawn towards the usual where its nights are few. */
export const crewMean = (caught: number, nights: number): number => drawnRate(caught, nights, USUAL);

/** Catch per working night of a kind, drawn towards the crew's mean where nights are few. */
export const drawnRate = (caught: number, nights: number, mean: number): number => (caught + DRAWN * mean) / (nights + DRAWN);

/**
 * The places in the order of what a minute of work brings tonight (activity times catch per working night, per minute), each taken or left with its reason.
 * It stops at the traps, the light, what can be handled in a day, and what is wanted.
 */
export function planOf(candidates: readonly Candidate[], input: PlanInput): Ranked[] {
  const ranked = candidates
    .map((place) => {
      const perNight = (place.activity ?? UNSEEN) * drawnRate(place.caught, place.nights, input.mean);
      const minutes = place.minutes ?? input.each;
      return { place, perNight, minutes, value: (perNight * 60) / minutes };
    })
    .sort((a, b) => b.value - a.value || a.place.name.localeCompare(b.place.name));
  let taken = 0;
  let daily = 0;
  let spent = 0;
  const begun = new Set<string>();
  return ranked.map(({ place, perNight, minutes, value }): Ranked => {
    const reason = reasonLeft(place, { taken, daily, perNight, spent: spent + minutes, input, begun });
    if (!reason) {
      taken += 1;
      daily += perNight;
      spent += minutes;
      begun.add(place.water);
    }
    return {
      id: place.id,
      perNight,
      minutes,
      value,
      take: !reason,
      left: reason?.left ?? null,
      why: reason?.why ?? taking(place, perNight),
    };
  });
}

interface SoFar {
  taken: number;
  daily: number;
  perNight: number;
  /** minutes of all that is taken, with this one */
  spent: number;
  /** waters on which a place is taken */
  begun: ReadonlySet<string>;
  input: PlanInput;
}

const two = (n: number): string => (n < 0.095 ? n.toFixed(2) : n.toFixed(1));

function reasonLeft(place: Candidate, { taken, daily, perNight, spent, input, begun }: SoFar): { left: Left; why: string } | null {
  const because = (left: Left, why: string) => ({ left, why });
  if (place.taken) return because('taken', place.taken);
  if (place.barred) return because('barred', place.barred);
  if (!place.suggestion) return because('noType', 'No set is tried for this animal at such a place.');
  if (place.activity !== null && place.activity < IDLE)
    return because('unused', `Likely not in use (use score ${Math.round(place.activity * 10)}/10). Look again first.`);
  if (taken >= input.traps)
    return because('noTrap', input.traps === 0 ? 'No free trap in the shed.' : 'No free trap left for this location.');
  if (spent > input.minutes * input.people + 1e-9)
    return because('noLight', `No light left: ${many(taken, 'set')} fit before dark with ${many(input.people, 'person', 'people')}.`);
  if (input.isPaced && begun.has(place.water))
    return because('rested', 'One set a water at a time, by your school: the rest stays unspoiled.');
  if (daily * input.nights >= input.wanted)
    return because(
      'enough',
      `Enough sets for the ${input.wanted} wanted: about ${two(daily * input.nights)} in ${many(input.nights, 'night')}. Rest it.`,
    );
  if (taken > 0 && daily + perNight > input.handled)
    return because('handled', `More than ${input.handled} a day could come: that is what you can handle.`);
  return null;
}

const taking = (place: Candidate, perNight: number): string =>
  `${place.suggestion?.type ?? ''}: ${place.suggestion?.why ?? ''}. ${place.activity === null ? 'No sign recorded: scout first' : `Use ${Math.round(place.activity * 10)}/10`}; ${perNight > 0.005 ? `1 catch in about ${many(Math.max(1, Math.round(1 / perNight)), 'night')}` : 'catches are rare'}.`;

/** How many sets fit into the minutes left, by the user's own minutes; two people work side by side. */
export const fitting = (minutes: number, people: number, each: number): number =>
  Number.isFinite(minutes) ? Math.max(0, Math.floor((minutes * people) / each + 1e-9)) : Number.MAX_SAFE_INTEGER;

/** The days of a plan in words, and the nights between them. */
export interface PlanWords {
  day: string;
  back: string;
  nights: number;
  /** the end of the light; null where nobody can tell */
  until: string | null;
}

/** What the plan comes to, in one sentence. */
export function planSentence(
  taken: readonly { minutes: number }[],
  { day, back, nights, until }: PlanWords,
  { people, each, minutes }: Pick<PlanInput, 'people' | 'each' | 'minutes'>,
): string {
  const who = people === 1 ? 'one person' : `${people} people`;
  const take = taken.length;
  const work = Math.ceil(sumOf(taken) / people);
  // what is left of the light after them goes to sets as any
  const room = Number.isFinite(minutes) ? take + fitting(minutes - work, people, each) : fitting(minutes, people, each);
  const other = fitting(minutes, people === 1 ? 2 : 1, each);
  const light =
    until === null
      ? 'how long it is light nobody can tell before the place of the line is set'
      : room > take
        ? `daylight to ${until} allows ${room}, with ${people === 1 ? 'two people' : 'one person'} ${other}`
        : `that is all that daylight to ${until} allows`;
  return take === 0
    ? `Nothing worth setting on ${day}.`
    : `Set ${many(take, 'place')} on ${day}: about ${work} min for ${who}; ${light}. Back on ${back}, after ${many(nights, 'night')}.`;
}

const sumOf = (sets: readonly { minutes: number }[]): number => sets.reduce((all, s) => all + s.minutes, 0);

/** A place of the plan, with the minutes of its set. */
export interface Chosen {
  name: string;
  minutes: number;
}

/** The answer to "I have 40 minutes and 8 traps here". @param places in the plan's order, taken ones only @param each minutes of any set */
export function withinSentence(minutes: number, traps: number, people: number, each: number, places: readonly Chosen[]): string {
  const room = minutes * people + 1e-9;
  const fit = places.findIndex((_, n) => sumOf(places.slice(0, n + 1)) > room);
  const n = Math.min(fit === -1 ? places.length : fit, traps);
  const first = places[0]?.minutes ?? each;
  if (first > room) return `In ${minutes} minutes no set fits: one takes ${Math.ceil(first)}.`;
  if (n === 0)
    return traps === 0 ? 'Without a trap nothing can be set.' : 'No place here is worth a trap tonight: scout, or go on to the next water.';
  const set = places.slice(0, n);
  const limit =
    n === places.length && n < traps
      ? ' No more places here are worth a trap tonight.'
      : fit !== -1 && fit <= traps
        ? ' Time is what ends it.'
        : ' Traps are what ends it.';
  return `In ${minutes} minutes with ${traps} traps: set ${n === 1 ? 'one' : n}, in this order: ${set.map((p) => p.name).join(', ')}. That takes about ${Math.ceil(sumOf(set) / people)} minutes.${limit}`;
}
