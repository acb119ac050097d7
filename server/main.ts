/** Starts the server: database, migrations, demo data where asked for, then HTTP. Stops cleanly on a signal. */
import type { Server } from "node:http";
import { fileURLToPath } from "node:url";
import { readKnowledge } from "@jittery-cap/shelf";
import { pino } from "pino";
import { startWeatherStation } from "../stand-ins/weather-station.ts";
import { loadDemo } from "./demo.ts";
import { createApp } from "./http/app.ts";
import { Judging } from "./judging.ts";
import { readSettings } from "./settings.ts";
import { isAnswering, openDatabase } from "./store/database.ts";
import { DecisionStore } from "./store/decisions.ts";
import { FindStore } from "./store/finds.ts";
import { LOCAL_PERSON } from "./store/local-person.ts";
import { migrate } from "./store/migrate.ts";
import { defineModels } from "./store/models.ts";
import { PacketStore } from "./store/packets.ts";
import { PictureStore } from "./store/pictures.ts";
import { SettledStore } from "./store/settled.ts";
import { stationAt } from "./weather/station.ts";

const STOP_WITHIN_MS = 5000;

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const logger = pino({ level: settings.LOG_LEVEL });
  const knowledge = readKnowledge();
  const database = openDatabase(settings.DATABASE_URL);
  const ran = await migrate(database);
  if (ran.length > 0) logger.info({ migrations: ran }, "database brought up to date");
  const models = defineModels(database);
  const store = new FindStore(database, models);
  const pictures = new PictureStore(database, models);
  await store.purge(new Date());
  await pictures.purge(new Date());
  if (settings.LOAD_DEMO === "yes") logger.info({ finds: await loadDemo(store, LOCAL_PERSON) }, "demo data loaded");

  const simulated = settings.WEATHER_STATION_URL === undefined ? await startWeatherStation() : undefined;
  const judging = new Judging(knowledge);
  let stopping = false;
  const app = createApp({
    store,
    pictures,
    judging,
    decisions: new DecisionStore(models, store, knowledge, judging),
    packets: new PacketStore(models, store),
    settled: new SettledStore(database, models),
    station: stationAt(settings.WEATHER_STATION_URL ?? addressOf(simulated)),
    knowledge,
    owner: LOCAL_PERSON,
    hosts: settings.ALLOWED_HOSTS,
    logger,
    isDatabaseUp: () => isAnswering(database),
    isStopping: () => stopping,
    webFolder: fileURLToPath(new URL("../web/dist", import.meta.url)),
  });
  const server = app.listen(settings.PORT, settings.HOST, (error) => {
    if (error !== undefined) {
      logger.fatal({ err: error }, `cannot listen on ${settings.HOST}:${settings.PORT}`);
      process.exit(1);
    }
    const address = server.address();
    const port = typeof address === "object" && address !== null ? address.port : settings.PORT;
    process.stdout.write(`Jittery Cap is at http://${settings.HOST}:${port}\n`);
  });

  const stop = (signal: string) => {
    stopping = true;
    logger.info({ signal }, "stopping");
    setTimeout(() => process.exit(1), STOP_WITHIN_MS).unref();
    simulated?.close();
    server.close(() => void database.close().then(() => process.exit(0)));
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
