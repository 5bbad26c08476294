import { redirect } from '@sveltejs/kit';
import type { TrapSet } from '#core/record/kinds';
import { bandIn, designAt, stretchesOf } from '#core/sets/history';
import type { Station } from '#core/stations/placed';
import { momentText, spanText } from '#core/time/clock';
import { outsideBand } from '#core/water/outsideBand';
import { hoursInBand } from '#core/water/series';
import { bandText } from '#core/water/state';
import { db } from '$lib/server/database';
import { groundOf } from '#lib/season/oneSet';
import { checks } from '$lib/server/repositories/checks';
import { allReadings } from '$lib/server/repositories/readings';
import type { ReadingsByGauge } from '#lib/season/packed';
import { index } from '#lib/season/season';
import { loadSeason } from '$lib/server/season';
import { frameOf } from '#core/ahead/facts';
import { firstStay } from '#core/effort/totals';
import { caughtAt, levelsOf, type Stood } from '$lib/server/stoodThen';
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

interface Told extends Stood {
  readings: (surface: 'pond' | 'tail') => ReadingsByGauge[string];
}

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
