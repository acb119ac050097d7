/** The judge asked directly, health, errors of browsers, and what is around the person. */
import { parseFinds } from "@jittery-cap/core";
import { MOST_ASSESSED } from "@jittery-cap/core/api";
import { weatherAt } from "../../weather/station.ts";
import { openApi } from "../open-api.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, parsedOr400, WithStatus } from "../serve.ts";

type Names =
  | "alive"
  | "health"
  | "describeApi"
  | "assessFinds"
  | "reportBrowserError"
  | "readWeather"
  | "readSky"
  | "simulatedPosition"
  | "simulatedScale";

/** So many errors of browsers are written down in so long, ms: a page that fails again and again fills no disk. */
const MOST_REPORTS = { reports: 60, within: 60_000 } as const;

export function surroundingsHandlers(parts: Parts): Pick<Handlers, Names> {
  const { judging, logger, station, sky, track, scale } = parts;
  let since = 0;
  let heard = 0;
  return {
    alive: () => ({ status: "ok" as const }),
    health: async () => {
      const up = await parts.isDatabaseUp();
      return new WithStatus(up ? 200 : 503, {
        status: up ? "ok" : "unavailable",
        database: up ? "up" : "down",
        edition: judging.edition,
        sheets: judging.sheets,
      });
    },
    describeApi: () => ({ ...openApi() }),
    assessFinds: async ({ body }) => {
      const finds = parsedOr400(parseFinds(body));
      if (finds.length > MOST_ASSESSED.finds)
        throw new Problem(413, `(root): at most ${MOST_ASSESSED.finds} finds in one request, not ${finds.length}`);
      const bodies = finds.reduce((sum, { bodies: all }) => sum + all.length, 0);
      if (bodies > MOST_ASSESSED.bodies)
        throw new Problem(413, `bodies: at most ${MOST_ASSESSED.bodies} in one request, not ${bodies}`);
      const answers = await judging.answers(finds);
      const [first] = answers;
      return Array.isArray(body) || first === undefined ? answers : first;
    },
    reportBrowserError: ({ body }) => {
      const now = Date.now();
      if (now - since > MOST_REPORTS.within) {
        since = now;
        heard = 0;
      }
      heard += 1;
      if (heard > MOST_REPORTS.reports)
        throw new Problem(429, "Too many errors in a minute; this one is not written down.");
      logger.warn({ browser: body }, "a browser reported an error");
      return undefined;
    },
    readWeather: async ({ query }) => {
      if (station === undefined) throw new Problem(503, "There is no weather station. Enter the weather by hand.");
      try {
        return await weatherAt(station, new Date(query.at));
      } catch (error) {
        logger.warn({ err: error }, "the weather station does not answer");
        throw new Problem(503, "The weather station does not answer. Enter the weather by hand.");
      }
    },
    readSky: async ({ query: { from, to } }) => {
      if (sky === undefined) throw new Problem(503, "There is no weather station.");
      try {
        return await sky(from, to);
      } catch (error) {
        logger.warn({ err: error }, "the weather station does not answer");
        throw new Problem(503, "The weather station does not answer.");
      }
    },
    simulatedPosition: ({ query }) => track(new Date(query.at)),
    simulatedScale: ({ query }) => scale(query.capCm),
  };
}
