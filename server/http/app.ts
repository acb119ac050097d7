/** The whole HTTP side: the contract, problems, and the built web application. */
import { existsSync } from "node:fs";
import { join } from "node:path";
import type { Person } from "@jittery-cap/core/documents";
import compression from "compression";
import express, { type Express, type Request, type RequestHandler } from "express";
import helmet from "helmet";
import { pinoHttp } from "pino-http";
import type { Metrics } from "../metrics/metrics.ts";
import { basePathOf, below, pageAt } from "./base-path.ts";
import { circleHandlers } from "./handlers/circles.ts";
import { documentHandlers } from "./handlers/documents.ts";
import { findHandlers } from "./handlers/finds.ts";
import { invitationHandlers } from "./handlers/invitations.ts";
import { packetHandlers } from "./handlers/packets.ts";
import { peopleHandlers } from "./handlers/people.ts";
import { placeHandlers } from "./handlers/places.ts";
import { roundHandlers } from "./handlers/rounds.ts";
import { signInHandlers } from "./handlers/sign-in.ts";
import { surroundingsHandlers } from "./handlers/surroundings.ts";
import type { Parts } from "./parts.ts";
import { problemHandler, sendProblem } from "./problem.ts";
import { reachedBy } from "./reached.ts";
import { sameSiteOnly } from "./same-site.ts";
import { serve } from "./serve.ts";
import { wholeHeaders } from "./whole-headers.ts";
import { wholeJsonOnly } from "./whole-json.ts";

const BODY_LIMIT = "2mb";
/** Shorter replies go in one packet or two anyway; squeezing them costs more than it saves, bytes. */
const COMPRESSED_FROM = 4096;
const LONG_CACHE_SECONDS = 365 * 24 * 60 * 60;

/** How the application is run, besides what it is made of. */
export interface Running {
  /** Whether the server is being stopped: connections are kept no longer than their request. */
  readonly isStopping?: () => boolean;
  /** Host names besides localhost that this server goes by. */
  readonly hosts?: readonly string[];
  /** Times the requests, where somebody collects that. */
  readonly metrics?: Pick<Metrics, "timing"> | undefined;
  /** Reads sessions; left out where whoever asks is told otherwise. */
  readonly session?: RequestHandler | undefined;
  /** Who asks; left out, whoever the session says. */
  readonly personOf?: ((request: Request) => Person | undefined) | undefined;
  /** How many proxies in front are believed. */
  readonly proxies?: number | undefined;
  /** Where people reach the application, where that is not this machine alone. */
  readonly publicUrl?: URL | undefined;
  /** Whether invented people may be taken by whoever sits at this machine. */
  readonly hasInvented?: boolean | undefined;
  /** The folder of the built web application; left out where only the API is wanted. */
  readonly webFolder?: string;
}

/** Whoever has signed in. */
const signedIn =
  ({ sessions }: Parts) =>
  (request: Request): Person | undefined => {
    const id = sessions.personOf(request);
    return id === undefined ? undefined : { kind: "person", id };
  };

/** Puts the application together; the caller listens. */
export function createApp(parts: Parts, running: Running = {}): Express {
  const { logger } = parts;
  const base = basePathOf(running.publicUrl);
  const app = express();
  app.disable("x-powered-by");
  // answers of the API are kept by nobody; files have tags of their own
  app.disable("etag");
  if (running.metrics !== undefined) app.use(running.metrics.timing);
  // registered first, it has the last word
  app.use(wholeHeaders);
  const logsRequests = logger.isLevelEnabled("info");
  app.use(
    pinoHttp({
      logger,
      autoLogging: logsRequests && { ignore: ({ url }) => url === "/api/health" || url === "/api/alive" },
    }),
  );
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
    if (running.isStopping?.() === true) response.set("connection", "close");
    next();
  });
  app.set("trust proxy", running.proxies ?? 0);
  app.use(
    sameSiteOnly([...(running.hosts ?? []), ...(running.publicUrl === undefined ? [] : [running.publicUrl.hostname])]),
  );
  const compress = compression({ threshold: COMPRESSED_FROM });
  app.use((request, response, next) => (request.method === "GET" ? compress(request, response, next) : next()));
  app.use(express.json({ limit: BODY_LIMIT, type: ["application/json", "application/*+json"] }));
  app.use(wholeJsonOnly);
  const personOf = running.personOf ?? signedIn(parts);
  const reached = reachedBy(running);
  serve(
    app,
    {
      ...documentHandlers(parts),
      ...circleHandlers(parts),
      ...findHandlers(parts),
      ...packetHandlers(parts),
      ...placeHandlers(parts),
      ...roundHandlers(parts),
      ...surroundingsHandlers(parts),
      ...signInHandlers(parts, reached),
      ...peopleHandlers(parts, reached),
      ...invitationHandlers(parts, reached),
    },
    personOf,
    running.session,
  );
  app.use("/api", (request, response) => sendProblem(response, 404, `There is nothing at ${request.originalUrl}.`));

  const { webFolder } = running;
  if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder, base);
  app.use(problemHandler(logger));
  return below(base, app);
}

/** Serves the built application: its files for a year, since a changed one has another name, and its page anew each time. */
function serveWeb(app: Express, webFolder: string, base: string): void {
  app.use(
    "/assets",
    express.static(join(webFolder, "assets"), {
      immutable: true,
      maxAge: LONG_CACHE_SECONDS * 1000,
      fallthrough: false,
    }),
  );
  const page: RequestHandler = (_request, response) => {
    response
      .set("Cache-Control", "no-cache")
      .type("html")
      .send(pageAt(base, join(webFolder, "index.html")));
  };
  app.get("/index.html", page);
  app.use(express.static(webFolder, { index: false, maxAge: 0 }));
  app.get("/{*path}", page);
}
