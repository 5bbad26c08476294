import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { NewEntry } from '#core/record/entry';
import type { Answered } from './sent';
import type { Snapshot } from './snapshot';

/** What a form wrote on this device and the record does not have yet. */
export interface Waiting {
  /** its first entry */
  id: string;
  /** what it was, for the list of what waits */
  label: string;
  entries: NewEntry[];
  /** by the clock of the device, ms */
  made: number;
}

/** What the record could not take at once, until somebody has seen it here. */
export interface Told extends Answered {
  label: string;
}

interface Shape extends DBSchema {
  kept: { key: 'snapshot'; value: Snapshot } | { key: 'offset'; value: number };
  waiting: { key: number; value: Waiting & { place?: number } };
  told: { key: string; value: Told };
}

/** The device's own store. Nothing leaves it before the record has answered. */
export class Store {
  #db: Promise<IDBPDatabase<Shape>>;

  constructor() {
    this.#db = openDB<Shape>('zaprud-field', 1, {
      upgrade(db) {
        db.createObjectStore('kept');
        db.createObjectStore('waiting', { keyPath: 'place', autoIncrement: true });
        db.createObjectStore('told', { keyPath: 'id' });
      },
    });
  }

  async read() {
    const db = await this.#db;
    const [snapshot, offset, waiting, told] = await Promise.all([
      db.get('kept', 'snapshot'),
      db.get('kept', 'offset'),
      db.getAll('waiting'),
      db.getAll('told'),
    ]);
    return { snapshot: (snapshot as Snapshot | undefined) ?? null, offset: (offset as number | undefined) ?? 0, waiting, told };
  }

  /** A snapshot, and by how much the clock of the record runs before the one of the device, ms. */
  async keep(snapshot: Snapshot, offset: number): Promise<void> {
    const tx = (await this.#db).transaction('kept', 'readwrite');
    await Promise.all([tx.store.put(snapshot, 'snapshot'), tx.store.put(offset, 'offset'), tx.done]);
  }

  /** Kept when this returns: written through to the disk, so that a battery that dies takes nothing with it. */
  async add(form: Waiting): Promise<void> {
    const tx = (await this.#db).transaction('waiting', 'readwrite', { durability: 'strict' });
    await Promise.all([tx.store.add(form), tx.done]);
  }

  /** Writes a waiting form anew in its place. */
  async change(form: Waiting): Promise<void> {
    await (await this.#db).put('waiting', form);
  }

  /** Forms that the record has answered, with what it could not take. */
  async answered(forms: readonly (Waiting & { place?: number })[], told: readonly Told[]): Promise<void> {
    const tx = (await this.#db).transaction(['waiting', 'told'], 'readwrite');
    const gone = forms.flatMap(({ place }) => (place === undefined ? [] : [tx.objectStore('waiting').delete(place)]));
    await Promise.all([...gone, ...told.map((t) => tx.objectStore('told').put(t)), tx.done]);
  }

  async seen(id: string): Promise<void> {
    await (await this.#db).delete('told', id);
  }
}
