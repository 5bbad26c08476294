import { z } from 'zod';
import { DEVICE_CLASSES, SIZES } from '../devices/sizes';
import { choice, count, drawn, id, instant, name, note } from './fieldKinds';

export const deviceSchema = z
  .strictObject({
    id: id(),
    tag: name('Tag', 20),
    class: choice('Kind of trap', DEVICE_CLASSES),
    size: name('Size', 20),
    condition: choice('Condition', ['good', 'worn', 'broken', 'lost']),
    note: note('Note'),
  })
  .refine((device) => SIZES[device.class].includes(device.size), {
    path: ['size'],
    error: ({ input }) => {
      const device = input as { class: keyof typeof SIZES };
      return `No such size of ${device.class}: there are ${SIZES[device.class]?.join(', ')}.`;
    },
  });

export const STOCK_KINDS = ['cable', 'wire', 'rope', 'lock', 'swivel', 'stake', 'stand', 'made', 'lure', 'bait', 'fill', 'tool'] as const;
export const STOCK_UNITS = ['pieces', 'length', 'portions', 'weight'] as const;

/** What is kept by the piece, the roll or the jar rather than by tag. How much of it there is follows from its moves. */
export const stockSchema = z.strictObject({
  id: id(),
  name: name('Name', 60),
  kind: choice('Kind of stock', STOCK_KINDS),
  unit: choice('Counted in', STOCK_UNITS),
  /** below this it is bought again: pieces, m, portions or kg */
  low: count('Low at', 0, 100_000).nullable().default(null),
  /** money of the crew for one of its unit */
  cost: count('Cost of one', 0, 100_000).nullable().default(null),
  note: note('Note'),
});

export const MOVES = ['bought', 'made', 'used', 'salvaged', 'scrapped', 'counted'] as const;

/** Stock that came or went: more is positive. */
export const stockMoveSchema = z
  .strictObject({
    id: id(),
    stock: id('Stock'),
    at: instant('At'),
    why: choice('Why', MOVES),
    amount: count('How much', -100_000, 100_000),
    /** how much was there when it was counted: it stands whatever was calculated before */
    count: count('Counted', 0, 100_000).nullable().default(null),
    set: id('Set').nullable().default(null),
    note: note('Note'),
  })
  .refine(({ amount, count: counted }) => amount !== 0 || counted !== null, {
    path: ['amount'],
    error: 'Nothing came or went: write how much.',
  })
  .refine(({ why, amount }) => !['bought', 'made', 'salvaged'].includes(why) || amount > 0, {
    path: ['amount'],
    error: 'What is bought, made or salvaged is more than before: write it without a minus.',
  })
  .refine(({ why, amount }) => !['used', 'scrapped'].includes(why) || amount < 0, {
    path: ['amount'],
    error: 'What is used or scrapped is less than before: write it with a minus.',
  });

/** What goes together on one load: so much of each stock. */
export const kitSchema = z.strictObject({
  id: id(),
  name: name('Name of the kit', 60),
  items: drawn(
    z
      .array(z.strictObject({ stock: id('Stock'), amount: count('How much', 0, 100_000) }))
      .min(1, { error: 'A kit holds one thing at least.' })
      .max(40),
    'What is in it',
  ),
  note: note('Note'),
});
