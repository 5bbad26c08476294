import type { SetView } from '#core/sets/standing';
import { settingAt } from '#core/sets/standing';
import { setTypeOf } from '#core/sets/catalogue';
import { builtOf, tallies, type Built, type Tally } from '#core/schools/sides';
import type { SchoolId, Side } from '#core/words/schools';
import type { TrapSet } from '#core/record/kinds';
import type { Season } from '#lib/season/season';
import { seasonTotals } from './totals';

/** A set of the record in what schools differ about: as it is built now, with every trap that stood in it. */
export function builtAs(set: TrapSet, view: SetView, { shed }: Season, now: Date): Built {
  const type = setTypeOf(set.type);
  const { choices, numbers, lures } = settingAt(set, now);
  const ids = new Set(set.stays.map((stay) => stay.device));
  const devices = shed.filter((d) => ids.has(d.id)).map(({ class: kind, size }) => ({ class: kind, size }));
  return builtOf({ type, species: set.species, choices, lures, devices, numbers, parts: view.layout.parts });
}

/** What each side of every matter came to in the season under way: sets, working nights, animals meant. */
export async function schoolTallies(season: Season, locals: App.Locals): Promise<Record<SchoolId, Record<Side, Tally>>> {
  const totals = (await seasonTotals(locals)) ?? [];
  return tallies(
    totals.flatMap((total) => {
      const set = season.sets.find((s) => s.id === total.id);
      const view = season.views.find((v) => v.id === total.id);
      if (!set || !view) return [];
      return [
        {
          built: builtAs(set, view, season, locals.now),
          nights: (total.inBand.low + total.inBand.high) / 2 / 24,
          caught: total.caught[set.species] ?? 0,
        },
      ];
    }),
  );
}
