/** Where a request came in: the name that its browser knows, and whether whoever asks sits at this machine. */
import type { Request } from "express";
import type { Origin } from "../people/passkeys.ts";
import type { Running } from "./app.ts";
import type { Reached } from "./parts.ts";

const LOOPBACK = /^(::1|(::ffff:)?127\.\d+\.\d+\.\d+)$/;
/** What a proxy in front leaves behind: whoever comes through one does not sit at this machine. */
const LEFT_BY_PROXIES = ["forwarded", "x-forwarded-for", "x-forwarded-host", "x-forwarded-proto", "via", "x-real-ip"];
/** Names of this machine for itself. */
const OWN_NAMES = new Set(["localhost", "127.0.0.1", "[::1]"]);

const nameOf = (host: string | undefined): string => {
  const url = `http://${host ?? ""}`;
  return URL.canParse(url) ? new URL(url).hostname : "";
};

export function reachedBy({ publicUrl, proxies, hasInvented }: Running): Reached {
  return {
    originOf: ({ headers }): Origin | undefined => {
      if (publicUrl !== undefined)
        return publicUrl.protocol === "https:" || publicUrl.hostname === "localhost"
          ? { url: publicUrl.origin, name: publicUrl.hostname }
          : undefined;
      // browsers keep passkeys by names, not by addresses, and without https for this one name alone
      return nameOf(headers.host) === "localhost" ? { url: `http://${headers.host}`, name: "localhost" } : undefined;
    },
    mayTakeInvented: (request: Request): boolean =>
      hasInvented === true &&
      publicUrl === undefined &&
      (proxies ?? 0) === 0 &&
      LOOPBACK.test(request.socket.remoteAddress ?? "") &&
      OWN_NAMES.has(nameOf(request.headers.host)) &&
      !LEFT_BY_PROXIES.some((name) => request.headers[name] !== undefined),
  };
}
