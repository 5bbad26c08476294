/** How many devices of a kind were looked at, and how many of those came back unfit or not at all. */
export interface Worn {
  looks: number;
  lost: number;
}

/** Before anything was written: one of forty looks finds a device that has to be replaced. [practice] */
const PRIOR: Worn = { looks: 40, lost: 1 };

/** Spares suffice on so many runs of ten. [practice] */
const ENOUGH = 0.9;

/**
 * How many spares of a kind a run takes along so that they suffice nine times in ten: losses are Poisson at a rate that is known only so
 * well as looks were written (gamma prior), so that their number on the next run is negative binomial.
 *
 * @param today devices of the kind that are looked at
 * @source A. Gelman et al., Bayesian Data Analysis, 3rd ed. (2013), section 2.6: the predictive distribution of a Poisson count
 */
export function sparesFor({ looks, lost }: Worn, today: number): number {
  if (today <= 0) return 0;
  const shape = PRIOR.lost + lost;
  const exposure = PRIOR.looks + looks;
  const share = today / (exposure + today);
  let chance = (1 - share) ** shape;
  let sum = chance;
  let spares = 0;
  while (sum < ENOUGH) {
    chance *= ((spares + shape) / (spares + 1)) * share;
    spares += 1;
    sum += chance;
  }
  return spares;
}
