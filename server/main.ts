/** Starts the server: database, migrations, demo data where asked for, then HTTP. Stops cleanly on a signal. */
import type { Server } from "node:http";
import { fileURLToPath } from "node:url";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import { readKnowledge } from "@jittery-cap/shelf";
import { pino } from "pino";
import { INVENTED } from "../demo/invented-people.ts";
import { startWeatherStation } from "../stand-ins/weather-station.ts";
import { assemble } from "./assemble.ts";
import { openDatabase } from "./database/database.ts";
import { migrate } from "./database/migrate.ts";
import { loadCircle, loadDemo, loadSeasons } from "./demo.ts";
import { createApp } from "./http/app.ts";
import { basePathOf } from "./http/base-path.ts";
import { keepIdleOpen } from "./http/idle.ts";
import { judgingInThreads } from "./judging/judging.ts";
import { Metrics } from "./metrics/metrics.ts";
import { readSettings } from "./settings.ts";
import { skyAt, stationAt } from "./weather/station.ts";

/** Where only this machine reaches the server. */
const LOOPBACK = ["127.0.0.1", "localhost", "::1"];
const STOP_WITHIN_MS = 5000;
/** Whoever opens the application at once after a start comes before what an earlier run left to be judged. */
const SWEEP_AFTER_MS = 3000;

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const logger = pino({ level: settings.LOG_LEVEL });
  const knowledge = readKnowledge();
  const database = openDatabase(settings.DATABASE_URL, settings.DATABASE_CLUSTER === "yes");
  const ran = await migrate(database);
  if (ran.length > 0) logger.info({ migrations: ran }, "database brought up to date");
  const simulated = settings.WEATHER_STATION_URL === undefined ? await startWeatherStation() : undefined;
  const address = settings.WEATHER_STATION_URL ?? addressOf(simulated);
  const { parts, models, close } = assemble(
    database,
    judgingInThreads(knowledge),
    logger,
    stationAt(address),
    skyAt(address),
  );
  await parts.documents.purgeByClock(new Date());
  const hasDemo = settings.LOAD_DEMO !== "no";
  if (hasDemo) for (const { id, name, about } of INVENTED) await parts.people.invent(id, name, about);
  if (settings.LOAD_DEMO === "yes")
    logger.info({ documents: await loadSeasons(parts.writer, models, LOCAL_PERSON, knowledge) }, "two seasons loaded");
  if (hasDemo) logger.info({ finds: await loadDemo(parts.writer, models, LOCAL_PERSON) }, "demo data loaded");
  if (settings.LOAD_DEMO === "yes") await loadCircle(parts, models);
  // the first list of a day is not the one that opens the connections
  const { rows } = await parts.documents.page({ kind: "person", id: LOCAL_PERSON }, "find", {
    archived: false,
    limit: 50,
  });
  await parts.verdicts.words(rows);
  const metrics = settings.METRICS_PORT === undefined ? undefined : new Metrics();
  metrics?.gauge("listening_pages", "Pages that wait to be told of changes", () => parts.live.listeners);
  metrics?.gauge("listening_phones", "Phones at the tables of rounds", () => parts.roundsLive.listeners);
  const told = settings.METRICS_PORT === undefined ? undefined : await metrics?.listen(settings.METRICS_PORT);
  const setupWord = (await parts.people.isNobodyYet()) ? await parts.setupWord() : undefined;
  let stopping = false;
  const app = createApp(parts, {
    hosts: settings.ALLOWED_HOSTS,
    isStopping: () => stopping,
    metrics,
    session: parts.sessions.middleware(settings.SESSION_SECRET ?? (await parts.sessions.secret("session")), {
      isSecure: settings.PUBLIC_URL?.protocol === "https:",
      path: basePathOf(settings.PUBLIC_URL) || "/",
    }),
    proxies: settings.TRUST_PROXIES,
    publicUrl: settings.PUBLIC_URL,
    hasInvented: hasDemo && LOOPBACK.includes(settings.HOST),
    webFolder: settings.WEB_FOLDER ?? fileURLToPath(new URL("../web/dist", import.meta.url)),
  });
  const server = app.listen(settings.PORT, settings.HOST, (error) => {
    if (error !== undefined) {
      logger.fatal({ err: error }, `cannot listen on ${settings.HOST}:${settings.PORT}`);
      process.exit(1);
    }
    const address = server.address();
    const port = typeof address === "object" && address !== null ? address.port : settings.PORT;
    process.stdout.write(`Jittery Cap is at http://${settings.HOST}:${port}${basePathOf(settings.PUBLIC_URL)}\n`);
    if (setupWord !== undefined) process.stdout.write(`Nobody has signed in yet. The setup word is ${setupWord}\n`);
    setTimeout(() => {
      parts.verdicts.sweep().catch((error: unknown) => logger.warn({ err: error }, "not all finds could be judged"));
    }, SWEEP_AFTER_MS).unref();
  });

  keepIdleOpen(server);

  const stop = (signal: string) => {
    stopping = true;
    logger.info({ signal }, "stopping");
    setTimeout(() => process.exit(1), STOP_WITHIN_MS).unref();
    simulated?.close();
    told?.close();
    const resting = close();
    server.close(() => void resting.then(() => database.close()).then(() => process.exit(0)));
    server.closeIdleConnections();
  };
  process.once("SIGTERM", () => stop("SIGTERM"));
  process.once("SIGINT", () => stop("SIGINT"));
}

/** Where the simulated station listens. */
function addressOf(station: Server | undefined): string {
  const address = station?.address();
  if (typeof address !== "object" || address === null) throw new Error("the simulated weather station has no address");
  return `http://127.0.0.1:${address.port}`;
}

main().catch((error: unknown) => {
  process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
  process.exit(1);
});
