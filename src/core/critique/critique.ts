import { AHEAD } from './ahead';
import { ANCHOR } from './anchor';
import type { Asked } from './asked';
import { LURE } from './lure';
import { OUTCOME } from './outcome';
import { PLACE } from './place';
import { SEVERITIES, type Remark, type Rule } from './rule';
import { SCHOOL } from './school';
import { SEASON } from './season';
import { SIZE } from './size';
import { SNARE } from './snare';
import { STRANGERS } from './strangers';
import { TRIGGER } from './trigger';

/** Every rule, each with its name, its weight and when it speaks. */
export const RULES: readonly Rule[] = [
  ...ANCHOR,
  ...PLACE,
  ...SEASON,
  ...SIZE,
  ...TRIGGER,
  ...OUTCOME,
  ...LURE,
  ...SNARE,
  ...STRANGERS,
  ...SCHOOL,
  ...AHEAD,
];

const weight = (remark: Remark): number => SEVERITIES.indexOf(remark.severity);

/**
 * What an old hand would say of a set before he walks away, the heaviest first.
 *
 * @param known rules that somebody overruled for this set, with the reason: they stay silent
 */
export const critique = (asked: Asked, known: Readonly<Record<string, string>> = {}): Remark[] =>
  RULES.flatMap(({ id, severity, speaks }): Remark[] => {
    const said = Object.hasOwn(known, id) ? null : speaks(asked);
    return said ? [{ id, severity, ...said } as Remark] : [];
  }).sort((a, b) => weight(a) - weight(b));
