/** The whole HTTP side: API, problems, and the built web application. */
import { existsSync } from "node:fs";
import { join } from "node:path";
import { assess, type Knowledge, parseFinds } from "@jittery-cap/core";
import compression from "compression";
import express, { type Express } from "express";
import helmet from "helmet";
import type { Logger } from "pino";
import { pinoHttp } from "pino-http";
import { Judging } from "../judging.ts";
import type { DecisionStore } from "../store/decisions.ts";
import type { FindStore } from "../store/finds.ts";
import type { PacketStore } from "../store/packets.ts";
import type { PictureStore } from "../store/pictures.ts";
import type { SettledStore } from "../store/settled.ts";
import type { Station } from "../weather/station.ts";
import { browserErrorRoutes } from "./browser-errors.ts";
import { findDecisionRoutes, latestDecisionRoutes } from "./decisions.ts";
import { findRoutes } from "./finds.ts";
import { findPacketRoutes, packetRoutes } from "./packets.ts";
import { pictureRoutes } from "./pictures.ts";
import { problemHandler, sendProblem, valueOr400 } from "./problem.ts";
import { sameSiteOnly } from "./same-site.ts";
import { settledRoutes } from "./settled.ts";
import { surroundingsRoutes } from "./surroundings.ts";
import { wholeJsonOnly } from "./whole-json.ts";

const BODY_LIMIT = "2mb";
/** What is judged in one request: more would keep everybody else waiting. */
const FINDS_A_REQUEST = 50;
const BODIES_A_REQUEST = 400;
const LONG_CACHE_SECONDS = 365 * 24 * 60 * 60;

export interface AppParts {
  readonly store: FindStore;
  readonly knowledge: Knowledge;
  readonly owner: string;
  readonly logger: Logger;
  readonly pictures: PictureStore;
  readonly decisions: DecisionStore;
  readonly packets: PacketStore;
  readonly settled: SettledStore;
  /** The weather station, where there is one. */
  readonly station?: Station | undefined;
  /** Shared with the store of decisions, so that a record is judged once. */
  readonly judging?: Judging;
  readonly isDatabaseUp: () => Promise<boolean>;
  /** Whether the server is being stopped: connections are kept no longer than their request. */
  readonly isStopping?: () => boolean;
  /** Host names besides localhost that this server goes by. */
  readonly hosts?: readonly string[];
  /** The folder of the built web application; left out where only the API is wanted. */
  readonly webFolder?: string;
}

/** Puts the application together; the caller listens. */
export function createApp(parts: AppParts): Express {
  const { store, knowledge, owner, logger } = parts;
  const app = express();
  app.disable("x-powered-by");
  app.use(pinoHttp({ logger, autoLogging: { ignore: (request) => request.url === "/api/health" } }));
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // MUI writes its styles into the page at run time
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", "data:", "blob:"],
          workerSrc: ["'self'", "blob:"],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'self'"],
        },
      },
    }),
  );
  app.use((_request, response, next) => {
    if (parts.isStopping?.() === true) response.set("connection", "close");
    next();
  });
  app.use(sameSiteOnly(parts.hosts ?? []));
  app.use(compression());
  app.use(express.json({ limit: BODY_LIMIT, type: ["application/json", "application/*+json"] }));
  app.use(wholeJsonOnly);

  app.get("/api/health", async (_request, response) => {
    const up = await parts.isDatabaseUp();
    response.status(up ? 200 : 503).json({
      status: up ? "ok" : "unavailable",
      database: up ? "up" : "down",
      edition: knowledge.edition,
      sheets: knowledge.sheets.length,
    });
  });

  app.post("/api/assess", (request, response) => {
    if (request.body === undefined)
      return sendProblem(response, 415, "(root): send one find or an array of finds as application/json");
    const finds = valueOr400(parseFinds(request.body), response);
    if (finds === undefined) return;
    if (finds.length > FINDS_A_REQUEST)
      return sendProblem(response, 413, `(root): at most ${FINDS_A_REQUEST} finds in one request, not ${finds.length}`);
    const bodies = finds.reduce((sum, { bodies: all }) => sum + all.length, 0);
    if (bodies > BODIES_A_REQUEST)
      return sendProblem(response, 413, `bodies: at most ${BODIES_A_REQUEST} in one request, not ${bodies}`);
    const answers = finds.map((find) => assess(find, knowledge));
    response.json(Array.isArray(request.body) ? answers : answers[0]);
  });

  app.use("/api/browser-errors", browserErrorRoutes(logger));
  app.use("/api", surroundingsRoutes(parts.station));
  const forPackets = { packets: parts.packets, pictures: parts.pictures, finds: store, knowledge, owner };
  app.use("/api/settled", settledRoutes({ settled: parts.settled, owner }));
  app.use("/api/packets", packetRoutes(forPackets));
  app.use("/api/finds", findPacketRoutes(forPackets));
  app.use("/api/decisions", latestDecisionRoutes({ decisions: parts.decisions, owner }));
  app.use("/api/finds", findDecisionRoutes({ decisions: parts.decisions, owner }));
  app.use("/api/finds", pictureRoutes({ pictures: parts.pictures, owner }));
  app.use("/api/finds", findRoutes({ store, owner, judging: parts.judging ?? new Judging(knowledge) }));
  app.use("/api", (request, response) => sendProblem(response, 404, `There is nothing at ${request.originalUrl}.`));

  const { webFolder } = parts;
  if (webFolder !== undefined && existsSync(webFolder)) {
    app.use(
      "/assets",
      express.static(join(webFolder, "assets"), {
        immutable: true,
        maxAge: LONG_CACHE_SECONDS * 1000,
        fallthrough: false,
      }),
    );
    app.use(express.static(webFolder, { index: false, maxAge: 0 }));
    app.get("/{*path}", (_request, response) => response.sendFile(join(webFolder, "index.html")));
  }
  app.use(problemHandler(logger));
  return app;
}
