import type { Draft, Kind } from './kinds';

/** An entry as it is handed in. Its id is made by whoever writes it, so that a thing sent twice is one thing. */
export interface NewEntry<K extends Kind = Kind> {
  id: string;
  crew: string;
  kind: K;
  occurredAt: Date;
  by: string | null;
  body: K extends Kind ? Draft<K> : never;
  corrects?: string;
  /** the entry that last wrote this thing when the form was opened; left out for a thing that is new */
  opened?: string;
  /** the newer entry that was shown since, on top of which it is sent again */
  onto?: string;
  reason?: string;
  /** the first entry of the form that wrote it, where it comes without the others of that form */
  batch?: string;
}

export interface Withdrawal {
  id: string;
  crew: string;
  withdraws: string;
  by: string | null;
  reason: string;
}
