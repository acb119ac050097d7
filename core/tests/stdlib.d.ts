/** What the tests use of stdlib's quantiles, an implementation of its own. */
declare module "@stdlib/stats-base-dists-gamma-quantile" {
  const quantile: (share: number, shape: number, rate: number) => number;
  // biome-ignore lint/style/noDefaultExport: that is how the package exports it
  export default quantile;
}
declare module "@stdlib/stats-base-dists-t-quantile" {
  const quantile: (share: number, degrees: number) => number;
  // biome-ignore lint/style/noDefaultExport: that is how the package exports it
  export default quantile;
}
