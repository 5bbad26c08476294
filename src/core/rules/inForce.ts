import type { FilledPosition } from '../sets/setType';
import type { CheckRule } from '../time/deadline';
import type { Rulebook, Situation } from './book';
import { checkRuleOf } from './judge';

/** The rulebook of a line as it is in force: its version, and the interval of the line that stands where it is silent. */
export interface InForce {
  id: string;
  version: number;
  entry: string;
  book: Rulebook;
}

export interface Checked {
  devices: readonly Pick<FilledPosition, 'class'>[];
  situation: Situation | null;
  underIce: boolean;
}

/** How often a set is checked by the book in force, else by its line; with the rule that says so. */
export const intervalOf = (line: { rule: CheckRule }, inForce: InForce | null, set: Checked): { rule: string | null; every: CheckRule } =>
  checkRuleOf(inForce?.book ?? null, line.rule, { ...set, classes: set.devices.map((d) => d.class) });
