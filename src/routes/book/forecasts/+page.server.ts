import { redirect } from '@sveltejs/kit';
import { shareLimits } from '#core/effort/interval';
import { momentText } from '#core/time/clock';
import type { Gauge } from '#core/record/kinds';
import { levelText } from '#core/units/frame';
import { printLength } from '#core/units/length';
import { pairsOf, qualityOf, type Pair } from '#core/water/quality';
import { db } from '$lib/server/database';
import { forecastsSince } from '$lib/server/repositories/moving';
import { recentReadings } from '$lib/server/repositories/readings';
import { loadSeason } from '$lib/server/season';
import { frameOf } from '#core/ahead/facts';
import type { PageServerLoad } from './$types';

const DAY = 86_400_000;
/** What a band promises. */
const PROMISED = 0.8;

/** What was forecast each evening against what came. */
export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals);
  if (!season) redirect(303, '/begin');
  const { system } = locals.who.person;
  const since = new Date(locals.now.getTime() - 60 * DAY);
  const [kept, readings] = await Promise.all([
    forecastsSince(db(), locals.who.crew, season.gauges, since),
    recentReadings(db(), season.gauges, since, locals.now),
  ]);
  const printer =
    (g: Gauge) =>
    (level: number): string =>
      levelText(level, frameOf(season, g.water, system), g.surface);
  const pairs = season.gauges.map((g) => ({
    gauge: g,
    pairs: pairsOf(
      kept.filter((k) => k.gauge === g.id).map((k) => ({ made: k.made.getTime(), points: k.points })),
      readings[g.id] ?? [],
    ),
  }));
  const signed = (m: number): string =>
    Math.abs(m) < 0.0008 ? 'none' : `${printLength(Math.abs(m), system)} too ${m > 0 ? 'high' : 'low'}`;
  const rows = (own: readonly Pair[]) =>
    qualityOf(own, shareLimits).map((q) => ({
      span: `${q.from} to ${q.to} h`,
      pairs: q.pairs,
      bias: q.pairs === 0 ? '–' : signed(q.bias),
      off: q.pairs === 0 ? '–' : printLength(q.off, system),
      inside: q.pairs === 0 ? '–' : `${Math.round(q.inside * 100)}%`,
      limits: q.pairs === 0 ? '' : `${Math.round(q.insideLow * 100)} to ${Math.round(q.insideHigh * 100)}%`,
      verdict:
        q.pairs === 0
          ? 'nothing to hold against'
          : q.insideHigh < PROMISED
            ? 'too narrow'
            : q.insideLow > PROMISED
              ? 'wider than needed'
              : 'as promised, as far as so few tell',
    }));
  const all = pairs.flatMap((p) => p.pairs);
  const hits = all.filter((p) => p.came >= p.low && p.came <= p.high).length;
  const bias = all.length === 0 ? 0 : all.reduce((sum, p) => sum + p.middle - p.came, 0) / all.length;
  return {
    kept: kept.length,
    sentence:
      all.length === 0
        ? 'Nothing was forecast and read since: a forecast is kept whenever a reading is saved.'
        : `${hits} of ${all.length} readings came into the forecast range, ${Math.round((hits / all.length) * 100)}%; 80% were promised. In the mean it was ${Math.abs(bias) < 0.0008 ? 'neither too high nor too low' : signed(bias)}.`,
    whole: rows(all),
    gauges: pairs
      .filter((p) => p.pairs.length > 0)
      .map(({ gauge, pairs: own }) => ({ gauge, own, print: printer(gauge) }))
      .map(({ gauge, own, print }) => ({
        id: gauge.id,
        water: gauge.water,
        name: `${season.waters.find((w) => w.id === gauge.water)?.name ?? ''}, ${gauge.name}`,
        rows: rows(own),
        last: [...own]
          .sort((a, b) => b.made - a.made || a.at - b.at)
          .slice(0, 8)
          .map((p) => ({
            made: momentText(new Date(p.made), season.clock),
            at: momentText(new Date(p.at), season.clock),
            said: `${print(p.middle)} (${print(p.low)} to ${print(p.high)})`,
            came: print(p.came),
            inside: p.came >= p.low - 1e-9 && p.came <= p.high + 1e-9,
          })),
      })),
  };
};
