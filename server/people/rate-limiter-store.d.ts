/** The package describes the base of its stores in its types, and keeps it in a file of its own. */
declare module "rate-limiter-flexible/lib/RateLimiterStoreAbstract.js" {
  import { RateLimiterStoreAbstract } from "rate-limiter-flexible";

  // biome-ignore lint/style/noDefaultExport: this is how the package exports it
  export default RateLimiterStoreAbstract;
}
