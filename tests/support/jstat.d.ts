declare module 'jstat' {
  const jstat: {
    chisquare: { inv(p: number, df: number): number };
    negbin: { cdf(x: number, r: number, p: number): number };
  };
  export default jstat;
}
