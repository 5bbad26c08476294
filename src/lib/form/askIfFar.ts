import { frameOf } from '#core/ahead/facts';
import { elevationOf } from '#core/water/gauge';
import { jumpText } from '#core/water/jump';
import { levelField } from '#core/record/levelField';
import type { Gauge } from '#core/record/kinds';
import type { Reader } from '#lib/form/reader';
import type { Season } from '#lib/season/season';

/** Asks once about a level that lies far from all that was read; sent again as it is, it is meant. */
export function askIfFar(read: Reader, name: string, gauge: Gauge, at: Date, season: Season): void {
  const shown = read.length(name);
  // what no gauge can show is refused by the record itself
  if (shown === undefined || !levelField(name).safeParse(shown).success || read.text(`${name}.asked`) === read.text(name)) return;
  const { system } = read.who.person;
  const level = elevationOf(gauge, shown, at.getTime());
  const question = jumpText(level, season.readings[gauge.id] ?? [], frameOf(season, gauge.water, system), gauge.surface);
  if (question) read.refuse(name, question);
}
