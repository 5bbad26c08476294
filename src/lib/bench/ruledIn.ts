import { broken, judge, type Answer } from '#core/rules/judge';
import { SITUATIONS, type Situation } from '#core/rules/book';
import { standOf } from '#core/rules/stand';
import type { Device, TrapSet } from '#core/record/kinds';
import { armAndWaders } from '#core/units/bodyGauge';
import { layOut, placeOf } from '#core/sets/standing';
import { answerText } from '#core/words/rules';
import type { Place } from '#lib/bench/place';
import type { Reader } from '#lib/form/reader';
import { factsHere, ruleReader } from '#lib/bench/ruled';

type Ruled = Pick<TrapSet, 'situation' | 'attested' | 'exemption' | 'judged'>;

interface Made {
  numbers: Record<string, number>;
  choices: Record<string, string>;
  devices: Record<string, Device>;
  /** it goes live, or is set again */
  isSet: boolean;
}

/** What was said of a set for the rulebook. What the book does not allow goes live with an exemption alone; else it is prepared for the day on which it opens. */
export function ruledIn(read: Reader, place: Place, at: Date, made: Made): Ruled {
  const { season, before } = place;
  const said = read.text('situation');
  const situation = (SITUATIONS as readonly string[]).includes(said) ? (said as Situation) : (before?.situation ?? null);
  const ids = read.has('ruled') ? read.many('attested').filter((id) => id.length <= 40) : (before?.attested ?? []);
  const ruled = { situation, attested: ids.slice(0, 60), exemption: read.text('exemption').slice(0, 300) };
  const inForce = season.rules;
  if (!inForce) return { ...ruled, judged: before?.judged ?? null };
  if (!made.isSet) return { ...ruled, judged: before?.judged ?? null };
  const against = broken(judge(inForce.book, standing(read, place, at, made, ruled)));
  if (against.length > 0 && ruled.exemption === '') read.refuse('exemption', refusal(against, place));
  return { ...ruled, judged: { book: inForce.id, version: inForce.version } };
}

function standing(
  read: Reader,
  { season, station, type, before, now, system }: Place,
  at: Date,
  { numbers, choices, devices }: Made,
  { situation, attested }: Pick<Ruled, 'situation' | 'attested'>,
) {
  const then = season.levels[station.water]?.known ?? {};
  const laid = { numbers, choices, devices, then, place: placeOf(station, season.follows[station.id] ?? null) };
  const design = layOut(type, { ...laid, hands: armAndWaders(read.who.person.measures) }, system);
  const species = (read.text('species') || type.species[0]) as TrapSet['species'];
  const view = season.views.find((v) => v.id === before?.id);
  return standOf(
    {
      species,
      choices,
      situation,
      attested,
      design,
      then,
      surface: station.surface,
      devices: Object.values(devices),
      opensDam: type.acts !== undefined,
    },
    factsHere(season, station, view, at, now),
  );
}

/** What the book says against it, each with its rule, and what can be done. */
function refusal(against: readonly Answer[], { season, now, system }: Place): string {
  const reader = ruleReader(season, system, now);
  const said = against.map((a) => `${answerText(a as never, reader)} (${a.rule ?? ''})`).join('; ');
  const closed = against.find((a) => a.code === 'closed');
  const opens = closed?.code === 'closed' ? closed.values.opens : null;
  return `By your rulebook it is not set live: ${said}. ${opens ? `Prepare it for ${reader.date(opens)}, or type` : 'Change it, or type'} the exemption that allows it: from whom, its number.`;
}
