/** Regularised lower incomplete gamma function P(a, x). @source series and continued fraction, any handbook of numerical methods */
function gammaP(a: number, x: number): number {
  if (x <= 0) return 0;
  const scale = Math.exp(-x + a * Math.log(x) - logGamma(a));
  if (x < a + 1) {
    let term = 1 / a;
    let sum = term;
    for (let n = 1; n < 500 && Math.abs(term) > Math.abs(sum) * 1e-15; n += 1) {
      term *= x / (a + n);
      sum += term;
    }
    return sum * scale;
  }
  let b = x + 1 - a;
  let c = 1e300;
  let d = 1 / b;
  let h = d;
  for (let n = 1; n < 500; n += 1) {
    const an = -n * (n - a);
    b += 2;
    d = 1 / (an * d + b);
    c = b + an / c;
    h *= d * c;
    if (Math.abs(d * c - 1) < 1e-15) break;
  }
  return 1 - scale * h;
}

/** ln Γ(x). @source Lanczos approximation, g 7, from memory; its results are tested against jstat */
function logGamma(x: number): number {
  const p = [
    676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012,
    9.9843695780195716e-6, 1.5056327351493116e-7,
  ];
  const y = x - 1;
  const sum = p.reduce((s, c, i) => s + c / (y + i + 1), 0.99999999999980993);
  const t = y + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum);
}

function gammaQuantile(p: number, shape: number): number {
  let low = 0;
  let high = shape + 10 * Math.sqrt(shape) + 20;
  for (let n = 0; n < 200; n += 1) {
    const middle = (low + high) / 2;
    if (gammaP(shape, middle) < p) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Exact two-sided 95% limits of a Poisson mean.
 *
 * @param count events seen, a whole number of 0 or more
 * @throws RangeError when `count` is not such a number
 * @source Garwood 1936: 0 → 3.689; 10 → 4.795 to 18.390
 */
export function poissonLimits(count: number): { low: number; high: number } {
  if (!Number.isInteger(count) || count < 0) throw new RangeError(`a count is a whole number of 0 or more, got ${count}`);
  return { low: count === 0 ? 0 : gammaQuantile(0.025, count), high: gammaQuantile(0.975, count + 1) };
}

/** P(X ≤ k) of a binomial, summed term by term in logarithms. */
function binomialAtMost(k: number, n: number, p: number): number {
  let sum = 0;
  for (let i = 0; i <= k; i += 1)
    sum += Math.exp(logGamma(n + 1) - logGamma(i + 1) - logGamma(n - i + 1) + i * Math.log(p) + (n - i) * Math.log(1 - p));
  return Math.min(1, sum);
}

function bisected(rises: (p: number) => boolean): number {
  let [low, high] = [0, 1];
  for (let n = 0; n < 60; n += 1) {
    const middle = (low + high) / 2;
    if (rises(middle)) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Exact two-sided 95% limits of a share.
 *
 * @param hits how many of the trials, whole numbers
 * @throws RangeError when hits are not between 0 and the trials
 * @source Clopper & Pearson 1934: 0 of 10 → 0 to 0.3085
 */
export function shareLimits(hits: number, trials: number): [number, number] {
  if (!Number.isInteger(hits) || !Number.isInteger(trials) || hits < 0 || hits > trials)
    throw new RangeError(`${hits} of ${trials} is no share of trials`);
  if (trials === 0) return [0, 1];
  const low = hits === 0 ? 0 : bisected((p) => 1 - binomialAtMost(hits - 1, trials, p) < 0.025);
  const high = hits === trials ? 1 : bisected((p) => binomialAtMost(hits, trials, p) > 0.025);
  return [low, high];
}
