import { groundSchema, GROUND_KINDS, type GroundKind } from '../record/scouting';
import type { Body, Ground } from '../record/kinds';
import { upgrade } from '../record/upgrade';
import { stationSchema } from '../record/places';
import { STATION_KINDS, type StationKind } from '../stations/kinds';
import { exchangeSchema, sameShape, type Exchange } from './exchange';

/** What an import asks of a station that is there. */
type Station = Pick<Body<'station'>, 'id' | 'number' | 'name' | 'lat' | 'lon'>;

/** Where a thing without a record of ours goes. */
export interface Destination {
  site: string;
  water: string | null;
  /** points become stations of that water, or ground like everything else */
  points: 'stations' | 'ground';
  /** what lines and areas are that do not say it themselves */
  lines: GroundKind;
  areas: GroundKind;
}

export interface Here {
  stations: readonly Station[];
  ground: readonly Ground[];
  sites: readonly string[];
  waters: readonly string[];
}

/** What becomes of one thing of a file. */
export type ImportRow = { nth: number; name: string; what: string } & (
  | { verdict: 'new'; as: 'station'; body: Body<'station'> }
  | { verdict: 'new'; as: 'ground'; body: Ground }
  | { verdict: 'here'; reason: string }
  | { verdict: 'refused'; reason: string }
);

type Made = { as: 'station'; body: unknown } | { as: 'ground'; body: unknown } | { refused: string };

const isKind = (text: unknown): text is GroundKind => GROUND_KINDS.includes(text as GroundKind);
const guess = (thing: Exchange, to: Destination): GroundKind => {
  if (isKind(thing.properties.kind)) return thing.properties.kind;
  return thing.shape.type === 'Polygon' ? to.areas : thing.shape.type === 'Point' ? 'other' : to.lines;
};

/** Properties of another program are kept as they came, as far as they are plain. */
const plain = (properties: Exchange['properties']): Ground['properties'] =>
  Object.fromEntries(
    Object.entries(properties)
      .filter(([, value]) => value === null || ['string', 'number', 'boolean'].includes(typeof value))
      .slice(0, 60)
      .map(([key, value]) => [key.slice(0, 80), typeof value === 'string' ? value.slice(0, 2000) : (value as number | boolean | null)]),
  );

/**
 * Decides for every thing of a file what becomes of it: new, here already, or refused with the reason. The page previews it and the server decides by it again.
 *
 * @param make an id for the nth thing, the same whenever the same file is sent again
 * @param freeNumber the first station number that is free
 */
export function planImport(
  things: readonly unknown[],
  to: Destination,
  here: Here,
  make: (nth: number) => string,
  freeNumber: number,
): ImportRow[] {
  let number = freeNumber;
  const taken = { stations: [...here.stations], ground: [...here.ground] };
  return things.map((raw, index): ImportRow => {
    const nth = index + 1;
    const parsed = exchangeSchema.safeParse(raw);
    if (!parsed.success) {
      const name = typeof (raw as { name?: unknown } | null)?.name === 'string' ? String((raw as { name: string }).name).slice(0, 80) : '';
      return { nth, name, what: 'unreadable', verdict: 'refused', reason: parsed.error.issues[0]?.message ?? 'It cannot be read.' };
    }
    const thing = parsed.data;
    const name = thing.name || `${thing.record ?? thing.shape.type.toLowerCase()} ${nth}`;
    const what = thing.record ?? { Point: 'point', LineString: 'line', Polygon: 'area' }[thing.shape.type];
    const known = already(thing, name, taken);
    if (known) return { nth, name, what, verdict: 'here', reason: known };
    const made = bodyOf({ ...thing, name }, to, here, make(nth), number);
    if ('refused' in made) return { nth, name, what, verdict: 'refused', reason: made.refused };
    if (made.as === 'station') {
      const station = stationSchema.safeParse(ofToday(made.body as Record<string, unknown>));
      if (!station.success)
        return { nth, name, what, verdict: 'refused', reason: station.error.issues[0]?.message ?? 'It does not fit a location.' };
      if (taken.stations.some((s) => s.number === station.data.number))
        return { nth, name, what, verdict: 'refused', reason: `Another location has the number ${station.data.number}.` };
      number = Math.max(number, station.data.number + 1);
      taken.stations.push(station.data);
      return { nth, name, what, verdict: 'new', as: 'station', body: station.data };
    }
    const ground = groundSchema.safeParse(made.body);
    if (!ground.success)
      return { nth, name, what, verdict: 'refused', reason: ground.error.issues[0]?.message ?? 'It does not fit the map.' };
    taken.ground.push(ground.data);
    return { nth, name, what, verdict: 'new', as: 'ground', body: ground.data };
  });
}

/** A station out of a file that the first version wrote: its levels on the gauge stay beside their depths. */
function ofToday(body: Record<string, unknown>): Record<string, unknown> {
  const bed = body.bed as { level?: unknown } | null | undefined;
  const isOld = typeof body.crest === 'number' || typeof bed?.level === 'number';
  const none = (): number => 0;
  return isOld ? upgrade('station', body, 1, { gauge: none, surface: none, station: none }, new Date(0)) : body;
}

function already(thing: Exchange, name: string, taken: { stations: Station[]; ground: Ground[] }): string | null {
  if (thing.id && (taken.stations.some((s) => s.id === thing.id) || taken.ground.some((g) => g.id === thing.id)))
    return 'It is in the record already, by its id.';
  if (taken.ground.some((g) => g.name === name && sameShape(g.shape, thing.shape))) return 'The same name lies at the same place already.';
  const { shape } = thing;
  const same = (s: Station): boolean =>
    shape.type === 'Point' &&
    s.lat !== null &&
    s.lon !== null &&
    s.name === name &&
    sameShape(shape, { type: 'Point', coordinates: [s.lon, s.lat] });
  return taken.stations.some(same) ? 'A location of that name lies at the same place already.' : null;
}

function bodyOf(thing: Exchange, to: Destination, here: Here, id: string, number: number): Made {
  const { record, shape, properties } = thing;
  if (record === 'set') return { refused: 'A set is placed on the bench: its arming check cannot be imported.' };
  if (record === 'site') return { refused: 'A site is begun by hand, with its owner and permission.' };
  const own = record ? (thing.id ?? id) : id;
  const site = typeof properties.site === 'string' && here.sites.includes(properties.site) ? properties.site : to.site;
  const water = typeof properties.water === 'string' && here.waters.includes(properties.water) ? properties.water : to.water;
  if (record === 'station' || (record === null && shape.type === 'Point' && to.points === 'stations')) {
    if (shape.type !== 'Point') return { refused: 'A location is a point.' };
    if (!water) return { refused: 'A location needs its water: choose one above.' };
    const [lon, lat] = shape.coordinates;
    const kind = STATION_KINDS.includes(properties.kind as StationKind) ? properties.kind : 'point';
    const theirs = record === 'station' ? properties : { note: String(properties.note ?? properties.desc ?? '') };
    return {
      as: 'station',
      body: {
        number,
        kind,
        surface: 'pond',
        along: 0,
        ...theirs,
        id: own,
        water,
        name: thing.name,
        lat,
        lon,
        parent: known(properties.parent, here),
      },
    };
  }
  const theirs = record === 'ground' ? properties : { properties: plain(properties), note: '' };
  return { as: 'ground', body: { kind: guess(thing, to), ...theirs, id: own, site, water, name: thing.name, shape } };
}

const known = (parent: unknown, here: Here): string | null => (here.stations.some((s) => s.id === parent) ? String(parent) : null);
