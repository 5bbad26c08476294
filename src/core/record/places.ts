import { z } from 'zod';
import { STATION_KINDS } from '../sets/setType';
import { choice, count, id, instant, length, name, note } from './fieldKinds';

const LEVEL_RANGE = 'A level lies between −10 and 30 m (−32 and 98 ft) on its gauge.';
const DEPTH_RANGE = 'A depth lies between 0 and 15 m (49 ft).';

export const levelField = (label: string) => length(label, -10, 30, LEVEL_RANGE, 'level');
const depthField = (label: string) => length(label, 0, 15, DEPTH_RANGE);

export const crewSchema = z.strictObject({ id: id(), name: name('Name of the crew') });

export const personSchema = z.strictObject({
  id: id(),
  name: name('Name'),
  system: choice('Units', ['us', 'metric']),
  /** heights over the sole and own tools, m, by the word typed for them */
  measures: z
    .record(z.string().trim().min(1).max(30), length('Own measure', 0.01, 5, 'An own measure is between 1 cm and 5 m.'))
    .default({}),
});

export const siteSchema = z.strictObject({
  id: id(),
  name: name('Name of the site'),
  lat: count('Latitude', -90, 90),
  lon: count('Longitude', -180, 180),
  owner: note('Owner and permission'),
  access: note('Access'),
  endangered: note('What is endangered'),
});

export const waterSchema = z.strictObject({
  id: id(),
  site: id('Site'),
  name: name('Name of the water'),
  kind: choice('Kind of water', ['pond', 'stream', 'ditch']),
  /** bed between the stations, from inlet to outlet: metres along, elevation in the water's datum */
  profile: z
    .array(z.strictObject({ along: z.number().min(0).max(100_000), bed: z.number().min(-15).max(30) }))
    .max(500)
    .default([]),
  note: note('Note'),
});

export const gaugeSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  name: name('Name of the gauge'),
  surface: choice('Surface', ['pond', 'tail']),
  /** elevation of this gauge's zero in the water's datum, m */
  zero: length('Zero over the datum', -30, 30, 'The zero of a gauge lies within 30 m of the datum.'),
});

export const stationSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  number: count('Number', 1, 9999).int({ error: 'A station has a whole number.' }),
  name: name('Name of the station'),
  kind: choice('Kind of station', STATION_KINDS),
  surface: choice('Surface', ['pond', 'tail']),
  along: length('Along the shore', 0, 100_000, 'The way along the shore is between 0 and 100 km.'),
  lat: count('Latitude', -90, 90).nullable().default(null),
  lon: count('Longitude', -180, 180).nullable().default(null),
  /** depth measured, and the level on the water's datum when it was */
  bed: z
    .strictObject({ depth: depthField('Depth measured'), level: levelField('Level when measured'), at: instant('Measured at') })
    .nullable()
    .default(null),
  /** elevation of a crest or a lodge top in the water's datum, m */
  crest: levelField('Crest or top').nullable().default(null),
  note: note('Note'),
});

export const readingSchema = z.strictObject({
  id: id(),
  gauge: id('Gauge'),
  at: instant('Read at'),
  /** elevation in the water's datum, m */
  level: levelField('Level'),
  bound: choice('Meaning', ['exact', 'atMost']),
  source: choice('Source', ['gauge', 'set', 'simulated']),
  /** the set that served as a gauge */
  set: id('Set').nullable().default(null),
  note: note('Note'),
});
