import { SPECIES, type Species } from '../animals/species';
import { readLocalTime } from '../time/localTime';
import { DID, type Did } from './atSet';
import type { SizeClass } from './nights';

export interface FileEvent {
  at: string;
  camera: string;
  species: Species;
  count: number;
  size: SizeClass;
  did: Did;
}

export interface EventPlan {
  fresh: FileEvent[];
  /** events that the record holds already, or that the file tells twice */
  here: number;
  refused: { row: number; reason: string }[];
}

const SIZES: readonly SizeClass[] = ['large', 'middle', 'small', 'unknown'];
const COLUMNS: Record<string, string[]> = {
  time: ['time', 'at', 'date', 'datetime', 'timestamp'],
  camera: ['camera', 'cam'],
  species: ['species', 'animal'],
  count: ['count', 'number', 'how many'],
  size: ['size class', 'size', 'class'],
  did: ['did', 'what it did', 'behavior', 'behaviour'],
};

/** What makes two events one. */
export const eventKey = (e: Pick<FileEvent, 'at' | 'species' | 'count' | 'size'>): string =>
  `${Date.parse(e.at)} ${e.species} ${e.count} ${e.size}`;

/**
 * Decides for every row of a camera's table (time, camera, species, count, size class, what it did) what becomes of it.
 * A time without its offset counts in the line's zone.
 *
 * @param rows cells by their column's name, lower case
 * @param known keys of the events that the station's record holds
 */
export function planEvents(rows: readonly Record<string, unknown>[], known: ReadonlySet<string>, zone: string): EventPlan {
  const plan: EventPlan = { fresh: [], here: 0, refused: [] };
  const seen = new Set(known);
  rows.forEach((row, index) => {
    const cell = (column: string): string => {
      const name = COLUMNS[column]?.find((c) => c in row);
      return name ? String(row[name] ?? '').trim() : '';
    };
    const refuse = (reason: string) => plan.refused.push({ row: index + 2, reason });
    const time = cell('time');
    const at = /(Z|[+-]\d{2}:?\d{2})$/.test(time)
      ? ({ ok: !Number.isNaN(Date.parse(time)), at: new Date(time), sentence: `“${time.slice(0, 30)}” is not a time.` } as const)
      : readLocalTime(time, zone, 'first');
    if (!at.ok) return refuse('sentence' in at ? at.sentence : 'Its time cannot be read.');
    const species = cell('species').toLowerCase() as Species;
    if (!SPECIES.includes(species)) return refuse(`“${cell('species').slice(0, 30)}” is not one of: ${SPECIES.join(', ')}.`);
    const count = cell('count') === '' ? 1 : Number(cell('count'));
    if (!Number.isInteger(count) || count < 1 || count > 40) return refuse(`“${cell('count').slice(0, 20)}” is not a count from 1 to 40.`);
    const size = (cell('size').toLowerCase() || 'unknown') as SizeClass;
    if (!SIZES.includes(size)) return refuse(`“${cell('size').slice(0, 20)}” is not one of: ${SIZES.join(', ')}.`);
    const did = (cell('did').toLowerCase() || 'not seen') as Did;
    if (!DID.includes(did)) return refuse(`“${cell('did').slice(0, 20)}” is not one of: ${DID.join(', ')}.`);
    const event: FileEvent = { at: at.at.toISOString(), camera: cell('camera').slice(0, 40) || 'camera', species, count, size, did };
    if (seen.has(eventKey(event))) {
      plan.here += 1;
      return;
    }
    seen.add(eventKey(event));
    plan.fresh.push(event);
  });
  return plan;
}
