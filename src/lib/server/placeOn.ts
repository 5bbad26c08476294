import { alongLine, type Position } from '#core/ground/geodesic';
import { lineOf } from '#core/ground/points';
import { db } from './database';
import { grounds } from './repositories/scouting';

/** Where a place lies that is `along` metres down a water, by its line on the map; null when none was drawn. It can be moved there. */
export async function placeOn({ who }: App.Locals, water: string, along: number): Promise<Position | null> {
  const line = lineOf(await grounds(db(), who.crew), water);
  return line && alongLine(line, along);
}
