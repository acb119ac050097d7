/** What is used of jStat, which ships no types. */
declare module "jstat" {
  interface JStat {
    readonly hypgeom: { readonly pdf: (k: number, n: number, m: number, drawn: number) => number };
    readonly beta: { readonly inv: (share: number, alpha: number, beta: number) => number };
    readonly gamma: { readonly inv: (share: number, shape: number, scale: number) => number };
    readonly studentt: { readonly inv: (share: number, degrees: number) => number };
    readonly quantiles: (values: readonly number[], shares: readonly number[], alpha: number, beta: number) => number[];
  }
  const jstat: JStat;
  // biome-ignore lint/style/noDefaultExport: that is how the package exports it
  export default jstat;
}
