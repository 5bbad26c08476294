import { redirect } from '@sveltejs/kit';
import { ICE_CAUTION } from '#core/ice/bearing';
import { iceAt } from '#core/ice/growth';
import { ICE_SEEN } from '#core/record/moving';
import { momentText } from '#core/time/clock';
import { toField } from '#core/time/localTime';
import { INCH } from '#core/units/factors';
import { printLength, smallUnit } from '#core/units/length';
import { db } from '$lib/server/database';
import { attempt, refused } from '$lib/server/form';
import { reader } from '#lib/form/reader';
import { bearingOf, footText, growthText, holesOf, iceText } from '$lib/server/ice';
import { movingOf } from '#core/ahead/moving';
import { factorAt } from '#core/ice/sheets';
import { newId } from '#lib/form/newId';
import { clockFrom } from '#core/ahead/setOutlook';
import { record } from '$lib/server/record/write';
import { iceSeen } from '$lib/server/repositories/moving';
import { stationName, waterOf } from '$lib/server/scouting';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
  const { water, season, stations } = await waterOf(locals, params.water);
  const { system } = locals.who.person;
  const { zone } = season.line;
  const { now } = locals;
  const sheet = season.sheets[water.id];
  const moving = movingOf(season, locals.now);
  const seen = await iceSeen(db(), locals.who.crew, water.id);
  const unit = system === 'us' ? INCH : 0.01;
  const number = (m: number): number => Math.round((m / unit) * 100) / 100;
  const clock = (ms: number): string => toField(new Date(ms), zone);
  const told = clockFrom(now, season.clock);
  const ice = sheet && iceAt(sheet.course, now.getTime());
  const open = seen.filter((i) => i.station === null);
  const names = Object.fromEntries(stations.map((s) => [s.id, stationName(s)]));
  return {
    water,
    frozen: sheet ? told(new Date(sheet.frozen)) : null,
    now: ice
      ? `${printLength(ice.middle, system)} over the open water, between ${printLength(ice.low, system)} and ${printLength(ice.high, system)}`
      : null,
    growth: sheet ? growthText(sheet, water.ice, system) : '',
    foot: sheet ? footText(sheet, now, season.clock, system) : '',
    bearing: bearingOf(season, water.id, now, system),
    caution: ICE_CAUTION,
    holes: holesOf(season, water.id, moving.hours, now, system),
    places:
      sheet && ice
        ? stations
            .map((s) => ({ ...factorAt(s, sheet, season.ice), id: s.id, name: stationName(s), kind: s.kind }))
            .sort((a, b) => a.factor - b.factor)
            .map((p) => ({
              ...p,
              thickness: `${printLength(ice.low * p.factor, system)} to ${printLength(ice.high * p.factor, system)}`,
              thin: p.factor < 0.8,
            }))
        : [],
    past: {
      name: 'course',
      x: sheet ? sheet.course.filter((p) => p.at <= now.getTime()).map((p) => clock(p.at)) : [],
      y: sheet ? sheet.course.filter((p) => p.at <= now.getTime()).map((p) => number(p.middle)) : [],
    },
    marks: {
      name: 'measured',
      x: open.filter((i) => !sheet || i.at >= sheet.frozen).map((i) => clock(Date.parse(i.at))),
      y: open.filter((i) => !sheet || i.at >= sheet.frozen).map((i) => number(i.thickness)),
    },
    ahead: sheet
      ? {
          x: sheet.course.map((p) => clock(p.at)),
          low: sheet.course.map((p) => number(p.low)),
          middle: sheet.course.map((p) => number(p.middle)),
          high: sheet.course.map((p) => number(p.high)),
        }
      : null,
    table: sheet
      ? sheet.course
          .filter((_, i) => i % 4 === 0)
          .map((p) => ({
            at: told(new Date(p.at)),
            low: printLength(p.low, system),
            middle: printLength(p.middle, system),
            high: printLength(p.high, system),
          }))
      : [],
    seen: [...seen].reverse().map((i) => ({
      id: i.id,
      entry: i.entry,
      at: momentText(new Date(i.at), season.clock),
      where: i.station ? (names[i.station] ?? '') : 'open sheet',
      text: iceText(i, system),
      note: i.note,
    })),
    kinds: ICE_SEEN,
    stations: stations.map((s) => ({ value: s.id, text: stationName(s) })),
    unit: smallUnit(system),
    nowField: toField(now, zone),
    hasWeather: moving.hours.length > 0,
    ids: { entry: newId(), id: newId() },
  };
};

export const actions: Actions = {
  /** A measurement, or the day it froze over or opened: the course begins again from it. */
  default: async ({ request, locals, params }) => {
    const { season } = await waterOf(locals, params.water);
    const read = reader(await request.formData(), locals.who);
    const at = read.instant('at', season.line.zone);
    const seen = ICE_SEEN.find((s) => s === read.text('seen')) ?? 'measured';
    const thickness = seen === 'open water' ? 0 : read.length('thickness');
    const snow = read.length('snow') ?? 0;
    if (thickness === undefined) read.refuse('thickness', 'Type the thickness as the tape shows it, for example 3 1/2 in.');
    if (at && at > locals.now) read.refuse('at', 'A measurement cannot lie in the future.');
    if (!read.ok() || !at || thickness === undefined) return refused(read);
    const result = await attempt(read, () =>
      record(db(), {
        id: read.text('entry'),
        crew: locals.who.crew,
        kind: 'ice',
        occurredAt: at,
        by: locals.who.person.id,
        body: {
          id: read.text('id'),
          water: params.water,
          station: read.text('station') || null,
          at: at.toISOString(),
          seen,
          thickness,
          white: read.text('white') === 'yes',
          snow,
          by: locals.who.person.id,
          note: read.text('note'),
        },
      }),
    );
    if ('failure' in result) return result.failure;
    redirect(303, `/waters/${params.water}/ice?saved=1`);
  },
};
