/** Tells every open page of an owner that something was changed, at once. What was changed it asks for itself. */
import { createChannel, createSession } from "better-sse";
import type { Request, Response } from "express";
import type { Row } from "./document.ts";

/** Pages that can listen at a time, of all owners together. */
const MOST_LISTENING = 2000;
// compressed, a message would be held back until enough of them have come together
const HEADERS = { "cache-control": "no-cache, no-transform" };

export class Live {
  private readonly channels = new Map<string, ReturnType<typeof createChannel>>();
  private readonly listening = new Map<Response, string>();

  /** Whether another page can listen. */
  get hasRoom(): boolean {
    return this.listening.size < MOST_LISTENING;
  }

  /** How many listen. */
  get listeners(): number {
    return this.listening.size;
  }

  /** Opens the stream of a page, and tells it where the changes stand. */
  async listen(ownerId: string, place: number, request: Request, response: Response): Promise<void> {
    this.listening.set(response, ownerId);
    response.once("close", () => this.listening.delete(response));
    response.set(HEADERS);
    const session = await createSession(request, response, { headers: HEADERS });
    this.channelOf(ownerId).register(session);
    session.push({ place }, "changed");
  }

  /** Tells the owners of what was written. */
  tell(rows: readonly Row[]): void {
    const places = new Map<string, number>();
    for (const { ownerId, place } of rows) places.set(ownerId, Math.max(place, places.get(ownerId) ?? 0));
    for (const [ownerId, place] of places) this.channels.get(ownerId)?.broadcast({ place }, "changed");
  }

  /** Tells whoever listens for a key that something is other than it was. */
  nudge(key: string, what: "changed" | "shared" = "changed"): void {
    this.channels.get(key)?.broadcast({ place: 0 }, what);
  }

  /** Ends all streams: the server is being stopped. */
  close(): void {
    for (const response of this.listening.keys()) response.end();
  }

  /** Tells one owner's pages how far their changes have come. */
  tellPlace(key: string, place: number): void {
    this.channels.get(key)?.broadcast({ place }, "changed");
  }

  /** For what keys somebody listens. */
  keys(): string[] {
    return [...new Set(this.listening.values())];
  }

  /** Ends the streams of one key: whoever listened is not to hear more. */
  end(key: string): void {
    for (const [response, of] of this.listening) if (of === key) response.end();
  }

  private channelOf(ownerId: string) {
    const known = this.channels.get(ownerId) ?? createChannel();
    this.channels.set(ownerId, known);
    return known;
  }
}
