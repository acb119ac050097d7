/** The whole HTTP side on a database of its own, for one test file. */
import { randomUUID } from "node:crypto";
import type { Change, Find, Knowledge } from "@jittery-cap/core";
import { LOCAL_PERSON, type Touch } from "@jittery-cap/core/documents";
import { readKnowledge } from "@jittery-cap/shelf";
import type { Express } from "express";
import { pino } from "pino";
import request from "supertest";
import { type Assembled, assemble } from "../assemble.ts";
import { migrate } from "../database/migrate.ts";
import { createApp, type Running } from "../http/app.ts";
import { type Judging, judgingHere } from "../judging/judging.ts";
import { type Scratch, scratchDatabase } from "./scratch-database.ts";

export interface ScratchApp extends Assembled {
  readonly app: Express;
  readonly scratch: Scratch;
  readonly knowledge: Knowledge;
  /** Ends everything and drops the database. */
  readonly end: () => Promise<void>;
}

/**
 * Migrates an empty database and puts the application on it; the caller ends it.
 * @param running left out, whoever asks is `ME`: signing in has tests of its own
 */
export async function scratchApp(
  judgingBy: (knowledge: Knowledge) => Judging = judgingHere,
  running?: (assembled: Assembled) => Promise<Running>,
): Promise<ScratchApp> {
  const scratch = await scratchDatabase();
  await migrate(scratch.database);
  const knowledge = readKnowledge();
  const assembled = assemble(scratch.database, judgingBy(knowledge), pino({ level: process.env.LOUD ?? "silent" }));
  return {
    ...assembled,
    app: createApp(assembled.parts, (await running?.(assembled)) ?? { personOf: () => ME }),
    scratch,
    knowledge,
    end: async () => {
      await assembled.close();
      await scratch.drop();
    },
  };
}

/** People sign in as they do outside of tests. */
export const withSessions =
  (more: Running = {}) =>
  async ({ parts }: Assembled): Promise<Running> => ({
    session: parts.sessions.middleware(await parts.sessions.secret("session"), { isSecure: false, path: "/" }),
    ...more,
  });

/** Whoever asks in the tests. */
export const ME = { kind: "person", id: LOCAL_PERSON } as const;

/** A touch of the local person; its changes believed, so that wrong ones can be sent. */
export const touchOf = (...changes: readonly (Change | object)[]): Touch<Change> => ({
  id: randomUUID(),
  at: "2026-09-14T08:21:00Z",
  by: LOCAL_PERSON,
  changes: changes as Change[],
});

/** Requests as a device makes them. */
export const asks = (app: Express) => ({
  make: (find: Find) => request(app).post(`/api/documents/${find.id}`).send({ kind: "find", known: 0, create: find }),
  touch: (id: string, known: number, ...touches: readonly unknown[]) =>
    request(app).post(`/api/documents/${id}`).send({ kind: "find", known, touches }),
  read: (id: string) => request(app).get(`/api/documents/${id}`),
  finds: (query = "") => request(app).get(`/api/finds${query}`),
  write: (id: string, body: object) => request(app).post(`/api/documents/${id}`).send(body),
});
