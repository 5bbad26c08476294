import type { NewEntry } from '#core/record/entry';
import { bodyOf } from '#core/record/written';
import { idBeside } from '#lib/form/newId';
import { openedOn, type Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import type { Who } from '#lib/season/who';
import { lureUsed } from './lureUsed';
import type { BenchWrite } from './readBench';

/** Which field of the bench's form a path of the record belongs to. */
export function fieldOfBench(path: string): string {
  const number = /^settings\.\d+\.numbers\.(\w+)$/.exec(path);
  if (number) return `n.${number[1]}`;
  if (/^states\.\d+\./.test(path)) return path.endsWith('width') ? 'breakWide' : 'breakBottom';
  if (path === 'devices') return 'd';
  if (path.startsWith('stays') || path.startsWith('settings')) return 'at';
  return path === 'armed' ? 'arm' : path;
}

/** A set of the bench with all that is written beside it: readings, what it took of jars, its break, what is kept at its place. */
export function benchEntries(
  read: Reader,
  { set, before, readings, opening, kept, at, reason }: BenchWrite,
  season: Season,
  who: Who,
): NewEntry[] {
  const common = { crew: who.crew, occurredAt: at, by: who.person.id };
  const entries: NewEntry[] = [
    ...readings.map((body): NewEntry => ({ ...common, id: idBeside(body.id, 'entry'), kind: 'reading', body })),
    { ...common, id: read.text('entry'), kind: 'set', body: set, reason, ...(before ? openedOn(read, before) : {}) },
    ...lureUsed(set, before, read.text('entry'), common),
    ...(opening ? [{ ...common, id: idBeside(opening.id, 'entry'), kind: 'opening' as const, body: opening }] : []),
  ];
  const place = season.stored.stations.find((s) => s.id === set.station);
  if (place && kept.length > 0) {
    const measures = [...place.measures, ...kept.map(({ what, value }) => ({ what, value, at: at.toISOString() }))];
    entries.push({
      ...common,
      id: idBeside(read.text('entry'), 'station'),
      kind: 'station',
      opened: place.entry,
      body: { ...bodyOf(place), measures },
    });
  }
  return entries;
}
