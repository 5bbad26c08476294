import { z } from 'zod';
import { checkSchema } from './checks';
import { deviceSchema, kitSchema, stockMoveSchema, stockSchema } from './gear';
import {
  crewSchema,
  gaugeSchema,
  openingSchema,
  personSchema,
  readingSchema,
  siteSchema,
  stationLevelSchema,
  stationSchema,
  waterSchema,
} from './places';
import { cameraSchema, earlierSchema, groundSchema, intentSchema, signSchema, surveySchema } from './scouting';
import { forecastSchema, iceSchema, loggedSchema, toldSchema, weatherSchema } from './moving';
import { interviewSchema, replySchema } from './interview';
import { leftWordSchema } from './leftWord';
import { colonySchema } from './colony';
import { shareSchema } from './share';
import { dutySchema, ownBookSchema } from './rules';
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
  stationLevel: stationLevelSchema,
  ground: groundSchema,
  earlier: earlierSchema,
  survey: surveySchema,
  camera: cameraSchema,
  intent: intentSchema,
  opening: openingSchema,
  weather: weatherSchema,
  ice: iceSchema,
  logged: loggedSchema,
  forecast: forecastSchema,
  told: toldSchema,
  stock: stockSchema,
  stockMove: stockMoveSchema,
  kit: kitSchema,
  rulebook: ownBookSchema,
  duty: dutySchema,
  interview: interviewSchema,
  reply: replySchema,
  leftWord: leftWordSchema,
  share: shareSchema,
  colony: colonySchema,
} as const;

/** The shape in which bodies are written now; `upgrade` brings older ones to it. */
export const BODY_VERSION = 2;

export type Kind = keyof typeof SCHEMAS;
export const KINDS = Object.keys(SCHEMAS) as Kind[];
export type Body<K extends Kind> = z.infer<(typeof SCHEMAS)[K]>;
/** A body as it is handed in: what has a default may be left out. */
export type Draft<K extends Kind> = z.input<(typeof SCHEMAS)[K]>;

export type Crew = Body<'crew'>;
export type Person = Body<'person'>;
export type Site = Body<'site'>;
export type Gauge = Body<'gauge'>;
export type ReadingBody = Body<'reading'>;
export type Line = Body<'line'>;
export type Device = Body<'device'>;
export type TrapSet = Body<'set'>;
export type Check = Body<'check'>;
export type Sign = Body<'sign'>;
export type StationLevel = Body<'stationLevel'>;
export type Ground = Body<'ground'>;
export type Earlier = Body<'earlier'>;
export type Survey = Body<'survey'>;
export type CameraRoll = Body<'camera'>;
export type Intent = Body<'intent'>;
export type WeatherBody = Body<'weather'>;
export type Ice = Body<'ice'>;
export type LoggedBody = Body<'logged'>;
export type ToldRise = Body<'told'>;
export type ForecastBody = Body<'forecast'>;
export type Stock = Body<'stock'>;
export type StockMove = Body<'stockMove'>;
export type Kit = Body<'kit'>;
export type OwnBook = Body<'rulebook'>;
export type Interview = Body<'interview'>;
export type Reply = Body<'reply'>;
export type LeftWord = Body<'leftWord'>;
export type Share = Body<'share'>;
export type Colony = Body<'colony'>;
export type DutyDone = Body<'duty'>;
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
  station: 'Location',
  reading: 'Reading',
  line: 'Line',
  device: 'Trap',
  set: 'Set',
  check: 'Check',
  sign: 'Sign',
  stationLevel: 'Depth at a location',
  ground: 'Ground on the map',
  earlier: 'Earlier trapping',
  survey: 'Guided reading',
  camera: 'Camera',
  intent: 'Plan',
  opening: 'Break',
  weather: 'Weather',
  ice: 'Ice',
  logged: 'Logger',
  forecast: 'Forecast',
  told: 'Rise told',
  stock: 'Stock',
  stockMove: 'Stock moved',
  kit: 'Kit',
  rulebook: 'Rulebook',
  duty: 'Told of a catch',
  interview: 'Why nothing is caught',
  reply: 'Reply of a friend',
  leftWord: 'Word left',
  share: 'Who goes where',
  colony: 'Colony',
};

/** Only these can be withdrawn whole; the others are corrected. A withdrawn entry stays in the book. */
export const WITHDRAWABLE: readonly Kind[] = [
  'reading',
  'check',
  'sign',
  'stationLevel',
  'ground',
  'earlier',
  'survey',
  'camera',
  'intent',
  'opening',
  'weather',
  'ice',
  'logged',
  'forecast',
  'told',
  'stockMove',
  'kit',
  'duty',
  'interview',
  'reply',
  'leftWord',
  'share',
  'colony',
];
