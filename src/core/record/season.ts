import { tookField } from '../run/took';
import { z } from 'zod';
import { SPECIES } from '../animals/species';
import { SET_TYPE_IDS } from '../sets/catalogue';
import { attractSchema, MOST_LURES } from '../lure/lure';
import { SCHOOL_IDS, SIDES } from '../words/schools';
import { SITUATIONS } from '../rules/book';
import { checkRuleSchema } from '../rules/checkRule';
import { levelField } from './levelField';
import { choice, count, date, drawn, id, instant, name, note } from './fieldKinds';

export const isZone = (zone: string): boolean => {
  try {
    return new Intl.DateTimeFormat('en', { timeZone: zone }).resolvedOptions().timeZone !== '';
  } catch {
    return false;
  }
};

export const lineSchema = z.strictObject({
  id: id(),
  name: name('Name of the line'),
  season: name('Season'),
  zone: name('Time zone').refine(isZone, { error: 'No such time zone; write it like America/Chicago.' }),
  /** null until somebody says where it lies: then no hour of light is known */
  lat: count('Latitude', -90, 90).nullable(),
  lon: count('Longitude', -180, 180).nullable(),
  rule: checkRuleSchema,
  rulebook: note('Rulebook'),
  /** the rulebook that it is judged by; null until one is chosen */
  book: id('Rulebook in force').nullable().default(null),
  /** on which side it stands where practitioners differ; a matter that is left out is open */
  schools: drawn(z.partialRecord(z.enum(SCHOOL_IDS), z.enum(SIDES)).default({}), 'Schools'),
});

export const SET_STATES = ['planned', 'prepared', 'live', 'pulled'] as const;

/** How a set stood from a time on: its numbers and choices, measured from the surfaces of that moment. */
export const settingSchema = z.strictObject({
  id: id(),
  at: instant('Set at'),
  numbers: z.record(z.string().max(40), z.number()),
  choices: z.record(z.string().max(40), z.string().max(40)),
  /** what draws to it; left out where nobody said, and the type's own stands; empty for a blind set */
  lures: z.array(attractSchema).max(MOST_LURES).optional(),
  /** levels that the first version wrote beside it, on the gauges: they count where no reading tells */
  noted: drawn(
    z.strictObject({ pond: levelField('Pond then').optional(), tail: levelField('Water below the dam then').optional() }).optional(),
    'Levels noted then',
  ),
});

export const staySchema = z
  .strictObject({
    id: id(),
    position: z.string().min(1).max(20),
    device: id('Trap'),
    from: instant('Live from'),
    to: instant('Live to').nullable(),
  })
  .refine((stay) => stay.to === null || stay.from <= stay.to, { path: ['to'], error: 'A trap cannot be pulled before it was placed.' });

/**
 * A planned, prepared, live or pulled set. `faultsOf` holds the numbers of a new setting to the ranges of its type.
 */
export const setSchema = z
  .strictObject({
    id: id(),
    line: id('Line'),
    number: count('Number', 1, 9999).int({ error: 'A set has a whole number.' }),
    name: name('Name of the set', 60),
    type: choice('Type', SET_TYPE_IDS),
    species: choice('Meant for', SPECIES),
    station: id('Location'),
    state: choice('State', SET_STATES),
    opens: date('To be set on').nullable().default(null),
    settings: z.array(settingSchema).min(1).max(200),
    stays: z.array(staySchema).max(200),
    /** the devices meant for a set that is not live yet, by position */
    reserved: drawn(z.record(z.string().max(20), id('Trap')).default({}), 'Traps meant for it'),
    /** questions of the arming check that were answered yes, and when */
    armed: z
      .strictObject({ at: instant('Armed at'), answers: z.array(z.string().max(60)).max(60) })
      .nullable()
      .default(null),
    anchor: note('Anchored to what, where', 200),
    /** number of the hole through the ice, as it is flagged */
    hole: note('Hole number', 20),
    /** the place as it was left, and as it was found again */
    photoLeft: id('Photo when left').nullable().default(null),
    photoFound: id('Photo when found').nullable().default(null),
    by: id('Placed by').nullable().default(null),
    /** minutes that placing it took */
    took: tookField(),
    /** remarks of the critique that somebody knows better than, each with the reason */
    overruled: drawn(z.record(z.string().max(40), z.string().trim().min(1).max(300)).default({}), 'Known better'),
    /** how it stands in the water, as the rulebook asks; null until somebody said */
    situation: choice('How it stands', SITUATIONS).nullable().default(null),
    /** rules of the book of which somebody said that it is so */
    attested: drawn(z.array(z.string().min(1).max(40)).max(60).default([]), 'Said to be so'),
    /** what allows it although the book says otherwise */
    exemption: note('Exemption', 300),
    /** the version of the rulebook by which it went live */
    judged: drawn(
      z
        .strictObject({ book: z.uuid(), version: z.number().int().min(1) })
        .nullable()
        .default(null),
      'Judged by',
    ),
    leftBecause: note('Left unset because', 300),
    note: note('Note'),
  })
  .refine((set) => set.state !== 'live' || set.armed !== null, {
    path: ['armed'],
    error: 'A set is not live until its arming check is answered.',
  })
  .refine((set) => set.state !== 'prepared' || set.opens !== null, {
    path: ['opens'],
    error: 'A prepared set needs the date on which it is to be set.',
  });
