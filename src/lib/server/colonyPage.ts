import { shyOf } from '#core/colony/fears';
import { FEARS, type SetHistory, type Trait } from '#core/colony/looks';
import { faultText, fearText, metWith, patienceText, SHORT, trialText } from '#core/words/colony';
import { agesText, heldText, leftText, oddsOf, settlesText, sortsText } from '#core/words/left';
import { patienceOf, type Patience } from '#core/colony/patience';
import { statesThere, tellsMost, TRIAL_NIGHTS, type Told, type Trial } from '#core/colony/next';
import { traitsOfType } from '#core/colony/traits';
import { rangeText } from '#core/counting/colonyRange';
import { settles } from '#core/counting/decide';
import { suggestionsFor } from '#core/planning/suggest';
import { CLEAR } from '#core/record/colony';
import { setTypeOf } from '#core/sets/catalogue';
import { settingAt, stateOf } from '#core/sets/standing';
import { dayText } from '#core/time/clock';
import { localDate } from '#core/time/localTime';
import { many } from '#core/units/many';
import { frameOf } from '#core/ahead/facts';
import type { Season } from '#lib/season/season';
import type { ColonyRead } from './colonies';
import { offered } from './planning';
import { stationName } from './scouting';

/** One sentence for the head of a colony: how many are left, in odds, or as its signs tell. */
export const headOf = ({ left, range }: Pick<ColonyRead, 'left' | 'range'>): string => (left ? leftText(left) : rangeText(range));

/** How many of them are adults and young. */
export const whoOf = ({ left }: Pick<ColonyRead, 'left'>): string => (left ? agesText(left) : '');

/** How sure it is that nobody is left; null where nothing tells. */
export const noneLeft = ({ left }: Pick<ColonyRead, 'left'>): number | null => left?.chances[0] ?? null;

export const clearOf = ({ scope }: Pick<ColonyRead, 'scope'>): number => scope.colony?.clear ?? CLEAR;

/** What would settle it soonest whether any is left. */
export function settlesFor(read: ColonyRead): string {
  const { evidence } = read;
  if (!evidence) return '';
  const clear = clearOf(read);
  return settlesText(settles(evidence, clear, evidence.nights.at(-2)?.effort ?? 0), clear);
}

/** What speaks for how many are left beside the catches. */
export const heldOf = ({ evidence, sorts }: ColonyRead): string[] =>
  evidence ? [...heldText(evidence), ...(evidence.nights.some((n) => n.effort > 0) ? [sortsText(sorts)] : [])] : [];

/** What they fear, the likeliest first, each with what was met. */
export function fearsOf({ taught, histories }: ColonyRead) {
  const tried = new Set(histories.flatMap((h) => h.traits));
  return {
    said: histories.some((h) => h.looks.length > 0) ? fearText(taught.fears) : 'Nothing was tried here yet that could teach them.',
    all: FEARS.filter((fear) => fear === 'nothing' || tried.has(fear))
      .map((fear) => ({
        word: SHORT[fear],
        chance: taught.fears[fear],
        met: fear === 'nothing' ? '' : metWith(fear as Trait, histories),
      }))
      .sort((a, b) => b.chance - a.chance),
  };
}

const DAY = 86_400_000;

/** Each live set by whether it is waited for or changed, what is urgent first. */
export function waitsOf(read: ColonyRead, season: Season, { who, now }: App.Locals) {
  const ORDER: readonly Patience['call'][] = ['putBack', 'tryIt', 'known', 'change', 'notInUse', 'cannotTell', 'wait'];
  const shy = shyOf(read.taught);
  const isFeared = ({ looks }: SetHistory): boolean => looks.length > 0 && looks.every((l) => shy.includes(l.device));
  const each = read.histories
    .flatMap((history) => {
      const view = season.views.find((v) => v.id === history.id);
      const set = season.sets.find((s) => s.id === history.id);
      const states = read.taught.sets[history.id];
      if (!view || !set || set.state !== 'live' || !states) return [];
      const frame = frameOf(season, view.station.water, who.person.system);
      const verdict = stateOf(view, season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} }, frame)?.verdict ?? 'unknown';
      const inRange = verdict === 'unknown' ? null : verdict === 'fine' || verdict === 'nearEdge';
      const begun = new Date(settingAt(set, now).at);
      const last = history.looks.filter((l) => l.saw !== 'untouched').at(-1)?.at ?? begun;
      const stood = Math.max(0, now.getTime() - Math.max(last.getTime(), begun.getTime())) / DAY;
      const worked = history.looks.filter((l) => l.at > last).reduce((sum, l) => sum + l.nights, 0);
      const found = patienceOf(history, { out: Math.max(0, stood - worked - 1), states, inRange, begun, isFeared: isFeared(history) });
      const { order, why } = patienceText(found);
      return [{ id: history.id, name: history.name, call: found.call, order, why: [why, faultText(states)].filter(Boolean).join(' ') }];
    })
    .sort((a, b) => ORDER.indexOf(a.call) - ORDER.indexOf(b.call));
  // alike ones are said once
  return [...new Set(each.map((w) => w.order + w.why))].map((key) => {
    const alike = each.filter((w) => w.order + w.why === key);
    const { call = 'wait', order = '', why = '' } = alike[0] ?? {};
    return { call, order, why, sets: alike.map(({ id, name }) => ({ id, name })) };
  });
}

/** From how likely on a fear is as good as known. [practice] */
const KNOWN = 0.85;

/** The sets that would catch most of them in the gear that is free; and, where it is not known what they fear, the one that tells most of it. */
export function trialsOf(read: ColonyRead, season: Season, now: Date) {
  const free = new Set(season.shed.flatMap((d) => (d.set === null && d.condition !== 'broken' && d.condition !== 'lost' ? [d.class] : [])));
  const month = Number(localDate(now, season.line.zone).slice(5, 7));
  const { species } = read.scope;
  const options = read.stations.flatMap((station) =>
    suggestionsFor(species, offered(season, station, now, []), month)
      .filter((s) => s.first && free.has(setTypeOf(s.built).usual.class))
      .map((s) => ({ station, type: s.built, name: s.type })),
  );
  const trials = options.map(({ station, type }): Trial => {
    const there = read.histories.filter((h: SetHistory) => h.place === station.id).flatMap((h) => read.taught.sets[h.id] ?? []);
    return {
      id: `${station.id} ${type}`,
      traits: traitsOfType(setTypeOf(type), station.kind),
      states: statesThere(there, read.seen.activity(station.id, species)),
    };
  });
  const all = tellsMost(read.taught, trials);
  const shown = (told: Told) =>
    options
      .filter(({ station, type }) => told.id === `${station.id} ${type}`)
      .map(({ station, type, name }) => ({
        id: told.id,
        what: `${name} at ${stationName(station)}`,
        href: `/bench/new?station=${station.id}&type=${type}&species=${species}`,
        catches: `a catch in ${TRIAL_NIGHTS} nights in range: ${oddsOf(told.catches)}`,
        points: trialText(told),
      }));
  const leading = Math.max(...Object.values(read.taught.fears));
  return {
    best: [...all]
      .sort((a, b) => b.catches - a.catches)
      .slice(0, 3)
      .flatMap(shown),
    // what is as good as known needs no trial
    telling: leading >= KNOWN ? [] : all.slice(0, 1).flatMap(shown),
  };
}

/** Which leak they mend first, and how soon: what is opened tonight follows from it. */
export function repairsOf({ scope, seen }: ColonyRead, season: Season) {
  const breaks = season.openings
    .filter((o) => scope.waters.includes(o.water))
    .map(({ id, set, opened, mended, count }) => {
      const hours = mended ? Math.round((Date.parse(mended) - Date.parse(opened)) / 3_600_000) : null;
      const where = season.sets.find((s) => s.id === set)?.name ?? 'dam';
      return {
        id,
        hours,
        where,
        text: `${count > 1 ? `${count} breaks` : 'Break'} at ${where}, opened ${dayText(new Date(opened), season.clock)}: ${hours === null ? 'open still' : `plugged within ${many(hours, 'hour')}`}.`,
      };
    })
    .sort((a, b) => (a.hours ?? Infinity) - (b.hours ?? Infinity));
  const leaks = seen.signs
    .filter((s) => s.kind === 'mendedLeak')
    .map((s) => {
      const station = season.stations.find((p) => p.id === s.station);
      return {
        id: s.id,
        text: `Leak mended at ${station ? stationName(station) : 'a location'}, seen ${dayText(new Date(s.at), season.clock)}.`,
      };
    });
  // what they close first draws them surest [practice]
  const [soonest] = breaks.filter((b) => b.hours !== null);
  return { all: [...breaks, ...leaks], open: soonest ? `Open tonight: ${soonest.where}. They plugged it soonest (rule of thumb).` : '' };
}
