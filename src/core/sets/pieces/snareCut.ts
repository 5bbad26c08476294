import { BREAKS_AT, FITTINGS, loopCable } from '../../devices/cable';
import type { Supply } from '../design';
import { found, type Finding } from '../../words/finding';
import type { ChoiceSpec, Laying } from '../setType';

/** A snare is a loop with its lock and swivel, and a tail or extension that may be of another cable. */

/** Where its lock stands, whether it is cut for this set, what its tail is of, and how it stands. */
export const SNARE_CHOICES = {
  loaded: { label: 'Loaded', options: { yes: 'yes: the loop stays round', no: 'no' }, default: 'yes', seldom: true },
  brace: { label: 'Support', options: { pushed: 'pushed in until stiff', braced: 'braced round wood' }, default: 'pushed', seldom: true },
  lock: { label: 'Lock', options: { side: 'at the side', top: 'at the top' }, default: 'side' },
  made: { label: 'Snare', options: { ready: 'ready, from the shed', roll: 'cut from the roll' }, default: 'ready' },
  extension: {
    label: 'Tail of',
    options: { same: 'the cable of the loop', heavy: '7×19 1/8 cable', light: '7×7 3/32 cable' },
    default: 'same',
  },
  ends: {
    label: 'Stop, breakaway',
    options: { unsaid: 'not said', none: 'neither', stop: 'a stop', breakaway: 'a breakaway', both: 'both' },
    default: 'unsaid',
  },
} satisfies Record<string, ChoiceSpec>;

const EXTENSIONS: Readonly<Record<string, string>> = { heavy: '7×19 1/8', light: '7×7 3/32' };

export interface SnareCut {
  /** inside diameter, m */
  loop: number;
  /** lock to anchor, m; 0 where it hangs on a wire */
  tail: number;
  /** construction and diameter of the loop's cable */
  size: string;
  /** how many of them; one when left out */
  count?: number;
}

export const isCut = ({ choices }: Pick<Laying, 'choices'>): boolean => choices.made === 'roll';

const tailOf = ({ choices }: Pick<Laying, 'choices'>, size: string): string => EXTENSIONS[choices.extension ?? ''] ?? size;

/** What it takes from the rolls and the box: a ready one its tail alone, a cut one its loop, a lock and a swivel as well. */
export function snareSupplies(laying: Pick<Laying, 'choices'>, { loop, tail, size, count = 1 }: SnareCut): Supply[] {
  const cable = (of: string, amount: number): Supply[] =>
    amount > 0 ? [{ kind: 'cable', what: `${of} cable`, amount: amount * count }] : [];
  const tails = cable(tailOf(laying, size), tail);
  if (!isCut(laying)) return tails;
  return [
    ...cable(size, loopCable(loop)),
    ...tails,
    { kind: 'lock', what: 'locks', amount: count },
    { kind: 'swivel', what: 'swivels', amount: count },
  ];
}

/** What is cut for a loop with its tail, and at what the weaker of the two breaks. */
export function cableFinding(laying: Pick<Laying, 'choices'>, { loop, tail, size }: SnareCut): Finding {
  const [extension, cut] = [tailOf(laying, size), isCut(laying)];
  const weaker = [size, extension].sort((a, b) => (BREAKS_AT[a] ?? Infinity) - (BREAKS_AT[b] ?? Infinity))[0] ?? size;
  const values = { around: loopCable(loop), fittings: FITTINGS, tail, cut, extension, weaker, breaks: BREAKS_AT[weaker] };
  return found('cable', 'holds', 'computed', values);
}

/** What the place of the lock does, where it is a choice. */
export const lockFinding = ({ choices: { lock } }: Pick<Laying, 'choices'>): Finding[] =>
  lock === undefined ? [] : [found('lock', 'holds', 'practice', { top: lock === 'top' })];
