import { found, type Finding } from '../words/finding';
import { choiceSpec, type SetType } from './setType';

/** A warning where the bait that was chosen draws other animals than the one that a set is meant for. */
export function baitFor(type: Pick<SetType, 'draws' | 'choices'>, choices: Readonly<Record<string, string>>, species: string): Finding[] {
  const spec = choiceSpec(type, 'bait');
  const bait = choices.bait ?? spec?.default ?? '';
  const drawn = type.draws?.[bait];
  if (!spec || !drawn || drawn.some((s) => s === species)) return [];
  const named = (key: string): string => spec.options[key] ?? key;
  const better = Object.keys(type.draws ?? {}).filter((key) => type.draws?.[key]?.some((s) => s === species));
  const values = { bait: named(bait), draws: drawn.join(' and '), meant: species, better: better.map(named).join(' or ') };
  return [found('baitFor', 'warns', 'practice', values, { field: 'c.bait' })];
}
