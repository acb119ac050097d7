/** The whole HTTP side on a database of its own, for one test file. */
import type { Knowledge } from "@jittery-cap/core";
import { readKnowledge } from "@jittery-cap/shelf";
import type { Express } from "express";
import { pino } from "pino";
import { createApp } from "../http/app.ts";
import { DecisionStore } from "../store/decisions.ts";
import { FindStore } from "../store/finds.ts";
import { LOCAL_PERSON } from "../store/local-person.ts";
import { migrate } from "../store/migrate.ts";
import { defineModels, type Models } from "../store/models.ts";
import { PacketStore } from "../store/packets.ts";
import { PictureStore } from "../store/pictures.ts";
import { SettledStore } from "../store/settled.ts";
import { type Scratch, scratchDatabase } from "./scratch-database.ts";

export interface ScratchApp {
  readonly app: Express;
  readonly scratch: Scratch;
  readonly models: Models;
  readonly store: FindStore;
  readonly knowledge: Knowledge;
}

/** Migrates an empty database and puts the application on it; the caller drops the database. */
export async function scratchApp(): Promise<ScratchApp> {
  const scratch = await scratchDatabase();
  await migrate(scratch.database);
  const models = defineModels(scratch.database);
  const store = new FindStore(scratch.database, models);
  const knowledge = readKnowledge();
  const app = createApp({
    store,
    pictures: new PictureStore(scratch.database, models),
    decisions: new DecisionStore(models, store, knowledge),
    packets: new PacketStore(models, store),
    settled: new SettledStore(scratch.database, models),
    knowledge,
    owner: LOCAL_PERSON,
    logger: pino({ level: "silent" }),
    isDatabaseUp: () => Promise.resolve(true),
  });
  return { app, scratch, models, store, knowledge };
}
