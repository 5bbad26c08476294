import type { AskedWhen, ChoiceSpec, SetType } from './setType';

/** Whether what only matters under another choice is asked, and counts: that choice is made so, or by practice. @param chosen what was chosen, by key */
export function isAsked(
  type: Pick<SetType, 'choices'>,
  chosen: (key: string) => string | undefined,
  { when }: { when?: AskedWhen },
): boolean {
  if (!when) return true;
  const by = type.choices[when.choice];
  return [when.is].flat().includes(chosen(when.choice) || (by?.default ?? '')) && (!by || isAsked(type, chosen, by));
}

/** The choices of a set that say something: asked there, answered, and not folded away as what is rarely otherwise. */
export function toldChoices(type: Pick<SetType, 'choices'>, choices: Readonly<Record<string, string>>): { label: string; value: string }[] {
  return Object.entries<ChoiceSpec>(type.choices as Record<string, ChoiceSpec>).flatMap(([key, spec]) => {
    const value = choices[key];
    const text = value === undefined ? undefined : spec.options[value];
    const says = text !== undefined && !text.startsWith('not ') && !(spec.seldom && value === spec.default);
    return says && isAsked(type, (of) => choices[of], spec) ? [{ label: spec.label, value: text }] : [];
  });
}
