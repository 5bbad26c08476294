import { z } from 'zod';
import { checkSchema } from './checks';
import { deviceSchema } from './gear';
import { crewSchema, gaugeSchema, personSchema, readingSchema, siteSchema, stationSchema, waterSchema } from './places';
import { signSchema } from './scouting';
import { lineSchema, setSchema } from './season';

/** What an entry can be about. One schema serves form, API, import, database row and demo. */
export const SCHEMAS = {
  crew: crewSchema,
  person: personSchema,
  site: siteSchema,
  water: waterSchema,
  gauge: gaugeSchema,
  station: stationSchema,
  reading: readingSchema,
  line: lineSchema,
  device: deviceSchema,
  set: setSchema,
  check: checkSchema,
  sign: signSchema,
} as const;

export type Kind = keyof typeof SCHEMAS;
export const KINDS = Object.keys(SCHEMAS) as Kind[];
export type Body<K extends Kind> = z.infer<(typeof SCHEMAS)[K]>;

export type Crew = Body<'crew'>;
export type Person = Body<'person'>;
export type Site = Body<'site'>;
export type WaterBody = Body<'water'>;
export type Gauge = Body<'gauge'>;
export type Station = Body<'station'>;
export type ReadingBody = Body<'reading'>;
export type Line = Body<'line'>;
export type Device = Body<'device'>;
export type TrapSet = Body<'set'>;
export type Check = Body<'check'>;
export type Sign = Body<'sign'>;
export type Setting = TrapSet['settings'][number];
export type Stay = TrapSet['stays'][number];
export type CheckedDevice = Check['devices'][number];
export type Catch = NonNullable<CheckedDevice['catch']>;

/** What an entry is called in the book. */
export const KIND_WORDS: Record<Kind, string> = {
  crew: 'Crew',
  person: 'Person',
  site: 'Site',
  water: 'Water',
  gauge: 'Gauge',
  station: 'Station',
  reading: 'Reading',
  line: 'Line',
  device: 'Device',
  set: 'Set',
  check: 'Check',
  sign: 'Sign',
};

/** Only these can be withdrawn whole; the others are corrected. A withdrawn entry stays in the book. */
export const WITHDRAWABLE: readonly Kind[] = ['reading', 'check', 'sign'];
