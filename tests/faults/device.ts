import { v7 } from 'uuid';
import type { Answered } from '#lib/field/sent';
import type { Check, TrapSet } from '#core/record/kinds';
import { AS_SET } from '../support/looked';

/** What a simulated device knows of the line when it goes out of reach. */
export interface Line {
  person: string;
  gauges: readonly string[];
  sets: readonly (TrapSet & { entry: string })[];
}

interface Sent {
  id: string;
  kind: string;
  occurredAt: string;
  by: string;
  body: { id: string };
  opened?: string;
}
export type Form = Sent[];

type Random = () => number;
const pick = <T>(list: readonly T[], random: Random): T => list[Math.floor(random() * list.length)] as T;

const DAY = Date.UTC(2026, 10, 25, 5, 0);
const MINUTE = 60_000;

function entry(kind: string, body: { id: string }, at: string, person: string): Sent {
  return { id: v7(), kind, occurredAt: at, by: person, body };
}

function visit(set: TrapSet, at: string, change: Check['change']): Check {
  const own = { id: v7(), set: set.id, at, by: null, took: null, photo: null, change, changeNote: '', asked: null, note: '' };
  return { ...own, devices: set.stays.filter((s) => s.to === null).map(({ id: stay }) => ({ id: v7(), stay, ...AS_SET })) };
}

/** A form as somebody fills it in on his way: a level, a look with a level, a remake that changes the set. */
export function newForm({ person, gauges, sets }: Line, random: Random): Form {
  const at = new Date(DAY + Math.floor(random() * 340) * MINUTE).toISOString();
  const level = { id: v7(), gauge: pick(gauges, random), at, level: random(), bound: 'exact', source: 'gauge', set: null, note: '' };
  const reading = entry('reading', level, at, person);
  const kind = random();
  if (kind < 0.4) return [reading];
  const { entry: opened, ...set } = pick(sets, random);
  if (kind < 0.8) return [entry('check', visit(set, at, 'as it was'), at, person), reading];
  return [
    entry('check', visit(set, at, 'remade'), at, person),
    { ...entry('set', { ...set, note: `seen ${v7()}` } as { id: string }, at, person), opened },
  ];
}

/** A device with what it still has to send, and what it was told became of the rest. */
export class Device {
  readonly waiting: Form[] = [];
  readonly done: Form[] = [];
  readonly fates = new Map<string, Answered['fate']>();
  /** what it was told that cannot be: an entry taken twice, or an answer for one that it did not send */
  readonly wrong: string[] = [];
  private readonly taken = new Set<string>();

  constructor(private readonly random: Random) {}

  fill(form: Form): void {
    this.waiting.push(form);
  }

  /** Some of what waits, in any order, now and then with some that was sent before. */
  some(): Form[] {
    const out = this.waiting.toSorted(() => this.random() - 0.5).slice(0, 1 + Math.floor(this.random() * 4));
    if (this.done.length > 0 && this.random() < 0.3) out.push(pick(this.done, this.random));
    return out;
  }

  /** Sends forms to a server; what is not answered in time, or cut, goes on waiting. @param cut ms after which the connection is cut */
  async send(base: string, forms: readonly Form[], cut: number): Promise<void> {
    if (forms.length === 0) return;
    try {
      const answer = await fetch(`${base}/field/outbox`, {
        method: 'POST',
        body: JSON.stringify({ version: 2, forms }),
        headers: { 'content-type': 'application/json' },
        signal: AbortSignal.timeout(cut),
      });
      if (answer.status === 200) this.told((await answer.json()) as { answers: Answered[] }, forms);
      else {
        await answer.body?.cancel();
        if (answer.status !== 503) this.wrong.push(`an outbox was answered with ${answer.status}`);
      }
    } catch {
      // not reached, cut, or half an answer: it is sent again
    }
  }

  private told({ answers }: { answers: Answered[] }, forms: readonly Form[]): void {
    const sent = new Set(forms.flat().map(({ id }) => id));
    for (const { id, fate } of answers) {
      if (!sent.delete(id)) this.wrong.push(`${id} was not sent, and answered ${fate}`);
      // two answers may come in another order than they were given: one of them may say "taken", and one alone
      if (fate === 'taken' && this.taken.has(id)) this.wrong.push(`${id} was taken twice`);
      if (fate === 'taken') this.taken.add(id);
      this.fates.set(id, fate);
    }
    for (const id of sent) this.wrong.push(`${id} was sent and got no answer`);
    for (const form of forms) {
      const nth = this.waiting.indexOf(form);
      if (nth !== -1) this.done.push(...this.waiting.splice(nth, 1));
    }
  }
}
