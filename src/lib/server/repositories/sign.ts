import type { Knex } from 'knex';
import type { Sign } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';

export const putSign = (trx: Knex, { station, photo, ...sign }: Sign, { crew, entry }: Owner) =>
  upsert(trx, 'sign', { ...sign, station_id: station, photo_id: photo, entry_id: entry }, crew);

export const removeSign = (trx: Knex, id: string, { crew }: Owner) => trx('sign').where({ id, crew_id: crew }).delete();

type Row = Omit<Sign, 'station' | 'at' | 'photo'> & { station_id: string; photo_id: string | null; at: Date; entry_id: string };

export interface NotedSign extends Sign {
  entry: string;
}

/** Sign of the crew's stations since a time, newest first; of one water when `water` is given. */
export async function signs(db: Knex, crew: string, filter: { water?: string; station?: string; since?: Date }): Promise<NotedSign[]> {
  const query = db('sign')
    .select('id', 'station_id', 'at', 'kind', 'species', 'freshness', 'count', 'direction', 'note', 'photo_id', 'lat', 'lon', 'entry_id')
    .where('crew_id', crew)
    .orderBy('at', 'desc');
  if (filter.station) query.where('station_id', filter.station);
  if (filter.water) query.whereIn('station_id', db('station').select('id').where({ water_id: filter.water }));
  if (filter.since) query.where('at', '>=', filter.since);
  const rows: Row[] = await query;
  return rows.map(({ station_id, photo_id, at, entry_id, ...sign }) => ({
    ...sign,
    station: station_id,
    photo: photo_id,
    at: at.toISOString(),
    entry: entry_id,
  }));
}
