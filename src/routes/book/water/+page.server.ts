import { redirect } from '@sveltejs/kit';
import type { Check, TrapSet } from '#core/record/kinds';
import { bandIn, designAt, stretchesOf } from '#core/sets/history';
import { justBefore, type Ground } from '#core/sets/standing';
import type { Station } from '#core/stations/placed';
import { momentText, spanText } from '#core/time/clock';
import type { Frame } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { axisOf } from '#core/water/layout';
import { levelAt, type LevelAt, UNKNOWN } from '#core/water/levelAt';
import { levelAtText } from '#core/water/levelText';
import { heightAt } from '#core/water/need';
import { outsideBand } from '#core/water/outsideBand';
import { hoursInBand } from '#core/water/series';
import { bandText } from '#core/water/state';
import { db } from '$lib/server/database';
import { groundOf } from '#lib/season/oneSet';
import { checks } from '$lib/server/repositories/checks';
import { allReadings } from '$lib/server/repositories/readings';
import type { ReadingsByGauge } from '#lib/season/packed';
import { index, type Season } from '#lib/season/season';
import { loadSeason } from '$lib/server/season';
import { frameOf } from '#core/ahead/facts';
import { firstStay } from '#core/effort/totals';
import type { PageServerLoad } from './$types';

const HOUR = 3_600_000;

/** How deep each set stood when it caught, and from when to when it was outside its band. */
export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals, ['live', 'pulled']);
  if (!season) redirect(303, '/begin');
  const [visits, readings] = await Promise.all([
    checks(db(), locals.who.crew, { line: season.line.id }),
    allReadings(db(), season.gauges, firstStay(season.sets)),
  ]);
  const stations = index<Station>(season.stations);
  const sets = season.sets.flatMap((set) => {
    const station = stations[set.station];
    if (!station || set.stays.length === 0) return [];
    const told: Told = {
      ground: groundOf(season, station),
      frame: frameOf(season, station.water, locals.who.person.system),
      levelOf: levelsOf(season, station.water, readings),
      readings: (surface) => readings[season.gauges.find((g) => g.water === station.water && g.surface === surface)?.id ?? ''] ?? [],
      now: locals.now,
    };
    const own = visits.filter((v) => v.set === set.id);
    return [
      { id: set.id, name: `${set.number} ${set.name}`, ...outsideOf(set, told), catches: own.flatMap((v) => caughtAt(set, v, told)) },
    ];
  });
  return { sets: sets.sort((a, b) => b.hours - a.hours) };
};

interface Told {
  ground: Ground;
  frame: Frame;
  levelOf: (surface: 'pond' | 'tail', at: Date) => LevelAt;
  readings: (surface: 'pond' | 'tail') => ReadingsByGauge[string];
  now: Date;
}

const levelsOf =
  (season: Season, water: string, readings: ReadingsByGauge) =>
  (surface: 'pond' | 'tail', at: Date): LevelAt => {
    const gauge = season.gauges.find((g) => g.water === water && g.surface === surface);
    return gauge ? levelAt(readings[gauge.id] ?? [], at) : UNKNOWN;
  };

/** When the first device of a set stood outside its band, for how long, and for how long nothing is known. */
function outsideOf(set: TrapSet, { ground, frame, readings, now }: Told) {
  const from = new Date(Math.min(...set.stays.map((s) => Date.parse(s.from))));
  const to = set.stays.some((s) => s.to === null) ? now : new Date(Math.max(...set.stays.map((s) => Date.parse(s.to ?? ''))));
  const device = designAt(set, from, ground, frame.system).needs[0]?.device;
  const when = (at: Date): string => momentText(at, frame);
  let [hours, unknown] = [0, 0];
  const spans = stretchesOf(set, from, to, ground).flatMap((stretch) => {
    const { axis, band, may } = device ? bandIn(set, stretch, device, stretch.laid.then) : { axis: 'pond' as const, band: null, may: null };
    const whole = (stretch.to.getTime() - stretch.from.getTime()) / HOUR;
    if (!band || !may || (axis !== 'pond' && axis !== 'tail')) {
      if (device) unknown += whole;
      return [];
    }
    const series = readings(axis);
    const most = hoursInBand(series, stretch.from, stretch.to, may).high;
    hours += whole - most;
    unknown += most - hoursInBand(series, stretch.from, stretch.to, band).low;
    return outsideBand(series, stretch.from, stretch.to, may).map((o) => ({
      text: o.sometime
        ? `for some time between ${when(o.from)} and ${when(o.to)}, above its working range by a high-water mark (${bandText(may, frame, axis)})`
        : `${when(o.from)} to ${when(o.to)}, ${o.side} its working range (${bandText(may, frame, axis)})`,
    }));
  });
  return { hours: Math.round(hours), unknown: unknown < 1 ? '' : spanText(unknown * HOUR), spans };
}

/** How a set stood when it caught: as it was before the check changed anything. */
function caughtAt(set: TrapSet, visit: Check, { ground, frame, levelOf, now }: Told) {
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
