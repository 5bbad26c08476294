import { movingOf, type MovingAll } from '#core/ahead/moving';
import { cutAndCarry, summed, againstShed, type Carried, type Shed } from '#core/gear/carry';
import { brought, moreOf, type More } from '#core/gear/more';
import { forLook } from '#core/gear/today';
import type { TrapSet } from '#core/record/kinds';
import { restated } from '#core/sets/restate';
import { withSetting } from '#core/sets/standing';
import { printLength } from '#core/units/length';
import { designOf } from './oneSet';
import { roundRow } from './rounds';
import type { Season } from './season';
import type { Asker } from './who';

const wholeOf = (season: Season, set: TrapSet, asker: Asker): Carried[] => {
  const { design, type } = designOf(season, set, asker);
  return cutAndCarry(design, type.tools);
};

/** What each set takes along: all it is built of; one that stands already what a look takes, and what its remake brings. */
export function loadsOf(season: Season, sets: readonly TrapSet[], asker: Asker): Carried[][] {
  const moving = movingOf(season, asker.now);
  return sets.map((set) => {
    const whole = wholeOf(season, set, asker);
    return set.state === 'live' ? summed([forLook(whole), broughtFor(season, set, moving, asker)]) : whole;
  });
}

/** What is brought to a live set that has to go lower or higher by its forecast or its state. */
function broughtFor(season: Season, set: TrapSet, moving: MovingAll, asker: Asker): Carried[] {
  const view = season.views.find((v) => v.id === set.id);
  const by = view ? roundRow(season, view, moving, asker).move : 0;
  if (!view || Math.abs(by) < 1e-3) return [];
  const { type, setting, design } = designOf(season, set, asker);
  const known = season.levels[view.station.water]?.known ?? {};
  const numbers = restated(type, setting, { then: view.then, layout: design, surface: view.station.surface, known, lower: -by });
  const moved = { ...set, settings: withSetting(set.settings, { ...setting, at: asker.now.toISOString(), numbers }) };
  const list = brought(wholeOf(season, set, asker), wholeOf(season, moved, asker));
  const onStand = design.parts.some(({ kind }) => kind === 'stand');
  if (by < 0 || !onStand) return list;
  const stones = `flat stones, ${printLength(by, asker.who.person.system)} under the stand of ${set.number}`;
  return [...list, { kind: 'stick', what: stones, count: 1 }];
}

/** How many more sets of each type of this line can be made of what the shed keeps beyond a load. */
export function moreOfEach(season: Season, load: readonly Carried[], { shed, room }: { shed: Shed; room: number | null }, asker: Asker) {
  const newest = new Map(season.sets.map((set): [string, TrapSet] => [set.type, set]));
  return [...newest.values()]
    .flatMap((set): (More & { name: string })[] => {
      const more = moreOf(againstShed(wholeOf(season, set, asker), shed), load, room);
      return more ? [{ ...more, name: designOf(season, set, asker).type.name }] : [];
    })
    .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name));
}
