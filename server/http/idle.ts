/** How long a connection on which nothing is asked stays open. */
import type { Server } from "node:http";

/**
 * Longer than proxies and browsers keep one that they mean to use again: whoever asks closes first, since a request that
 * meets a closing connection is lost and, where it writes, not sent again by itself. Node's own five seconds are shorter.
 */
export const IDLE_MS = 75_000;

/** Keeps idle connections open as long as that. */
export function keepIdleOpen(server: Server): void {
  server.keepAliveTimeout = IDLE_MS;
}
