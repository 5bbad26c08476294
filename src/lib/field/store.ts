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

/** A snapshot, and by how much the clock of the record runs before the one of the device, ms. */
export interface Kept {
  snapshot: Snapshot;
  offset: number;
}

/** A photo that its form still waits with. */
export interface KeptPhoto {
  id: string;
  type: string;
  bytes: ArrayBuffer;
}

interface Shape extends DBSchema {
  kept: { key: 'snapshot'; value: Snapshot } | { key: 'offset'; value: number };
  waiting: { key: number; value: Waiting & { place?: number } };
  told: { key: string; value: Told };
  photo: { key: string; value: KeptPhoto };
}

/** The device's own store. Nothing leaves it before the record has answered. */
export class Store {
  #db: Promise<IDBPDatabase<Shape>>;

  constructor() {
    this.#db = openDB<Shape>('zaprud-field', 2, {
      upgrade(db, from) {
        db.createObjectStore('photo', { keyPath: 'id' });
        if (from > 0) return;
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

  async keep({ snapshot, offset }: Kept): Promise<void> {
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

  /** Forms that the record has answered, with what it could not take and the facts in which they are now: none of them is there twice, or not at all. */
  async answered(forms: readonly (Waiting & { place?: number })[], told: readonly Told[], facts?: Kept): Promise<void> {
    const tx = (await this.#db).transaction(['waiting', 'told', 'kept'], 'readwrite');
    const kept = tx.objectStore('kept');
    if (facts) await Promise.all([kept.put(facts.snapshot, 'snapshot'), kept.put(facts.offset, 'offset')]);
    const gone = forms.flatMap(({ place }) => (place === undefined ? [] : [tx.objectStore('waiting').delete(place)]));
    await Promise.all([...gone, ...told.map((t) => tx.objectStore('told').put(t)), tx.done]);
  }

  /** A photo is kept as soon as it was taken, before its form is. */
  async addPhoto(photo: KeptPhoto): Promise<void> {
    await (await this.#db).put('photo', photo);
  }

  async photo(id: string): Promise<KeptPhoto | null> {
    return (await (await this.#db).get('photo', id)) ?? null;
  }

  async dropPhoto(id: string): Promise<void> {
    await (await this.#db).delete('photo', id);
  }

  async seen(id: string): Promise<void> {
    await (await this.#db).delete('told', id);
  }
}
