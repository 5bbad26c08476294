declare module 'jstat' {
  const jstat: {
    beta: { inv(p: number, a: number, b: number): number };
    chisquare: { inv(p: number, df: number): number };
    binomial: { pdf(k: number, n: number, p: number): number };
    gamma: { mean(shape: number, scale: number): number };
    hypgeom: { pdf(k: number, all: number, own: number, drawn: number): number };
    negbin: { cdf(x: number, r: number, p: number): number };
  };
  export default jstat;
}
