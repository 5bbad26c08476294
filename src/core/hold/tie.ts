import { bedAt, tautWire, type Profile } from './slide';

/**
 * A tie that lets the catch leave the trail: the way from the anchor to water that hides it, past the trail's edge.
 *
 * @param profile bed from the anchor outward, m
 * @param level of the water, m
 * @param height of the animal in the water, m: so much hides it
 * @param clear how far from the anchor the trail is cleared, m
 * @returns length of the tie, m, or by how much the deepest water is short
 */
export function tieLength(
  profile: Profile,
  level: number,
  height: number,
  clear: number,
): { tie: number; out: number } | { shortBy: number } {
  const last = profile.at(-1)?.[0] ?? 0;
  const steps = [clear, ...profile.map(([x]) => x).filter((x) => x > clear)];
  let before = clear;
  for (const out of steps) {
    const deep = depthAt(profile, level, out) >= height;
    if (!deep) {
      before = out;
      continue;
    }
    let [shallow, far] = [before, out];
    for (let i = 0; i < 50 && out > clear; i += 1) {
      const middle = (shallow + far) / 2;
      if (depthAt(profile, level, middle) >= height) far = middle;
      else shallow = middle;
    }
    return { tie: tautWire(profile, far), out: far };
  }
  return { shortBy: height - Math.max(...[clear, last, ...steps].map((x) => depthAt(profile, level, x))) };
}

const depthAt = (profile: Profile, level: number, out: number): number => level - bedAt(profile, out);
