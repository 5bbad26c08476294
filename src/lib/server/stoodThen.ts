import type { Check, TrapSet } from '#core/record/kinds';
import { designAt } from '#core/sets/history';
import { justBefore, type Ground } from '#core/sets/standing';
import { momentText } from '#core/time/clock';
import type { Frame } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { axisOf } from '#core/water/layout';
import { levelAt, type LevelAt, UNKNOWN } from '#core/water/levelAt';
import { levelAtText } from '#core/water/levelText';
import { heightAt } from '#core/water/need';
import type { ReadingsByGauge } from '#lib/season/packed';
import type { Season } from '#lib/season/season';

/** What says how a set stood in the water at a moment. */
export interface Stood {
  ground: Ground;
  frame: Frame;
  levelOf: (surface: 'pond' | 'tail', at: Date) => LevelAt;
  now: Date;
}

/** The level of a water at any moment of its readings. */
export const levelsOf =
  (season: Pick<Season, 'gauges'>, water: string, readings: ReadingsByGauge) =>
  (surface: 'pond' | 'tail', at: Date): LevelAt => {
    const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
    return gauge ? levelAt(readings[gauge.id] ?? [], at) : UNKNOWN;
  };

/** How a set stood when it caught: as it was before the check changed anything. */
export function caughtAt(set: TrapSet, visit: Check, { ground, frame, levelOf, now }: Stood) {
  const caught = visit.devices.filter((d) => d.catch);
  if (caught.length === 0) return [];
  const at = new Date(visit.at);
  const then = designAt(set, justBefore(at), ground, frame.system);
  return caught.map((d) => {
    const position = set.stays.find((s) => s.id === d.stay)?.position;
    const need = then.needs.find((n) => n.device === position) ?? then.needs[0];
    const axis = need && axisOf(then, need.device) === 'tail' ? 'tail' : 'pond';
    const [pond, tail] = [levelOf('pond', at), levelOf('tail', at)];
    const known = { ...(pond.how === 'unknown' ? {} : { pond: pond.level }), ...(tail.how === 'unknown' ? {} : { tail: tail.level }) };
    const height = need ? heightAt(need, then.parts, known) : null;
    const level = levelAtText(axis === 'tail' ? tail : pond, frame, axis, now);
    const depth =
      need && height !== null
        ? `${need.called} ${printLength(Math.abs(height), frame.system)} ${height > 0 ? 'over' : 'under'} the water, `
        : '';
    return { text: `${momentText(at, frame)}: ${d.catch?.species ?? ''}`, stood: `${depth}${level}` };
  });
}
