import assert from 'node:assert/strict';
import { describe, it } from 'node:test';
import { gpx as gpxToGeoJson, kml as kmlToGeoJson } from '@tmcw/togeojson';
import { DOMParser } from '@xmldom/xmldom';
import fc from 'fast-check';
import { readStamp, sameShape, stamp, xmlText, type Exchange } from '#core/formats/exchange';
import { toGeoJson } from '#core/formats/geojson';
import { toGpx } from '#core/formats/gpx';
import { planImport, type Destination, type Here } from '#core/formats/importing';
import { toKml } from '#core/formats/kml';
import { toWkt } from '#core/formats/wkt';
import { csvRows, restored, thingsToCsv, toCsv } from '../../src/lib/exchange/csv';

const ID = '00000000-0000-7000-8000-00000000000';
const HOSTILE = ['=1+1', '+x', '-x', '@x', '<script>alert(1)</script>', '&amp; &lt; "quoted"', ']]>', 'a\nb', 'Weiße Insel, Ø', '&xxe;'];

const station: Exchange = {
  record: 'station',
  id: `${ID}1`,
  name: 'east run',
  shape: { type: 'Point', coordinates: [-90.4871, 45.5123] },
  properties: {
    water: `${ID}9`,
    number: 12,
    kind: 'run',
    surface: 'pond',
    along: 18.9,
    crest: null,
    bed: { depth: 0.84, at: '2026-11-04T14:00:00.000Z' },
    measures: [{ what: 'depth', value: 0.8, at: '2026-11-04T14:00:00.000Z' }],
    note: 'forks, "hard"',
  },
};
const leave: Exchange = {
  record: 'ground',
  id: `${ID}2`,
  name: 'leave',
  shape: {
    type: 'Polygon',
    coordinates: [
      [
        [-90.49, 45.51],
        [-90.48, 45.51],
        [-90.48, 45.52],
        [-90.49, 45.51],
      ],
    ],
  },
  properties: {
    site: `${ID}8`,
    water: null,
    kind: 'boundary of permission',
    properties: { source: 'survey', plot: 7, fenced: true },
    note: '',
  },
};
const brook: Exchange = {
  record: 'ground',
  id: `${ID}3`,
  name: 'brook',
  shape: {
    type: 'LineString',
    coordinates: [
      [-90.49, 45.51],
      [-90.485, 45.512],
    ],
  },
  properties: { site: `${ID}8`, water: `${ID}9`, kind: 'stream line', properties: {}, note: '' },
};
const ALL = [station, leave, brook];

interface Feature {
  geometry: { type: string; coordinates: unknown };
  properties: Record<string, unknown>;
}
const parse = (text: string) => new DOMParser().parseFromString(text, 'text/xml') as unknown as Document;
const own = (text: unknown) => readStamp(String(text));
const stampOf = ({ record, id, properties }: Exchange) => ({ record, id, properties });

describe('GPX, KML and GeoJSON, read back by an independent reader', () => {
  it('GPX keeps places to the last digit, and the record in its extensions', () => {
    const text = toGpx(ALL);
    const { features } = gpxToGeoJson(parse(text)) as unknown as { features: Feature[] };
    assert.deepEqual(features.find((f) => f.geometry.type === 'Point')?.geometry.coordinates, station.shape.coordinates);
    const tracks = features.filter((f) => f.geometry.type === 'LineString');
    assert.deepEqual(
      tracks.map((f) => f.geometry.coordinates),
      [(leave.shape.coordinates as unknown[][])[0], brook.shape.coordinates],
    );
    const records = [...parse(text).getElementsByTagName('z:record')].map((node) => own(node.textContent));
    assert.deepEqual(records, ALL.map(stampOf));
  });
  it('KML keeps places, rings and the record in its data', () => {
    const { features } = kmlToGeoJson(parse(toKml(ALL))) as unknown as { features: Feature[] };
    assert.deepEqual(
      features.map((f) => f.geometry),
      ALL.map((t) => t.shape),
    );
    assert.deepEqual(
      features.map((f) => own(f.properties.zaprud)),
      ALL.map(stampOf),
    );
    assert.deepEqual(
      features.map((f) => f.properties.name),
      ALL.map((t) => t.name),
    );
  });
  it('GeoJSON is what JSON reads', () => {
    const { type, features } = JSON.parse(toGeoJson(ALL)) as { type: string; features: Feature[] };
    assert.equal(type, 'FeatureCollection');
    assert.deepEqual(
      features.map((f) => f.geometry),
      ALL.map((t) => t.shape),
    );
    assert.deepEqual(
      features.map((f) => own(f.properties.zaprud)),
      ALL.map(stampOf),
    );
  });
  for (const name of HOSTILE)
    it(`a thing called ${JSON.stringify(name)} is only text in each`, () => {
      const thing = { ...station, name, properties: { ...station.properties, note: name } };
      const [wpt] = (gpxToGeoJson(parse(toGpx([thing]))) as unknown as { features: Feature[] }).features;
      assert.equal(wpt?.properties.name, name);
      const [mark] = (kmlToGeoJson(parse(toKml([thing]))) as unknown as { features: Feature[] }).features;
      assert.equal(mark?.properties.name, name);
      assert.deepEqual(own(mark?.properties.zaprud), stampOf(thing));
    });
  it('any text comes through XML as it went in, but for what XML cannot hold', () =>
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom('<', '>', '&', '"', "'", 'a', ' ', 'é', '\u0001', '\uFFFF', '水') }), (text) => {
        const back = parse(`<a>x${xmlText(text)}</a>`).documentElement.textContent;
        assert.equal(back, `x${[...text].filter((c) => c >= ' ' && c !== '\uFFFF').join('')}`);
      }),
    ));
});

describe('CSV', () => {
  it('a leading = + - @ is neutralised on the way out and restored on the way in', () => {
    for (const text of HOSTILE.slice(0, 4)) {
      const written = toCsv([{ name: text }], ['name']);
      assert.match(written, /\r\n"?'/, written);
      assert.equal(csvRows(written).rows[0]?.name, text);
    }
    assert.equal(restored("'tis"), "'tis");
  });
  it('a negative longitude stays a number', () => {
    const row = csvRows(thingsToCsv([station])).rows[0];
    assert.equal(Number(row?.longitude), -90.4871);
    assert.deepEqual(own(row?.zaprud), stampOf(station));
  });
  it('a broken table is refused with its row', () => assert.match(csvRows('name,latitude\n"open,1\n').problem ?? '', /Row/));
  it('lines and areas stand as well-known text', () => {
    assert.equal(toWkt(brook.shape), 'LINESTRING (-90.49 45.51, -90.485 45.512)');
    assert.equal(toWkt(leave.shape), 'POLYGON ((-90.49 45.51, -90.48 45.51, -90.48 45.52, -90.49 45.51))');
    assert.equal(toWkt(station.shape), 'POINT (-90.4871 45.5123)');
  });
});

describe('what becomes of the things of a file', () => {
  const here: Here = { stations: [], ground: [], sites: [`${ID}8`], waters: [`${ID}9`] };
  const to: Destination = { site: `${ID}8`, water: `${ID}9`, points: 'stations', lines: 'track', areas: 'boundary of permission' };
  const make = (nth: number) => `00000000-0000-4000-8000-${String(nth).padStart(12, '0')}`;
  const bare = (over: Partial<Exchange>): Exchange => ({
    record: null,
    id: null,
    name: 'spot',
    shape: { type: 'Point', coordinates: [-90, 45] },
    properties: {},
    ...over,
  });
  const plan = (things: unknown[], known = here, where = to) => planImport(things, where, known, make, 40);

  it('our own come back with every property', () => {
    const rows = plan(ALL);
    assert.deepEqual(
      rows.map((r) => r.verdict),
      ['new', 'new', 'new'],
    );
    const [first, second] = rows;
    assert.ok(first?.verdict === 'new' && first.as === 'station' && second?.verdict === 'new' && second.as === 'ground');
    const { id, name, lat, lon, ...rest } = first.body;
    assert.deepEqual({ id, name, lat, lon }, { id: station.id, name: 'east run', lat: 45.5123, lon: -90.4871 });
    for (const [key, value] of Object.entries(station.properties)) assert.deepEqual((rest as Record<string, unknown>)[key], value, key);
    assert.deepEqual(second.body.properties, leave.properties.properties);
  });
  it('and are known again: by id, or by name and place', () => {
    const [first, second] = plan(ALL);
    assert.ok(first?.verdict === 'new' && first.as === 'station' && second?.verdict === 'new' && second.as === 'ground');
    const known = { ...here, stations: [first.body], ground: [second.body] };
    assert.deepEqual(
      plan(ALL, known).map((r) => r.verdict),
      ['here', 'here', 'new'],
    );
    const moved = plan([bare({ name: 'east run', shape: station.shape }), bare({ name: 'leave', shape: leave.shape })], known);
    assert.deepEqual(
      moved.map((r) => r.verdict),
      ['here', 'here'],
    );
    assert.deepEqual(
      plan([bare({}), bare({})]).map((r) => r.verdict),
      ['new', 'here'],
      'twice in one file too',
    );
  });
  it('points of other programs become stations with the next numbers, or ground', () => {
    const rows = plan([
      bare({}),
      bare({ name: 'other', shape: { type: 'Point', coordinates: [-90, 45.1] }, properties: { ele: 400, sym: 'Flag', deep: { a: 1 } } }),
    ]);
    assert.deepEqual(
      rows.flatMap((r) => (r.verdict === 'new' && r.as === 'station' ? [r.body.number] : [])),
      [40, 41],
    );
    const [row] = plan([bare({ properties: { ele: 400, sym: 'Flag', deep: { a: 1 } } })], here, { ...to, points: 'ground' });
    assert.ok(row?.verdict === 'new' && row.as === 'ground');
    assert.deepEqual(row.body.properties, { ele: 400, sym: 'Flag' });
  });
  const refusals: [string, unknown, RegExp, Destination?][] = [
    ['a set', bare({ record: 'set', id: `${ID}4` }), /bench/],
    ['a site', bare({ record: 'site', id: `${ID}4` }), /by hand/],
    ['a station without its water', bare({}), /needs its water/, { ...to, water: null }],
    ['a latitude over 90', bare({ shape: { type: 'Point', coordinates: [0, 91] } }), /.+/],
    ['a line of one place', bare({ shape: { type: 'LineString', coordinates: [[0, 1]] } }), /two points/],
    [
      'an area with a hole',
      bare({
        shape: {
          type: 'Polygon',
          coordinates: [
            (leave.shape.coordinates as [number, number][][])[0] ?? [],
            (leave.shape.coordinates as [number, number][][])[0] ?? [],
          ],
        },
      }),
      /holes/,
    ],
    ['a station of no kind', { ...station, properties: { ...station.properties, along: 'far' } }, /not a length/],
    ['nothing', null, /.+/],
  ];
  for (const [what, thing, say, where] of refusals)
    it(`${what} is refused, with the reason`, () => {
      const [row] = plan([thing], here, where);
      assert.equal(row?.verdict, 'refused');
      assert.match(row?.verdict === 'refused' ? row.reason : '', say);
    });
  it('a number that another station has is refused', () => {
    const rows = plan([station, { ...station, id: `${ID}5`, name: 'twin' }]);
    assert.match(rows[1]?.verdict === 'refused' ? rows[1].reason : '', /number 12/);
  });
  it('lines and areas of other programs become what was said, unless they say it themselves', () => {
    const line = bare({ name: 'way', shape: brook.shape });
    const said = bare({ name: 'bank', shape: leave.shape, properties: { kind: 'shore' } });
    const kinds = plan([line, said], here, { ...to, lines: 'road', areas: 'boundary of permission' }).map(
      (r) => r.verdict === 'new' && r.body.kind,
    );
    assert.deepEqual(kinds, ['road', 'shore']);
  });
  it('two shapes are the same within a centimetre and no further', () => {
    assert.ok(
      sameShape(brook.shape, {
        type: 'LineString',
        coordinates: [
          [-90.49, 45.51],
          [-90.48500000005, 45.512],
        ],
      }),
    );
    assert.ok(
      !sameShape(brook.shape, {
        type: 'LineString',
        coordinates: [
          [-90.49, 45.51],
          [-90.48501, 45.512],
        ],
      }),
    );
    assert.ok(!sameShape(brook.shape, station.shape));
  });
  it('a stamp that is none is nothing', () => {
    assert.equal(readStamp('{"record":"king"}'), null);
    assert.equal(readStamp('<x>'), null);
    assert.deepEqual(readStamp(stamp(station)), stampOf(station));
  });
});
