/** The one client of the server, made from the contract. What comes back is parsed before anything believes it. */
import { PERSON_HEADER, type Problem, pathOf, problemSchema, type ReplyOf, type Route } from "@jittery-cap/core/api";
import { z } from "zod";
import { under } from "../base.ts";
import { reportError } from "../device/report-error.ts";
import { heardSignedOut, ME, useHere } from "../people/here.ts";

/** What came of a request. */
export type Outcome<Value> =
  | { readonly kind: "ok"; readonly value: Value }
  /** The server said why not, and would say so again. */
  | { readonly kind: "refused"; readonly problem: Problem }
  /** Nobody answered, or the server could not just now, or nobody is signed in: asked again, it may. */
  | { readonly kind: "unreachable"; readonly text: string; readonly isAway: boolean };

/** What a request carries, as the route's own schemas take it. */
export interface Carried<Of extends Route> {
  readonly params?: z.input<Of["params"]>;
  readonly query?: z.input<Of["query"]>;
  readonly body?: Of["body"] extends z.ZodType ? z.input<Of["body"]> : undefined;
  /** A file that is sent instead of JSON. */
  readonly file?: Blob;
}

/** Who sends: where somebody else has signed in in another tab, the server takes nothing of this page's for theirs. */
const sender = (): Readonly<Record<string, string>> =>
  useHere.getState().is === "somebody" ? { [PERSON_HEADER]: ME } : {};
/** Who is silent for so long is away, ms: a server that stands still keeps its connections, and would be waited for for ever. */
const SILENT_MS = 30_000;
/** Nothing is heard while a picture goes up, on a slow line for minutes, ms. */
const A_FILE_SILENT_MS = 300_000;
const SIGNED_OUT = 401;
const AWAY = "The server cannot be reached.";
const wordsSchema = z.record(z.string(), z.union([z.string(), z.number(), z.boolean()]).optional());

/** Where a request of a route goes. */
export function addressOf<Of extends Route>(route: Of, carried: Pick<Carried<Of>, "params" | "query"> = {}): string {
  const params = z.record(z.string(), z.string()).parse(carried.params ?? {});
  const query = new URLSearchParams(
    Object.entries(wordsSchema.parse(carried.query ?? {})).flatMap(([name, value]) =>
      value === undefined ? [] : [[name, String(value)]],
    ),
  );
  return `${under(pathOf(route.path, params))}${query.size === 0 ? "" : `?${query}`}`;
}

/** Gives up where nothing more is heard for a while; a slow line is no silent one. @param ms until something is to be heard first */
function patience(ms: number) {
  const given = new AbortController();
  const giveUp = () => given.abort();
  let timer = setTimeout(giveUp, ms);
  return {
    signal: given.signal,
    more: () => {
      clearTimeout(timer);
      timer = setTimeout(giveUp, SILENT_MS);
    },
    end: () => clearTimeout(timer),
  };
}

/** Reads JSON, piece by piece. @param hear called with each @throws where it breaks off, or is none */
async function read({ body }: Response, hear: () => void): Promise<unknown> {
  const text: string[] = [];
  const decoder = new TextDecoder();
  for (const reader = body?.getReader(); reader !== undefined; ) {
    const { done, value } = await reader.read();
    hear();
    if (done) break;
    text.push(decoder.decode(value, { stream: true }));
  }
  return JSON.parse(text.join("") + decoder.decode());
}

/** Asks the server. Never rejects; a reply that is not what the contract says is reported and taken for none. */
export async function ask<Of extends Route>(route: Of, carried: Carried<Of> = {}): Promise<Outcome<ReplyOf<Of>>> {
  const wait = patience(carried.file === undefined ? SILENT_MS : A_FILE_SILENT_MS);
  let response: Response;
  try {
    const { headers, ...sent } = contentOf(carried);
    response = await fetch(addressOf(route, carried), {
      method: route.method.toUpperCase(),
      ...sent,
      headers: { ...headers, ...(route.access === "person" ? sender() : {}) },
      signal: wait.signal,
    });
  } catch {
    wait.end();
    return { kind: "unreachable", text: AWAY, isAway: true };
  }
  const content: unknown = await read(response, wait.more).catch(() => undefined);
  wait.end();
  if (route.access === "person" && (response.ok || response.status === SIGNED_OUT))
    heardSignedOut(response.status === SIGNED_OUT);
  if (response.ok) return replyOf(route, content);
  const problem = problemSchema.safeParse(content);
  const text = problem.success ? problem.data.detail : AWAY;
  // what waits goes on waiting until somebody has signed in: it is refused for nobody's sake
  if (route.access === "person" && response.status === SIGNED_OUT) return { kind: "unreachable", text, isAway: false };
  if (response.status >= 500) return { kind: "unreachable", text, isAway: true };
  return {
    kind: "refused",
    problem: problem.success
      ? problem.data
      : { type: "about:blank", title: "Refused", status: response.status, detail: `status ${response.status}` },
  };
}

function replyOf<Of extends Route>({ path, reply }: Of, content: unknown): Outcome<ReplyOf<Of>> {
  const schema = reply instanceof z.ZodType ? reply : z.unknown();
  const parsed = schema.safeParse(content);
  // the reply's own schema has looked it through
  if (parsed.success) return { kind: "ok", value: parsed.data as ReplyOf<Of> };
  reportError(
    "reply",
    new Error(`${path} answered what the contract does not say: ${parsed.error.issues[0]?.message}`),
  );
  return { kind: "unreachable", text: "The server was not understood.", isAway: true };
}

interface Content extends Pick<RequestInit, "body"> {
  readonly headers?: Readonly<Record<string, string>>;
}

function contentOf({ body, file }: { readonly body?: unknown; readonly file?: Blob }): Content {
  if (file !== undefined)
    return { body: file, headers: { "content-type": file.type === "" ? "application/octet-stream" : file.type } };
  return body === undefined ? {} : { body: JSON.stringify(body), headers: { "content-type": "application/json" } };
}

/** What was answered, or undefined where nobody did or it was refused. */
export async function valueOrNothing<Of extends Route>(
  route: Of,
  carried: Carried<Of> = {},
): Promise<ReplyOf<Of> | undefined> {
  const outcome = await ask(route, carried);
  return outcome.kind === "ok" ? outcome.value : undefined;
}
