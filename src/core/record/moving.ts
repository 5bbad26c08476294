import { z } from 'zod';
import { choice, count, drawn, id, instant, length, name, note, yes } from './fieldKinds';
import { levelField } from './levelField';

/** What moves the water and the ice: weather, ice, loggers, and what was forecast. */

const at = z.number({ error: 'An hour needs its time.' }).int();

/** Hours of weather as one station told them at a time; hours after `made` are what it expected. */
export const weatherSchema = z.strictObject({
  id: id(),
  station: name('Weather station', 60),
  made: instant('Told at'),
  source: choice('Source', ['simulated', 'file']),
  hours: drawn(
    z
      .array(
        z.strictObject({
          at,
          temperature: count('Temperature', -60, 60),
          wind: count('Wind', 0, 80),
          from: count('Wind from', 0, 360),
          rain: count('Rain', 0, 200),
          snow: count('Snow', 0, 100),
        }),
      )
      .min(1, { error: 'There is no hour in it.' })
      .max(9000, { error: 'At most 9000 hours at once: a year.' }),
    'Hours',
  ),
  note: note('Note'),
});

export const ICE_SEEN = ['measured', 'froze over', 'open water'] as const;

/** Ice at a place of a water, measured or seen to form or go. */
export const iceSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  /** null: the open sheet */
  station: id('Station').nullable().default(null),
  at: instant('Measured at'),
  seen: choice('Seen', ICE_SEEN),
  thickness: length(
    'Thickness',
    0,
    1.5,
    'Ice of a trapper’s water is between 0 and 1.5 m (59 in) thick: measure again, the unit may be wrong.',
  ),
  white: yes('White ice').default(false),
  snow: length('Snow on it', 0, 2, 'Snow on the ice is between 0 and 2 m.').default(0),
  by: id('Measured by').nullable().default(null),
  note: note('Note'),
});

/** A logger's stretch on its gauge, thinned; nothing of a file is half taken. */
export const loggedSchema = z
  .strictObject({
    id: id(),
    gauge: id('Gauge'),
    name: name('Name of the file', 120),
    from: instant('From'),
    to: instant('To'),
    rows: count('Rows read', 1, 2_000_000).int(),
    points: drawn(
      z
        .array(z.strictObject({ at, level: levelField('Level') }))
        .min(1, { error: 'There is no level in it.' })
        .max(40_000, { error: 'At most 40,000 points at once.' }),
      'Levels',
    ),
    note: note('Note'),
  })
  .refine((l) => l.to >= l.from, { path: ['to'], error: 'The stretch cannot end before it began.' });

/** A rise that somebody told: a neighbour upstream, the radio. It moves the forecast of its gauge until that is read after it came. */
export const toldSchema = z
  .strictObject({
    id: id(),
    gauge: id('Gauge'),
    /** the level of this moment is what it rises from */
    at: instant('Told at'),
    until: instant('All there by'),
    rise: length('Rise', -10, 10, 'A rise is up to 10 m (32 ft); write a fall with a minus.', 'level'),
    doubt: length('Give or take', 0, 5, 'A doubt is between 0 and 5 m (16 ft).'),
    who: name('Told by', 60),
    note: note('Note'),
  })
  .refine((t) => t.at < t.until, { path: ['until'], error: 'It cannot be all there before it was told.' });

const course = z.strictObject({ at, low: z.number(), middle: z.number(), high: z.number() });

/** What was forecast for a gauge at a time, on that gauge, kept so that it can be held against what came. */
export const forecastSchema = z.strictObject({
  id: id(),
  gauge: id('Gauge'),
  made: instant('Made at'),
  points: drawn(z.array(course).min(2).max(200), 'Course'),
  note: note('Note'),
});
