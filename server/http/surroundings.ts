/** /api/weather and /api/stand-ins/position: what outside devices say. They are asked, never believed about a kind. */
import { Router } from "express";
import { z } from "zod";
import { scaleReading } from "../../stand-ins/scale.ts";
import { trackAt } from "../../stand-ins/track.ts";
import { type Station, weatherAt } from "../weather/station.ts";
import { parseOr400, sendProblem } from "./problem.ts";

const momentQuery = z.strictObject({
  at: z.iso.datetime({ offset: true, error: "expected a date and time with its offset" }),
});

/** The routes; without a station the weather is to be entered by hand. */
export function surroundingsRoutes(station: Station | undefined): Router {
  const router = Router();

  router.get("/weather", async (request, response) => {
    const query = parseOr400(momentQuery, request.query, response);
    if (query === undefined) return;
    if (station === undefined)
      return sendProblem(response, 503, "There is no weather station. Enter the weather by hand.");
    const told = await weatherAt(station, new Date(query.at)).catch(() => undefined);
    if (told === undefined)
      return sendProblem(response, 503, "The weather station does not answer. Enter the weather by hand.");
    response.json(told);
  });

  router.get("/stand-ins/position", (request, response) => {
    const query = parseOr400(momentQuery, request.query, response);
    if (query !== undefined) response.json(trackAt(new Date(query.at)));
  });

  router.get("/stand-ins/scale", (request, response) => {
    const query = parseOr400(
      z.strictObject({ capCm: z.coerce.number().positive().max(200).optional() }),
      request.query,
      response,
    );
    if (query !== undefined) response.json(scaleReading(query.capCm));
  });

  return router;
}
