/** The contract as an OpenAPI 3.1 document, made from the same schemas that every request is parsed with. */
import { OpenAPIRegistry, OpenApiGeneratorV31 } from "@asteasolutions/zod-to-openapi";
import { answerSummarySchema, bodySchema, changeSchema, entrySchema, findSchema } from "@jittery-cap/core";
import { ALL_ROUTES, documentSchema, problemSchema, type Route } from "@jittery-cap/core/api";
import { z } from "zod";

/** Problems that any route may answer with. */
const ANYWHERE = [400, 403, 421, 500, 503] as const;
const WORDS: Readonly<Record<number, string>> = {
  400: "The request is not well formed; the field is named",
  401: "Nobody is signed in, or what was told opens nothing",
  403: "A page of another site asked, or this person may not",
  404: "There is no such thing",
  409: "It was changed in the meantime",
  413: "Too large",
  415: "Not of a type that is read",
  421: "The server does not go by that name",
  429: "Too many of these",
  500: "The server failed",
  503: "Database, judge or station do not answer just now",
};

const problem = (status: number) => ({
  description: WORDS[status] ?? "A problem",
  content: { "application/problem+json": { schema: problemSchema } },
});

function replyOf({ reply }: Route) {
  if (reply === "nothing") return { 204: { description: "Done" } };
  if ("media" in reply)
    return {
      200: { description: "The file", content: { [reply.media]: { schema: z.string().meta({ format: "binary" }) } } },
    };
  return { 200: { description: "Done", content: { "application/json": { schema: reply } } } };
}

function requestOf(route: Route) {
  const { params, query, body, file } = route;
  const content =
    file === undefined
      ? body === undefined
        ? undefined
        : { "application/json": { schema: body } }
      : Object.fromEntries(file.map((type) => [type, { schema: z.string().meta({ format: "binary" }) }]));
  return {
    ...(params instanceof z.ZodObject ? { params } : {}),
    ...(query instanceof z.ZodObject ? { query } : {}),
    ...(content === undefined ? {} : { body: { required: true, content } }),
  };
}

/** What stands in many places is described once, under a name. */
const NAMED = {
  Problem: problemSchema,
  Document: documentSchema,
  Find: findSchema,
  Body: bodySchema,
  Entry: entrySchema,
  Change: changeSchema,
  AnswerSummary: answerSummarySchema,
} as const;

let made: ReturnType<OpenApiGeneratorV31["generateDocument"]> | undefined;

/** The description of the whole interface. */
export function openApi() {
  if (made !== undefined) return made;
  const registry = new OpenAPIRegistry();
  for (const [name, route] of Object.entries<Route>(ALL_ROUTES))
    registry.registerPath({
      operationId: name,
      method: route.method,
      path: route.path.replace(/:([a-zA-Z]+)/g, "{$1}"),
      summary: route.about,
      request: requestOf(route),
      ...(route.access === "person" ? { security: [{ session: [] }] } : {}),
      responses: {
        ...replyOf(route),
        ...Object.fromEntries(
          [...new Set([...ANYWHERE, ...(route.access === "person" ? [401] : []), ...route.problems])].map((status) => [
            status,
            problem(status),
          ]),
        ),
      },
    });
  registry.registerComponent("securitySchemes", "session", {
    type: "apiKey",
    in: "cookie",
    name: "jittery-cap",
    description: "The cookie that signing in sets",
  });
  for (const [id, schema] of Object.entries<z.ZodType>(NAMED)) z.globalRegistry.add(schema, { id });
  const generated = new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: "3.1.0",
    info: {
      title: "Jittery Cap",
      version: "1",
      description: "What a person keeps, and how it is judged. Nothing here gives leave to eat anything.",
    },
    servers: [{ url: "/" }],
  });
  // names given here are nobody else's affair
  for (const schema of Object.values<z.ZodType>(NAMED)) z.globalRegistry.remove(schema);
  made = withoutNames(generated);
  return made;
}

/** The generator writes the name of a described thing into it as well, which is no keyword of JSON Schema. */
function withoutNames<Document>(generated: Document): Document {
  const names = new Set<unknown>(Object.keys(NAMED));
  return JSON.parse(
    JSON.stringify(generated, (key, value: unknown) => (key === "id" && names.has(value) ? undefined : value)),
  );
}
