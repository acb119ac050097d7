/** Rounds that are taught: the table makes and shows them, phones that have the link answer. */
import { z } from "zod";
import { MOST_ITEMS, name, roundAnswerSchema, setItemSchema, shownSchema } from "../practice/round.ts";
import { uuid } from "./documents.ts";
import { route } from "./route.ts";

const ofRound = z.strictObject({ id: uuid });
const ofLink = z.strictObject({
  token: z.string().regex(/^[0-9a-f]{32}$/, "expected the token of a link"),
});
const items = z.array(setItemSchema).min(1).max(MOST_ITEMS);

const roundSchema = z.object({
  id: z.string(),
  name: z.string(),
  token: z.string(),
  items: z.array(z.object({ sheet: z.string(), seed: z.string() })),
  /** What the table shows; left out before it began. */
  shown: shownSchema.optional(),
  answers: z.array(roundAnswerSchema),
  madeAt: z.string(),
  /** From then on its link leads nowhere. */
  openUntil: z.string(),
});

export const makeRound = route({
  method: "post",
  path: "/api/rounds",
  about: "Makes a round of made finds, to be answered from phones by its link",
  body: z.strictObject({ id: uuid, name, items }),
  reply: roundSchema,
});

export const listRounds = route({
  method: "get",
  path: "/api/rounds",
  about: "The rounds that can still be joined, latest first",
  reply: z.object({
    rounds: z.array(z.object({ id: z.string(), name: z.string(), finds: z.int(), madeAt: z.string() })),
  }),
});

export const readRound = route({
  method: "get",
  path: "/api/rounds/:id",
  about: "A round as its table has it: all finds, and all that was answered",
  params: ofRound,
  reply: roundSchema,
  problems: [404],
});

export const showRound = route({
  method: "put",
  path: "/api/rounds/:id/shown",
  about: "Shows on every phone what the table shows; what is uncovered there is uncovered here",
  params: ofRound,
  body: z.strictObject({ shown: shownSchema }),
  reply: "nothing",
  problems: [404],
});

export const endRound = route({
  method: "delete",
  path: "/api/rounds/:id",
  about: "Ends a round: its link leads nowhere from now on",
  params: ofRound,
  reply: "nothing",
  problems: [404],
});

export const joinRound = route({
  method: "get",
  path: "/api/round-links/:token",
  about: "A round as a phone sees it: what the table shows, and how many have answered",
  access: "link",
  params: ofLink,
  query: z.strictObject({ guest: uuid.optional() }),
  reply: z.object({
    name: z.string(),
    finds: z.int(),
    shown: shownSchema.optional(),
    /** Of the find that is shown: how many answered, and, once it is uncovered, what. */
    said: z.int(),
    tally: z.object({ leave: z.int(), hold: z.int(), basket: z.int() }).optional(),
    /** What this phone said of it. */
    own: roundAnswerSchema.optional(),
  }),
  problems: [404],
});

export const answerRound = route({
  method: "post",
  path: "/api/round-links/:token/answers",
  about: "Answers the find that is shown; until it is uncovered, another answer of the same phone takes its place",
  access: "link",
  params: ofLink,
  body: roundAnswerSchema,
  reply: z.object({ heard: z.string() }),
  problems: [404, 409],
});

export const watchRound = route({
  method: "get",
  path: "/api/round-links/:token/live",
  about: "Server-sent events: `changed` whenever the table shows something else or somebody answered",
  access: "link",
  params: ofLink,
  reply: { media: "text/event-stream" },
  problems: [404],
});
