import { error } from '@sveltejs/kit';
import { toGpx } from '#core/formats/gpx';
import { isId } from '#lib/form/newId';
import { loadSeason } from '$lib/server/season';
import type { RequestHandler } from './$types';

/** The stops of a day as waypoints, numbered in their order; a place that lies nowhere is left out. */
export const GET: RequestHandler = async ({ locals, url }) => {
  const season = await loadSeason(locals);
  if (!season) error(404, 'No line was begun: there is nothing to go to.');
  const order = (url.searchParams.get('stops') ?? '').split(',').filter(isId);
  const views = order.length > 0 ? order.flatMap((id) => season.views.find((v) => v.id === id) ?? []) : season.views;
  const stops = views.flatMap(({ number, name, station }, i) =>
    station.lat === null || station.lon === null
      ? []
      : [
          {
            ...{ record: null, id: null, name: `${i + 1}: ${number} ${name}` },
            ...{ shape: { type: 'Point' as const, coordinates: [station.lon, station.lat] as [number, number] }, properties: {} },
          },
        ],
  );
  return new Response(toGpx(stops), {
    headers: { 'content-type': 'application/gpx+xml; charset=utf-8', 'content-disposition': 'attachment; filename="zaprud-stops.gpx"' },
  });
};
