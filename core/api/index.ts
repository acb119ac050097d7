/** The front door of the contract between server and clients. */
export { documentSchema, type SentDocument, type Write, writeSchema } from "./documents.ts";
export { listedFindSchema, PAPER_SIZES, PICTURE_TYPES, standingSchema } from "./finds.ts";
export { answerSchema, MOST_ASSESSED } from "./judging.ts";
export { packetSchema } from "./packets.ts";
export { type Problem, problemSchema } from "./problem.ts";
export { pathOf, type Reply, type ReplyOf, type Route, route } from "./route.ts";
export { ROUTES, type RouteName } from "./routes.ts";
