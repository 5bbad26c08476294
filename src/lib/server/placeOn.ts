import { alongLine, type Position } from '#core/ground/geodesic';
import { pointsOf } from '#core/ground/points';
import { db } from './database';
import { grounds } from './repositories/scouting';

/** Where a place lies that is `along` metres down a water, by its line on the map; null when none was drawn. It can be moved there. */
export async function placeOn({ who }: App.Locals, water: string, along: number): Promise<Position | null> {
  const line = (await grounds(db(), who.crew)).find((g) => g.water === water && (g.kind === 'stream line' || g.kind === 'shore'));
  if (!line || line.shape.type === 'Point') return null;
  const { points } = pointsOf(line.shape);
  return points.length > 1 ? alongLine(points, along) : null;
}
