/** Kinds of places at which a set stands. */
export const STATION_KINDS = [
  'dam',
  'crossover',
  'lodge',
  'bank den',
  'run',
  'channel',
  'slide',
  'castor mound',
  'feed bed',
  'point',
  'culvert',
  'bridge',
  'undercut',
  'log crossing',
  'latrine',
  'muskrat place',
] as const;
export type StationKind = (typeof STATION_KINDS)[number];
