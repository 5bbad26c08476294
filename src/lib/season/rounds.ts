import { doingAt } from '#core/ahead/doing';
import { frameOf } from '#core/ahead/facts';
import type { MovingAll } from '#core/ahead/moving';
import { outlookOf, standingOf } from '#core/ahead/setOutlook';
import { seenAtSet, seenBy } from '#core/counting/atSet';
import { sizeText } from '#core/devices/sizes';
import { visitOf } from '#core/run/visit';
import { setTypeOf } from '#core/sets/catalogue';
import { stateOf, type SetView } from '#core/sets/standing';
import { type Clock, whenText } from '#core/time/clock';
import { spareText } from '#core/water/state';
import type { Season } from './season';
import type { Asker } from './who';

/** A live set as a round comes to it: its state, its check and what is to be done there. */
export function roundRow(season: Season, view: SetView, moving: MovingAll, asker: Asker) {
  const { now, who } = asker;
  const water = season.levels[view.station.water] ?? { known: {}, age: {}, atMost: {} };
  const state = stateOf(view, water, frameOf(season, view.station.water, who.person.system));
  const deadline = view.deadline ?? now.toISOString();
  const outlook = outlookOf(view, state, season, moving, asker);
  const standing = standingOf(view, moving, season, asker);
  const { order, why, by, isRemade } = doingAt(state, outlook, setTypeOf(view.type).looks);
  return {
    id: view.id,
    number: view.number,
    name: view.name,
    water: view.station.water,
    kind: view.devices[0]?.class ?? ('bodyGrip' as const),
    devices: devicesText(view.devices),
    tags: view.devices.map((d) => d.tag).join(', '),
    state,
    spare: state ? spareText(state, who.person.system) : '',
    then: view.then[view.station.surface] ?? null,
    deadline,
    by: whenText(new Date(deadline), now, season.clock),
    overdue: new Date(deadline) < now,
    missed: view.missed?.why ?? '',
    order,
    /** metres the order moves it up, down when negative */
    move: by,
    why: [
      missedText(view, now, season.clock),
      seenAtSet(seenBy(season.seenLate[view.station.id] ?? [], view.id), lastLookOf(view)),
      why,
      standing?.sentence,
    ]
      .filter(Boolean)
      .join(' '),
    visit: visitOf(
      { isRemade, isMissing: view.devices.some((d) => d.spent?.outcome === 'missing'), underIce: setTypeOf(view.type).underIce ?? false },
      season.minutes,
    ),
    opens: standing?.opens ?? null,
    shuts: standing?.shuts ?? null,
    wading: standing?.short ?? '',
    /** the same at length; empty where nothing keeps one away */
    care: standing?.short ? standing.sentence : '',
    idleThen: outlook?.idle ?? false,
    cutOff: standing !== null && standing.now && !standing.atCheck,
  };
}

const lastLookOf = ({ lastLook }: SetView): Date | null => (lastLook ? new Date(lastLook) : null);

/** A way there that ended before the set, with the check that it still owes. */
function missedText({ missed, deadline, lastLook }: SetView, now: Date, clock: Clock): string {
  if (!missed) return '';
  const owed =
    deadline && new Date(deadline) < now
      ? ` Its check is broken since ${whenText(new Date(deadline), now, clock)}`
      : ' Its check is still due';
  return `Not reached ${whenText(new Date(missed.at), now, clock)}: ${missed.why}.${owed}${lastLook ? `, last seen ${whenText(new Date(lastLook), now, clock)}` : ''}.`;
}

/** Sizes and how many of each: `2 × 330`. */
function devicesText(devices: SetView['devices']): string {
  const sizes = devices.map((d) => sizeText(d.class, d.size));
  return [...new Set(sizes)]
    .map((size) => [sizes.filter((s) => s === size).length, size] as const)
    .map(([n, size]) => (n === 1 ? size : `${n} × ${size}`))
    .join(', ');
}
