import type { Knex } from 'knex';
import type { Device, Kit, Stock, StockMove } from '#core/record/kinds';
import type { DeviceWhere, StockHad } from '#core/gear/where';
import { upsert, type Owner } from '../record/upsert';
import { answer, type Asked } from './asked';

export const putDevice = (trx: Knex, device: Device, { crew, entry }: Owner) => upsert(trx, 'device', { ...device, entry_id: entry }, crew);

type DeviceRow = Device & { entry: string; set_id: string | null; set_number: number; set_name: string };

/** The shed: every device, and the set in which it stands. */
export const askDevices = (db: Knex, crew: string): Asked<DeviceRow, DeviceWhere[]> => ({
  query: db('device as d')
    .select(
      'd.id',
      'd.tag',
      'd.class',
      'd.size',
      'd.condition',
      'd.note',
      'd.entry_id as entry',
      's.id as set_id',
      's.number as set_number',
      's.name as set_name',
    )
    .leftJoin('stay as y', (join) => join.on('y.device_id', 'd.id').andOnVal('y.live_to', 'infinity'))
    .leftJoin('trap_set as s', 's.id', 'y.set_id')
    .where('d.crew_id', crew)
    .orderBy('d.tag'),
  read: (rows) =>
    rows.map(({ set_id, set_number, set_name, ...device }) => ({
      ...device,
      set: set_id ? { id: set_id, number: set_number, name: set_name } : null,
    })),
});
export const devices = (db: Knex, crew: string) => answer(db, askDevices(db, crew));

export const putStock = (trx: Knex, stock: Stock, { crew, entry }: Owner) => upsert(trx, 'stock', { ...stock, entry_id: entry }, crew);
export const putStockMove = (trx: Knex, { stock, set, ...own }: StockMove, { crew, entry }: Owner) =>
  upsert(trx, 'stock_move', { ...own, stock_id: stock, set_id: set, entry_id: entry }, crew);
export const putKit = (trx: Knex, kit: Kit, { crew, entry }: Owner) => upsert(trx, 'kit', { ...kit, entry_id: entry }, crew);

/** The stock with how much of it there is, from the last count on; `since` counts what was used. */
export async function stock(db: Knex, crew: string, since: Date): Promise<StockHad[]> {
  const { rows } = await db.raw<{ rows: (Stock & { entry_id: string; have: number | null; used: number | null })[] }>(
    `select s.id, s.name, s.kind, s.unit, s.low, s.cost, s.note, s.entry_id,
       coalesce(c.count, 0) + coalesce(sum(m.amount) filter (where c.at is null or (m.at, e.seq) > (c.at, c.seq)), 0) as have,
       -sum(m.amount) filter (where m.why = 'used' and m.at >= :since) as used
     from stock s
     left join lateral (
       select k.count, k.at, l.seq from stock_move k join entry l on l.id = k.entry_id
       where k.stock_id = s.id and k.count is not null order by k.at desc, l.seq desc limit 1
     ) c on true
     left join stock_move m on m.stock_id = s.id
     left join entry e on e.id = m.entry_id
     where s.crew_id = :crew
     group by s.crew_id, s.id, c.count, c.at, c.seq
     order by s.kind, s.name`,
    { crew, since },
  );
  return rows.map(({ entry_id, have, used, ...own }) => ({ ...own, entry: entry_id, have: have ?? 0, used: used ?? 0 }));
}

/** What came and went last, the newest first. */
export async function stockMoves(db: Knex, crew: string, limit: number): Promise<(StockMove & { entry: string })[]> {
  const rows: (Omit<StockMove, 'stock' | 'set' | 'at'> & { stock_id: string; set_id: string | null; at: Date; entry_id: string })[] =
    await db('stock_move')
      .select('id', 'stock_id', 'at', 'why', 'amount', 'count', 'set_id', 'note', 'entry_id')
      .where({ crew_id: crew })
      .orderBy([
        { column: 'at', order: 'desc' },
        { column: 'id', order: 'desc' },
      ])
      .limit(limit);
  return rows.map(({ stock_id, set_id, at, entry_id, ...own }) => ({
    ...own,
    stock: stock_id,
    set: set_id,
    at: at.toISOString(),
    entry: entry_id,
  }));
}

export const kits = (db: Knex, crew: string): Promise<(Kit & { entry: string })[]> =>
  db('kit').select('id', 'name', 'items', 'note', 'entry_id as entry').where({ crew_id: crew }).orderBy('name');

export interface ToSalvage {
  check: string;
  at: Date;
  device: string;
  tag: string;
  size: string;
  set: { id: string; number: number; name: string };
}

/** Catches in snares whose cable was not yet booked: lock and swivel come back, the cable is scrap. */
export async function toSalvage(db: Knex, crew: string): Promise<ToSalvage[]> {
  const rows: { check: string; at: Date; device: string; tag: string; size: string; set: string; number: number; name: string }[] =
    await db('check_device as c')
      .distinctOn('d.id')
      .select('c.id as check', 'c.at', 'd.id as device', 'd.tag', 'd.size', 's.id as set', 's.number', 's.name')
      .join('stay as y', 'y.id', 'c.stay_id')
      .join('device as d', 'd.id', 'y.device_id')
      .join('trap_set as s', 's.id', 'y.set_id')
      .where({ 'c.crew_id': crew, 'c.outcome': 'catch', 'd.class': 'snare' })
      .whereIn('d.condition', ['good', 'worn'])
      .orderBy(['d.id', { column: 'c.at', order: 'desc' }]);
  return rows.map(({ set, number, name, ...own }) => ({ ...own, set: { id: set, number, name } }));
}
