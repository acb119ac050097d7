/** A session: one find that is open, under its own id for as long as it is. Nothing of another find ever reaches it. */
import type { Change, Fault, Find } from "@jittery-cap/core";
import { type ArchiveChange, applyTouches, isArchiving, type Touch } from "@jittery-cap/core/documents";
import { mayChangeShared } from "@jittery-cap/core/people";
import { liveQuery } from "dexie";
import { createStore, type StoreApi } from "zustand/vanilla";
import { type SharedFind, useShared } from "../circles/use-shared.ts";
import { type Delivery, watchDelivery } from "../documents/delivery.ts";
import { device } from "../documents/device.ts";
import { isReadable, type Kept, keepTouch, kindOf, readRow, touchNow } from "../documents/documents.ts";
import { onItsWay, underWay } from "../documents/under-way.ts";
import { keepSteps, keptSteps, NO_STEPS, type Step, type Steps, stepsOfServer } from "../documents/undo.ts";
import type { FindStatus } from "../layout/state-of-view.tsx";
import { ME } from "../people/here.ts";
import type { ShownAnswer } from "../standing/shown-answer.ts";
import type { AnswerState } from "../standing/verdict-words.ts";
import { type Asking, askUntilAnswered } from "../worker/ask-again.ts";
import { askJudge } from "../worker/judge.ts";
import { beginApart } from "./begin-find.ts";
import { type Against, comparisonWith } from "./comparison.ts";
import { readFind } from "./read-find.ts";
import { whatChanged } from "./what-changed.ts";

/** What is shown of a find. */
export interface FindState extends Steps {
  readonly status: FindStatus;
  readonly find: Find | undefined;
  readonly answer: ShownAnswer | undefined;
  readonly answerState: AnswerState;
  /** What the last touch moved, in one line. */
  readonly lastMove: string | undefined;
  /** Why the last touch was refused, if it was. */
  readonly refusal: string | undefined;
  readonly delivery: Delivery | undefined;
  readonly savedAt: Date | undefined;
  /** Who looks just now: an observer's id, or undefined for the person whose record this is. */
  readonly observer: string | undefined;
  readonly against: Against | undefined;
}

/** A find that is open, and all that can be done to it. Every change goes through a touch. */
export interface FindSession {
  readonly id: string;
  readonly store: StoreApi<FindState>;
  /** Reads the find and follows it until it is closed. May be opened again. */
  readonly open: () => Promise<void>;
  readonly close: () => void;
  readonly observe: (observer: string | undefined) => void;
  /** Asks only what separates the find from one danger; undefined: everything again. */
  readonly checkAgainst: (sheet: string | undefined) => Promise<void>;
  readonly change: (change: Change) => void;
  /** Several changes that are one touch, and are undone as one. */
  readonly changeTogether: (changes: readonly Change[]) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Gives some bodies a find of their own; answers its id, or undefined where that cannot be. */
  readonly split: (bodies: readonly string[]) => Promise<string | undefined>;
}

/** Said where this device has no room, or its memory is closed to us. */
const NOT_KEPT = "this device could not keep it. It stands on this screen only; write it down.";

const CLOSED: FindState = {
  status: "none",
  find: undefined,
  answer: undefined,
  answerState: "working",
  lastMove: undefined,
  refusal: undefined,
  delivery: undefined,
  savedAt: undefined,
  observer: undefined,
  against: undefined,
  ...NO_STEPS,
};

const ADD_YOUR_OWN = "add your own looks; the rest is theirs to change.";

/** Whether a change adds a look of this person's to another's find, and nothing else. */
const isOwnLook = (change: Change | ArchiveChange, shared: SharedFind): boolean =>
  !isArchiving(change) && mayChangeShared(change, shared, ME);

/** A touch as it was drawn: the record before and after it, and what takes it back. */
interface Drawn {
  readonly before: Find;
  readonly after: Find;
  readonly inverse: Step["inverse"];
}

/**
 * The session of one find.
 * @param weigh what a change that somebody makes comes to: what they know decides how sure it is
 */
export const findSession = (id: string, weigh: (change: Change) => Change = (change) => change): FindSession =>
  new OpenFind(id, weigh);

const faultText = ({ path, message }: Fault): string => (path === "" ? message : `${path}: ${message}`);

class OpenFind implements FindSession {
  readonly store = createStore<FindState>()(() => CLOSED);
  readonly id: string;
  readonly #weigh: (change: Change) => Change;
  /** Counts openings: what an earlier one began is not shown by a later. */
  #opening = 0;
  #stopFollowing: (() => void) | undefined;
  #asking: Asking | undefined;
  /** The revision of the document that is shown: what another tab or the server makes of it has another. */
  #revision = -1;
  /** The record of that revision, as it was shown. */
  #keptContent: Find | undefined;

  constructor(id: string, weigh: (change: Change) => Change) {
    this.id = id;
    this.#weigh = weigh;
  }

  #get = (): FindState => this.store.getState();
  #set = (some: Partial<FindState>): void => this.store.setState(some);

  open = async (): Promise<void> => {
    this.close();
    const mine = this.#opening;
    const isOpen = () => this.#opening === mine;
    this.#set({ status: "loading" });
    const read = await readFind(this.id, isOpen);
    const steps = await keptSteps(this.id);
    if (!isOpen()) return;
    if (typeof read === "string") {
      this.#set({ status: read });
      if (read !== "unreadable") this.#stopFollowing = this.#waitForIt();
      return;
    }
    this.#revision = read.revision;
    this.#keptContent = read.content;
    this.#set({ status: "open", find: read.content, ...(steps ?? NO_STEPS) });
    void this.#judgeNow(read.content);
    this.#stopFollowing = this.#follow();
    if (steps === undefined && read.version > 1) await this.#askSteps(read.content);
  };

  close = (): void => {
    this.#asking?.stop();
    this.#opening += 1;
    this.#stopFollowing?.();
    this.#stopFollowing = undefined;
    this.#revision = -1;
    this.#keptContent = undefined;
    this.store.setState(CLOSED, true);
  };

  observe = (observer: string | undefined): void => this.#set({ observer });

  checkAgainst = async (sheet: string | undefined): Promise<void> => {
    const { answer, find } = this.#get();
    const against =
      sheet === undefined || answer === undefined || find === undefined
        ? undefined
        : await comparisonWith(sheet, find, answer);
    this.#set({ against });
  };

  change = (change: Change): void => this.changeTogether([change]);

  changeTogether = (changes: readonly Change[]): void => {
    if (changes.length > 0)
      this.#apply(touchNow(changes.map(this.#weigh)), (step) => ({ done: [...this.#get().done, step], undone: [] }));
  };

  undo = (): void => {
    const { done, undone } = this.#get();
    const step = done.at(-1);
    if (step === undefined) return;
    const after = { done: done.slice(0, -1), undone: [...undone, step] };
    this.#apply(touchNow(step.inverse, { undoes: step.touchId }), () => after);
  };

  redo = (): void => {
    const { done, undone } = this.#get();
    const step = undone.at(-1);
    if (step === undefined) return;
    const after = (again: Step) => ({ done: [...done, again], undone: undone.slice(0, -1) });
    this.#apply(touchNow(step.changes, { redoes: step.touchId }), after);
  };

  split = async (bodies: readonly string[]): Promise<string | undefined> => {
    const { find } = this.#get();
    const apart = find === undefined ? undefined : await beginApart(find, bodies);
    if (apart !== undefined) this.changeTogether(apart.changes);
    return apart?.id;
  };

  /** Only the answer to the latest record is shown; an overtaken one is dropped. Held until there is one. */
  #judgeNow(find: Find): Promise<void> {
    this.#set({ answerState: "working" });
    this.#asking?.stop();
    this.#asking = askUntilAnswered({
      ask: () => askJudge(find),
      onReply: (answer) => {
        const { find: now, answer: before, lastMove } = this.#get();
        if (now === find)
          this.#set({ answer, answerState: "fresh", lastMove: whatChanged(before, answer) ?? lastMove });
      },
      onFailure: () => this.#get().find === find && this.#set({ answerState: "failed" }),
    });
    return this.#asking.first;
  }

  /** Shows the document as this device or another made it anew; what can be undone is asked of the server. */
  #takeOver({ content, archived, revision }: Kept<"find">): void {
    this.#revision = revision;
    this.#keptContent = content;
    if (archived) {
      this.#set({ status: "missing" });
      return;
    }
    this.#set({ find: content, refusal: undefined, ...NO_STEPS });
    void this.#judgeNow(content);
    void this.#askSteps(content);
  }

  async #askSteps(shown: Find): Promise<void> {
    const steps = await stepsOfServer(this.id);
    if (steps !== undefined && this.#get().find === shown) this.#set(steps);
  }

  /** It is not here any more; it may be shared again. */
  #lose(): void {
    this.close();
    this.#set({ status: "missing" });
    this.#stopFollowing = this.#waitForIt();
  }

  /** Opens the find as soon as it comes to this device, where it was neither here nor to be had. */
  #waitForIt(): () => void {
    const subscription = liveQuery(() => device.documents.get(this.id)).subscribe({
      next: (row) => {
        if (row !== undefined && row.archived !== 1) void this.open();
      },
      // the device's memory is closed to us: what is shown stays
      error: () => undefined,
    });
    return () => subscription.unsubscribe();
  }

  /** Follows the document on this device: its delivery, and what others make of it while it is open. */
  #follow(): () => void {
    const subscription = liveQuery(() => device.documents.get(this.id)).subscribe({
      next: (row) => {
        // another's find that is not shared any more is gone, also from under whoever looks at it
        if (row === undefined) return this.#lose();
        // a touch of this tab is drawn before it is kept: while one is on its way, nothing is taken over it
        if (row.revision <= this.#revision || underWay(this.id) > 0) return;
        const read = readRow("find", row);
        if (isReadable(read)) this.#takeOver(read);
      },
      error: () => this.#set({ refusal: NOT_KEPT }),
    });
    const stop = watchDelivery(this.id, (delivery, of) => {
      // a touch that is on its way here is not there yet, whatever is said of the record before it
      if (of < this.#revision || underWay(this.id) > 0) return;
      const isSaved = delivery.state === "saved" && this.#get().delivery?.state !== "saved";
      this.#set({ delivery, ...(isSaved ? { savedAt: new Date() } : {}) });
    });
    return () => {
      subscription.unsubscribe();
      stop();
    };
  }

  /** What the core makes of a touch, or why it is not this person's to make. */
  #applied(find: Find, touch: Touch<Change>) {
    const shared = useShared.getState().finds.get(this.id);
    if (shared === undefined || touch.changes.every((change) => isOwnLook(change, shared)))
      return applyTouches(kindOf("find"), { content: find, archived: false }, [touch]);
    const message = `This is ${shared.owner.name}'s find: ${shared.mayRecord ? ADD_YOUR_OWN : "you may look at it."}`;
    return { ok: false as const, faults: [{ path: "", message }] };
  }

  /** Applies a touch, with what can be undone after it; refused, it is said why and nothing is changed. */
  #apply(touch: Touch<Change>, stepsAfter: (step: Step) => Steps): void {
    const { find, delivery } = this.#get();
    if (find === undefined) return;
    const applied = this.#applied(find, touch);
    if (!applied.ok) {
      this.#set({ refusal: applied.faults.map(faultText).join("; ") });
      return;
    }
    const after = applied.value.content;
    const step: Step = { touchId: touch.id, changes: touch.changes, inverse: applied.value.inverses[0] ?? [] };
    const steps = stepsAfter(step);
    const isInTrouble = delivery?.state === "conflict" || delivery?.state === "refused";
    this.#set({
      find: after,
      ...steps,
      refusal: undefined,
      // it is on its way from now on, and nothing says otherwise until it is there
      ...(isInTrouble ? {} : { delivery: { waiting: 1, state: "sending" as const } }),
    });
    const answered = this.#judgeNow(after);
    this.#keep(touch, { before: find, after, inverse: step.inverse }, steps, answered).catch(() =>
      this.#set({ refusal: NOT_KEPT }),
    );
  }

  /** Keeps a touch on this device: it begins when the touch has been drawn, and in the order of the touches. */
  #keep(touch: Touch<Change>, { before, after, inverse }: Drawn, steps: Steps, answered: Promise<unknown>) {
    const { id } = this;
    const at = this.#opening;
    const write = async () => {
      // where nobody was between, what was drawn is what is kept
      const drawn =
        this.#keptContent === before
          ? { revision: this.#revision, content: after, archived: false, inverse }
          : undefined;
      const kept = await keepTouch("find", id, touch, () => keepSteps(id, steps), drawn);
      if (this.#opening !== at) return;
      if (!kept.ok) return this.#set({ refusal: kept.faults.map((fault) => fault.message).join("; ") });
      const { content, revision: now } = kept.value.kept;
      const isAhead = now > this.#revision + 1;
      this.#revision = now;
      this.#keptContent = drawn === undefined ? content : after;
      // another tab was between: what is shown is what both made of it
      if (isAhead && underWay(id) === 1) {
        this.#set({ find: content });
        void this.#judgeNow(content);
      }
    };
    return onItsWay(id, write, answered);
  }
}
