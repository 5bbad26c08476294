import type { CheckRule } from '#core/time/deadline';
import type { Reader } from '#lib/form/reader';

/** The check interval as it was typed; null when a field was refused. */
export function readRule(read: Reader): CheckRule | null {
  const kind = read.text('ruleKind');
  const every = read.number('every');
  if (every === undefined) read.refuse('every', 'Say how often: hours for elapsed time, days otherwise.');
  const most = kind === 'elapsed' ? 720 : 30;
  if (every !== undefined && (every < 1 || every > most || !Number.isInteger(every)))
    read.refuse('every', `A whole number from 1 to ${most} is wanted.`);
  const after = read.number('after') ?? 30;
  if (!Number.isInteger(after) || after < -120 || after > 180)
    read.refuse('after', 'A whole number of minutes from −120 to 180 is wanted.');
  if (!read.ok() || every === undefined) return null;
  if (kind === 'elapsed') return { kind, hours: every };
  return kind === 'daylight' ? { kind, days: every, after } : { kind: 'calendarDay', days: every };
}
