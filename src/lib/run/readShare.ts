import type { NewEntry } from '#core/record/entry';
import type { Share } from '#core/record/kinds';
import { localDate } from '#core/time/localTime';
import { idBeside, isId } from '#lib/form/newId';
import { openedOn, type Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

/** Reads who goes where into an entry; null when a field was refused. */
export function readShare(read: Reader, season: Season, { who, now }: Asker): NewEntry | null {
  const day = read.text('day');
  const parts = [0, 1].map((n) => ({
    person: read.text(`person${n}`),
    stops: read.text(`stops${n}`).split(',').filter(isId),
  }));
  if (parts.some(({ person }) => person === '')) read.refuse('person1', 'Say who goes: choose a person for each list.');
  else if (parts[0]?.person === parts[1]?.person) read.refuse('person1', 'One person cannot go two ways: choose another.');
  if (day < localDate(now, season.line.zone)) read.refuse('day', 'That day is past: work the run out anew.');
  if (!read.ok()) return null;
  const before = season.shares.find((s) => s.day === day);
  const body: Share = { id: idBeside(season.line.id, `share ${day}`), line: season.line.id, day, parts, note: read.text('note') };
  return {
    ...{ id: read.text('entry'), crew: who.crew, kind: 'share' as const, occurredAt: now, by: who.person.id, body },
    ...(before ? openedOn(read, before) : {}),
  };
}
