import type { NewEntry } from '#core/record/entry';
import { keepPhotos } from './device';
import { minuteNow } from './clock';
import { seasonIn, seasonOf } from '#lib/season/season';
import { whoOf, type Asker } from '#lib/season/who';
import { withEntries } from './overlay';
import { firstOf, moved, newest, NotTaken, photosOf, Refused, sent, sentPhoto } from './send';
import { inShape, photosIn, type Snapshot } from './snapshot';
import { Store, type Kept, type KeptPhoto, type Told, type Waiting } from './store';
import { noteWaiting } from './waitingHere';

/** Two clocks that differ by more than this since they were last compared: one of them was set anew, ms. */
const APART = 10 * 60_000;
/** How often a device that has something to send tries again, ms. */
const AGAIN = 60_000;

/** The field part on this device: one snapshot of facts, one outbox of entries, and what follows from both. */
export class Field {
  snapshot = $state.raw<Snapshot | null>(null);
  waiting = $state.raw<Waiting[]>([]);
  told = $state.raw<Told[]>([]);
  state = $state<'reading' | 'ready' | 'nothing' | 'refused'>('reading');
  isSending = $state(false);
  /** the last try reached the record */
  isReached = $state<boolean | null>(null);
  /** by how much the clock of this device went wrong since the record was last asked, ms; null while nothing is to be asked */
  astray = $state<number | null>(null);
  /** by the clock of the record, to the minute */
  now = $state.raw(minuteNow(0));
  #offset = 0;
  #store = new Store();
  #others = new BroadcastChannel('zaprud-field');

  /** the facts with what waits in them */
  facts = $derived.by(() => {
    const { snapshot, waiting } = this;
    return (
      snapshot &&
      withEntries(
        snapshot,
        waiting.flatMap((w) => w.entries),
      )
    );
  });
  asker = $derived<Asker | null>(this.snapshot && { who: whoOf(this.snapshot.crew, this.snapshot.person), now: this.now });
  season = $derived(this.facts && this.asker ? seasonIn(seasonOf(this.facts.facts, this.asker), ['live', 'prepared', 'planned']) : null);

  /** Reads what the device has, then asks the record. @returns what ends it */
  begin(): () => void {
    this.#others.onmessage = () => void this.#read();
    const tick = setInterval(() => this.#tick(), 15_000);
    const again = setInterval(() => this.#wantsNews() && void this.sync(), AGAIN);
    const back = (): void => void this.sync();
    addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    void this.#read().then(back);
    return () => {
      clearInterval(tick);
      clearInterval(again);
      removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
      this.#others.close();
    };
  }

  /** something waits, nothing was reached, or somebody else goes the other half of the day */
  #wantsNews(): boolean {
    return this.waiting.length > 0 || this.isReached === false || (this.snapshot?.facts.shares.length ?? 0) > 0;
  }

  async #read(): Promise<void> {
    const { snapshot, offset, waiting, told } = await this.#store.read();
    this.#offset = offset;
    this.#tick();
    this.snapshot = snapshot && inShape(snapshot);
    this.waiting = waiting;
    noteWaiting(waiting.length);
    this.told = told;
    if (snapshot) this.state = 'ready';
  }

  #tick(): void {
    const now = minuteNow(this.#offset);
    if (now.getTime() !== this.now.getTime()) this.now = now;
  }

  /** Keeps what a form wrote; it is safe on the device when this returns, and goes out by itself. */
  async keep(label: string, entries: NewEntry[]): Promise<void> {
    await this.#store.add({ id: entries[0]?.id ?? '', label, entries, made: Date.now() });
    await this.#read();
    this.#others.postMessage('kept');
    void this.sync();
  }

  /** Asks for what is new, sends what waits, and asks once more for what became of it. */
  async sync(): Promise<void> {
    if (this.isSending) return;
    this.isSending = true;
    try {
      const first = await this.#ask();
      const went = this.snapshot ? this.#offset - first.offset : 0;
      this.astray = Math.abs(went) > APART && this.waiting.length > 0 ? went : null;
      // asked before the new offset is kept, or the question would be forgotten with the next page
      if (this.astray !== null) {
        this.snapshot = first.snapshot;
        this.state = 'ready';
        return;
      }
      await this.#store.keep(first);
      await this.#read();
      void keepPhotos(photosIn(first.snapshot));
      while (this.waiting.length > 0) {
        const forms = firstOf(this.waiting);
        const there = await this.#sendPhotos(forms);
        const held = await sent(forms);
        await this.#store.answered(forms, held, await this.#ask());
        await this.#dropPhotos(there);
        await this.#read();
        this.#others.postMessage('sent');
      }
    } catch (error) {
      this.isReached = false;
      if (error instanceof Refused) this.state = this.snapshot ? 'refused' : 'nothing';
      else if (!this.snapshot) this.state = 'nothing';
    } finally {
      this.isSending = false;
    }
  }

  /**
   * What the record never takes stays on the device: its form goes without it, and waits there for somebody to decide.
   *
   * @returns those that it has
   */
  async #sendPhotos(forms: readonly Waiting[]): Promise<string[]> {
    const there: string[] = [];
    for (const id of photosOf(forms)) {
      const photo = await this.#store.photo(id);
      if (!photo) continue;
      try {
        await sentPhoto(photo);
        there.push(id);
      } catch (error) {
        if (!(error instanceof NotTaken)) throw error;
      }
    }
    return there;
  }

  /** What is in the record, or taken back, is kept here no longer; the worker keeps what may be looked at again. */
  async #dropPhotos(ids: readonly string[]): Promise<void> {
    for (const id of ids) await this.#store.dropPhoto(id);
  }

  /** A photo is safe on the device when this returns; it goes out with its form. */
  async keepPhoto(photo: KeptPhoto): Promise<void> {
    await this.#store.addPhoto(photo);
  }

  async #ask(): Promise<Kept> {
    const begun = Date.now();
    const snapshot = await newest(this.snapshot);
    this.isReached = true;
    return { snapshot, offset: snapshot.taken.getTime() - (begun + Date.now()) / 2 };
  }

  /** The clock went wrong: what waits is moved to the time of the record, or was right as it is. */
  async settle(isMoved: boolean): Promise<void> {
    const by = this.astray;
    const snapshot = this.snapshot;
    if (by === null || !snapshot) return;
    const minutes = Math.round(by / 60_000) * 60_000;
    if (isMoved) for (const form of this.waiting) await this.#store.change(moved(form, -minutes));
    await this.#store.keep({ snapshot, offset: this.#offset - by });
    this.astray = null;
    await this.#read();
    await this.sync();
  }

  /** Takes back the last form that still waits here. */
  async takeBack(form: Waiting): Promise<void> {
    if (this.isSending || this.waiting.at(-1)?.id !== form.id) return;
    await this.#store.answered([form], []);
    await this.#dropPhotos(photosOf([form]));
    await this.#read();
    this.#others.postMessage('taken back');
  }

  async seen(id: string): Promise<void> {
    await this.#store.seen(id);
    this.told = this.told.filter((t) => t.id !== id);
  }
}
