import { foundNight, nightOf } from '../counting/nights';
import type { Did } from '../counting/atSet';
import type { DeviceClass } from '../devices/sizes';
import { nightsInside, type Totalled } from '../effort/totals';
import type { Check, TrapSet } from '../record/kinds';
import { lessonOf, sawOf, type Look, type Pass } from './looks';

/** A set with all that was read of it. */
export interface MetAsked {
  set: TrapSet;
  /** its checks, in any order */
  visits: readonly Check[];
  asked: Totalled;
  /** what cameras saw at its place */
  seen: readonly { at: Date; species: string; did: Did }[];
  /** of the colony that it is meant for */
  species: string;
  zone: string;
  classOf: (device: string) => DeviceClass;
}

/** A catch or a contact in less than that of a night counts as so much: it was there. [practice] */
const PART_OF_A_NIGHT = 0.25;

/** What was met at a set: its looks by device with the nights it worked between them, and the nights in which one passed it. */
export function metAt(met: MetAsked): { looks: Look[]; passes: Pass[] } {
  const inOrder = { ...met, visits: [...met.visits].sort((a, b) => a.at.localeCompare(b.at)) };
  return {
    looks: met.set.stays.flatMap((stay) => looksOf(stay, inOrder)).sort((a, b) => a.at.getTime() - b.at.getTime()),
    passes: passesAt(inOrder),
  };
}

function looksOf(stay: TrapSet['stays'][number], { set, visits, asked, species, classOf }: MetAsked): Look[] {
  const own = visits.flatMap((v) => {
    const found = v.devices.find((d) => d.stay === stay.id);
    return found && found.outcome !== 'not reached' ? [{ at: new Date(v.at), found }] : [];
  });
  const spans = own.map(({ at }, n) => ({ from: own[n - 1]?.at ?? new Date(stay.from), to: at }));
  const inside = nightsInside(set, stay, visits, asked, spans);
  const device = classOf(stay.device);
  return own.flatMap(({ at, found }, n): Look[] => {
    const saw = sawOf(found, species);
    if (!saw) return [];
    const nights = inside[n] ?? 0;
    const lesson = lessonOf(saw, found);
    return [
      {
        ...{ saw, at, device, nights: saw === 'untouched' ? nights : Math.max(PART_OF_A_NIGHT, nights) },
        ...(found.felt === 'not said' ? {} : { felt: found.felt }),
        ...(lesson && { lesson }),
      },
    ];
  });
}

const TURNED: readonly Did[] = ['went round', 'over it'];

/** Nights in which an animal was seen at a set, or its tracks went round it, that it did not catch: one a night, turning before passing. */
function passesAt({ set, visits, seen, species, zone }: MetAsked): Pass[] {
  const from = Math.min(...set.stays.map((s) => Date.parse(s.from)));
  const to = Math.max(...set.stays.map((s) => (s.to === null ? Infinity : Date.parse(s.to))));
  const caught = new Set(
    visits.filter((v) => v.devices.some((d) => sawOf(d, species) === 'caught')).map((v) => foundNight(new Date(v.at), zone)),
  );
  const nights = new Map<string, Pass>();
  const note = (night: string, pass: Pass): void => {
    if (!caught.has(night) && nights.get(night)?.did !== 'turned') nights.set(night, pass);
  };
  for (const { at, species: of, did } of seen)
    if (of === species && at.getTime() > from && at.getTime() < to)
      note(nightOf(at, zone), { at, did: TURNED.includes(did) ? 'turned' : 'passed' });
  for (const visit of visits)
    if (visit.devices.some((d) => d.flags.includes('went round')))
      note(foundNight(new Date(visit.at), zone), { at: new Date(visit.at), did: 'turned' });
  return [...nights.values()].sort((a, b) => a.at.getTime() - b.at.getTime());
}
