import type { NewEntry } from '#core/record/entry';
import { FEARS } from '#core/colony/looks';
import { BY_PRACTICE, chanceIn, FEAR_PRIOR, NIGHT_ROWS, NIGHT_SAWS } from '#core/colony/practice';
import { NIGHT_ROW_WORDS, SHORT } from '#core/words/colony';
import { CLEAR } from '#core/record/colony';
import type { Colony } from '#core/record/kinds';
import { bodyOf, type Written } from '#core/record/written';
import { addDays, localDate, wholeMinute } from '#core/time/localTime';
import { idBeside, newId } from '#lib/form/newId';
import { openedOn, type Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import { noneLeft } from './colonyPage';
import type { ColonyRead } from './colonies';
import { stationName } from './scouting';

/** Who was called done is looked for again after so many days. [practice] */
const LOOK_BACK = 21;

const percentOf = (share: number | undefined): string => (share === undefined ? '' : String(Math.round(share * 1000) / 10));

/** What the form of a colony begins with; of one that nobody named, its water. */
export function formOf(read: ColonyRead, season: Season, { now }: App.Locals) {
  const { colony, name, waters, places } = read.scope;
  return {
    id: colony?.id ?? newId(),
    entry: newId(),
    doneEntry: newId(),
    opened: colony?.entry ?? '',
    name: colony?.name ?? `${name} family`,
    low: String(colony?.first?.low ?? ''),
    high: String(colony?.first?.high ?? ''),
    why: colony?.why ?? '',
    clear: String(Math.round((colony?.clear ?? CLEAR) * 100)),
    note: colony?.note ?? '',
    beliefs: FEARS.map((fear) => ({
      fear,
      word: SHORT[fear],
      practice: `${FEAR_PRIOR[fear] * 100}`,
      typed: percentOf(colony?.beliefs.find((b) => b.fear === fear)?.share),
    })),
    likely: NIGHT_ROWS.map((row) => ({
      row,
      word: NIGHT_ROW_WORDS[row],
      cells: NIGHT_SAWS.map((saw) => ({
        saw,
        practice: percentOf(chanceIn(BY_PRACTICE, row, saw)),
        typed: percentOf(colony?.likely.find((l) => l.row === row && l.saw === saw)?.share),
      })),
    })),
    waters: season.waters.map((w) => ({ id: w.id, name: w.name, isOwn: waters.includes(w.id) })),
    places: season.stations
      .filter((s) => waters.includes(s.water))
      .map((s) => ({ id: s.id, name: stationName(s), isOwn: places.has(s.id) })),
    done: colony?.done ?? null,
    lookBack: addDays(localDate(now, season.line.zone), LOOK_BACK),
  };
}

/** Reads a colony as its form has it; null where a field was refused. */
export function readColonyForm(read: Reader, before: Written<Colony> | null, season: Season): Omit<Colony, 'id' | 'species'> | null {
  const [low, high] = [read.number('low'), read.number('high')];
  if ((low === undefined) !== (high === undefined) && !read.errors.low && !read.errors.high)
    read.refuse(low === undefined ? 'low' : 'high', 'Type the least and the most, or leave both empty.');
  const clear = read.number('clear');
  if (clear === undefined) read.refuse('clear', 'Type how sure is sure, between 50 and 99%.');
  const waters = read.many('water').filter((id) => season.waters.some((w) => w.id === id));
  const there = season.stations.filter((s) => waters.includes(s.water)).map((s) => s.id);
  const ticked = read.many('place').filter((id) => there.includes(id));
  const beliefs = FEARS.flatMap((fear) => {
    const share = read.number(`belief.${fear}`);
    return share === undefined ? [] : [{ fear, share: share / 100 }];
  });
  const likely = NIGHT_ROWS.flatMap((row) =>
    NIGHT_SAWS.flatMap((saw) => {
      const share = read.number(`likely.${row}.${saw}`);
      return share === undefined ? [] : [{ row, saw, share: share / 100 }];
    }),
  );
  if (!read.ok()) return null;
  return {
    name: read.text('name'),
    waters,
    // every place ticked is the whole water, those that are added later with it
    stations: ticked.length === there.length ? [] : ticked,
    first: low === undefined || high === undefined ? null : { low, high },
    why: read.text('why'),
    clear: (clear ?? 0) / 100,
    beliefs,
    likely,
    done: before?.done ?? null,
    note: read.text('note'),
  };
}

/** The entry that says a colony is done, with how sure it is and when somebody looks again; null where a field was refused. */
export function readDone(read: Reader, known: ColonyRead, season: Season, { who, now }: App.Locals): NewEntry | null {
  const { colony } = known.scope;
  const lookBack = read.text('lookBack');
  if (!colony) read.refuse('lookBack', 'Give it a name first: what is done is kept with the colony.');
  if (lookBack <= localDate(now, season.line.zone)) read.refuse('lookBack', 'Look again on a day that is to come.');
  if (!colony || !read.ok()) return null;
  const at = wholeMinute(now).toISOString();
  return {
    ...{ id: idBeside(read.text('doneEntry'), 'done'), crew: who.crew, kind: 'colony' as const, occurredAt: now, by: who.person.id },
    body: { ...bodyOf(colony), done: { at, chance: noneLeft(known), lookBack } },
    ...openedOn(read, colony),
  };
}
