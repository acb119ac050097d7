/** The front door of the contract between server and clients. */
export { ALL_ROUTES, type RouteName } from "./all-routes.ts";
export { CIRCLE_ROUTES } from "./circles.ts";
export { documentSchema, type SentDocument, type Write, writeSchema } from "./documents.ts";
export { listedFindSchema, PAPER_SIZES, PICTURE_TYPES, standingSchema } from "./finds.ts";
export { answerSchema, MOST_ASSESSED } from "./judging.ts";
export { packetSchema } from "./packets.ts";
export { PEOPLE_ROUTES } from "./people.ts";
export { type Problem, problemSchema } from "./problem.ts";
export { PERSON_HEADER, pathOf, type Reply, type ReplyOf, type Route, route } from "./route.ts";
export { ROUTES } from "./routes.ts";
