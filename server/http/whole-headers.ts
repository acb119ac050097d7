/**
 * Over plain HTTP a browser takes an answer whose headers break off for a whole one with an empty body, and would keep it as long as
 * the headers say that it got: for a year, where it is a file of the program. So how long a body is goes out before what allows to
 * keep it: an answer that may be kept is known to be whole or not.
 */
import type { RequestHandler } from "express";
import onHeaders from "on-headers";

/** What lets a browser keep an answer, or be told later that what it kept is still good. */
const KEPT_BY = ["Last-Modified", "ETag", "Cache-Control"] as const;

export const wholeHeaders: RequestHandler = ({ httpVersion }, response, next) => {
  onHeaders(response, () => {
    const said = KEPT_BY.flatMap((name) => {
      const value = response.getHeader(name);
      return value === undefined ? [] : [{ name, value }];
    });
    if (said.length === 0) return;
    // otherwise it is said by itself, behind all others
    if (!response.hasHeader("Content-Length") && httpVersion === "1.1" && hasBody(response.statusCode))
      response.setHeader("Transfer-Encoding", "chunked");
    for (const { name } of said) response.removeHeader(name);
    for (const { name, value } of said) response.setHeader(name, value);
  });
  next();
};

const NO_CONTENT = 204;
const NOT_MODIFIED = 304;
const hasBody = (status: number): boolean => status !== NO_CONTENT && status !== NOT_MODIFIED;
