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

/**
 * Where one camera tells most tonight: where the question is, not over the idle set. Undecided use counts most, then a mended break,
 * a set that nothing touched, and a den mouth at the end; a place that was just watched counts less.
 *
 * @returns the places, the best first
 * @source common practice; the weights are [practice]
 */
export function cameraTonight(places: readonly CameraPlace[]): CameraAdvice[] {
  return places
    .map((place): CameraAdvice => {
      const p = place.activity ?? 0.5;
      const open = 4 * p * (1 - p);
      const den = place.kind === 'bank den' || place.kind === 'lodge';
      const idle = place.untouched !== null && place.untouched >= 2;
      const score = open + (place.mended ? 0.6 : 0) + (idle ? 0.5 : 0) + (den ? 0.2 : 0) - 0.4 * place.watched;
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
