/**
 * Sticks of one thickness that leave no gap wider than allowed.
 *
 * @param gap width to close, m
 * @param allowed widest gap that may stay, m
 * @param stick thickness of a stick, m
 * @returns how many sticks, and the clear width between them, m
 * @throws RangeError when a width is negative or nothing may stay open
 * @source counting: n sticks make n + 1 openings
 */
export function fence(gap: number, allowed: number, stick: number): { sticks: number; clear: number } {
  if (gap < 0 || stick <= 0 || allowed <= 0)
    throw new RangeError(`a fence needs a gap of 0 or more, a stick and an opening above 0, got ${gap}, ${stick}, ${allowed}`);
  const sticks = Math.max(0, Math.ceil((gap - allowed) / (allowed + stick) - 1e-9));
  return { sticks, clear: (gap - sticks * stick) / (sticks + 1) };
}
