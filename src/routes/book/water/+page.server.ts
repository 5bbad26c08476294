import { redirect } from '@sveltejs/kit';
import { setTypeOf } from '#core/sets/catalogue';
import { devicesAt, layOutSetting, placeOf, settingAt } from '#core/sets/standing';
import type { Device, Station } from '#core/record/kinds';
import { clockText, dayText } from '#core/time/localTime';
import { printLength, printLevel } from '#core/units/length';
import { bandNear, levelBands, type Interval } from '#core/water/band';
import { axisOf } from '#core/water/layout';
import { heightAt } from '#core/water/need';
import { outsideBand } from '#core/water/outsideBand';
import { levelAt } from '#core/water/series';
import { bandText } from '#core/water/state';
import { db } from '$lib/server/database';
import { checks } from '$lib/server/repositories/checks';
import { allReadings } from '$lib/server/repositories/readings';
import { index, loadSeason } from '$lib/server/season';
import { firstStay } from '$lib/server/totals';
import type { PageServerLoad } from './$types';

/** How deep each set stood when it caught, and from when to when it was outside its band. */
export const load: PageServerLoad = async ({ locals }) => {
  const season = await loadSeason(locals, ['live', 'pulled']);
  if (!season) redirect(303, '/begin');
  const { system } = locals.who.person;
  const { zone } = season.line;
  const [visits, readings] = await Promise.all([
    checks(db(), locals.who.crew, { line: season.line.id }),
    allReadings(db(), locals.who.crew, firstStay(season.sets)),
  ]);
  const stations = index<Station>(season.stations);
  const shed = index<Device>(season.shed);
  const when = (at: Date): string => `${dayText(at, zone)} ${clockText(at, zone)}`;
  const sets = season.sets.flatMap((set) => {
    const station = stations[set.station];
    if (!station || set.stays.length === 0) return [];
    const gauges = season.gauges.filter((g) => g.water === station.water);
    const layAt = (at: Date) =>
      layOutSetting(
        setTypeOf(set.type),
        settingAt(set, at),
        placeOf(station, season.follows[station.id]),
        devicesAt(set, at, shed),
        system,
      );
    const layout = layAt(locals.now);
    const device = layout.needs[0]?.device;
    const axis = device ? axisOf(layout, device) : 'pond';
    const gauge = gauges.find((g) => g.surface === axis);
    const own = gauge ? (readings[gauge.id] ?? []) : [];
    const from = new Date(Math.min(...set.stays.map((s) => Date.parse(s.from))));
    const to = set.stays.some((s) => s.to === null) ? locals.now : new Date(Math.max(...set.stays.map((s) => Date.parse(s.to ?? ''))));
    const spans = set.settings.flatMap((setting, n) => {
      const [start, end] = [
        new Date(Math.max(Date.parse(setting.at), from.getTime())),
        new Date(Math.min(Date.parse(set.settings[n + 1]?.at ?? to.toISOString()), to.getTime())),
      ];
      if (end <= start) return [];
      const then = layAt(start);
      const needs = then.needs.filter((need) => need.device === device);
      const band = levelBands(needs, then.parts, axis, levelsAt(start));
      const near = band && bandNear(band, levelAt(own, start)?.level ?? 0);
      return near ? outsideBand(own, start, end, near).map((o) => ({ ...o, band: near })) : [];
    });
    function levelsAt(at: Date) {
      return Object.fromEntries(
        gauges.flatMap((g) => {
          const level = levelAt(readings[g.id] ?? [], at);
          return level ? [[g.surface, level.level]] : [];
        }),
      );
    }
    const zero = gauge?.zero ?? 0;
    const shifted = (b: Interval): Interval => ({ min: b.min - zero, max: b.max - zero });
    return [
      {
        id: set.id,
        name: `${set.number} ${set.name}`,
        hours: Math.round(spans.reduce((sum, s) => sum + (s.to.getTime() - s.from.getTime()) / 3_600_000, 0)),
        spans: spans.map((s) => ({ text: `${when(s.from)} to ${when(s.to)}, ${s.side} its band (${bandText(shifted(s.band), system)})` })),
        catches: visits
          .filter((v) => v.set === set.id)
          .flatMap((v) => {
            const at = new Date(v.at);
            const caught = v.devices.filter((d) => d.catch);
            if (caught.length === 0) return [];
            const then = layAt(at);
            const known = levelsAt(at);
            const [need] = then.needs;
            const height = need ? heightAt(need, then.parts, known) : null;
            const level = known[axis];
            return caught.map((d) => ({
              text: `${when(at)}: ${d.catch?.species ?? ''}`,
              stood:
                height === null || !need || level === undefined
                  ? 'no level was read then'
                  : `${need.called} ${printLength(Math.abs(height), system)} ${height > 0 ? 'over' : 'under'} the water, gauge ${printLevel(level - zero, system)}`,
            }));
          }),
      },
    ];
  });
  return { sets: sets.sort((a, b) => b.hours - a.hours) };
};
