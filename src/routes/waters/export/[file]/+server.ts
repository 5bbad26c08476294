import { error } from '@sveltejs/kit';
import type { Exchange } from '#core/formats/exchange';
import { toGeoJson } from '#core/formats/geojson';
import { toGpx } from '#core/formats/gpx';
import { toKml } from '#core/formats/kml';
import { thingsToCsv } from '$lib/exchange/csv';
import { thingsOf } from '$lib/server/exchange';
import type { RequestHandler } from './$types';

const FORMATS: Record<string, { type: string; write: (things: Exchange[]) => string }> = {
  'zaprud.geojson': { type: 'application/geo+json', write: toGeoJson },
  'zaprud.gpx': { type: 'application/gpx+xml', write: toGpx },
  'zaprud.kml': { type: 'application/xml', write: toKml },
  'zaprud.csv': { type: 'text/csv', write: thingsToCsv },
};

export const GET: RequestHandler = async ({ params, locals, url }) => {
  const format = FORMATS[params.file];
  if (!format) error(404, 'There is no such file: take zaprud.geojson, zaprud.gpx, zaprud.kml or zaprud.csv.');
  const body = format.write(await thingsOf(locals, url.searchParams.get('site')));
  return new Response(body, {
    headers: {
      'content-type': `${format.type}; charset=utf-8`,
      'content-disposition': `attachment; filename="${params.file}"`,
      'cache-control': 'no-store',
    },
  });
};
