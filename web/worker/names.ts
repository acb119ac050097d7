/** Search by names: fetched when somebody searches, since no answer needs it. */
export { type NameMatch, nameSearch } from "@jittery-cap/core";
