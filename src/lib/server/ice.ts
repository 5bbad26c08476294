import { type Clock } from '#core/time/clock';
import { bearing, firstDays, BEARING_TABLE, ICE_CAUTION } from '#core/ice/bearing';
import { bearingText } from '#core/words/ice';
import { freeboard, iceAt, ICE_RATIO, ICE_WATERS } from '#core/ice/growth';
import { HOLDS_POLE, holdsPole, newIce, safetyPole } from '#core/ice/hole';
import type { Ice } from '#core/record/kinds';
import { setTypeOf } from '#core/sets/catalogue';
import { settingAt, type SetView } from '#core/sets/standing';
import { nextCheck } from '#core/time/deadline';
import { inches, type System } from '#core/units/factors';
import { printLength } from '#core/units/length';
import { growthText as alphaText } from '#core/units/speed';
import { carriedOn, freezingDegreeDays, type WeatherHour } from '#core/weather/hours';
import { factorAt, type Sheet } from '#core/ice/sheets';
import { clockFrom } from '#core/ahead/setOutlook';
import type { Season } from '#lib/season/season';

const DAY = 86_400_000;

/** The thinnest ice that may be over any place of a water now, and where; m. */
export function thinnest(season: Season, water: string, now: Date): { thickness: number; where: string; why: string } | null {
  const sheet = season.sheets[water];
  const ice = sheet && iceAt(sheet.course, now.getTime());
  if (!sheet || !ice) return null;
  const places = season.stations
    .filter((s) => s.water === water)
    .map((s) => ({ where: `${s.number} ${s.name}`, ...factorAt(s, sheet, season.ice) }))
    .sort((a, b) => a.factor - b.factor);
  const [first] = places;
  return first && first.factor < 1
    ? { thickness: ice.low * first.factor, where: first.where, why: first.why }
    : { thickness: ice.low, where: 'the open sheet', why: 'no place of it is known to be thinner' };
}

/** What the published figures say of the sheet over the open water, and of its thinnest place. */
export function bearingOf(season: Season, water: string, now: Date, system: System) {
  const sheet = season.sheets[water];
  const ice = sheet && iceAt(sheet.course, now.getTime());
  if (!sheet || !ice) return null;
  const thin = thinnest(season, water, now);
  const found = bearing(ice.low, sheet.last.white, sheet.fell ?? 0);
  return {
    caution: ICE_CAUTION,
    hollow: found.hollow,
    ...bearingText(found, system),
    thin: thin && thin.thickness < ice.low ? `${printLength(thin.thickness, system)} may be all over ${thin.where}: ${thin.why}.` : '',
    unknownFall: sheet.fell === null,
  };
}

/** When the open sheet may reach the table's figure for one on foot: a range of days, never a date alone. */
export function footText(sheet: Sheet, now: Date, told: Clock, system: System): string {
  const wanted = (BEARING_TABLE[0]?.clear ?? 0) * (sheet.last.white ? 2 : 1);
  const within = sheet.course.filter((p) => p.at <= now.getTime() + 3 * DAY);
  const { earliest, latest } = firstDays(within, now.getTime(), wanted);
  const clock = clockFrom(now, told);
  const figure = printLength(wanted, system);
  if (earliest === null)
    return `The table’s ${figure} for one on foot are not reached within three days, by the thick end of the course either.`;
  const from = earliest <= now.getTime() ? 'may be reached already' : `may be reached from ${clock(new Date(earliest))}`;
  return `The table’s ${figure} for one on foot ${from}, ${latest === null ? 'perhaps not within three days' : `at the latest by ${clock(new Date(latest))}`}. Measure, and measure again.`;
}

/** A hole from the side: depths from the top of the ice, m. */
export interface HoleDrawing {
  now: number;
  /** the thickest it may be at the check */
  then: number;
  /** top of what hangs there; null when nothing does */
  top: number | null;
  nowText: string;
  thenText: string;
}

export interface HoleCheck {
  drawn: HoleDrawing;
  set: string;
  name: string;
  /** what to do at the hole, the trouble first */
  sentence: string;
  warns: boolean;
}

/** Each hole that was opened: what it freezes by the next check, whether it holds the pole, and whether drop or loops still clear the ice. */
export function holesOf(season: Season, water: string, hours: readonly WeatherHour[], now: Date, system: System): HoleCheck[] {
  const sheet = season.sheets[water];
  if (!sheet) return [];
  return season.views
    .filter((v) => v.station.water === water && v.state === 'live' && setTypeOf(v.type).underIce)
    .map((view) => holeOf(view, season, { sheet, hours, now, system }));
}

interface OverIce {
  sheet: Sheet;
  hours: readonly WeatherHour[];
  now: Date;
  system: System;
}

function holeOf(view: SetView, season: Season, { sheet, hours, now, system }: OverIce): HoleCheck {
  const print = (m: number): string => printLength(m, system);
  const set = season.sets.find((s) => s.id === view.id);
  const setting = set && settingAt(set, now);
  const opened = view.lastLook ? new Date(view.lastLook) : now;
  const check = nextCheck(view.deadline, now, { ...season.line, rule: view.every });
  const until = Math.min(check.getTime(), sheet.course.at(-1)?.at ?? check.getTime());
  const cover = setting?.choices.cover === 'snow' ? 'snow' : 'open';
  const there = (iceAt(sheet.course, until)?.high ?? 0) * view.iceFactor;
  const frost = freezingDegreeDays(carriedOn(hours, until), opened.getTime(), until);
  const [thin, thick] = [
    newIce((iceAt(sheet.course, until)?.low ?? 0) * view.iceFactor, cover, frost, 'low'),
    newIce(there, cover, frost, 'high'),
  ];
  const clock = clockFrom(now, season.clock);
  const hole = `New ice in the hole by ${clock(new Date(until))}: ${print(thin)} to ${print(thick)}, ${cover === 'open' ? 'left open' : 'under snow'} (rule of thumb).`;
  const clear = clearanceOf(view, there, season.levels[view.station.water]?.known.pond ?? null);
  const hangs =
    clear === null
      ? ''
      : clear <= 0
        ? ` The ice there may be ${print(there)}: it is ${print(-clear)} inside it.`
        : ` The ice there may be ${print(there)}: ${print(clear)} stay clear below it.`;
  const pole = setTypeOf(view.type).needsHold
    ? holdsPole(thin)
      ? ' Its thin end holds the set pole.'
      : ` It does not hold the set pole (${print(HOLDS_POLE)} wanted): a safety pole of ${print(safetyPole(setting?.numbers.hole ?? inches(16)))} is required across it, tied to the set pole, on sound ice both sides.`
    : '';
  const ice = (iceAt(sheet.course, now.getTime())?.middle ?? 0) * view.iceFactor;
  return {
    drawn: {
      ...{ now: ice, then: there, top: clear === null ? null : there + clear },
      ...{ nowText: `${print(ice)} now`, thenText: `${print(there)} ${clock(new Date(until))}` },
    },
    set: view.id,
    name: `${view.number} ${view.name}`,
    sentence: `${hole}${pole}${hangs}`,
    warns: (clear !== null && clear <= 0) || (setTypeOf(view.type).needsHold === true && !holdsPole(thin)),
  };
}

/** Room between the underside of an ice of that thickness and the highest device, m; null when none hangs there. */
function clearanceOf(view: SetView, ice: number, pond: number | null): number | null {
  const tops = view.layout.parts.filter((p) => p.device && (p.kind === 'jaws' || p.kind === 'loop'));
  const free = tops.flatMap((p) => {
    const top = p.z.k + p.height;
    // hung from the ice's top: the wire less the ice; on a pole its top stands still under the floating sheet
    if (p.bearer === 'ice') return [-top - ice];
    return pond === null ? [] : [pond - ICE_RATIO * ice - top];
  });
  return free.length === 0 ? null : Math.min(...free);
}

export const iceText = (i: Ice, system: System): string =>
  i.seen === 'measured' ? `${printLength(i.thickness, system)} of ${i.white ? 'white ' : ''}ice` : i.seen;

/** How the sheet grows, in words. */
export function growthText({ growth, last }: Sheet, water: keyof typeof ICE_WATERS | null, system: System): string {
  const own = growth.from > 0;
  const by = own
    ? `its own measurements: ${alphaText(growth.middle, system)}, an eighth either way (rule of thumb)`
    : `the class “${ICE_WATERS[water ?? 'lake'].words}”: ${alphaText(growth.low, system)} to ${alphaText(growth.high, system)} (USACE EM 1110-2-1612, from memory)`;
  const wet = freeboard(last.thickness, last.snow);
  const flooded = last.snow > 0 && wet < 0 ? ' The snow presses it under: water comes up the hole.' : '';
  return `Grown from ${printLength(last.thickness, system)} by ${by}.${flooded}`;
}
