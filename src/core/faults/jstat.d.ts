/** What is used of jStat, which ships no types. */
declare module 'jstat' {
  const jStat: {
    /** Gamma distribution by shape and scale; `inv` is its quantile function. */
    gamma: { inv(p: number, shape: number, scale: number): number };
  };
  export default jStat;
}
