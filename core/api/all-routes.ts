/** All routes of the contract, by name. */
import { CIRCLE_ROUTES } from "./circles.ts";
import { PEOPLE_ROUTES } from "./people.ts";
import { ROUTES } from "./routes.ts";

export const ALL_ROUTES = { ...ROUTES, ...PEOPLE_ROUTES, ...CIRCLE_ROUTES } as const;
export type RouteName = keyof typeof ALL_ROUTES;
