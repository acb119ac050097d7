/** What this device keeps: every find as last seen, and every edit that the server has not acknowledged yet. */
import type { Edit, Find } from "@jittery-cap/core";
import Dexie, { type EntityTable } from "dexie";

/** A find on this device: the record as it is here, over the server's version that it rests on (0: not there yet). */
export interface DeviceFind {
  readonly id: string;
  readonly find: Find;
  /** The record as the server last acknowledged it, on which the waiting edits rest. */
  readonly base: Find;
  readonly version: number;
}

export interface WaitingEdit {
  readonly id: string;
  readonly findId: string;
  readonly order: number;
  readonly edit: Edit;
}

class Device extends Dexie {
  declare finds: EntityTable<DeviceFind, "id">;
  declare waiting: EntityTable<WaitingEdit, "id">;

  constructor() {
    super("jittery-cap");
    this.version(1).stores({ finds: "id", waiting: "id, findId, [findId+order]" });
  }
}

export const device = new Device();

/** Edits of a find that wait for the server, in their order. */
export function waitingFor(findId: string): Promise<WaitingEdit[]> {
  return device.waiting.where("findId").equals(findId).sortBy("order");
}
