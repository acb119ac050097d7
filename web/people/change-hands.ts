/** A device that changes hands: who comes, who goes, and what is left of them. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import { LOCAL_PERSON } from "@jittery-cap/core/documents";
import Dexie from "dexie";
import { ask } from "../api/client.ts";
import { under } from "../base.ts";
import { reportError } from "../device/report-error.ts";
import { nameOfStore } from "../documents/device.ts";
import { match } from "../documents/sync.ts";
import { isUnheard, leaveHere, ME, settleAsBefore, settleHere, settleNobody, useHere } from "./here.ts";

/** Fetched by whoever changes hands: most days nobody does. */
const boxes = () => import("./boxes.ts");

/** How long somebody who signs out waits for what is being sent, ms; the rest is sealed. */
const SENT_WITHIN_MS = 10_000;

type OwnPerson = ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>;

/** Finds out who is here, where this device does not know. */
export async function askWhoIsHere(): Promise<void> {
  if (isUnheard()) {
    const { kind } = await ask(PEOPLE_ROUTES.signOut, { body: { everywhere: false } });
    if (kind === "ok") leaveHere(true);
    return settleNobody();
  }
  const outcome = await ask(PEOPLE_ROUTES.readMe);
  if (outcome.kind === "ok") await arrive(outcome.value);
  // without a network, what was recorded here before there were people is still readable here
  else if (outcome.kind === "unreachable" && outcome.isAway && (await Dexie.exists(nameOfStore(LOCAL_PERSON))))
    settleAsBefore();
  else settleNobody();
}

/**
 * Somebody has signed in: whoever was here before is cleared off.
 * @returns why not, in words, where the one before has something that would be lost
 */
export async function arrive(person: OwnPerson, to?: string): Promise<string | undefined> {
  const { person: before } = useHere.getState();
  if (before !== undefined && before.id !== person.id && !(await (await boxes()).clearOff(before.id, before.sealKey))) {
    await ask(PEOPLE_ROUTES.signOut, { body: { everywhere: false } });
    return `Something of ${before.name}'s waits here for the server, and this browser cannot seal it. Let ${before.name} sign in first.`;
  }
  const isThisPage = settleHere(person) && before?.id === person.id;
  if (to !== undefined) window.location.assign(to);
  else if (!isThisPage && (person.id !== ME || before !== undefined)) window.location.reload();
  return undefined;
}

/**
 * Opens what lay sealed here of the person whose page this is, before anything is sent.
 * @returns whether nothing lies sealed any more, or the server has still to be asked for the key, or refused it
 * @throws where a box does not open; it is kept
 */
export async function openWhatLaySealed(): Promise<"open" | "waiting" | "failed"> {
  const { hasBox, openBoxes } = await boxes();
  if (!(await hasBox(ME))) return "open";
  const key = await ask(PEOPLE_ROUTES.openSeal, { body: {} });
  if (key.kind !== "ok") return key.kind === "unreachable" ? "waiting" : "failed";
  await openBoxes(ME, key.value);
  return "open";
}

/**
 * Signs out: what waits is sent, what cannot be is sealed, and nothing readable stays.
 * @returns why not, in words
 */
export async function signOut(everywhere: boolean): Promise<string | undefined> {
  try {
    return await leave(everywhere);
  } catch (error) {
    reportError("sign out", error);
    return "This browser could not put away what is kept here. You are still signed in; nothing was lost.";
  }
}

async function leave(everywhere: boolean): Promise<string | undefined> {
  const { person } = useHere.getState();
  await Promise.race([match(), new Promise((resolve) => setTimeout(resolve, SENT_WITHIN_MS))]);
  if (person !== undefined) {
    const { clearOff } = await boxes();
    if (!(await clearOff(person.id, person.sealKey)))
      return "Something recorded here waits for the server, and this browser cannot seal it. Sign out when it is sent.";
  }
  const outcome = await ask(PEOPLE_ROUTES.signOut, { body: { everywhere } });
  leaveHere(outcome.kind === "ok");
  window.location.assign(under("/finds"));
  return undefined;
}

/** Somebody has left for good: nothing of theirs stays here, sealed or not. */
export async function forgetHere(person: string): Promise<void> {
  await (await boxes()).forget(person);
  leaveHere(true);
  window.location.assign(under("/finds"));
}
