/** What both layouts of Find are given. */
import type { Answer, Body, Change, CharacterId, Find } from "@jittery-cap/core";
import type { Station } from "./stations.ts";

export interface ShownFind {
  readonly find: Find;
  readonly body: Body;
  readonly station: Station;
  readonly answer: Answer | undefined;
  readonly active: CharacterId | undefined;
  readonly onActivate: (character: CharacterId) => void;
  readonly onChange: (change: Change) => void;
  readonly onBody: (body: string) => void;
  readonly onAddBody: () => void;
}
