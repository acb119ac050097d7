/** The witness of the tests ships no types. */
declare module "parse-prometheus-text-format" {
  function parsePrometheusTextFormat(text: string): unknown[];
  // biome-ignore lint/style/noDefaultExport: that is how the package exports it
  export default parsePrometheusTextFormat;
}
