import { bedAt, type Profile } from './slide';

/**
 * Whether a circle round an anchor has dry land at the highest level and water at the lowest.
 *
 * @param profile the bed and bank through the anchor, m; x from the anchor, both ways
 * @param reach tether and animal, m
 * @param levels lowest and highest of the course, m
 * @returns how high land stands over the highest level, and how deep the water is at the lowest, m; negative where there is none
 */
export function landAndWater(
  profile: Profile,
  reach: number,
  levels: { lowest: number; highest: number },
): { land: number; water: number } {
  const within = [-reach, reach, ...profile.map(([x]) => x).filter((x) => Math.abs(x) <= reach)].map((x) => bedAt(profile, x));
  return { land: Math.max(...within) - levels.highest, water: levels.lowest - Math.min(...within) };
}
