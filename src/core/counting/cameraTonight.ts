/** A place where the one camera could hang. */
export interface CameraPlace {
  id: string;
  name: string;
  kind: string;
  /** 0 to 1; null when no sign was ever noted */
  activity: number | null;
  /** untouched looks in a row at a live set there; null without a live set */
  untouched: number | null;
  /** a leak was mended there in the last three days */
  mended: boolean;
  /** nights of the last three in which a camera already watched it */
  watched: number;
}

export interface CameraAdvice {
  id: string;
  score: number;
  sentence: string;
}

/** An animal that uses a place comes before a camera there in about one night of three; at a den mouth in one of two, where it mends in three of five. [practice] */
const SHOWN = { place: 0.35, den: 0.5, mended: 0.6 } as const;
/** A place that none of them uses shows one now and then. [practice] */
const STRAY = 0.03;
/** What an untouched look takes from a place in use, and from one that is not: two nights of nothing. [practice] */
const UNTOUCHED = { used: 0.79 ** 2, unused: 0.978 ** 2 } as const;
/** A place that is used less likely than this is not worth a trap: it is left, or its trap goes elsewhere. [practice] */
const WORTH_A_TRAP = 0.5;
/** So long the camera hangs. */
const NIGHTS = 3;

/** How likely a place is in use, by its sign and by the looks at its set that found nothing. */
export function inUse({ activity, untouched }: Pick<CameraPlace, 'activity' | 'untouched'>): number {
  const sign = activity ?? 0.5;
  const looks = untouched ?? 0;
  const used = sign * UNTOUCHED.used ** looks;
  return used / (used + (1 - sign) * UNTOUCHED.unused ** looks || 1);
}

/**
 * What some nights of the camera are worth at a place: how much more a trap brings there if it is put, kept or taken away by what they show,
 * as a share of what a trap brings at a place in use. Never less than nothing.
 *
 * @source the expected value of sample information (Raiffa and Schlaifer 1961, from memory), over put a trap or none
 */
export function worthOfNights(place: CameraPlace): number {
  const p = inUse(place);
  const nightly = place.mended ? SHOWN.mended : place.kind === 'bank den' || place.kind === 'lodge' ? SHOWN.den : SHOWN.place;
  const nights = NIGHTS - place.watched;
  if (nights <= 0) return 0;
  const shows = 1 - (1 - nightly) ** nights;
  const strays = 1 - (1 - STRAY) ** nights;
  const seen = p * shows + (1 - p) * strays;
  const gain = (chance: number): number => Math.max(0, chance - WORTH_A_TRAP);
  const after = seen * gain((p * shows) / seen) + (1 - seen) * gain((p * (1 - shows)) / (1 - seen));
  return Math.max(0, after - gain(p));
}

/**
 * Where one camera tells most tonight: the place at which what it shows changes most what would be done, the best first.
 */
export function cameraTonight(places: readonly CameraPlace[]): CameraAdvice[] {
  return places
    .map((place): CameraAdvice => {
      const p = place.activity ?? 0.5;
      const open = 4 * p * (1 - p);
      const den = place.kind === 'bank den' || place.kind === 'lodge';
      const idle = place.untouched !== null && place.untouched >= 2;
      const score = worthOfNights(place);
      const why = [
        place.mended && 'the break there was plugged, and who plugs it is the question',
        idle && `its set was untouched ${place.untouched} times, in use or refused is open`,
        place.activity === null
          ? 'no sign was ever noted there'
          : open > 0.6
            ? `its sign leaves the use open (${Math.round(p * 10)} of 10)`
            : p >= 0.5
              ? `it is in use (${Math.round(p * 10)} of 10), how many is open`
              : `it seems not in use (${Math.round(p * 10)} of 10)`,
        den && 'a den mouth counts all who live in it',
        place.watched > 0 && `a camera watched it ${place.watched} of the last 3 nights`,
      ].filter((reason): reason is string => Boolean(reason));
      return { id: place.id, score, sentence: `${place.name}: ${why.join('; ')}.` };
    })
    .sort((a, b) => b.score - a.score);
}
