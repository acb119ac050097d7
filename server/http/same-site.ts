/** Lets in only what this application's own pages ask: another site in the same browser, or a name bound to this address, asks in vain. */
import { isIP } from "node:net";
import type { NextFunction, Request, RequestHandler, Response } from "express";
import { sendProblem } from "./problem.ts";

/** Content types that a page of any site may send without being asked first (Fetch Standard, CORS-safelisted). */
const SIMPLE_TYPES = ["text/plain", "application/x-www-form-urlencoded", "multipart/form-data"];
const CHANGING = new Set(["POST", "PUT", "PATCH", "DELETE"]);

/**
 * Refuses requests by a foreign name (a name can be bound to any address; an address is nobody's), requests that a page of
 * another site made, and changes that such a page could make without being asked first.
 * @param names host names besides localhost that this server goes by, lower case
 */
export function sameSiteOnly(names: readonly string[]): RequestHandler {
  const known = new Set(["localhost", ...names]);
  return (request: Request, response: Response, next: NextFunction) => {
    const host = request.headers.host ?? "";
    const name = nameOf(`http://${host}`);
    if (name === undefined || !(known.has(name) || isIP(name.replace(/^\[|\]$/g, "")) !== 0))
      return sendProblem(
        response,
        421,
        "Host: this server does not go by that name; set ALLOWED_HOSTS where it should.",
      );
    const { origin } = request.headers;
    if (origin !== undefined && hostOf(origin) !== host.toLowerCase())
      return sendProblem(response, 403, "Origin: a page of another site asked for this.");
    if (isFromElsewhere(request))
      return sendProblem(response, 403, "Sec-Fetch-Site: a page of another site asked for this.");
    if (CHANGING.has(request.method) && request.method !== "DELETE" && isSimple(request))
      return sendProblem(response, 415, "Content-Type: send application/json, or an image where one is kept.");
    next();
  };
}

/** A link that is followed to a page is no request of the other site's page: it cannot read what comes. */
function isFromElsewhere({ headers, method }: Request): boolean {
  const site = headers["sec-fetch-site"];
  if (site === undefined || site === "same-origin" || site === "none") return false;
  return !(method === "GET" && headers["sec-fetch-mode"] === "navigate" && headers["sec-fetch-dest"] === "document");
}

function isSimple({ headers }: Request): boolean {
  const type = headers["content-type"]?.split(";")[0]?.trim().toLowerCase();
  return type === undefined || SIMPLE_TYPES.includes(type);
}

function urlOf(text: string): URL | undefined {
  return URL.canParse(text) ? new URL(text) : undefined;
}

const nameOf = (url: string): string | undefined => urlOf(url)?.hostname.toLowerCase();
/** Host and port as a browser writes them into the Host header. */
const hostOf = (origin: string): string | undefined => urlOf(origin)?.host.toLowerCase();
