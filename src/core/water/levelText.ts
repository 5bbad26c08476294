import { spanText, whenText } from '../time/clock';
import { levelText, type Frame } from '../units/frame';
import type { LevelAt } from './levelAt';

/** A level at an instant with how it is known: what was read is told as read, what lies between two readings names both. */
export function levelAtText(found: LevelAt, frame: Frame, axis: 'pond' | 'tail', now: Date): string {
  const print = (level: number): string => levelText(level, frame, axis);
  const when = (at: Date): string => whenText(at, now, frame);
  if (found.how === 'read') return `gauge ${print(found.level)}`;
  if (found.how === 'between')
    return `gauge about ${print(found.level)}, on the line from ${print(found.before.level)} (${when(found.before.at)}) to ${print(found.after.level)} (${when(found.after.at)})`;
  if (found.how === 'carried') return `gauge ${found.atMost ? 'at most ' : ''}${print(found.level)}, read ${spanText(found.age)} before`;
  return 'no level was read then';
}
