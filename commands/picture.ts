/** One kept picture: what it shows, at which size, and what is done before it is taken. */
import type { Page } from "playwright-core";

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844 };

/** The day on which what is cooked was found. */
export const AFTERNOON = new Date("2026-09-27T15:00:00+02:00");

/** Somebody who has not signed in. */
export const NOBODY = "nobody";

export interface Picture {
  readonly name: string;
  readonly size: typeof DESK;
  /** The beginning of a demo find's label; left out for views without one. */
  readonly find?: string;
  readonly path: (id: string) => string;
  readonly prepare?: (page: Page) => Promise<unknown>;
  /** The clock of the picture, where it is not the present. */
  readonly at?: Date;
  /** Who looks, where that is not the one whose finds the demo's are; nobody: whoever has not signed in yet. */
  readonly as?: string;
}
