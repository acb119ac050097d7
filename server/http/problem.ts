/** Errors as problem+json (RFC 9457), naming the field that is wrong. */
import type { Fault } from "@jittery-cap/core";
import type { Problem as SentProblem } from "@jittery-cap/core/api";
import type { NextFunction, Request, Response } from "express";
import type { Logger } from "pino";
import { ConnectionError } from "sequelize";
import { z } from "zod";
import { JudgeBusy } from "../judging/judging.ts";

const TITLES: Readonly<Record<number, string>> = {
  400: "The request is not well formed",
  401: "Nobody is signed in",
  403: "This may not be asked from here",
  404: "There is no such thing here",
  409: "It was changed elsewhere in the meantime",
  413: "The request is too large",
  415: "What was sent is not of a type that is read here",
  421: "This server does not go by that name",
  429: "Too many of these",
  500: "Something went wrong here",
  503: "This cannot be done just now",
};

/** What a handler throws where it cannot answer; it is sent as it is. */
export class Problem extends Error {
  readonly status: number;
  readonly more: Partial<SentProblem>;

  constructor(status: number, detail: string, more: Partial<SentProblem> = {}) {
    super(detail);
    this.status = status;
    this.more = more;
  }

  /** The faults of a bad request, each with its path. */
  static ofFaults(faults: readonly Fault[]): Problem {
    return new Problem(400, faults.map((fault) => `${fault.path}: ${fault.message}`).join("; "), {
      errors: [...faults],
    });
  }
}

/** Answers with a problem. The extra members are part of the problem, as the RFC allows. */
export function sendProblem(response: Response, status: number, detail: string, more: Partial<SentProblem> = {}): void {
  const id = response.req.id;
  const problem: SentProblem = {
    type: "about:blank",
    title: TITLES[status] ?? "Error",
    status,
    detail,
    ...(id === undefined ? {} : { request: String(id) }),
    ...more,
  };
  response.status(status).type("application/problem+json").send(JSON.stringify(problem));
}

const httpError = z.object({ status: z.number(), message: z.string(), type: z.string().optional() });

/** The last handler: problems as they are, body parser's errors by their own status, the rest as 500 without its inner workings. */
export function problemHandler(logger: Logger) {
  return (error: unknown, request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) next(error);
    else answer(error, request, response);
  };

  function answer(error: unknown, request: Request, response: Response): void {
    if (error instanceof Problem) {
      sendProblem(response, error.status, error.message, error.more);
      return;
    }
    if (error instanceof JudgeBusy) {
      response.set("retry-after", "5");
      sendProblem(response, 503, `Nothing was judged, and nothing is cleared: ${error.message}. Try again.`);
      return;
    }
    const known = httpError.safeParse(error);
    if (known.success && known.data.status >= 400 && known.data.status < 500) {
      const { status, message, type } = known.data;
      sendProblem(response, status, type === "entity.parse.failed" ? `(root): is not JSON: ${message}` : message);
      return;
    }
    // the request's own logger writes its id along; `err` is the name under which message and stack are written
    if (error instanceof ConnectionError) {
      (request.log ?? logger).error({ err: error }, "the database does not answer");
      sendProblem(response, 503, "The database does not answer. Nothing was stored; try again.");
      return;
    }
    (request.log ?? logger).error({ err: error }, "request failed");
    sendProblem(response, 500, "The server could not do this. Nothing was stored by halves.");
  }
}
