import type { Setting } from '../record/kinds';
import { choiceSpec, numberSpec, type SetType } from './setType';

/** The setting of another set for a new place: what belongs to the way of building comes along, what belongs to a place (measures, ground, anchor) does not. */
export function habitsOf(type: SetType, setting: Setting): Setting {
  const habits = Object.entries(setting.numbers).filter(([key]) => {
    const spec = numberSpec(type, key);
    return spec && !spec.from && spec.origin !== 'measured';
  });
  const choices = Object.fromEntries(Object.entries(setting.choices).filter(([key]) => !choiceSpec(type, key)?.ofPlace));
  return { ...setting, choices, numbers: Object.fromEntries(habits) };
}
