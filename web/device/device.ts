/** What this device keeps: every find as last seen, what the server has not acknowledged yet, and what can be undone. */
import type { Change, Edit, Find } from "@jittery-cap/core";
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

/** A change made here, with what takes it back. */
export interface Step {
  readonly editId: string;
  readonly change: Change;
  readonly inverse: Change;
  /** Changes that were one touch are taken back as one; left out where a change stands alone. */
  readonly touch?: string | undefined;
}

/** What can be undone and done again of a find, kept over a reload. */
export interface DeviceSteps {
  readonly findId: string;
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

/** Where on a body a picture looks; the server's words. */
export const PICTURE_PARTS = ["top", "under", "stem", "foot", "cut", "print", "ground", "other"] as const;
export type PicturePart = (typeof PICTURE_PARTS)[number];

/** A picture that the server has not acknowledged, or whose putting away it has not. */
export interface DevicePicture {
  readonly id: string;
  readonly findId: string;
  readonly part: PicturePart;
  readonly body: string | undefined;
  readonly takenAt: string;
  /** The file as it was taken; left out once the server has it. */
  readonly file: Blob | undefined;
  /** Whether the server has it. */
  readonly sent: boolean;
  /** Whether it is to be put away. */
  readonly away: boolean;
  /** Why the server refused it, if it did: it is not sent again, and stays here. */
  readonly refused: string | undefined;
}

class Device extends Dexie {
  declare finds: EntityTable<DeviceFind, "id">;
  declare waiting: EntityTable<WaitingEdit, "id">;
  declare steps: EntityTable<DeviceSteps, "findId">;
  declare pictures: EntityTable<DevicePicture, "id">;

  constructor() {
    super("jittery-cap");
    this.version(1).stores({ finds: "id", waiting: "id, findId, [findId+order]" });
    this.version(2).stores({ steps: "findId", pictures: "id, findId" });
  }
}

export const device = new Device();

/** Edits of a find that wait for the server, in their order. */
export function waitingFor(findId: string): Promise<WaitingEdit[]> {
  return device.waiting.where("findId").equals(findId).sortBy("order");
}

/** Pictures of a find whose keeping or putting away the server has not acknowledged. */
export async function picturesWaitingFor(findId: string): Promise<DevicePicture[]> {
  const all = await device.pictures.where("findId").equals(findId).toArray();
  return all.filter(isWaiting);
}

/** Whether the server still has to hear of a picture. */
export const isWaiting = (picture: DevicePicture): boolean =>
  picture.refused === undefined && picture.sent === picture.away;

/** Touches on their way into this device's memory, with the find of each. */
const underWay = new Map<Promise<unknown>, string>();

/** Marks work that brings a touch of a find into this device's memory, so that nobody reads past it. */
export function underWayHere<Outcome>(findId: string, work: Promise<Outcome>): Promise<Outcome> {
  underWay.set(work, findId);
  const done = () => underWay.delete(work);
  work.then(done, done);
  return work;
}

/** How many touches of a find are on their way into this device's memory. */
export const touchesUnderWay = (findId: string): number =>
  [...underWay.values()].filter((one) => one === findId).length;

/** Resolves when every touch made so far is in this device's memory, or could not be brought there. */
export async function touchesKept(): Promise<void> {
  await Promise.allSettled([...underWay.keys()]);
}
