/** Errors as problem+json (RFC 9457), naming the field that is wrong. */
import { type Fault, faultsOf, type Parsed } from "@jittery-cap/core";
import type { NextFunction, Request, Response } from "express";
import type { Logger } from "pino";
import { ConnectionError } from "sequelize";
import { z } from "zod";

const TITLES: Readonly<Record<number, string>> = {
  400: "The request is not well formed",
  403: "Another site may not ask this",
  404: "There is no such thing here",
  409: "It was changed elsewhere in the meantime",
  413: "The request is too large",
  415: "The request has to be JSON",
  421: "This server does not go by that name",
  429: "Too many of these",
  500: "Something went wrong here",
  503: "The database does not answer",
};

/** Answers with a problem. The extra members are part of the problem, as the RFC allows. */
export function sendProblem(
  response: Response,
  status: number,
  detail: string,
  more: Readonly<Record<string, unknown>> = {},
): void {
  response
    .status(status)
    .type("application/problem+json")
    .send(JSON.stringify({ type: "about:blank", title: TITLES[status] ?? "Error", status, detail, ...more }));
}

/** Answers with the faults of a bad request, each with its path. */
export function sendFaults(response: Response, faults: readonly Fault[]): void {
  sendProblem(response, 400, faults.map((fault) => `${fault.path}: ${fault.message}`).join("; "), {
    errors: faults,
  });
}

/** Parses a request's body or parameters with a schema; sends the faults itself and answers undefined where it fails. */
export function parseOr400<Schema extends z.ZodType>(
  schema: Schema,
  input: unknown,
  response: Response,
): z.output<Schema> | undefined {
  const parsed = schema.safeParse(input, { reportInput: true });
  if (parsed.success) return parsed.data;
  sendFaults(response, faultsOf(parsed.error));
  return undefined;
}

/** The value of a core parse, or the faults sent. */
export function valueOr400<Value>(parsed: Parsed<Value>, response: Response): Value | undefined {
  if (parsed.ok) return parsed.value;
  sendFaults(response, parsed.faults);
  return undefined;
}

const httpError = z.object({ status: z.number(), message: z.string(), type: z.string().optional() });

/** The last handler: body parser's errors by their own status, everything else as 500 without its inner workings. */
export function problemHandler(logger: Logger) {
  return (error: unknown, request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const known = httpError.safeParse(error);
    if (known.success && known.data.status >= 400 && known.data.status < 500) {
      const notJson = known.data.type === "entity.parse.failed";
      sendProblem(
        response,
        known.data.status,
        notJson ? `(root): is not JSON: ${known.data.message}` : known.data.message,
      );
      return;
    }
    if (error instanceof ConnectionError) {
      (request.log ?? logger).error({ err: error }, "the database does not answer");
      sendProblem(response, 503, "The database does not answer. Nothing was stored; try again.");
      return;
    }
    // the request's own logger writes its id along; `err` is the name under which message and stack are written
    (request.log ?? logger).error({ err: error }, "request failed");
    sendProblem(response, 500, "The server could not do this. Nothing was stored by halves.");
  };
}
