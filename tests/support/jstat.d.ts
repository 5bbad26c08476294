declare module 'jstat' {
  const jstat: { chisquare: { inv(p: number, df: number): number } };
  export default jstat;
}
