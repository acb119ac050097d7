/** Who may what: the one place that decides it. */
import type { Shared } from "../people/circle.ts";

/** A person who makes a request. */
export interface Person {
  readonly kind: "person";
  readonly id: string;
}

/** Whoever makes a request. */
export type Actor =
  | Person
  /** Somebody who holds the link of a packet, whoever that is. */
  | { readonly kind: "bearer"; readonly packet: string };

/** How a person stands to another's document: what of it they are shown, and whether they may add to it. */
export type Standing = Shared | undefined;

/** What is done with a document. */
export type Verb = "read" | "create" | "touch" | "share";

/** What of a document decides who may what. */
export interface Owned {
  readonly kind: string;
  readonly ownerId: string;
}

/** The one person of an installation that has no sign-in: owner of everything recorded on it. */
export const LOCAL_PERSON = "0193a000-0000-7000-8000-000000000001";

/**
 * Whether an actor may do something with a document. What is not granted here is refused.
 * @param standing of a person to a find that another shares with them, or to a picture of it
 */
export function may(actor: Actor, verb: Verb, document: Owned, standing?: Standing): boolean {
  switch (actor.kind) {
    case "person":
      // a decision is frozen, and what somebody said stays as it was said
      if (verb === "touch" && (document.kind === "decision" || document.kind === "opinion")) return false;
      if (document.ownerId === actor.id) return true;
      if (standing === undefined) return false;
      if (document.kind === "find") return verb === "read" || (verb === "touch" && standing.mayRecord);
      return document.kind === "picture" && verb === "read";
    case "bearer":
      // a link shows a packet, which is no document, and lets its reader say something about it
      return verb === "create" && document.kind === "opinion";
  }
}

/** Whose documents an actor is shown in lists: a person their own, the bearer of a link nobody's. */
export const ownerOf = (actor: Actor): string | undefined => (actor.kind === "person" ? actor.id : undefined);
