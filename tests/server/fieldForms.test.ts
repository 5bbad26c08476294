import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import fc from 'fast-check';
import type { NewEntry } from '#core/record/entry';
import { newId } from '#lib/form/newId';
import { firstOf, moved, NotTaken, sentPhoto } from '#lib/field/send';
import { MOST_FORMS } from '#lib/field/sent';
import type { Waiting } from '#lib/field/store';

/** What a device does with its outbox before anything is sent. */
const form = (at: Date, note = ''): Waiting => {
  const body = { id: newId(), gauge: newId(), at: at.toISOString(), level: 0.6, bound: 'exact', source: 'gauge', set: null, note } as const;
  const entry: NewEntry = { id: newId(), crew: newId(), kind: 'reading', occurredAt: at, by: null, body };
  return { id: entry.id, label: 'Level', entries: [entry], made: at.getTime() };
};
const minute = (n: number): Date => new Date(Date.UTC(2026, 10, 25, 6, n));

describe('an outbox', () => {
  it('goes out in its order, no form twice and none left, whatever lies in it', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 300_000 }), { minLength: 1, maxLength: 150 }), (sizes) => {
        let waiting = sizes.map((size, i) => form(minute(i), 'n'.repeat(size)));
        const all = waiting.map((w) => w.id);
        const out: string[] = [];
        while (waiting.length > 0) {
          const first = firstOf(waiting);
          assert.ok(first.length > 0 && first.length <= MOST_FORMS);
          out.push(...first.map((w) => w.id));
          waiting = waiting.slice(first.length);
        }
        assert.deepEqual(out, all);
      }),
      { numRuns: 20 },
    ));
  it('tells a photo that the record never takes from one that it takes later', async (t) => {
    const photo = { id: newId(), type: 'image/jpeg', bytes: new Blob() } as never;
    const says = (status: number) => t.mock.method(globalThis, 'fetch', () => Promise.resolve(new Response(null, { status })));
    says(204);
    await sentPhoto(photo);
    says(422);
    await assert.rejects(sentPhoto(photo), NotTaken);
    for (const status of [429, 503]) {
      says(status);
      await assert.rejects(sentPhoto(photo), (error) => !(error instanceof NotTaken));
    }
  });
  it('is moved to the time of the record and back without a trace, and what was of another minute stays', () =>
    fc.assert(
      fc.property(fc.integer({ min: -600, max: 600 }), (minutes) => {
        const own = form(minute(5));
        const by = minutes * 60_000;
        const there = moved(own, by);
        assert.equal(there.entries[0]?.occurredAt.getTime(), minute(5).getTime() + by);
        assert.equal((there.entries[0]?.body as { at: string }).at, new Date(minute(5).getTime() + by).toISOString());
        assert.deepEqual(moved(there, -by), own);
        const typed = { ...own, entries: own.entries.map((e) => ({ ...e, body: { ...e.body, at: minute(1).toISOString() } as never })) };
        assert.equal((moved(typed, by).entries[0]?.body as { at: string }).at, minute(1).toISOString());
      }),
    ));
});
