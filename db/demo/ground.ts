// Tables read by their rows: the formatter leaves them alone.
import { alongLine, moved, type Position } from '#core/ground/geodesic';
import type { GroundKind } from '#core/record/scouting';

type Metres = readonly [east: number, north: number];

/** From where the metres of a site are counted. */
const ORIGINS: Record<string, Position> = { kettle: [-90.487, 45.512], sallow: [-90.466, 45.498] };

/** The line along which a water's stations lie, from its inlet, in metres east and north of its site; and what closes the shore of a pond. */
// prettier-ignore
const PATHS: Record<string, { site: string; path: Metres[]; closing?: Metres[] }> = {
  header: { site: 'kettle', path: [[-70, 20], [-40, 35], [-10, 30], [15, 10], [30, -15], [36, -35], [40, -62]], closing: [[-8, -22], [-45, -18], [-75, -5]] },
  upper: { site: 'kettle', path: [[-160, 150], [-120, 175], [-80, 170], [-50, 145], [-40, 115]], closing: [[-75, 100], [-130, 110], [-165, 125]] },
  spill: { site: 'kettle', path: [[40, -62], [75, -85], [95, -130], [150, -150], [180, -200], [240, -215]] },
  moss: { site: 'kettle', path: [[-140, -120], [-100, -95], [-60, -105], [-45, -135]], closing: [[-70, -165], [-125, -160]] },
  ditch: { site: 'kettle', path: [[60, 20], [110, 30], [150, 5], [190, 10]] },
  race: { site: 'sallow', path: [[0, 0], [35, 40], [60, 90], [110, 120]] },
  ponds: { site: 'sallow', path: [[-60, -20], [-20, -30], [20, -28], [40, -55]], closing: [[10, -80], [-50, -75]] },
  outfall: { site: 'sallow', path: [[110, 120], [150, 160], [160, 210], [220, 240]] },
};

/** Header Pond ends at its dam, 108 m along. */
const DAM: Metres = [21.5, -1];

const positionOf = (site: string, [east, north]: Metres): Position => {
  const from = ORIGINS[site];
  if (!from) throw new RangeError(`no site ${site} in the demo`);
  return moved(from, (Math.atan2(east, north) * 180) / Math.PI, Math.hypot(east, north));
};

const short = ([lon, lat]: Position): [number, number] => [Math.round(lon * 1e7) / 1e7, Math.round(lat * 1e7) / 1e7];

/** Where a station lies that is `along` metres down its water. */
export function positionAlong(water: string, along: number): [number, number] {
  const { site, path } = PATHS[water] ?? { site: '', path: [] };
  return short(
    alongLine(
      path.map((p) => positionOf(site, p)),
      along,
    ),
  );
}

interface DemoGround {
  key: string;
  site: string;
  water: string | null;
  kind: GroundKind;
  name: string;
  type: 'Point' | 'LineString' | 'Polygon';
  points: Metres[];
  note?: string;
}

// prettier-ignore
const GROUND: DemoGround[] = [
  { key: 'kettle leave', site: 'kettle', water: null, kind: 'boundary of permission', name: 'Leave of Kettle Row', type: 'Polygon', points: [[-195, 205], [60, 200], [225, 90], [225, -175], [150, -205], [-180, -195]] },
  { key: 'sallow leave', site: 'sallow', water: null, kind: 'boundary of permission', name: 'Leave of the hatchery', type: 'Polygon', points: [[-95, -105], [100, -105], [255, 130], [255, 265], [100, 265], [-95, 60]] },
  { key: 'header dam', site: 'kettle', water: 'header', kind: 'dam crest', name: 'Header dam', type: 'LineString', points: [[24, 0], [8, -12], [-8, -22]] },
  { key: 'long dam', site: 'kettle', water: 'upper', kind: 'dam crest', name: 'Long dam', type: 'LineString', points: [[-38, 120], [-56, 108], [-75, 100], [-104, 103]] },
  { key: 'dike', site: 'kettle', water: null, kind: 'road', name: 'Dike road', type: 'LineString', points: [[-195, 70], [-90, 62], [0, 60], [70, 60], [225, 60]] },
  { key: 'lane', site: 'kettle', water: null, kind: 'road', name: 'Mill lane', type: 'LineString', points: [[60, -190], [120, -140], [160, -120], [225, -60]] },
  { key: 'lane bridge', site: 'kettle', water: 'spill', kind: 'bridge', name: 'Lane bridge', type: 'Point', points: [[150, -150]] },
  { key: 'sorting shed', site: 'kettle', water: null, kind: 'access', name: 'Sorting shed, truck', type: 'Point', points: [[0, 60]] },
  { key: 'lane end', site: 'kettle', water: null, kind: 'access', name: 'Lane end, on foot', type: 'Point', points: [[118, -142]] },
  { key: 'head gate', site: 'sallow', water: null, kind: 'access', name: 'Head gate, truck', type: 'Point', points: [[-10, -8]] },
  { key: 'feed road', site: 'sallow', water: null, kind: 'road', name: 'Feed road', type: 'LineString', points: [[-95, 10], [-10, -8], [60, -10], [100, -60]] },
];

/** The user's ground on the map: the shores and stream lines of the waters, and what was drawn beside them. */
export function demoGround() {
  const waters = Object.entries(PATHS).map(([water, { site, path, closing }]): DemoGround => {
    const whole = water === 'header' ? [...path.slice(0, 4), DAM] : path;
    return {
      key: `shape ${water}`,
      site,
      water,
      kind: closing ? 'shore' : 'stream line',
      name: closing ? 'shore' : 'stream line',
      type: closing ? 'Polygon' : 'LineString',
      points: [...whole, ...(closing ?? [])],
    };
  });
  return [...waters, ...GROUND].map(({ points, type, note = '', ...rest }) => {
    const at = points.map((p) => short(positionOf(rest.site, p)));
    const [first] = at;
    if (!first) throw new RangeError(`no points for ${rest.name}`);
    const shape =
      type === 'Point'
        ? { type, coordinates: first }
        : type === 'LineString'
          ? { type, coordinates: at }
          : { type, coordinates: [[...at, first]] };
    return { ...rest, note, shape };
  });
}
