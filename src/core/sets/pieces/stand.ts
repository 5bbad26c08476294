import { BODY_GRIPS } from '../../devices/sizes';
import type { Finding } from '../../water/finding';
import type { ChoiceSpec, Laying } from '../setType';

/** What a stand is made for: its clamp takes one thickness of jaw rod. [practice] */
const TAKES: Record<string, readonly string[]> = { large: ['280', '330'], medium: ['155', '160', '220'], small: ['110', '120'] };

export const STAND: ChoiceSpec = {
  label: 'Stand made for',
  options: { any: 'not said', large: '280 and 330', medium: '155 to 220', small: '110 and 120' },
  default: 'any',
};

/** Whether the stand that was chosen suits the trap; nothing when none was named. */
export function standFinding(laying: Laying, size: string): Finding[] {
  const stand = laying.choices.stand ?? 'any';
  const takes = TAKES[stand];
  if (!takes) return [];
  const rod = (BODY_GRIPS[size]?.rod ?? 0) / 0.0254;
  const fits = takes.includes(size);
  const sixteenths = Math.round(rod * 16);
  return [
    {
      id: 'stand',
      field: 'stand',
      verdict: fits ? 'holds' : 'fails',
      about: 'Stand and trap',
      figure: fits ? 'fits' : 'does not fit',
      origin: 'practice',
      sentence: fits
        ? `The stand is made for ${takes.join(' and ')}; a ${size} has jaws of ${sixteenths}/16 in.`
        : `The stand is made for ${takes.join(' and ')} and a ${size} has jaws of ${sixteenths}/16 in: it slips or does not clamp. Another stand, or two cut sticks through the springs.`,
    },
  ];
}
