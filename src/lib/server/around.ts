import { SPECIES } from '#core/animals/species';
import { broken } from '#core/rules/judge';
import { seasonAt } from '#core/rules/seasons';
import { answerText } from '#core/words/rules';
import { setTypeOf } from '#core/sets/catalogue';
import { DEVICE_CLASSES } from '#core/devices/sizes';
import { seenBy } from '#core/counting/atSet';
import { metText, type Met } from '#core/planning/met';
import { outlookOf, standingOf } from '#core/ahead/setOutlook';
import { frameOf } from '#core/ahead/facts';
import { movingOf } from '#core/ahead/moving';
import type { Around, Asked } from '#core/critique/asked';
import { critique } from '#core/critique/critique';
import { overfull } from '#core/critique/line';
import { SEVERITIES, type Severity } from '#core/critique/rule';
import { weighed } from '#core/critique/weigh';
import { middleOf } from '#core/run/work';
import { sunOf } from '#core/time/sun';
import { tell } from '#core/words/finding';
import { remarkText } from '#core/words/critique';
import type { Catch, Check, Survey, TrapSet } from '#core/record/kinds';
import type { SetType } from '#core/sets/setType';
import { settingAt, stateOf, type SetView } from '#core/sets/standing';
import { latest } from '#core/stations/measures';
import { bedOf, type Station } from '#core/stations/placed';
import { nextCheck } from '#core/time/deadline';
import { localDate, wallOf } from '#core/time/localTime';
import type { Verdict } from '#core/water/need';
import { coldest, rainOf, unknownHours } from '#core/weather/hours';
import { learnedHere } from './colonies';
import { db } from './database';
import { checks } from './repositories/checks';
import { toSalvage, type ToSalvage } from './repositories/gear';
import { sites } from './repositories/places';
import { surveys } from './repositories/scouting';
import { placeAround } from './aroundPlace';
import { designOf } from '#lib/season/oneSet';
import { judged, ruleReader } from '#lib/bench/ruled';
import { loadScouted } from './scouting';
import { loadSeason } from './season';
import type { Season } from '#lib/season/season';

const DAY = 86_400_000;

/** What the critique looks at beside the season: every look of the line, who uses the ground, which cables caught. */
interface Known {
  season: Season;
  visits: Map<string, Check[]>;
  users: Record<string, string>;
  salvage: ToSalvage[];
  scouted: Awaited<ReturnType<typeof loadScouted>>;
  surveys: Survey[];
  /** what its animals learned this season */
  taught: Met[];
}

/** Everything that is asked for once, for one set or for a whole line. */
export async function loadKnown(locals: App.Locals, water?: string): Promise<Known | null> {
  const season = await loadSeason(locals, ['planned', 'prepared', 'live', 'pulled']);
  if (!season) return null;
  const crew = locals.who.crew;
  const [looked, grounds, salvage, scouted, read, taught] = await Promise.all([
    checks(db(), crew, { line: season.line.id }),
    sites(db(), crew),
    toSalvage(db(), crew),
    loadScouted(locals, water),
    surveys(db(), crew, water ? { water } : {}),
    learnedHere(locals, water),
  ]);
  const visits = new Map<string, Check[]>();
  for (const visit of looked) visits.set(visit.set, [...(visits.get(visit.set) ?? []), visit]);
  const users = Object.fromEntries(season.waters.map((w) => [w.id, grounds.find((g) => g.id === w.site)?.users ?? '']));
  return { season, visits, users, salvage, scouted, surveys: read, taught };
}

const outcomesOf = (visits: readonly Check[]): string[] => visits.flatMap(({ devices }) => devices.map((d) => d.outcome as string));
const caughtIn = (visits: readonly Check[]): number => outcomesOf(visits).filter((o) => o === 'catch').length;

function peltsIn(looked: readonly Check[]): Around['pelts'] {
  const pelts = looked.flatMap(({ devices }) => devices.flatMap((d) => d.catch?.pelt ?? []));
  const count = (...found: string[]): number => pelts.filter((p) => found.includes(p)).length;
  return { slipping: count('slipping'), eaten: count('chewed', 'eaten') };
}

/** A catch that did not lie where a slide ends. */
const SHORT: readonly Catch['lay'][] = ['short of the deep end', 'on the bank', 'wrapped on something'];

/** What the record holds around a set that is built or stands at a station. @param set undefined for a new one */
export function aroundOf(known: Known, station: Station, type: SetType, set: TrapSet | undefined, locals: App.Locals): Around {
  const { season, visits, users, salvage, scouted, surveys } = known;
  const { now } = locals;
  const view = set && season.views.find((v) => v.id === set.id);
  const since = set ? (settingAt(set, now).at ?? '') : '';
  const own = set ? (visits.get(set.id) ?? []).filter((v) => v.at >= since) : [];
  const found = scouted.found(station.id);
  const others = season.sets.filter((s) => s.id !== set?.id && placeOf(season, s)?.water === station.water);
  const alike = others.filter((s) => s.type === type.id && s.state === 'live');
  const looksAt = (list: readonly TrapSet[]): Check[] => list.flatMap((s) => visits.get(s.id) ?? []);
  const passages = latest(station.measures, 'passages')?.value;
  const newest = [...found].sort((a, b) => b.at.getTime() - a.at.getTime())[0];
  return {
    month: Number(localDate(now, season.line.zone).slice(5, 7)),
    use: useAt(scouted, station.id),
    seen: [...new Set(found.map((s) => s.species))],
    isPlugged: newest?.kind === 'plugged',
    met: Object.fromEntries(
      DEVICE_CLASSES.flatMap((device) => {
        const said = metText(station.water, device, [...season.earlier, ...known.taught]);
        return said ? [[device, said]] : [];
      }),
    ),
    users: users[station.water] ?? '',
    passages:
      passages === undefined
        ? null
        : { count: passages, set: season.sets.filter((s) => s.station === station.id && s.state === 'live').length },
    isFrozen: season.sheets[station.water] !== undefined,
    coldest: coldestTo(season, view, locals),
    looks: outcomesOf(own),
    spareSnares: season.shed.filter((d) => d.class === 'snare' && !d.set && (d.condition === 'good' || d.condition === 'worn')).length,
    watchedIdle: watchedIdle(known, view, locals),
    pelts: peltsIn(set ? (visits.get(set.id) ?? []) : []),
    layShort: own.flatMap((v) => v.devices).filter((d) => SHORT.includes(d.catch?.lay ?? 'not said')).length,
    dragged: own.filter((v) => v.devices.some((d) => d.flags.includes('anchor dragged'))).length,
    schools: season.line.schools,
    wentRound: wentRound(season, station.id, set?.id ?? '', own[0]?.at),
    failedHere: looksAt(
      others.filter(
        (s) => s.station === station.id && s.type === type.id && s.state === 'pulled' && caughtIn(visits.get(s.id) ?? []) === 0,
      ),
    ).length,
    alike: { sets: alike.length, looks: looksAt(alike).length, caught: caughtIn(looksAt(alike)) },
    caughtBy: [
      ...new Set(others.filter((s) => s.type !== type.id && caughtIn(visits.get(s.id) ?? []) > 0).map((s) => setTypeOf(s.type).name)),
    ].slice(0, 3),
    spentCable: (set && salvage.find((s) => set.stays.some((y) => y.to === null && y.device === s.device))?.tag) ?? '',
    ...aheadOf(season, view, locals),
    closed: closedToday(season, station.water, locals.now),
    against: [],
    ...sinceMade(season, set, now),
    ...placeAround(season, station, set, { surveys, check: checkOf(season, view, now), locals }),
    hasPosition: station.lat !== null,
    hasPhoto: set ? set.photoLeft !== null : false,
    hasDepth: bedOf(station) !== null || station.across !== null,
  };
}

/** So long a camera that told something is taken to hang where it hung, ms. [practice] */
const HANGS = 3 * DAY;

/** What makes a live set idle at whose place a camera watched of late; empty where it works, or no camera did. */
function watchedIdle({ season, scouted }: Known, view: SetView | undefined, { now, who }: App.Locals): string {
  if (view?.state !== 'live') return '';
  const since = now.getTime() - HANGS;
  if (!scouted.cameras.some((c) => c.station === view.station.id && c.events.some((e) => e.at.getTime() > since))) return '';
  const levels = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const state = stateOf(view, levels, frameOf(season, view.station.water, who.person.system));
  return state && !WORKING.includes(state.verdict) ? state.label : '';
}
const WORKING: readonly Verdict[] = ['fine', 'nearEdge', 'perhaps', 'unknown'];

/** Nights and rain since a live set was last made; null where it is not live, or no weather is told. */
function sinceMade({ hours }: Season, set: TrapSet | undefined, now: Date): Pick<Around, 'nights' | 'rain'> {
  const made = set?.state === 'live' ? Date.parse(set.armed?.at ?? settingAt(set, now).at ?? '') : NaN;
  if (!Number.isFinite(made)) return { nights: null, rain: null };
  const isTold = unknownHours(hours, made, now.getTime()) < 6;
  return { nights: Math.floor((now.getTime() - made) / DAY), rain: isTold ? rainOf(hours, made, now.getTime()) : null };
}

const placeOf = (season: Season, set: TrapSet): Station | undefined => season.stations.find((s) => s.id === set.station);

function useAt(scouted: Known['scouted'], station: string): Around['use'] {
  const { verdict, sentence } = scouted.use(station);
  return { verdict, said: sentence };
}

const checkOf = (season: Season, view: SetView | undefined, now: Date): Date =>
  nextCheck(view?.deadline ?? null, now, { ...season.line, ...(view && { rule: view.every }) });

/** The coldest hour until the next look; null where most of that time nobody told. */
function coldestTo(season: Season, view: SetView | undefined, { now }: App.Locals): number | null {
  const { hours } = movingOf(season, now);
  const [from, to] = [now.getTime(), checkOf(season, view, now).getTime()];
  return unknownHours(hours, from, to) > 6 ? null : coldest(hours, from, to);
}

/** Who went round since the last look; one that was seen at the set says that it is met. */
function wentRound(season: Season, station: string, set: string, lastLook: string | undefined): number {
  const since = lastLook ? Date.parse(lastLook) : 0;
  const late = seenBy(season.seenLate[station] ?? [], set).filter((e) => e.at.getTime() > since);
  return late.some((e) => e.did === 'at the set') ? 0 : late.filter((e) => e.did === 'went round').length;
}

/** What the forecast says of a live set at its check, where it says that it will not work or cannot be reached. */
function aheadOf(season: Season, view: SetView | undefined, locals: App.Locals): Pick<Around, 'idleAhead' | 'cutOff'> {
  if (!view || view.state !== 'live') return { idleAhead: '', cutOff: '' };
  const moving = movingOf(season, locals.now);
  const levels = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const state = stateOf(view, levels, frameOf(season, view.station.water, locals.who.person.system));
  const outlook = outlookOf(view, state, season, moving, locals);
  const standing = standingOf(view, moving, season, locals);
  return {
    // that it is idle already its state says
    idleAhead:
      outlook?.idle && outlook.sentence
        ? [outlook.sentence, outlook.remedy.order && `${outlook.remedy.order}.`].filter(Boolean).join(' ')
        : '',
    cutOff: standing?.now && !standing.atCheck ? standing.sentence : '',
  };
}

/** Animals that the rulebook in force closes today. */
function closedToday({ rules, line, areas }: Season, water: string, now: Date): string[] {
  if (!rules) return [];
  const { date, clock } = wallOf(now, line.zone);
  return SPECIES.filter((s) => seasonAt(rules.book, s, { date, time: clock, area: areas[water] ?? '' }).is === 'closed');
}

/** What the rulebook says against a set that stands without an exemption; at the bench its own panel says it. */
function againstOf(season: Season, set: TrapSet, locals: App.Locals): string[] {
  if (!season.rules || set.exemption !== '') return [];
  const reader = ruleReader(season, locals.who.person.system, locals.now);
  return broken(judged(season.rules.book, season, set, locals)).map((a) => `${answerText(a as never, reader)} (${a.rule ?? ''})`);
}

interface Weighed {
  severity: Severity;
  about: string;
  sentence: string;
}

/** What an old hand would say of a set as it stands, and what its design says of itself, the heaviest first. */
function remarksOf(known: Known, set: TrapSet, locals: App.Locals): Weighed[] {
  const { station, type, setting, devices, then, design } = designOf(known.season, set, locals);
  const asked: Asked = {
    ...{ type, species: set.species, state: set.state, anchor: set.anchor },
    ...{ numbers: setting.numbers, choices: setting.choices, lures: setting.lures, devices, design, then, surface: station.surface },
    around: { ...aroundOf(known, station, type, set, locals), against: againstOf(known.season, set, locals) },
  };
  const { system } = locals.who.person;
  const ofDesign = design.findings.flatMap((f): Weighed[] => {
    const severity = weighed(f);
    return severity ? [{ severity, ...tell(f, system) }] : [];
  });
  return [...critique(asked, set.overruled).map((r) => ({ severity: r.severity, ...remarkText(r, system) })), ...ofDesign].sort(
    (a, b) => weightOf(a) - weightOf(b),
  );
}
const weightOf = ({ severity }: Pick<Weighed, 'severity'>): number => SEVERITIES.indexOf(severity);

/** So many remarks of a whole line are told, never forty. */
const MOST = 3;

/** A line with more checks on one day than it has light. */
function overfullLine({ season }: Known, { who }: App.Locals): Weighed[] {
  const { zone } = season.line;
  const own = middleOf(season.minutes);
  const owed = season.views.flatMap((v) =>
    v.state === 'live' && v.deadline
      ? [{ day: localDate(new Date(v.deadline), zone), minutes: own.look + (setTypeOf(v.type).underIce ? own.chop : 0) }]
      : [],
  );
  const found = overfull(owed, (day) => {
    const { sunrise, sunset } = sunOf(day, zone, season.line);
    return sunrise && sunset ? (sunset.getTime() - sunrise.getTime()) / 60_000 : null;
  });
  return found ? [{ severity: found.severity, ...remarkText(found, who.person.system) }] : [];
}

/** What matters most on the line: what is dangerous, fails or likely fails, the heaviest first, one a set; `id` is null where it is of the whole line. */
export async function lineRemarks(locals: App.Locals) {
  const known = await loadKnown(locals);
  if (!known) return [];
  const ofSets = known.season.sets
    .filter((set) => set.state === 'live')
    .flatMap((set) => {
      const [first] = remarksOf(known, set, locals);
      return first && weightOf(first) <= SEVERITIES.indexOf('likely to fail') ? [{ set, first }] : [];
    })
    .sort((a, b) => weightOf(a.first) - weightOf(b.first) || a.set.number - b.set.number)
    .map(({ set, first }) => ({ id: set.id, set: `${set.number} ${set.name}`, ...first }));
  return [...overfullLine(known, locals).map((r) => ({ id: null, set: 'The line', ...r })), ...ofSets]
    .slice(0, MOST)
    .map(({ id, set, severity, about, sentence }) => ({ id, set, severity, about, sentence }));
}
