import type { Severity } from '#core/critique/rule';

/** The sign of a remark, by how much it weighs. */
export const REMARK_MARK: Record<Severity, 'outOfWater' | 'nearEdge' | 'unknown'> = {
  dangerous: 'outOfWater',
  'will fail': 'outOfWater',
  'likely to fail': 'nearEdge',
  'could be better': 'unknown',
  'a matter of school': 'unknown',
};
