/** Loaded before a server that is timed: tells how late its event loop was, when asked. */
import { monitorEventLoopDelay } from "node:perf_hooks";

const delay = monitorEventLoopDelay({ resolution: 5 });
delay.enable();
process.on("message", (asked) => {
  if (asked === "reset") delay.reset();
  const ms = (nanoseconds) => Math.round(nanoseconds / 1e5) / 10;
  process.send?.({ p50: ms(delay.percentile(50)), p99: ms(delay.percentile(99)), most: ms(delay.max) });
});
