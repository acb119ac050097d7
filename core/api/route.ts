/** One route of the contract: server and client are both made from it. */
import { z } from "zod";

/** Names the person whose page sends a request: a browser's tabs share one cookie, whoever's they are. */
export const PERSON_HEADER = "x-person";

/** What comes back where all is well: JSON of a schema, nothing, or a file of a media type. */
export type Reply = z.ZodType | "nothing" | { readonly media: string };

/**
 * Who may ask at all: anybody; anybody who is about to sign in, join or sign out; whoever holds a link that names what it is about;
 * or a person who has signed in.
 */
export type Access = "anybody" | "entrance" | "link" | "person";

export interface Route<
  Params extends z.ZodType = z.ZodType,
  Query extends z.ZodType = z.ZodType,
  Body extends z.ZodType | undefined = z.ZodType | undefined,
  Out extends Reply = Reply,
> {
  readonly method: "get" | "put" | "post" | "delete";
  /** With `:name` for each parameter. */
  readonly path: string;
  /** What it does, in a sentence. */
  readonly about: string;
  readonly access: Access;
  readonly params: Params;
  readonly query: Query;
  /** Left out where nothing is sent, or a file. */
  readonly body: Body;
  /** A file that is sent instead of JSON. */
  readonly file?: readonly string[];
  readonly reply: Out;
  /** The statuses of the problems that it may answer with, besides 400, 403, 421, 500 and 503, and 401 where a person has to be signed in. */
  readonly problems: readonly number[];
}

const NOTHING = z.strictObject({});
type Nothing = typeof NOTHING;

/** Makes a route; parameters, query and body that are left out are empty. */
export function route<
  Out extends Reply,
  Params extends z.ZodType = Nothing,
  Query extends z.ZodType = Nothing,
  Body extends z.ZodType | undefined = undefined,
>(parts: {
  readonly method: Route["method"];
  readonly path: string;
  readonly about: string;
  /** Left out, a person. */
  readonly access?: Access;
  readonly params?: Params;
  readonly query?: Query;
  readonly body?: Body;
  readonly file?: readonly string[];
  readonly reply: Out;
  readonly problems?: readonly number[];
}): Route<Params, Query, Body, Out> {
  return {
    problems: [],
    access: "person",
    ...parts,
    // what is left out takes its default, which is the type's default as well
    params: (parts.params ?? NOTHING) as Params,
    query: (parts.query ?? NOTHING) as Query,
    body: parts.body as Body,
  };
}

/** What a route answers with, as a value. */
export type ReplyOf<Of extends Route> = Of["reply"] extends z.ZodType ? z.output<Of["reply"]> : undefined;

/** The path with its parameters filled in. */
export function pathOf(path: string, params: Readonly<Record<string, string>>): string {
  return path.replace(/:([a-zA-Z]+)/g, (_all, name: string) => encodeURIComponent(params[name] ?? ""));
}
