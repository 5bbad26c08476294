import { error } from '@sveltejs/kit';
import { sectionScene } from '#core/scene/section';
import { db } from '$lib/server/database';
import { loadPlan } from '$lib/server/planning';
import { grounds } from '$lib/server/repositories/scouting';
import { frameOf } from '#core/ahead/facts';
import type { PageServerLoad } from './$types';

/** The plan on paper: map, section and table of the water with most to set, or of the one asked for. */
export const load: PageServerLoad = async ({ locals, url }) => {
  const plan = await loadPlan(locals, url.searchParams);
  if (!plan) error(404, 'No line was begun yet: begin one first.');
  const { season, rows, ...rest } = plan;
  const take = rows.filter((r) => r.take);
  const counts = new Map<string, number>();
  for (const row of [...take, ...rows]) counts.set(row.waterId, (counts.get(row.waterId) ?? 0) + (row.take ? 100 : 1));
  const chosen = rest.asked.water ?? [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  const water = season.waters.find((w) => w.id === chosen);
  if (!water) error(404, 'There is no water to plan on.');
  const stations = season.stations.filter((s) => s.water === water.id);
  const levels = season.levels[water.id] ?? { known: {}, age: {}, atMost: {} };
  const ground = (await grounds(db(), locals.who.crew)).filter((g) => g.water === water.id);
  return {
    plan: { ...rest, take, left: rows.filter((r) => !r.take && r.waterId === water.id) },
    water,
    level: levels.known.pond ?? null,
    scene: sectionScene({
      water,
      stations,
      views: season.views.filter((v) => v.station.water === water.id),
      levels,
      earlier: null,
      frame: frameOf(season, water.id, locals.who.person.system),
      size: { width: 1280, height: 430, columns: false },
    }),
    ground: ground.map(({ id, kind, name, shape }) => ({ id, kind, name, shape })),
    stations: stations.map((s) => ({ id: s.id, number: s.number, lat: s.lat, lon: s.lon, take: take.some((r) => r.id === s.id) })),
  };
};
