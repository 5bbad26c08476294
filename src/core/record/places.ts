import { z } from 'zod';
import { ICE_WATER_IDS } from '../ice/growth';
import { STATION_KINDS } from '../stations/kinds';
import { choice, count, drawn, id, instant, latitude, length, longitude, name, note, yes } from './fieldKinds';
import { levelField } from './levelField';
import { MEASURE_IDS } from '../stations/measures';
import { SIGN_KINDS } from '../sign/kinds';
import { WORK_MINUTES } from '../run/work';

const DEPTH_RANGE = 'A depth lies between 0 and 15 m (49 ft).';

const depthField = (label: string) => length(label, 0, 15, DEPTH_RANGE);

/** A level that the first version wrote beside a depth, on the gauge: it counts where no reading tells. */
const noted = () => drawn(levelField('Level noted then').optional(), 'Level noted then');

const ownNumbers = (known: readonly string[], max: number, say: string) =>
  z
    .record(z.string(), z.number({ error: say }).min(0.05, { error: say }).max(max, { error: say }))
    .refine((own) => Object.keys(own).every((key) => known.includes(key)), { error: say })
    .default({});

export const crewSchema = z.strictObject({
  id: id(),
  name: name('Name of the crew'),
  /** the crew's own half-lives of sign, days, by kind */
  halfLives: ownNumbers(
    SIGN_KINDS.map((k) => k.id),
    365,
    'A half-life is between 0.05 and 365 days.',
  ),
});

export const personSchema = z.strictObject({
  id: id(),
  name: name('Name'),
  system: choice('Units', ['us', 'metric']),
  /** how hours and dates are told; null goes with the units */
  times: choice('Times', ['12h', '24h']).nullable().default(null),
  /** heights over the sole and own tools, m, by the word typed for them */
  measures: z
    .record(z.string().trim().min(1).max(30), length('Own measure', 0.01, 5, 'An own measure is between 1 cm and 5 m.'))
    .default({}),
  /** the person's own minutes of work, by task */
  minutes: ownNumbers(Object.keys(WORK_MINUTES), 240, 'A piece of work takes between 0.05 and 240 minutes.'),
});

export const siteSchema = z.strictObject({
  id: id(),
  name: name('Name of the site'),
  lat: latitude().nullable(),
  lon: longitude().nullable(),
  owner: note('Owner and permission'),
  access: note('Access'),
  endangered: note('What is endangered'),
  users: note('Who else uses the ground'),
  /** as the rulebook divides its ground; empty where it does not */
  area: note('Area of the rulebook', 60),
});

export const WATER_KINDS = ['pond', 'stream', 'ditch', 'river'] as const;

export const waterSchema = z.strictObject({
  id: id(),
  site: id('Site'),
  name: name('Name of the water'),
  kind: choice('Kind of water', WATER_KINDS),
  /** bed between the stations, from inlet to outlet: metres along, elevation in the water's datum */
  profile: z
    .array(z.strictObject({ along: z.number().min(0).max(100_000), bed: z.number().min(-15).max(30) }))
    .max(500)
    .default([]),
  /** what the water endangers, and the level at which it is safe, on the gauge as it hung then */
  safe: z
    .strictObject({ level: levelField('Safe level'), at: instant('Read off at'), what: name('What is endangered', 120) })
    .nullable()
    .default(null),
  /** how much it rises in a day when nothing runs out, m; null when nobody watched */
  rise: length('Rise in a day', 0, 1, 'A pond rises between 0 and 3 ft in a day.').nullable().default(null),
  /** ground that drains into it, m², and the share of rain that comes down from it */
  catchment: count('Catchment', 1, 1e9).nullable().default(null),
  runoff: count('Share of rain that runs off', 0, 1).nullable().default(null),
  /** what the bed lets through in a day, m */
  seep: length('Seepage in a day', 0, 0.5, 'A bed lets through between 0 and 0.5 m (20 in) a day.').nullable().default(null),
  /** length of crest over which a high pond runs, m; its height is the dam's */
  spill: length('Crest that a high pond runs over', 0.05, 500, 'A crest is between 2 in and 500 m long.').nullable().default(null),
  /** areas by level on the gauge as it hung then, m and m², for a pond whose shore was not drawn, or that is not walled */
  areas: z
    .array(
      z.strictObject({
        level: levelField('Level'),
        at: instant('Read off at'),
        area: z
          .number({ error: 'The area is a number.' })
          .min(1, { error: 'The area of a pond is above 0.' })
          .max(1e7, { error: 'The area of a pond is under 1000 hectares.' }),
      }),
    )
    .max(20)
    .default([]),
  pipes: z
    .array(
      z.strictObject({
        /** its lowest point, on the gauge as it hung then */
        sill: levelField('Bottom of the pipe'),
        at: instant('Read off at'),
        diameter: length('Diameter', 0.02, 3, 'A drain pipe is between 1 in and 10 ft wide.'),
        plugged: z
          .number({ error: 'The share plugged is a number.' })
          .min(0, { error: 'The share plugged is between 0 and 1.' })
          .max(1, { error: 'The share plugged is between 0 and 1.' }),
      }),
    )
    .max(10)
    .default([]),
  /** how its ice grows; null while nobody said */
  ice: choice('Ice grows as on a', ICE_WATER_IDS).nullable().default(null),
  note: note('Note'),
});

export const gaugeSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  name: name('Name of the gauge'),
  surface: choice('Surface', ['pond', 'tail']),
  /** elevation of this gauge's zero in the water's datum, m */
  zero: length('Zero over the datum', -30, 30, 'The zero of a gauge lies within 30 m of the datum.'),
  /** where the zero lay before it was moved, until when */
  earlier: z
    .array(
      z.strictObject({
        until: instant('Moved at'),
        zero: length('Zero before', -30, 30, 'The zero of a gauge lies within 30 m of the datum.'),
      }),
    )
    .max(50)
    .default([]),
});

/** What somebody built or left at a place. */
export const LIES = [
  'a stone laid',
  'a bed',
  'a stake',
  'an anchor',
  'a notch',
  'a platform',
  'a blocked way',
  'the pole failed here',
  'something else',
] as const;

export const stationSchema = z.strictObject({
  id: id(),
  water: id('Water'),
  number: count('Number', 1, 9999).int({ error: 'A location has a whole number.' }),
  name: name('Name of the location'),
  kind: choice('Kind of location', STATION_KINDS),
  surface: choice('Surface', ['pond', 'tail']),
  along: length('Along the shore', 0, 100_000, 'The way along the shore is between 0 and 100 km.'),
  lat: latitude().nullable().default(null),
  lon: longitude().nullable().default(null),
  /** the station it belongs to: the run from which this one forks, the dam of a crossover */
  parent: id('Belongs to').nullable().default(null),
  /** depth under the surface of that moment; where the bed lies follows from the readings */
  bed: z
    .strictObject({ depth: depthField('Depth measured'), at: instant('Measured at'), noted: noted() })
    .nullable()
    .default(null),
  /** top of a crest or a lodge, on the gauge as it hung then */
  crest: z
    .strictObject({ height: levelField('Crest or top'), at: instant('Measured at') })
    .nullable()
    .default(null),
  /** what its kind asks for, SI, each with its moment */
  measures: z
    .array(
      z.strictObject({
        what: choice('Measure', MEASURE_IDS),
        value: z.number({ error: 'A measure is a number.' }).min(-30).max(2000),
        at: instant('Measured at'),
      }),
    )
    .max(60)
    .default([]),
  /** the bed across the place: distance from the edge and depth, m, under the surface of that moment */
  across: z
    .strictObject({
      points: z
        .array(z.strictObject({ distance: length('Distance', 0, 200, 'A distance lies between 0 and 200 m.'), depth: depthField('Depth') }))
        .min(2, { error: 'A bed profile has two points at least.' })
        .max(60),
      at: instant('Measured at'),
      noted: noted(),
    })
    .nullable()
    .default(null),
  /** what was built or left at it and stays from year to year */
  /** as it looked to whoever marked it */
  photo: id('Photo').nullable().default(null),
  lies: z
    .array(
      z.strictObject({
        id: id(),
        what: choice('What lies here', LIES),
        where: note('Where', 120),
        at: instant('Laid on'),
        /** when somebody took it up, or found it gone */
        gone: instant('Gone since').nullable().default(null),
      }),
    )
    .max(40)
    .default([]),
  note: note('Note'),
});

export const CLARITIES = ['not looked', 'clear', 'stained', 'muddy'] as const;

export const readingSchema = z.strictObject({
  id: id(),
  gauge: id('Gauge'),
  at: instant('Read at'),
  /** as the gauge showed it, m over its own zero */
  level: levelField('Level'),
  /** a crest is inferred: the water once stood that high, some time between `since` and `at` */
  bound: choice('Meaning', ['exact', 'atMost', 'crest']),
  source: choice('Source', ['gauge', 'set', 'simulated', 'debris']),
  since: instant('Not before').nullable().default(null),
  /** how sure a crest is: give or take so much */
  doubt: length('Give or take', 0, 5, 'A mark is sure to within 5 m.').nullable().default(null),
  clarity: choice('Water clarity', CLARITIES).default('not looked'),
  /** the set that served as a gauge */
  set: id('Set').nullable().default(null),
  note: note('Note'),
});

/** A depth read at a station itself: on a stream it teaches how this place follows the gauge. */
export const stationLevelSchema = z.strictObject({
  id: id(),
  station: id('Location'),
  at: instant('Read at'),
  depth: depthField('Depth at the place'),
  noted: noted(),
  note: note('Note'),
});

export const BREAK_KINDS = ['rectangle', 'V', 'trapezoid'] as const;

/** A break in a dam: opened on purpose, or found open. How it was found wider, deeper or shallower later is a state of the same break. */
export const openingSchema = z
  .strictObject({
    id: id(),
    water: id('Water'),
    shape: choice('Shape', BREAK_KINDS),
    opened: instant('Opened at'),
    /** as it stood from a time on: its width at the water, and its lowest point on the gauge as it hung when it was opened */
    states: z
      .array(
        z.strictObject({
          id: id(),
          at: instant('Seen so at'),
          width: length('Width at the water', 0.02, 20, 'A break is between 1 in and 65 ft wide.'),
          sill: levelField('Bottom of the break'),
        }),
      )
      .min(1, { error: 'A break has a width and a bottom.' })
      .max(100),
    mended: instant('Plugged at').nullable().default(null),
    by: choice('Opened by', ['us', 'others', 'the water']),
    /** the set that was placed with it; null when none was */
    set: id('Set').nullable().default(null),
    /** alike and beside each other */
    count: count('How many', 1, 6).int({ error: 'Breaks are counted whole.' }).default(1),
    /** what the forecast expects of those who mend */
    expect: choice('Expected', ['not mended', 'mended after dusk']).default('not mended'),
    /** the fill is soft: rain cuts it wider */
    widens: yes('Widens in rain').default(false),
    note: note('Note'),
  })
  .refine((o) => o.mended === null || o.mended >= o.opened, { path: ['mended'], error: 'A break cannot be plugged before it was opened.' })
  .refine((o) => o.states.every((s) => s.at >= o.opened), {
    path: ['states'],
    error: 'A break cannot have been seen before it was opened.',
  });
