import type { Species } from '../animals/species';
import { CLASS_WORDS } from '../devices/sizes';
import { againstSchool } from '../schools/sides';
import { typesFor } from '../sets/search';
import type { Offered } from '../sets/offer';
import type { SetType, Suit } from '../sets/setType';

/** A type of set for a kind of place, with the reason. */
export interface Suggestion {
  type: string;
  built: string;
  /** it is one of those that are tried first there, not only one that fits */
  first: boolean;
  why: string;
}

/** A type without a rank at a place fits it, and comes after those that are tried first there. */
const UNRANKED = 100;

const inMonths = (months: Suit['months'], month: number): boolean =>
  !months || (months[0] <= months[1] ? month >= months[0] && month <= months[1] : month >= months[0] || month <= months[1]);

const suitOf = (type: SetType, species: Species, place: Offered, month: number): Suit | undefined =>
  type.suits?.find((s) => s.species === species && s.places.includes(place.kind) && inMonths(s.months, month) && (s.when?.(place) ?? true));

/** Otters are open in few places: that is said before anything else. */
const reason = (
  type: SetType,
  suit: Suit | undefined,
  species: Species,
  { known, isShy, against }: { known: boolean; isShy: boolean; against: boolean },
): string => {
  const idea = suit?.why ?? type.idea.replace(/\.$/, '');
  const device = CLASS_WORDS[type.usual.class];
  const shy = isShy ? `${idea}; those left here have learned a ${device}` : known ? `${idea}; those left here may know a ${device}` : idea;
  const why = against ? `${shy}; not the school that your line picked` : shy;
  return species === 'otter' ? `${why}; only where and when otter are open: look into the rulebook first` : why;
};

/**
 * What the animals of a place may know from earlier trapping comes after all that is tried first there and is new to them, what they have learned
 * this season after all that fits, the other school after the own. [practice]
 */
const rankOf = ({ suit, known, isShy, against }: { suit: Suit | undefined; known: boolean; isShy: boolean; against: boolean }): number =>
  (suit?.rank ?? UNRANKED) + (isShy ? 2 * UNRANKED : suit && known ? UNRANKED / 2 : 0) + (against ? UNRANKED / 4 : 0);

/** Set types for a species at a place in a month, the ones to try first before the others that fit; empty where no type fits. */
export function suggestionsFor(species: Species, place: Offered, month: number): Suggestion[] {
  return typesFor({ species, place: place.kind, month })
    .map((type) => ({ type, suit: suitOf(type, species, place, month) }))
    .map((one) => ({
      ...one,
      known: place.met?.includes(one.type.usual.class) ?? false,
      isShy: place.shyOf?.includes(one.type.usual.class) ?? false,
      against: againstSchool(place.schools ?? {}, one.type, species),
    }))
    .sort((a, b) => rankOf(a) - rankOf(b))
    .map(({ type, suit, ...told }) => ({
      type: type.name,
      built: type.id,
      first: suit !== undefined && !told.isShy,
      why: reason(type, suit, species, told),
    }));
}
