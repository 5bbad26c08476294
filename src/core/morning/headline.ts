import { INCH, type System } from '../units/factors';
import { printLength } from '../units/length';
import type { Verdict } from '../water/need';

export interface WaterChange {
  name: string;
  /** m since yesterday; null when it cannot be told */
  change: number | null;
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

/** A small count as a word. */
export const countWord = (n: number): string => NUMBERS[n] ?? String(n);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What the night did, in a sentence or two: the water that moved most, and how the sets stand. */
export function headline(waters: WaterChange[], verdicts: Verdict[], system: System): string {
  if (verdicts.length === 0) return 'No set is live.';
  return `${moved(waters, system)} ${standing(verdicts)}`.trim();
}

function moved(waters: WaterChange[], system: System): string {
  const told = waters.filter((w): w is { name: string; change: number } => w.change !== null);
  const most = [...told].sort((a, b) => Math.abs(b.change) - Math.abs(a.change))[0];
  if (!most) return 'No level was read since yesterday.';
  if (Math.abs(most.change) < INCH)
    return told.length === waters.length ? 'Every water held within an inch.' : 'What was read held within an inch.';
  return `${most.name} ${most.change < 0 ? 'fell' : 'rose'} ${printLength(Math.abs(most.change), system)} overnight.`;
}

function standing(verdicts: Verdict[]): string {
  const out = verdicts.filter((v) => !['fine', 'nearEdge', 'unknown'].includes(v)).length;
  const near = verdicts.filter((v) => v === 'nearEdge').length;
  const unknown = verdicts.filter((v) => v === 'unknown').length;
  const said: string[] = [];
  if (out > 0) said.push(`${countWord(out)} ${out === 1 ? 'set does' : 'sets do'} not work as ${out === 1 ? 'it stands' : 'they stand'}`);
  if (near > 0) said.push(`${countWord(near)} ${near === 1 ? 'is' : 'are'} near the edge`);
  if (unknown > 0) said.push(`of ${countWord(unknown)} it cannot be told`);
  return said.length === 0 ? 'Every set is in its band.' : `${capital(said.join(', '))}.`;
}

/** What to do at a set, one line: the remedy first, otherwise a look. */
export function instruction(remedy: string, verdict: Verdict, typeId: string): string {
  if (remedy) return remedy;
  if (verdict === 'unknown') return 'Look, and read the gauge.';
  if (verdict === 'cannotReach') return 'Still fishing, out of reach: wait for the level, or pull it with a hook.';
  if (typeId === 'dam-crossover-face') return 'Look from below; only the tailwater judges it.';
  if (typeId === 'float')
    return verdict === 'aground'
      ? 'Move the raft to deeper water.'
      : verdict === 'heldUnder'
        ? 'Give the line more slack.'
        : 'Look from the bank: does it float level?';
  return 'Look.';
}
