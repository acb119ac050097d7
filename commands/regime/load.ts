/** People who record without a pause: each touches finds of their own, and looks whether what was acknowledged is there. */
import { newFind } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";

/** What became of the load. */
export interface Figures {
  acknowledged: number;
  /** Requests that were refused or lost on the way; each was sent again. */
  failed: number;
  /** Reads that showed an older find than had been acknowledged or shown before. */
  older: number;
  reads: number;
  /** The longest that somebody had to wait until something was acknowledged, ms. */
  longestMs: number;
}

interface Kept {
  readonly id: string;
  version: number;
  readonly touches: Set<string>;
}

const AT = "2026-09-14T10:20:00Z";
const SIGNED_OUT = 401;
const TOO_MANY = 429;
const AGAIN_AFTER_MS = 150;
const A_REQUEST_MS = 8000;

export class Load {
  readonly figures: Figures = { acknowledged: 0, failed: 0, older: 0, reads: 0, longestMs: 0 };
  private readonly address: string;
  private readonly cookie: string;
  private readonly person: string;
  private readonly finds: Kept[] = [];
  /** Whether being told that nobody is signed in is waited out: with a clock that is wrong it is. */
  waitsSignedOut = false;
  private isOver = false;
  private running: Promise<unknown> | undefined;

  constructor(address: string, cookie: string, person: string) {
    this.address = address;
    this.cookie = cookie;
    this.person = person;
  }

  begin(people: number): void {
    this.running = Promise.all(Array.from({ length: people }, () => this.record()));
  }

  async end(): Promise<void> {
    this.isOver = true;
    await this.running;
  }

  /** Reads every find once more. @returns acknowledged touches that are not there, finds that are older than they were */
  async lost(): Promise<{ touches: number; finds: number; checked: number }> {
    let [touches, finds, checked] = [0, 0, 0];
    for (const find of this.finds) {
      const read = await this.untilDone("GET", `/api/documents/${find.id}`);
      const { version } = read as { version: number };
      if (version < find.version) finds += 1;
      const there = new Set<string>();
      for (let before: number | undefined; ; ) {
        const page = (await this.untilDone(
          "GET",
          `/api/documents/${find.id}/touches?limit=200${before === undefined ? "" : `&before=${before}`}`,
        )) as { touches: { version: number; touch: { id: string } }[]; more: boolean };
        for (const one of page.touches) there.add(one.touch.id);
        if (!page.more) break;
        before = page.touches.at(-1)?.version;
      }
      touches += [...find.touches].filter((id) => !there.has(id)).length;
      checked += find.touches.size;
    }
    return { touches, finds, checked };
  }

  /** What came of it all, read once more from the server. @returns whether nothing was lost, and the figures in words */
  async summary(): Promise<{ isGood: boolean; words: string }> {
    const { acknowledged, failed, older, reads } = this.figures;
    const { touches, finds, checked } = await this.lost();
    return {
      isGood: touches === 0 && finds === 0 && older === 0 && acknowledged > 0,
      words: `${acknowledged} touches acknowledged, ${failed} requests sent again, ${touches} of ${checked} acknowledged touches lost, ${finds} finds older than they were, ${older} of ${reads} reads older than what was acknowledged`,
    };
  }

  private async record(): Promise<void> {
    const find: Kept = { id: uuidv7(), version: 0, touches: new Set() };
    const made = await this.untilDone("POST", `/api/documents/${find.id}`, {
      kind: "find",
      known: 0,
      create: newFind(find.id, AT),
    });
    find.version = (made as { version: number }).version;
    this.finds.push(find);
    for (let count = 0; !this.isOver; count++) {
      const touch = {
        id: uuidv7(),
        at: AT,
        by: this.person,
        changes: [{ kind: "set-find", field: "note", value: `touch ${count}` }],
      };
      const written = await this.untilDone("POST", `/api/documents/${find.id}`, {
        kind: "find",
        known: find.version,
        touches: [touch],
      });
      find.touches.add(touch.id);
      find.version = Math.max(find.version, (written as { version: number }).version);
      this.figures.acknowledged += 1;
      const read = (await this.untilDone("GET", `/api/documents/${find.id}`)) as { version: number };
      this.figures.reads += 1;
      if (read.version < find.version) this.figures.older += 1;
    }
  }

  /** Sends until it is acknowledged, as a device does: the same again is kept once. */
  private async untilDone(method: string, path: string, body?: object): Promise<unknown> {
    const begun = performance.now();
    for (;;) {
      const reply = await fetch(`${this.address}${path}`, {
        method,
        headers: { cookie: this.cookie, "content-type": "application/json" },
        signal: AbortSignal.timeout(A_REQUEST_MS),
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      }).catch(() => undefined);
      const said: unknown = reply === undefined ? undefined : await reply.json().catch(() => undefined);
      if (reply?.ok === true && said !== undefined) {
        this.figures.longestMs = Math.max(this.figures.longestMs, performance.now() - begun);
        return said;
      }
      const isToWait = reply === undefined || reply.status >= 500 || reply.status === TOO_MANY;
      if (!isToWait && !(this.waitsSignedOut && reply.status === SIGNED_OUT))
        throw new Error(`${method} ${path}: ${reply.status} ${JSON.stringify(said)}`);
      this.figures.failed += 1;
      await new Promise((later) => setTimeout(later, AGAIN_AFTER_MS));
    }
  }
}
