import { doingAt } from '#core/ahead/doing';
import { frameOf } from '#core/ahead/facts';
import { movingOf } from '#core/ahead/moving';
import { outlookOf, standingOf } from '#core/ahead/setOutlook';
import { asksNow, likelyOutcome } from '#core/check/advice';
import { seenAtSet, seenBy } from '#core/counting/atSet';
import type { StockHad } from '#core/gear/where';
import { unitWords } from '#core/gear/stock';
import { freshLure } from '#core/lure/lure';
import { othersIn } from '#core/others/others';
import { OUTCOMES } from '#core/record/checks';
import type { Check, TrapSet } from '#core/record/kinds';
import type { Written } from '#core/record/written';
import { partsOf } from '#core/run/whose';
import { armingCheck } from '#core/sets/arming';
import { setTypeOf } from '#core/sets/catalogue';
import { settingAt, statesOf, type SetView } from '#core/sets/standing';
import { daySaid, whenText } from '#core/time/clock';
import { localDate, toField } from '#core/time/localTime';
import { printLength } from '#core/units/length';
import { worst } from '#core/water/state';
import { designOf, liesOf } from '#lib/season/oneSet';
import type { Season } from '#lib/season/season';
import type { Asker } from '#lib/season/who';
import { atCatch, type Caught } from './atCatch';

/** What a check knows besides the season. */
export interface CheckFacts {
  /** the last checks of the set, newest first */
  past: readonly Check[];
  caught: readonly Caught[];
  supplies: readonly StockHad[];
  people: readonly { id: string; name: string }[];
}

interface Asked {
  season: Season;
  set: Written<TrapSet>;
  view: SetView;
  /** the outcome that was tapped; null while none was */
  outcome: string | null;
}

/** All that the screen of one check shows, from the facts alone: the same on the desk and on a device that is out of reach. */
export function checkPage({ season, set, view, outcome: asked }: Asked, { past, caught, supplies, people }: CheckFacts, asker: Asker) {
  const { now, who } = asker;
  const frame = frameOf(season, view.station.water, who.person.system);
  const { system } = frame;
  const water = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const states = statesOf(view, water, frame);
  const state = worst(states);
  const moving = movingOf(season, now);
  const doing = doingAt(state, outlookOf(view, state, season, moving, asker), setTypeOf(view.type).looks);
  const standing = standingOf(view, moving, season, asker);
  const held = settingAt(set, now);
  const devices = Object.fromEntries(view.devices.map((d) => [d.position, d]));
  return {
    crew: who.crew,
    view,
    water,
    state,
    then: view.then[view.station.surface] ?? null,
    design: designOf(season, set, asker).design,
    lies: asked === 'missing' ? liesOf(designOf(season, set, asker), set, season, asker) : null,
    likely: likelyOutcome(state?.verdict ?? 'unknown'),
    outcome: OUTCOMES.find((o) => o === asked) ?? (asked === 'other' ? 'other' : null),
    doing,
    seen: seenAtSet(seenBy(season.seenLate[view.station.id] ?? [], view.id), view.lastLook ? new Date(view.lastLook) : null),
    wading: standing?.short ? standing.sentence : '',
    lower: doing.by === 0 ? '' : printLength(-doing.by, system),
    onSlide: held.choices.hold === 'slide',
    /** what lies in a bed is not knocked down: its bed is empty */
    hasBed: view.devices.every((d) => d.class === 'foothold'),
    asks: asksNow(past),
    photoLeft: asked === 'missing' ? set.photoLeft : null,
    hole: set.hole,
    openBreak: breakAt(season, set, view) !== undefined,
    isFrozen: season.sheets[view.station.water] !== undefined,
    opened: set.entry,
    past: past.map((c) => ({
      at: daySaid(new Date(c.at), now, season.clock),
      found: c.devices.map((d) => d.outcome).join(', '),
      change: c.change,
      photo: c.photo,
    })),
    arming: armingCheck(setTypeOf(set.type), devices, held.choices),
    lying: view.station.lies.filter((l) => !l.gone).map(({ what, where }) => `${what}${where ? `, ${where}` : ''}`),
    remake: [...(setTypeOf(set.type).remake ?? []), ...(held.lures ? [freshLure(held.lures)] : [])].join(' '),
    supplies: asked === null ? [] : supplies.map(({ id, name, unit }) => ({ id, text: `${name}, in ${unitWords(unit, system)}` })),
    people,
    /** what the rulebook says of each animal that may be in it */
    /** who else can be in it */
    others: asked === null ? [] : othersAt(season, set, asker),
    atCatch: asked === null ? {} : atCatch(season, view.station.water, caught, asker),
    order: orderOf(season, set.id),
    /** the reader's own sets today, where the day was shared */
    shared: partsOf(season.shares, localDate(now, season.line.zone), []).find((p) => p.person === who.person.id)?.stops ?? [],
    owedBy: view.deadline ? whenText(new Date(view.deadline), now, season.clock) : '',
    nowAt: now.getTime(),
    today: localDate(now, season.line.zone),
    nowField: toField(now, season.line.zone),
  };
}

/** The break that stands open at a set: the one it was opened with, else one of its dam. */
export function breakAt({ openings }: Season, set: Pick<TrapSet, 'id'>, { station }: Pick<SetView, 'station'>) {
  const open = openings.filter((o) => o.mended === null && o.water === station.water);
  return open.find((o) => o.set === set.id) ?? (station.kind === 'dam' ? open.find((o) => o.set === null) : undefined);
}

/** Who else this set can hold, by the list of the bench. */
function othersAt(season: Season, set: TrapSet, asker: Asker): string[] {
  const { type, station, setting, devices, then, design } = designOf(season, set, asker);
  const built = { type, design, then, species: set.species, choices: setting.choices, surface: station.surface };
  return othersIn({ ...built, devices: Object.values(devices), panPull: setting.numbers.panPull, seen: [], users: '' }).map((o) => o.who);
}

function orderOf(season: Season, id: string) {
  const owed = season.views.filter((v) => v.deadline).sort((a, b) => (a.deadline ?? '').localeCompare(b.deadline ?? ''));
  const place = owed.findIndex((v) => v.id === id);
  const next = owed.find((v, i) => i > place && v.id !== id)?.id ?? null;
  return { place: place + 1, of: owed.length, next, owed: owed.map((v) => v.id) };
}
