import type { CritiqueId, CritiqueValues } from '../words/critique';
import type { Asked } from './asked';

/** How much a remark weighs, the heaviest first. */
export const SEVERITIES = ['dangerous', 'will fail', 'likely to fail', 'could be better', 'a matter of school'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A change of the form that mends what is remarked: a number in SI or a choice, by its field. */
export interface Mend {
  field: string;
  value: number | string;
}

/** What a rule remarks: values in SI and without words. */
export type Remark = {
  [K in CritiqueId]: { id: K; severity: Severity; values: CritiqueValues<K>; mend?: Mend };
}[CritiqueId];

/** A rule over what the record holds already: it asks nothing, and is silent where a fact is not known. */
export interface Rule {
  id: CritiqueId;
  severity: Severity;
  speaks: (asked: Asked) => { values: unknown; mend?: Mend } | null;
}

/** A rule of that name. @param speaks null where it has nothing to say */
export const rule = <K extends CritiqueId>(
  id: K,
  severity: Severity,
  speaks: (asked: Asked) => { values: CritiqueValues<K>; mend?: Mend } | null,
): Rule => ({ id, severity, speaks });
