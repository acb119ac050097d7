/** The contract served: every route is parsed, its handler called with what came of that, and its reply sent. */
import type { Parsed } from "@jittery-cap/core";
import { faultsOf } from "@jittery-cap/core";
import type { Reply, Route, RouteName } from "@jittery-cap/core/api";
import { ALL_ROUTES, PERSON_HEADER } from "@jittery-cap/core/api";
import type { Person } from "@jittery-cap/core/documents";
import express, { type Express, type Request, type RequestHandler, type Response } from "express";
import type { z } from "zod";
import { Problem } from "./problem.ts";

/** Files are larger than anything else that is sent. */
const FILE_LIMIT = "25mb";

/** Who asks, and the raw request for what has no schema. */
export interface Asked<Of extends Route> {
  readonly actor: Person;
  readonly params: z.output<Of["params"]>;
  readonly query: z.output<Of["query"]>;
  readonly body: Of["body"] extends z.ZodType ? z.output<Of["body"]> : undefined;
  /** The file that was sent. */
  readonly file: Buffer;
  readonly request: Request;
  readonly response: Response;
}

/** What a handler answers: a value of the reply's schema (checked by the tests, believed here), nothing, or a file. */
type Answered<Out extends Reply> = Out extends z.ZodType
  ? z.input<Out> | WithStatus<z.input<Out>>
  : Out extends "nothing"
    ? undefined
    : Buffer | undefined;

export type Handler<Of extends Route> = (asked: Asked<Of>) => Promise<Answered<Of["reply"]>> | Answered<Of["reply"]>;

/** A handler for every route of the contract. */
export type Handlers = { readonly [Name in RouteName]: Handler<(typeof ALL_ROUTES)[Name]> };

/** A reply with a status of its own, 201 for what was made. */
export class WithStatus<Value> {
  readonly status: number;
  readonly value: Value;

  constructor(status: number, value: Value) {
    this.status = status;
    this.value = value;
  }
}

/** Whoever has no name: routes that anybody may ask say nothing of a person's. */
const NOBODY: Person = { kind: "person", id: "" };

/** Why a request for a person's own is not looked at; undefined where it is. */
function notTheirs(request: Request, person: Person | undefined): Problem | undefined {
  if (person === undefined) return new Problem(401, "Sign in first.");
  const page = request.get(PERSON_HEADER);
  return page === undefined || page === person.id
    ? undefined
    : new Problem(401, "Somebody else has signed in in this browser since this page was opened.");
}

/** Puts all routes on an application. @param personOf who has signed in, if anybody @param session reads that from a request */
export function serve(
  app: Express,
  handlers: Handlers,
  personOf: (request: Request) => Person | undefined,
  session: RequestHandler = (_request, _response, next) => next(),
): void {
  for (const [name, route] of Object.entries(ALL_ROUTES) as [RouteName, Route][]) {
    const handler = handlers[name] as Handler<Route>;
    const steps: RequestHandler[] =
      route.file === undefined ? [] : [express.raw({ limit: FILE_LIMIT, type: [...route.file] })];
    // before a body is read: nobody keeps this server busy without a name
    const named: RequestHandler = (request, _response, next) =>
      next(route.access === "person" ? notTheirs(request, personOf(request)) : undefined);
    const knowsPeople = route.access === "person" || route.access === "entrance";
    const first = knowsPeople ? [session, named] : [];
    app[route.method](route.path, ...first, ...steps, async (request, response) => {
      const asked: Asked<Route> = {
        actor: (knowsPeople ? personOf(request) : undefined) ?? NOBODY,
        params: parsed(route.params, request.params),
        query: parsed(route.query, request.query),
        body: (route.body === undefined ? undefined : parsed(route.body, bodyOf(request))) as Asked<Route>["body"],
        file: route.file === undefined ? Buffer.alloc(0) : fileOf(request, route.file),
        request,
        response,
      };
      send(route, response, await handler(asked));
    });
  }
}

function send(route: Route, response: Response, answer: unknown): void {
  // a stream is the handler's own affair
  if (response.headersSent) return;
  if (route.reply === "nothing") {
    response.status(204).end();
    return;
  }
  if ("media" in route.reply) {
    if (Buffer.isBuffer(answer)) response.type(route.reply.media).send(answer);
    return;
  }
  // what was answered may be old as soon as it is sent: nobody in between keeps it
  response.set("cache-control", "no-store");
  if (answer instanceof WithStatus) response.status(answer.status).json(answer.value);
  else response.json(answer);
}

function bodyOf(request: Request): unknown {
  if (request.body === undefined) throw new Problem(415, "(root): send what the route asks for as application/json");
  return request.body;
}

function fileOf({ body }: Request, types: readonly string[]): Buffer {
  if (Buffer.isBuffer(body) && body.length > 0) return body;
  throw new Problem(415, `(root): send the file itself, as one of ${types.join(", ")}`);
}

function parsed<Schema extends z.ZodType>(schema: Schema, input: unknown): z.output<Schema> {
  const result = schema.safeParse(input, { reportInput: true });
  if (result.success) return result.data;
  throw Problem.ofFaults(faultsOf(result.error));
}

/** The value of a parse of the core. @throws the problem that names what is wrong */
export function parsedOr400<Value>(parse: Parsed<Value>): Value {
  if (parse.ok) return parse.value;
  throw Problem.ofFaults(parse.faults);
}
