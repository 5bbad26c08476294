import type { Exchange } from '#core/formats/exchange';
import { db } from './database';
import { sites } from './repositories/places';
import { grounds } from './repositories/scouting';
import { loadSeason } from './season';

/** Everything of the map as it goes into a file; of one site when `site` is given. */
export async function thingsOf(locals: App.Locals, site: string | null): Promise<Exchange[]> {
  const [season, places, ground] = await Promise.all([loadSeason(locals), sites(db(), locals.who.crew), grounds(db(), locals.who.crew)]);
  const of = <T>(list: T[], siteOf: (thing: T) => string): T[] => (site ? list.filter((thing) => siteOf(thing) === site) : list);
  const siteOfWater = Object.fromEntries((season?.waters ?? []).map((w) => [w.id, w.site]));
  return [
    ...of(places, (p) => p.id).flatMap(({ id, name, lat, lon, entry: _, ...rest }): Exchange[] =>
      lat === null || lon === null
        ? []
        : [{ record: 'site', id, name, shape: { type: 'Point', coordinates: [lon, lat] }, properties: rest }],
    ),
    ...of(ground, (g) => g.site).map(({ id, name, shape, entry: _, ...rest }): Exchange => ({
      record: 'ground',
      id,
      name,
      shape,
      properties: rest,
    })),
    ...of(season?.stored.stations ?? [], (s) => siteOfWater[s.water] ?? '').flatMap(
      ({ id, name, lat, lon, entry: _, ...rest }): Exchange[] =>
        lat === null || lon === null
          ? []
          : [
              {
                record: 'station',
                id,
                name,
                shape: { type: 'Point', coordinates: [lon, lat] },
                properties: rest as Exchange['properties'],
              },
            ],
    ),
    ...of(season?.views ?? [], (v) => siteOfWater[v.station.water] ?? '').flatMap((v): Exchange[] =>
      v.station.lat === null || v.station.lon === null
        ? []
        : [
            {
              record: 'set',
              id: v.id,
              name: v.name,
              shape: { type: 'Point', coordinates: [v.station.lon, v.station.lat] },
              properties: { number: v.number, type: v.type, state: v.state, station: v.station.id, anchor: v.anchor, opens: v.opens },
            },
          ],
    ),
  ];
}
