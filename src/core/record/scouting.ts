import { z } from 'zod';
import { DID } from '../counting/atSet';
import { DEVICE_CLASSES } from '../devices/sizes';
import { SPECIES } from '../animals/species';
import { HOLE_FEELS, LODGE_SIGNS } from '../scouting/lodge';
import { GAP_PLACES } from '../scouting/crossing';
import { BROOK_MARKS } from '../scouting/brook';
import { FRESHNESSES, SIGN_IDS } from '../sign/kinds';
import { choice, count, date, drawn, id, instant, latitude, length, longitude, name, note, yes } from './fieldKinds';

/** A sign of animals at a station, as it was found. */
export const signSchema = z.strictObject({
  id: id(),
  station: id('Location'),
  at: instant('Seen at'),
  kind: choice('Sign', SIGN_IDS),
  species: choice('Species', SPECIES),
  freshness: choice('How old it looked', FRESHNESSES),
  count: count('How many', 1, 999).int({ error: 'How many is a whole number.' }).nullable().default(null),
  direction: note('Direction', 60),
  note: note('Note', 500),
  /** a photo kept beside the record, and where its own metadata says it was taken */
  photo: id('Photo').nullable().default(null),
  lat: latitude().nullable().default(null),
  lon: longitude().nullable().default(null),
});

export const GROUND_KINDS = [
  'shore',
  'stream line',
  'dam crest',
  'road',
  'bridge',
  'boundary of permission',
  'access',
  'track',
  'other',
] as const;
export type GroundKind = (typeof GROUND_KINDS)[number];

const position = z.tuple([
  z.number({ error: 'A position is a longitude and a latitude in degrees.' }).min(-180).max(180),
  z.number({ error: 'A position is a longitude and a latitude in degrees.' }).min(-90).max(90),
]);
const MOST_POINTS = 20_000;
const TOO_MANY = `A line has at most ${MOST_POINTS} points: thin it out first.`;

/** A shape on the map in longitude and latitude, degrees WGS84; a polygon has one ring, closed. */
export const shapeSchema = z.discriminatedUnion('type', [
  z.strictObject({ type: z.literal('Point'), coordinates: position }),
  z.strictObject({
    type: z.literal('LineString'),
    coordinates: z.array(position).min(2, { error: 'A line has two points at least.' }).max(MOST_POINTS, { error: TOO_MANY }),
  }),
  z.strictObject({
    type: z.literal('Polygon'),
    coordinates: z
      .array(z.array(position).min(4, { error: 'An area has three corners at least.' }).max(MOST_POINTS, { error: TOO_MANY }))
      .length(1, { error: 'An area with holes is not kept: draw it without.' })
      .refine((rings) => rings.every((r) => r[0]?.[0] === r.at(-1)?.[0] && r[0]?.[1] === r.at(-1)?.[1]), {
        error: 'An area closes where it began.',
      }),
  }),
]);
export type Shape = z.infer<typeof shapeSchema>;

/** The user's own ground on the map, drawn, typed or imported. */
export const groundSchema = z.strictObject({
  id: id(),
  site: id('Site'),
  water: id('Water').nullable().default(null),
  kind: choice('Kind', GROUND_KINDS),
  name: name('Name'),
  shape: drawn(shapeSchema, 'Shape'),
  /** what came with it from a file, kept for the way back */
  properties: drawn(z.record(z.string().max(80), z.union([z.string().max(2000), z.number(), z.boolean(), z.null()])), 'Properties').default(
    {},
  ),
  note: note('Note'),
});

/** What others did on this water and what came of it; it decides what the survivors fear. */
/** Whom earlier trapping left: nobody, some, some that are shy of what was used. */
export const SURVIVORS = ['not known', 'none', 'some', 'shy'] as const;

export const earlierSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  station: id('Location').nullable().default(null),
  who: name('Who'),
  season: name('When', 40),
  used: name('What was used', 200),
  /** as devices: what is ranked by it */
  devices: z.array(choice('Trap', DEVICE_CLASSES)).max(DEVICE_CLASSES.length).default([]),
  /** what they left alive */
  survivors: choice('Left alive', SURVIVORS).default('not known'),
  species: choice('Species', SPECIES),
  caught: count('Caught', 0, 999).int({ error: 'Caught is a whole number.' }).nullable().default(null),
  nights: count('Trap-nights', 0, 100_000).nullable().default(null),
  note: note('What came of it', 500),
});

const bearing = (label: string) => count(label, 0, 360);
const steps = length('Distance', 0, 200, 'A distance lies between 0 and 200 m.');

/** A guided reading of a place, with its marks. */
export const surveySchema = z.strictObject({
  id: id(),
  water: id('Water'),
  station: id('Location').nullable().default(null),
  at: instant('Read at'),
  note: note('Note'),
  found: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('crossing'),
      gaps: z
        .array(
          z.strictObject({
            place: choice('Where in the dam', GAP_PLACES),
            worn: yes('Worn'),
            wet: yes('Wet'),
            dark: yes('Dark and muddy'),
            bare: yes('Bare of poles'),
            channel: yes('Firm clear channel at its foot'),
            poles: yes('Poles lie across it').default(false),
            unused: yes('Not in use').default(false),
            width: length('Width', 0, 10, 'A gap is between 0 and 10 m wide.').nullable(),
          }),
        )
        .min(1)
        .max(12),
      main: z.number().int().min(0).nullable(),
    }),
    z.strictObject({
      kind: z.literal('lodge'),
      seen: z.array(choice('Seen', LODGE_SIGNS)).max(20),
      ledge: bearing('Bearing of the living ledge').nullable(),
      pile: bearing('Bearing of the feed pile').nullable(),
      radius: length('Radius of the lodge', 0.5, 15, 'A lodge is between 0.5 and 15 m in radius.').nullable(),
      holes: z
        .array(
          z.strictObject({
            felt: choice('Felt', HOLE_FEELS),
            distance: steps,
            bearing: bearing('Bearing'),
            ice: length('Ice', 0, 2, 'Ice lies between 0 and 2 m.').nullable(),
          }),
        )
        .max(60),
    }),
    z.strictObject({
      kind: z.literal('brook'),
      marks: z
        .array(
          z.strictObject({
            along: length('Along the creek', 0, 100_000, 'The way along the creek is between 0 and 100 km.'),
            mark: choice('Mark', BROOK_MARKS),
            depth: length('Depth', 0, 5, 'A depth lies between 0 and 5 m.').nullable(),
            roof: length('Roof over the bed', 0, 5, 'A roof lies between 0 and 5 m over the bed.').nullable(),
            pool: yes('A pool beside it'),
            outside: yes('Outside of a bend'),
          }),
        )
        .min(1)
        .max(100),
    }),
  ]),
});

export const SIZE_CLASSES = ['large', 'middle', 'small', 'unknown'] as const;

/** A stretch of watching by one camera, with all it saw: nothing of a file is half taken. */
export const cameraSchema = z.strictObject({
  id: id(),
  station: id('Location'),
  /** the set it looks at, where its place has several; null: all of them */
  set: id('Set').nullable().default(null),
  camera: name('Camera', 40),
  from: instant('Watched from'),
  to: instant('Watched to'),
  source: choice('Source', ['file', 'simulated', 'typed']),
  events: drawn(
    z
      .array(
        z.strictObject({
          at: z.iso.datetime({ error: 'An event needs its time.' }),
          species: choice('Species', SPECIES),
          count: count('How many', 1, 40).int(),
          size: choice('Size', SIZE_CLASSES),
          did: choice('What it did', DID).default('not seen'),
        }),
      )
      .max(5000, { error: 'At most 5000 events at once.' }),
    'Events',
  ),
  note: note('Note'),
});

/** What is to be done at a place where no set of the bench stands for it: a type in plain words, or why it is left alone. */
export const intentSchema = z
  .strictObject({
    id: id(),
    line: id('Line'),
    station: id('Location'),
    doing: choice('To do', ['planned', 'prepared', 'left']),
    type: note('Type of set', 80),
    opens: date('To be set on').nullable().default(null),
    because: note('Because', 300),
  })
  .refine((intent) => intent.doing !== 'left' || intent.because !== '', {
    path: ['because'],
    error: 'Say why it is left unset, or it looks like neglect next week.',
  })
  .refine((intent) => intent.doing === 'left' || intent.type !== '', { path: ['type'], error: 'Say what is to be set there.' })
  .refine((intent) => intent.doing !== 'prepared' || intent.opens !== null, {
    path: ['opens'],
    error: 'A prepared place needs the date on which it is to be set.',
  });
