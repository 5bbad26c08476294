import { error, redirect } from '@sveltejs/kit';
import { simulateGauge } from '#core/sim/gauge';
import { statesOf } from '#core/sets/standing';
import { dayText, momentText } from '#core/time/clock';
import { toField, wholeMinute } from '#core/time/localTime';
import { INCH } from '#core/units/factors';
import { levelText, onGauge } from '#core/units/frame';
import { smallUnit } from '#core/units/length';
import { moved, shownBy } from '#core/water/gauge';
import { thinned, unpacked } from '#core/water/logger';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { keepForecasts } from '$lib/server/keepForecasts';
import { movingOf } from '#core/ahead/moving';
import { idBeside, newId } from '#lib/form/newId';
import { reasonsText } from '#core/ahead/setOutlook';
import { bodyOf } from '#core/record/written';
import { record } from '$lib/server/record/write';
import { forecastsSince, levelsSince, loggers } from '$lib/server/repositories/moving';
import { waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

const DAY = 86_400_000;
const SPANS = [7, 14, 35, 100, 366] as const;
/** A drawing of the usual width shows no more than this of a course. */
const DRAWN = 1 / 900;

export const load: PageServerLoad = async ({ locals, params, url }) => {
  const { water, season, levels, frame } = await waterOf(locals, params.water);
  const { system, zone } = frame;
  const surface = url.searchParams.get('surface') === 'tail' ? 'tail' : 'pond';
  const gauges = season.gauges.filter((g) => g.water === water.id);
  const gauge = gauges.find((g) => g.surface === surface);
  const asked = Number(url.searchParams.get('days'));
  const days = SPANS.find((d) => d === asked) ?? 14;
  const since = new Date(locals.now.getTime() - days * DAY);
  const moving = movingOf(season, locals.now);
  const outlook = moving.waters[water.id]?.[surface] ?? null;
  const [all, kept, files] = gauge
    ? await Promise.all([
        levelsSince(db(), locals.who.crew, gauge, since),
        forecastsSince(db(), locals.who.crew, season.gauges, since),
        loggers(db(), locals.who.crew, gauge.id),
      ])
    : [[], [], []];
  const unit = system === 'us' ? INCH : 0.01;
  const number = (level: number): number => Math.round((onGauge(level, frame, surface) / unit) * 100) / 100;
  const clock = (ms: number): string => toField(new Date(ms), zone);
  const span = all.length > 0 ? Math.max(...all.map((r) => r.level)) - Math.min(...all.map((r) => r.level)) : 0;
  const drawn =
    all.length > 600
      ? thinned(
          all.map((r) => ({ at: r.at.getTime(), level: r.level })),
          Math.max(0.001, span * DRAWN),
        )
      : all.map((r) => ({ at: r.at.getTime(), level: r.level }));
  const own = gauge ? kept.filter((k) => k.gauge === gauge.id).slice(-8) : [];
  return {
    water,
    surface,
    gauges: gauges.map((g) => ({ surface: g.surface, name: g.name })),
    gauge: gauge?.id ?? null,
    days,
    spans: SPANS,
    unit: smallUnit(system),
    count: all.length,
    past: { name: gauge?.name ?? 'gauge', x: drawn.map((r) => clock(r.at)), y: drawn.map((r) => number(r.level)) },
    ahead: outlook
      ? {
          x: outlook.courses.middle.map((p) => clock(outlook.from.getTime() + p.at * 1000)),
          low: outlook.courses.low.map((p) => number(p.level)),
          middle: outlook.courses.middle.map((p) => number(p.level)),
          high: outlook.courses.high.map((p) => number(p.level)),
        }
      : null,
    reasons: outlook ? reasonsText(outlook, locals.now, system) : '',
    kept: own.map((k) => ({
      x: k.points.map((p) => clock(p.at)),
      low: k.points.map((p) => number(p.low)),
      middle: k.points.map((p) => number(p.middle)),
      high: k.points.map((p) => number(p.high)),
    })),
    bands: season.views
      .filter((v) => v.station.water === water.id && v.state === 'live')
      .flatMap((v) =>
        statesOf(v, levels, frame)
          .filter((s) => s.axis === surface && s.band && !v.follows)
          .slice(0, 1)
          .map((s) => ({ name: `${v.number} ${v.name}`, low: number(s.band?.min ?? 0), high: number(s.band?.max ?? 0) })),
      ),
    table: [...all]
      .reverse()
      .slice(0, 60)
      .map((r) => ({ at: momentText(r.at, frame), level: levelText(r.level, frame, surface), source: r.source })),
    aheadTable: outlook
      ? outlook.courses.middle
          .map((p, i) => ({ p, i }))
          .filter(({ p }) => Math.abs(p.at % 21_600) < 1)
          .map(({ p, i }) => ({
            at: momentText(new Date(outlook.from.getTime() + p.at * 1000), frame),
            level: levelText(p.level, frame, surface),
            low: levelText(outlook.courses.low[i]?.level ?? p.level, frame, surface),
            high: levelText(outlook.courses.high[i]?.level ?? p.level, frame, surface),
          }))
      : [],
    files: files.map((f) => ({
      entry: f.entry_id,
      text: `${f.name}: ${f.rows} rows, ${dayText(f.from, frame)} to ${dayText(f.to, frame)}`,
    })),
    moved: gauge?.earlier.map((e) => dayText(new Date(e.until), frame)) ?? [],
    now: locals.now.getTime(),
    nowField: toField(locals.now, zone),
    ids: { file: newId(), sim: newId(), moved: newId() },
  };
};

export const actions: Actions = {
  /** Takes a logger's stretch: the page sends it thinned and packed, and it is looked at again here, whole or not at all. */
  logger: async ({ request, locals, params, url }) => {
    const { season } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const surface = url.searchParams.get('surface') === 'tail' ? 'tail' : 'pond';
    const gauge = season.gauges.find((g) => g.water === params.water && g.surface === surface);
    const points = unpacked(read.text('points'));
    if (!gauge) read.refuse('file', 'This water has no gauge on that surface.');
    if (!points || points.length === 0) read.refuse('file', 'Choose a table of time and level first.');
    else if (points.some((p) => p.at > locals.now.getTime()))
      read.refuse('file', 'Some of its rows lie in the future: look at its clock and zone.');
    const rows = Number(read.text('rows'));
    if (!read.ok() || !gauge || !points) return refused(read);
    const form = read.text('form');
    const [from, to] = [points[0]?.at ?? 0, points.at(-1)?.at ?? 0].map((ms) => wholeMinute(new Date(ms)));
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: idBeside(form, 'entry'),
          crew: locals.who.crew,
          kind: 'logged',
          occurredAt: to ?? locals.now,
          by: locals.who.person.id,
          body: {
            id: form,
            gauge: gauge.id,
            name: read.text('name') || 'logger',
            from: (from ?? locals.now).toISOString(),
            to: (to ?? locals.now).toISOString(),
            rows: Number.isInteger(rows) && rows >= points.length ? rows : points.length,
            points,
            note: '',
          },
        }),
      () => 'file',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/levels?surface=${surface}&taken=${points.length}`);
  },

  /** Reads the simulated gauge. */
  simulated: async ({ request, locals, params, url }) => {
    const { season, levels } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const surface = url.searchParams.get('surface') === 'tail' ? 'tail' : 'pond';
    const gauge = season.gauges.find((g) => g.water === params.water && g.surface === surface);
    if (!gauge) error(404, 'This water has no gauge on that surface.');
    const past = await levelsSince(db(), locals.who.crew, gauge, new Date(locals.now.getTime() - 20 * DAY));
    const usual = past.length > 0 ? past.reduce((sum, r) => sum + r.level, 0) / past.length : 0.5;
    const at = wholeMinute(locals.now);
    const level = simulateGauge(at.getTime() / 60_000, levels.known[surface] ?? usual, usual, (levels.age[surface] ?? 0) / 3_600_000);
    const shown = shownBy(gauge, level, at.getTime());
    const form = read.text('sim');
    const result = await attempt(read, () =>
      record(db(), {
        id: idBeside(form, 'entry'),
        crew: locals.who.crew,
        kind: 'reading',
        occurredAt: at,
        by: locals.who.person.id,
        body: { id: form, gauge: gauge.id, at: at.toISOString(), level: shown, bound: 'exact', source: 'simulated', set: null, note: '' },
      }),
    );
    if ('failure' in result) return result.failure;
    if (result.done === 'written') await keepForecasts(locals, gauge.id, form, at);
    redirect(303, `/waters/${params.water}/levels?surface=${surface}&read=1`);
  },

  /** A gauge that was moved: it hangs elsewhere from then on, and what was read on it since says other levels at once. */
  moved: async ({ request, locals, params, url }) => {
    const { season } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const surface = url.searchParams.get('surface') === 'tail' ? 'tail' : 'pond';
    const gauge = season.gauges.find((g) => g.water === params.water && g.surface === surface);
    const at = read.instant('moved', season.line.zone);
    const [before, after] = [read.length('before'), read.length('after')];
    if (before === undefined) read.refuse('before', 'Type what it showed before it was moved.');
    if (after === undefined) read.refuse('after', 'Type what it showed after it was moved, the water standing where it stood.');
    if (at && at > locals.now) read.refuse('moved', 'It cannot have been moved in the future.');
    if (!gauge) read.refuse('moved', 'This water has no gauge on that surface.');
    if (!read.ok() || !gauge || !at || before === undefined || after === undefined) return refused(read);
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: idBeside(read.text('form'), 'entry'),
          crew: locals.who.crew,
          by: locals.who.person.id,
          kind: 'gauge',
          occurredAt: at,
          opened: gauge.entry,
          body: moved(bodyOf(gauge), at, before, after),
        }),
      () => 'after',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/levels?surface=${surface}&moved=1`);
  },
};
