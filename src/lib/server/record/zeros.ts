import type { Knex } from 'knex';
import type { Body } from '#core/record/kinds';
import { fold, type Folded } from '#core/record/fold';
import type { Zeros } from '#core/record/upgrade';
import { zeroAt, type Hung } from '#core/water/gauge';

type Row = Folded & { seq: number; kind: 'gauge' | 'station'; subject: string };

/** Where the zeros of a crew's gauges lay by the record as it stood at each entry: older bodies are read with them. */
export async function zerosOf(db: Knex, crew: string): Promise<(seq: number) => Zeros> {
  const rows: Row[] = await db('entry')
    .select('id', 'seq', 'kind', 'subject', 'corrects', 'opened', 'withdrawn', 'version', 'body')
    .where({ crew_id: crew })
    .whereIn('kind', ['gauge', 'station'])
    .orderBy('seq');
  const places = new Map(rows.filter((r) => r.kind === 'station' && !r.withdrawn).map((r) => [r.subject, r.body as Body<'station'>]));
  const boards = new Map<string, Row[]>();
  for (const row of rows) if (row.kind === 'gauge') boards.set(row.subject, [...(boards.get(row.subject) ?? []), row]);
  /** as it hung by the record then; a gauge that was entered later is taken as it was first entered */
  const hung = (own: Row[], seq: number): (Hung & Body<'gauge'>) | null =>
    (fold(own.filter((r) => r.seq <= seq)) ?? own[0]?.body ?? null) as (Hung & Body<'gauge'>) | null;
  return (seq) => {
    const known = new Map([...boards].map(([id, own]) => [id, hung(own, seq)]));
    const at = (gauge: Hung | null | undefined, when: number): number => (gauge ? zeroAt(gauge, when) : 0);
    const surface: Zeros['surface'] = (water, axis, when) =>
      at(
        [...known.values()].find((g) => g?.water === water && g.surface === axis),
        when,
      );
    return {
      gauge: (gauge, when) => at(known.get(gauge), when),
      surface,
      station: (station, when, axis) => {
        const place = places.get(station);
        return place ? surface(place.water, axis ?? place.surface, when) : 0;
      },
    };
  };
}
