import { redirect } from '@sveltejs/kit';
import { upwindText } from '#core/ground/wind';
import { frostText, gustText } from '#core/units/speed';
import { simulateExpected, simulateHours } from '#core/sim/weather';
import { dayText, momentText } from '#core/time/clock';
import { addDays, instantOf, localDate, toField, wholeMinute } from '#core/time/localTime';
import { sunOf } from '#core/time/sun';
import { daysOf, merged, observed } from '#core/weather/hours';
import { planWeather } from '#core/weather/table';
import { rainText, tempText } from '#core/units/weather';
import { tonight } from '#core/weather/tonight';
import { tell } from '#core/words/finding';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader, type Reader } from '#lib/form/reader';
import { idBeside, newId } from '#lib/form/newId';
import { record } from '$lib/server/record/write';
import { weatherSince } from '$lib/server/repositories/moving';
import { grounds } from '$lib/server/repositories/scouting';
import { loadSeason } from '$lib/server/season';
import type { Actions, PageServerLoad } from './$types';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals);
  if (!season) redirect(303, '/begin');
  const { now, who } = locals;
  const { system } = who.person;
  const { zone } = season.line;
  const [stretches, ground] = await Promise.all([
    weatherSince(db(), who.crew, new Date(now.getTime() - 40 * DAY)),
    grounds(db(), who.crew),
  ]);
  const hours = merged(stretches);
  const today = localDate(now, zone);
  const sun = sunOf(today, zone, season.line);
  const dusk = sun.sunset ?? new Date(now.getTime() + 8 * HOUR);
  const dawn = sunOf(addDays(today, 1), zone, season.line).sunrise ?? new Date(now.getTime() + 24 * HOUR);
  const hour = hours.find((h) => h.at <= now.getTime() && h.at + HOUR > now.getTime());
  const near = hours.filter((h) => h.at >= now.getTime() - 30 * HOUR && h.at <= now.getTime() + 72 * HOUR);
  const degrees = (c: number): number => (system === 'us' ? Math.round((c * 9) / 5 + 32) : Math.round(c * 10) / 10);
  const wet = (mm: number): number => (system === 'us' ? Math.round((mm / 25.4) * 100) / 100 : mm);
  const clock = (ms: number): string => toField(new Date(ms), zone);
  return {
    findings: tonight(hours, { now: now.getTime(), dusk: dusk.getTime(), dawn: dawn.getTime() }).map((f) => tell(f, system)),
    banks: hour
      ? ground
          .filter((g) => g.water && (g.kind === 'shore' || g.kind === 'stream line'))
          .map((g) => ({
            id: g.id,
            name: season.waters.find((w) => w.id === g.water)?.name ?? g.name,
            text: upwindText(
              g.kind as 'shore',
              g.shape.type === 'Polygon' ? (g.shape.coordinates[0] ?? []) : g.shape.type === 'LineString' ? g.shape.coordinates : [],
              { from: hour.from, speed: hour.wind },
            ),
          }))
      : [],
    wind: hour ? `${gustText(hour.wind, system)} from ${Math.round(hour.from)}°, ${tempText(hour.temperature, system)}` : null,
    told: stretches.at(-1) ? `${stretches.at(-1)?.station}, told ${momentText(new Date(stretches.at(-1)?.made ?? 0), season.clock)}` : null,
    chart: {
      x: near.map((h) => clock(h.at)),
      temperature: near.map((h) => degrees(h.temperature)),
      rain: near.map((h) => wet(h.rain)),
      snow: near.map((h) => wet(h.snow * 10)),
      now: clock(now.getTime()),
      units: system === 'us' ? ['°F', 'in'] : ['°C', 'mm'],
    },
    days: daysOf(hours, instantOf(addDays(today, -7), '00:00', zone).getTime(), 11).map((d) => ({
      at: dayText(new Date(d.at + 12 * HOUR), season.clock),
      ahead: d.at > now.getTime(),
      low: tempText(d.low, system),
      high: tempText(d.high, system),
      rain: rainText(d.rain, system),
      snow: rainText(d.snow * 10, system),
      frost: frostText(d.frost, system),
      wind: gustText(d.wind, system),
    })),
    known: [...observed(stretches)],
    ids: { file: newId(), sim: newId() },
  };
};

function rowsIn(read: Reader): Record<string, string>[] {
  try {
    const parsed: unknown = JSON.parse(read.text('rows'));
    if (Array.isArray(parsed)) return parsed as Record<string, string>[];
  } catch {
    // said below, in words
  }
  read.refuse('file', 'Choose a table of hours first.');
  return [];
}

export const actions: Actions = {
  /** Takes the hours of a table; decided here again by the same rules as the preview. */
  file: async ({ request, locals }) => {
    const season = await loadSeason(locals);
    if (!season) redirect(303, '/begin');
    const read = reader(await request.formData(), locals.who);
    const rows = rowsIn(read);
    if (!read.ok()) return refused(read);
    const known = observed(await weatherSince(db(), locals.who.crew, new Date(0)));
    const plan = planWeather(rows, known, season.line.zone);
    if (plan.problem) read.refuse('file', plan.problem);
    else if (plan.hours.length === 0)
      read.refuse('file', plan.here > 0 ? 'Every hour of that table is in the record already.' : 'No row of that table is an hour.');
    if (!read.ok()) return refused(read);
    const form = read.text('form');
    const result = await attempt(
      read,
      () =>
        record(db(), {
          id: idBeside(form, 'entry'),
          crew: locals.who.crew,
          kind: 'weather',
          occurredAt: wholeMinute(locals.now),
          by: locals.who.person.id,
          body: {
            id: form,
            station: read.text('station') || 'file',
            made: wholeMinute(locals.now).toISOString(),
            source: 'file',
            hours: plan.hours,
            note: '',
          },
        }),
      () => 'file',
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/weather?taken=${plan.hours.length}&here=${plan.here}&refused=${plan.refused.length}`);
  },

  /** Reads the simulated station: the last day and what it expects of the next three. */
  simulated: async ({ request, locals }) => {
    const season = await loadSeason(locals);
    if (!season) redirect(303, '/begin');
    const read = reader(await request.formData(), locals.who);
    const { zone } = season.line;
    const made = wholeMinute(locals.now);
    const start = instantOf(addDays(localDate(made, zone), -1), '00:00', zone).getTime();
    const last = merged(await weatherSince(db(), locals.who.crew, new Date(start - 3 * DAY)));
    const mean = last.length > 0 ? last.reduce((sum, h) => sum + h.temperature, 0) / last.length : 2;
    const seed = Math.floor(start / DAY);
    const days = Array.from({ length: 5 }, (_, n) => ({
      mean: mean + Math.sin(seed + n) * 3,
      rain: Math.max(0, Math.sin(seed * 1.7 + n * 2.3)) * 6,
    }));
    const known = new Set(last.map((h) => h.at));
    const hours = simulateExpected(seed, simulateHours(seed, Math.floor(start / HOUR) * HOUR, days), made.getTime()).filter(
      (h) => !known.has(h.at),
    );
    if (hours.length === 0) read.refuse('sim', 'The simulated station told everything to four days ahead already: read it again tomorrow.');
    if (!read.ok()) return refused(read, Object.values(read.errors)[0]);
    const form = read.text('sim');
    const result = await attempt(read, () =>
      record(db(), {
        id: idBeside(form, 'entry'),
        crew: locals.who.crew,
        kind: 'weather',
        occurredAt: made,
        by: locals.who.person.id,
        body: { id: form, station: 'simulated mast', made: made.toISOString(), source: 'simulated', hours, note: '' },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/weather?taken=${hours.length}`);
  },
};
