const GRAVITY = 9.80665;

/** Density of what fills a bag, kg/m³. [practice] */
export const FILLS = { rock: 2650, 'mud and stones': 1700 } as const;
export type Fill = keyof typeof FILLS;

/** Pull of the largest animal that can be caught, as a multiple of its weight. [practice] */
export const PULLS = { swimming: 0.4, footed: 1.5 } as const;

/** Holding of a stake in 30 cm of a bottom, N. [practice] */
export const STAKE_HOLDS = { soft: 150, firm: 450, hard: 900 } as const;
export type Bottom = keyof typeof STAKE_HOLDS;
export const isBottom = (text: string): text is Bottom => text in STAKE_HOLDS;

/** What is left of a weight under water, as a share. @source buoyancy, ρ water 1000 kg/m³ */
export const sunkShare = (density: number): number => 1 - 1000 / density;

/** Pull of an animal, N. @param weight kg */
export const pullOf = (weight: number, how: keyof typeof PULLS): number => PULLS[how] * weight * GRAVITY;

/**
 * Mass of a bag that a pull does not drag over the bed, kg.
 *
 * @param pull N
 * @param angle of the wire over the bed, rad; the worst is atan μ
 * @param slope of the bed, rad; the pull goes down it
 * @param mu friction on the bed, 0.5 [practice]
 * @returns null where no bag holds
 * @source equilibrium of a block on an incline: T(cos a + μ sin a) = m·g·w(μ cos β − sin β)
 * @example bagMass(20 * 9.80665, 0, 0, 0.5, 0.623) // 64.2
 */
export function bagMass(pull: number, angle: number, slope: number, mu: number, share: number): number | null {
  const grip = mu * Math.cos(slope) - Math.sin(slope);
  if (grip <= 0) return null;
  return (pull * (Math.cos(angle) + mu * Math.sin(angle))) / (GRAVITY * share * grip);
}

/** The angle at which a pull moves a bag most easily, rad. */
export const worstAngle = (mu: number): number => Math.atan(mu);

/** What a stake holds, N. @param driven m in the ground */
export const stakeHolds = (driven: number, bottom: Bottom): number => (driven / 0.3) * STAKE_HOLDS[bottom];
