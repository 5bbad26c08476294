import { agree } from '../units/many';
import { whenText } from '../time/clock';
import { INCH } from '../units/factors';
import { levelText, type Frame } from '../units/frame';
import type { Change } from '../water/change';
import { printLength } from '../units/length';
import type { Verdict } from '../water/need';

export interface WaterChange {
  name: string;
  /** what was read before and last; null while there is nothing to compare with */
  change: Change | null;
  /** when it was last read; null where it never was */
  read: Date | null;
  frame: Frame;
}

const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];

/** A small count as a word. */
export const countWord = (n: number): string => NUMBERS[n] ?? String(n);

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What the night did to the water that moved most. Only what was read is told: from which reading to which. */
export function movedSays(waters: WaterChange[], now: Date): string {
  const told = waters.flatMap(({ name, change, frame }) =>
    change ? [{ name, change, frame, by: change.to.level - change.from.level }] : [],
  );
  const most = [...told].sort((a, b) => Math.abs(b.by) - Math.abs(a.by))[0];
  if (!most) return unmovedSays(waters, now);
  if (Math.abs(most.by) < INCH)
    return told.length === waters.length ? 'Every water held within an inch.' : 'What was read held within an inch.';
  const { name, change, frame, by } = most;
  const { from, to } = change;
  return `${name} ${by < 0 ? 'fell' : 'rose'} ${printLength(Math.abs(by), frame.system)} since ${whenText(from.at, now, frame)}, ${levelText(from.level, frame)} to ${levelText(to.level, frame)}.`;
}

/** A reading is of this night while it is not older. */
export const LATELY = 24 * 3_600_000;

/** Where nothing can be compared: because nobody read, because the last reading is old, or because it is the first. */
function unmovedSays(waters: WaterChange[], now: Date): string {
  const newest = waters.filter((w) => w.read !== null).sort((a, b) => Number(b.read) - Number(a.read))[0];
  if (!newest?.read) return 'No water was read yet.';
  const old = now.getTime() - newest.read.getTime() >= LATELY;
  return old ? `Not read since ${whenText(newest.read, now, newest.frame)}.` : 'No earlier reading to compare.';
}

/** How the live sets stand, in one sentence. */
export function setsSay(states: readonly { verdict: Verdict; foretold?: true | undefined }[]): string {
  if (states.length === 0) return 'No set is live.';
  const verdicts = states.map((s) => s.verdict);
  const out = verdicts.filter((v) => !['fine', 'nearEdge', 'perhaps', 'unknown'].includes(v)).length;
  const near = verdicts.filter((v) => v === 'nearEdge').length;
  const doubt = verdicts.filter((v) => v === 'perhaps').length;
  const unknown = verdicts.filter((v) => v === 'unknown').length;
  const said: string[] = [];
  if (out > 0) said.push(`${countWord(out)} ${agree(out, 'set', 'sets')} not working`);
  if (near > 0) said.push(`${countWord(near)} near the limit`);
  if (doubt > 0) said.push(`${countWord(doubt)} in doubt`);
  if (unknown > 0) said.push(`${countWord(unknown)} without a reading`);
  if (said.length === 0) return `Every set is working${states.some((s) => s.foretold) ? ', by the forecast' : ''}.`;
  return `${capital(said.join(', '))}.`;
}
