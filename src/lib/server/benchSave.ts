import type { BenchWrite } from './bench';
import { db } from './database';
import { attempt } from './form';
import { openedOn, type Reader } from '#lib/form/reader';
import { keepAfter } from './keepForecasts';
import { lureUsed } from './lureUsed';
import { idBeside } from '#lib/form/newId';
import { bodyOf } from '#core/record/written';
import type { Season } from '#lib/season/season';
import { record } from './record/write';
import type { NewEntry } from '#core/record/entry';

/** Which field of the bench's form a path of the record belongs to. */
function fieldOf(path: string): string {
  const number = /^settings\.\d+\.numbers\.(\w+)$/.exec(path);
  if (number) return `n.${number[1]}`;
  if (/^states\.\d+\./.test(path)) return path.endsWith('width') ? 'breakWide' : 'breakBottom';
  if (path === 'devices') return 'd';
  if (path.startsWith('stays') || path.startsWith('settings')) return 'at';
  return path === 'armed' ? 'arm' : path;
}

/** Writes a set of the bench with the readings taken beside it, all or none; the refusal when the record does not take it. */
export async function saveBench(
  read: Reader,
  { set, before, readings, opening, kept, at, reason }: BenchWrite,
  season: Season,
  locals: App.Locals,
) {
  const { who } = locals;
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
  const result = await attempt(read, () => record(db(), ...entries), fieldOf);
  if ('failure' in result) return result.failure;
  if (result.done === 'written') await keepAfter(locals, entries);
  return null;
}
