// What is used of jstat, which brings no types of its own.

declare module 'jstat' {
  const jstat: {
    readonly beta: {
      /** The share of a Beta distribution below `x`. */
      readonly cdf: (x: number, alpha: number, beta: number) => number;
      /** Below which that share of it lies. */
      readonly inv: (share: number, alpha: number, beta: number) => number;
    };
    /** The logarithm of the Beta function. */
    readonly betaln: (alpha: number, beta: number) => number;
  };
  export default jstat;
}
