/** Where everything is: the addresses of the views, by which they can be shared. */
import type { Stop } from "./layout/stops.tsx";

/** The pages of one find, in the order of the work. */
export type FindPage = "record" | "tests" | "decide" | "history" | "run" | "rules";

/** Those that stand in the second level; the run and the rules are reached from where they matter. */
export const FIND_PAGES = [
  { page: "record", name: "Record" },
  { page: "tests", name: "Tests" },
  { page: "decide", name: "Decide" },
  { page: "history", name: "History" },
] as const satisfies readonly { page: FindPage; name: string }[];

/** Of another's find: what becomes of it is decided by its finder. */
export const OTHERS_PAGES = FIND_PAGES.filter(({ page }) => page === "record" || page === "history");

/** The first level. A stop that has nothing yet is not here. */
export const STOPS: readonly Stop[] = [
  { to: "/outing", name: "Outing" },
  { to: "/finds", name: "Finds" },
  { to: "/kitchen", name: "Kitchen" },
  { to: "/season", name: "Season" },
  { to: "/practice", name: "Practice" },
];

export const OUTING_PAGES: readonly Stop[] = [
  { to: "/outing/now", name: "On the way" },
  { to: "/outing/plan", name: "Plan" },
];

export const SEASON_PAGES: readonly Stop[] = [
  { to: "/season/log", name: "Log" },
  { to: "/season/places", name: "Places" },
  { to: "/season/return", name: "Return" },
  { to: "/season/pictures", name: "Pictures" },
];

export const KITCHEN_PAGES: readonly Stop[] = [
  { to: "/kitchen/basket", name: "Basket" },
  { to: "/kitchen/meal", name: "Meal" },
  { to: "/kitchen/tastings", name: "Tastings" },
  { to: "/kitchen/store", name: "Store" },
];

export const PRACTICE_PAGES: readonly Stop[] = [
  { to: "/practice/today", name: "Today" },
  { to: "/practice/whole", name: "Whole find" },
  { to: "/practice/look", name: "One look" },
  { to: "/practice/two", name: "These two" },
  { to: "/practice/nothing", name: "What proves nothing" },
  { to: "/practice/lamp", name: "Under the lamp" },
  { to: "/practice/how-well", name: "How well" },
];

export const EVERYWHERE: readonly Stop[] = [
  { to: "/sheets", name: "Sheets" },
  { to: "/prints", name: "All prints" },
  { to: "/files", name: "Files" },
  { to: "/words", name: "Words" },
  { to: "/settings", name: "Settings" },
  { to: "/circles", name: "Circles" },
  { to: "/me", name: "You" },
];

/** A page of a find. @param part a station of the record, or one of the tests */
export const findPath = (id: string, page: FindPage = "record", part?: string): string =>
  `/finds/${id}/${page}${part === undefined ? "" : `/${part}`}`;

/** One outing with all that belongs to it. */
export const outingPath = (id: string): string => `/outing/${id}`;

export const placePath = (id: string): string => `/season/places/${id}`;

/** The finds of which some ids are told: where a number of the season leads. */
export const theseFinds = (ids: readonly string[]): string => `/season/log/finds?these=${ids.join(",")}`;

/** A test of twenty by its seed: whoever has the address takes the same one. */
export const testPath = (seed: string): string => `/practice/test/${encodeURIComponent(seed)}`;

/** The table of a round that is taught, as its teacher has it. */
export const teachPath = (id: string): string => `/practice/teach/${id}`;

export const circlePath = (id: string): string => `/circles/${id}`;

/** A find that somebody in a circle asks about. */
export const askedPath = (id: string): string => `/circles/asked/${id}`;

export const sheetPath = (sheet: string): string => `/sheets/${sheet}`;

/** Two sheets side by side. */
export const comparePath = (one: string, other: string): string => `/sheets/${one}/beside/${other}`;

/** What an address of before leads to now: links that were kept or sent go on leading where they led. */
export const MOVED: readonly (readonly [string, (params: Readonly<Record<string, string | undefined>>) => string])[] = [
  ["/log", () => "/finds"],
  ["/basket", () => "/kitchen/basket"],
  ["/exchange", () => "/files"],
  ["/tests", () => "/prints"],
  ["/find/:id", ({ id = "" }) => findPath(id)],
  ["/find/:id/history", ({ id = "" }) => findPath(id, "history")],
  ["/find/:id/run", ({ id = "" }) => findPath(id, "run")],
  ["/find/:id/:part", ({ id = "", part }) => findPath(id, "record", part)],
  ["/tests/:id", ({ id = "" }) => findPath(id, "tests")],
  ["/tests/:id/:part", ({ id = "", part }) => findPath(id, "tests", part)],
  ["/decide/:id", ({ id = "" }) => findPath(id, "decide")],
  ["/rules/:id", ({ id = "" }) => findPath(id, "rules")],
  ["/sheet/:one", ({ one = "" }) => sheetPath(one)],
  ["/compare/:one/:other", ({ one = "", other = "" }) => comparePath(one, other)],
];
