import { besideLine, type Position } from '#core/ground/geodesic';
import { lineOf } from '#core/ground/points';
import type { NewEntry } from '#core/record/entry';
import type { Body } from '#core/record/kinds';
import { wholeMinute } from '#core/time/localTime';
import { againstSchemas } from '#lib/form/againstSchemas';
import { askIfFar } from '#lib/form/askIfFar';
import { idBeside } from '#lib/form/newId';
import type { Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';

/** What the field part writes besides checks, read from its forms. A fault stands in the reader at its field. */

/** A level as a gauge showed it just now; null when a field was refused. */
export function levelEntries(read: Reader, season: Season, { who, now }: Asker): NewEntry[] | null {
  const gauge = season.gauges.find((g) => g.id === read.text('gauge'));
  const level = read.length('level');
  const at = wholeMinute(now);
  if (!gauge) read.refuse('gauge', 'Choose the gauge that was read.');
  if (level === undefined) read.refuse('level', 'Type what the gauge shows.');
  if (gauge && level !== undefined) askIfFar(read, 'level', gauge, at, season);
  if (!gauge || level === undefined || !read.ok()) return null;
  const form = read.text('entry');
  const body = {
    id: idBeside(form, 'reading'),
    gauge: gauge.id,
    at: at.toISOString(),
    level,
    bound: 'exact',
    source: 'gauge',
    set: null,
  } as const;
  const note = read.text('note');
  return againstSchemas(read, [{ id: form, crew: who.crew, kind: 'reading', occurredAt: at, by: who.person.id, body: { ...body, note } }]);
}

/** How far along the shore of a water a position lies, by the line that was drawn of it, m; null where none was drawn. */
export function alongOf({ ground }: Pick<Season, 'ground'>, water: string, at: Position): number | null {
  const line = lineOf(ground, water);
  return (line && besideLine(line, at)?.along) ?? null;
}

/** The water whose drawn line lies nearest to a position; null where none was drawn. */
export function nearestWater({ ground, waters }: Pick<Season, 'ground' | 'waters'>, at: Position): string | null {
  const found = waters.flatMap(({ id }) => {
    const line = lineOf(ground, id);
    const off = line && besideLine(line, at)?.off;
    return off === null || off === undefined ? [] : [{ id, off: Math.abs(off) }];
  });
  return found.sort((a, b) => a.off - b.off)[0]?.id ?? null;
}

/** A place that was seen in passing: its kind and where it is; all else is filled in later. Null when a field was refused. */
export function markEntries(read: Reader, season: Season, { who, now }: Asker): NewEntry[] | null {
  const water = season.stored.waters.find((w) => w.id === read.text('water'));
  const along = read.length('along', who.person.system === 'us' ? 'ft' : 'm');
  const [lat, lon] = [read.number('lat') ?? null, read.number('lon') ?? null];
  if (!water) read.refuse('water', 'Choose the water it lies at.');
  if (along === undefined && !read.errors.along)
    read.refuse(
      'along',
      'Type how far along the shore from the inlet: without a position, or a drawn line of this water, it cannot be computed.',
    );
  if (!water || along === undefined || !read.ok()) return null;
  const form = read.text('entry');
  const number = Math.max(0, ...season.stations.map((s) => s.number)) + 1;
  const kind = read.text('kind') as Body<'station'>['kind'];
  const body = {
    ...{ id: idBeside(form, 'station'), water: water.id, number, name: read.text('name') || kind, kind, surface: 'pond' as const },
    ...{ along, lat, lon, note: read.text('note'), photo: read.text('photo') || null },
  };
  return againstSchemas(read, [{ id: form, crew: who.crew, kind: 'station', occurredAt: wholeMinute(now), by: who.person.id, body }]);
}
