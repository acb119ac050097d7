/** Decisions on this device: made with or without a server, and how they stand by every judge that can be asked. */
import {
  type BodyEnding,
  type DecidedFind,
  decide,
  experienceMissing,
  type Find,
  isAmongFood,
  NOTHING_CLEARED,
  type Parsed,
  rulesOf,
  type Standing,
  type Summed,
  standingOf,
  stricterStanding,
  summaryOf,
} from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import { uuidv7 } from "uuidv7";
import { valueOrNothing } from "../api/client.ts";
import { device } from "./device.ts";
import { isReadable, type Kept, keptAbout, listKept, makeDocument, readKept } from "./documents.ts";
import { ownEdition, standingSummary, summaryOfFind } from "./verdicts.ts";

/** A decision as the screens show it. */
export interface ShownDecision extends DecidedFind {
  readonly id: string;
  readonly find: Find;
  readonly current: Find | undefined;
  readonly edition: string;
  readonly answer: Kept<"decision">["content"]["answer"];
  readonly today: Standing & { readonly edition: string };
  /** Whether the server has heard of it; it judges again when it does. */
  readonly isHeard: boolean;
  /** Why the server did not take it, where it did not: then nothing of it is cleared. */
  readonly refused: string | undefined;
}

/** Decides a find here and now, by an answer of this device's own judge to that very record. */
export async function decideFind(
  find: Find,
  endings: readonly BodyEnding[],
  answer: Summed & { readonly edition: string },
): Promise<Parsed<string>> {
  const missing = endings.some((one) => isAmongFood(one.ending)) ? await missingExperience(find) : undefined;
  if (missing !== undefined) return { ok: false, faults: [{ path: "rules.smallBrown", message: missing }] };
  const decided = decide(find, endings, summaryOf(answer), answer.edition, new Date().toISOString());
  if (!decided.ok) return decided;
  const id = uuidv7();
  await makeDocument("decision", id, decided.value);
  return { ok: true, value: id };
}

async function missingExperience(find: Find): Promise<string | undefined> {
  const { smallBrown } = rulesOf(find);
  const finds = (await listKept("find", Number.POSITIVE_INFINITY)).filter(isReadable).map((one) => one.content);
  return experienceMissing("smallBrown", smallBrown, finds);
}

/** The decisions of a find, latest first. */
export async function decisionsOf(findId: string): Promise<ShownDecision[]> {
  const kept = (await keptAbout("decision", findId)).reverse();
  const server = await standingsOfServer(findId);
  return Promise.all(kept.map((one) => shown(one, server)));
}

/** The latest decision of every find that is not put away. */
export async function latestDecisions(): Promise<ShownDecision[]> {
  const all = (await listKept("decision", Number.POSITIVE_INFINITY)).filter(isReadable);
  const seen = new Set<string>();
  const latest: Kept<"decision">[] = [];
  for (const one of all) {
    const about = one.content.find.id;
    if (seen.has(about)) continue;
    seen.add(about);
    if ((await readKept("find", about))?.archived !== true) latest.push(one);
  }
  const server = await standingsOfServer(undefined);
  return Promise.all(latest.map((one) => shown(one, server)));
}

type ServerStandings = ReadonlyMap<string, Standing | undefined> | undefined;

/** How the server says that decisions stand; undefined where it cannot be asked. */
async function standingsOfServer(about: string | undefined): Promise<ServerStandings> {
  const found = new Map<string, Standing | undefined>();
  for (let after: string | undefined; ; ) {
    const query = { limit: 200, ...(about === undefined ? {} : { about }), ...(after === undefined ? {} : { after }) };
    const page = await valueOrNothing(ROUTES.listStandings, { query });
    if (page === undefined) return undefined;
    for (const { id, standing } of page.decisions) found.set(id, standing);
    if (page.next === undefined) return found;
    after = page.next;
  }
}

/** A decision with how it stands: cleared is what every answer clears that is known. */
async function shown(kept: Kept<"decision">, server: ServerStandings): Promise<ShownDecision> {
  const { find, endings, edition, answer, decidedAt } = kept.content;
  const now = await readKept("find", find.id);
  const current = now === undefined || now.archived ? undefined : now;
  const trouble = await device.troubles.get(kept.id);
  const own = trouble !== undefined ? NOTHING_CLEARED : await ownStanding(kept, current).catch(() => NOTHING_CLEARED);
  const theirs = server === undefined || kept.version === 0 ? undefined : (server.get(kept.id) ?? NOTHING_CLEARED);
  const today = theirs === undefined ? own : stricterStanding(own, theirs);
  return {
    id: kept.id,
    decidedAt,
    find,
    current: current?.content,
    edition,
    answer,
    endings,
    today: { ...today, edition: await ownEdition().catch(() => edition) },
    isHeard: kept.version > 0,
    refused: trouble?.text,
  };
}

async function ownStanding({ content }: Kept<"decision">, current: Kept<"find"> | undefined): Promise<Standing> {
  if (current === undefined) return NOTHING_CLEARED;
  const again = content.edition === (await ownEdition()) ? [] : [await summaryOfFind(content.find)];
  return standingOf([content.answer, ...again, await standingSummary(current)]);
}
