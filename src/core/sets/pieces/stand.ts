import { BODY_GRIPS } from '../../devices/sizes';
import { found, type Finding } from '../../words/finding';
import type { ChoiceSpec, Laying } from '../setType';

/** What a stand is made for: its clamp takes one thickness of jaw rod. [practice] */
const TAKES: Record<string, readonly string[]> = { large: ['280', '330'], medium: ['155', '160', '220'], small: ['110', '120'] };

export const STAND: ChoiceSpec = {
  label: 'Stand made for',
  options: { any: 'not said', large: '280 and 330', medium: '155 to 220', small: '110 and 120', sticks: 'none: two cut sticks' },
  default: 'any',
};

/** Whether the stand that was chosen suits the trap; nothing when none was named. */
export function standFinding(laying: Laying, size: string): Finding[] {
  const stand = laying.choices.stand ?? 'any';
  const takes = TAKES[stand];
  if (!takes) return [];
  const sixteenths = Math.round(((BODY_GRIPS[size]?.rod ?? 0) / 0.0254) * 16);
  const verdict = takes.includes(size) ? 'holds' : 'fails';
  return [found('stand', verdict, 'practice', { takes, size, sixteenths }, { field: 'stand' })];
}
