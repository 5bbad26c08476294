import type { System } from '../units/factors';
import { forceText, speedText } from '../units/speed';
/** Force at the wire's tip that fires a body-grip, N, by its notch; measured ones of the user go before these. [practice] */
export const FIRING_FORCE: Record<string, number> = { light: 2, middle: 5, firm: 10 };

/** Two wires of a trigger and a mat of leaves across them: m. [practice] */
const WIRES = { number: 2, thick: 0.004, share: 0.85 } as const;
const MAT = { side: 0.1, height: 0.5 } as const;
const DRAG = 1.2;
const WATER = 1000;

/** Drag of a body in moving water, N: `½·ρ·Cd·a·v²`. @source any handbook of fluid mechanics */
export const drag = (area: number, speed: number): number => 0.5 * WATER * DRAG * area * speed * speed;

export interface Current {
  verdict: 'holds' | 'holdsClean' | 'fires';
  /** force at the tip that the same moment would take, N: clean, and with a mat a hand in size */
  clean: number;
  mat: number;
  firing: number;
}

/**
 * What a current does to a trigger, compared as moments about its pivot: even drag on a wire equals half the force at its tip;
 * a mat of leaves acts at its own height.
 *
 * @param speed m/s
 * @param opening of the trap, m; the wires hang through most of it
 * @param notch firm, middle or light
 */
export function currentOnTrigger(speed: number, opening: number, notch: string): Current {
  const length = opening * WIRES.share;
  const firing = FIRING_FORCE[notch] ?? FIRING_FORCE.middle ?? 5;
  const clean = (WIRES.number * drag(length * WIRES.thick, speed)) / 2;
  const mat = clean + drag(MAT.side * MAT.side, speed) * MAT.height;
  return { clean, mat, firing, verdict: clean >= firing ? 'fires' : mat >= firing ? 'holdsClean' : 'holds' };
}

/** The verdict in words. */
export function currentText({ verdict, mat, firing }: Current, speed: number, system: System): string {
  const how = `${speedText(speed, system)}: leaves pull ${forceText(mat, system)}; fires at ${forceText(firing, system)} (rule of thumb)`;
  if (verdict === 'fires') return `The current fires it by itself: ${how}. Out of the current, or a firmer notch.`;
  if (verdict === 'holdsClean')
    return `It holds clean, not with a mat of leaves a hand in size: ${how}. A firmer notch, or out of the current.`;
  return `The current does not fire it: ${how}.`;
}
