import type { Knex } from 'knex';
import type { Device } from '#core/record/kinds';
import { upsert, type Owner } from '../record/upsert';

export const putDevice = (trx: Knex, device: Device, { crew, entry }: Owner) => upsert(trx, 'device', { ...device, entry_id: entry }, crew);

export interface DeviceWhere extends Device {
  /** the set in which it stands now */
  set: { id: string; number: number; name: string } | null;
}

/** The shed: every device, and the set in which it stands. */
export async function devices(db: Knex, crew: string): Promise<DeviceWhere[]> {
  const rows: (Device & { set_id: string | null; set_number: number; set_name: string })[] = await db('device as d')
    .select('d.id', 'd.tag', 'd.class', 'd.size', 'd.condition', 'd.note', 's.id as set_id', 's.number as set_number', 's.name as set_name')
    .leftJoin('stay as y', (join) => join.on('y.device_id', 'd.id').andOnVal('y.live_to', 'infinity'))
    .leftJoin('trap_set as s', 's.id', 'y.set_id')
    .where('d.crew_id', crew)
    .orderBy('d.tag');
  return rows.map(({ set_id, set_number, set_name, ...device }) => ({
    ...device,
    set: set_id ? { id: set_id, number: set_number, name: set_name } : null,
  }));
}
