/** A session: one find that is open, under its own id for as long as it is. Nothing of another find ever reaches it. */
import type { Change, Find } from "@jittery-cap/core";
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
export function findSession(id: string, weigh: (change: Change) => Change = (change) => change): FindSession {
  const store = createStore<FindState>()(() => CLOSED);
  const { getState: get, setState: set } = store;
  /** Counts openings: what an earlier one began is not shown by a later. */
  let opening = 0;
  let stopFollowing: (() => void) | undefined;
  /** The revision of the document that is shown: what another tab or the server makes of it has another. */
  let revision = -1;
  /** The record of that revision, as it was shown. */
  let keptContent: Find | undefined;

  let asking: Asking | undefined;

  /** Only the answer to the latest record is shown; an overtaken one is dropped. Held until there is one. */
  const judgeNow = (find: Find): Promise<void> => {
    set({ answerState: "working" });
    asking?.stop();
    asking = askUntilAnswered({
      ask: () => askJudge(find),
      onReply: (answer) => {
        const { find: now, answer: before, lastMove } = get();
        if (now === find) set({ answer, answerState: "fresh", lastMove: whatChanged(before, answer) ?? lastMove });
      },
      onFailure: () => get().find === find && set({ answerState: "failed" }),
    });
    return asking.first;
  };

  /** Shows the document as this device or another made it anew; what can be undone is asked of the server. */
  const takeOver = ({ content, archived, revision: at }: Kept<"find">) => {
    revision = at;
    keptContent = content;
    if (archived) return set({ status: "missing" });
    set({ find: content, refusal: undefined, ...NO_STEPS });
    void judgeNow(content);
    void askSteps(content);
  };

  const askSteps = async (shown: Find) => {
    const steps = await stepsOfServer(id);
    if (steps !== undefined && get().find === shown) set(steps);
  };

  /** Follows the document on this device: its delivery, and what others make of it while it is open. */
  const follow = () => {
    const subscription = liveQuery(() => device.documents.get(id)).subscribe({
      next: (row) => {
        // another's find that is not shared any more is gone, also from under whoever looks at it
        if (row === undefined) return set({ ...CLOSED, status: "missing" });
        // a touch of this tab is drawn before it is kept: while one is on its way, nothing is taken over it
        if (row.revision <= revision || underWay(id) > 0) return;
        const read = readRow("find", row);
        if (isReadable(read)) takeOver(read);
      },
      error: () => set({ refusal: NOT_KEPT }),
    });
    const stop = watchDelivery(id, (delivery, of) => {
      // a touch that is on its way here is not there yet, whatever is said of the record before it
      if (of < revision || underWay(id) > 0) return;
      const isSaved = delivery.state === "saved" && get().delivery?.state !== "saved";
      set({ delivery, ...(isSaved ? { savedAt: new Date() } : {}) });
    });
    return () => {
      subscription.unsubscribe();
      stop();
    };
  };

  const close = () => {
    asking?.stop();
    opening += 1;
    stopFollowing?.();
    stopFollowing = undefined;
    revision = -1;
    keptContent = undefined;
    set(CLOSED, true);
  };

  const open = async () => {
    close();
    const mine = opening;
    const isOpen = () => opening === mine;
    set({ status: "loading" });
    const read = await readFind(id, isOpen);
    const steps = await keptSteps(id);
    if (!isOpen()) return;
    if (typeof read === "string") return set({ status: read });
    revision = read.revision;
    keptContent = read.content;
    set({ status: "open", find: read.content, ...(steps ?? NO_STEPS) });
    void judgeNow(read.content);
    stopFollowing = follow();
    if (steps === undefined && read.version > 1) await askSteps(read.content);
  };

  /** Applies a touch, with what can be undone after it. @returns whether the core took it */
  const apply = (touch: Touch<Change>, stepsAfter: (step: Step) => Steps): boolean => {
    const { find, delivery } = get();
    if (find === undefined) return false;
    const shared = useShared.getState().finds.get(id);
    if (shared !== undefined && !touch.changes.every((change) => isOwnLook(change, shared))) {
      set({
        refusal: `This is ${shared.owner.name}'s find: ${shared.mayRecord ? ADD_YOUR_OWN : "you may look at it."}`,
      });
      return false;
    }
    const applied = applyTouches(kindOf("find"), { content: find, archived: false }, [touch]);
    if (!applied.ok) {
      set({ refusal: applied.faults.map((fault) => `${fault.path}: ${fault.message}`).join("; ") });
      return false;
    }
    const after = applied.value.content;
    const step: Step = { touchId: touch.id, changes: touch.changes, inverse: applied.value.inverses[0] ?? [] };
    const steps = stepsAfter(step);
    const isInTrouble = delivery?.state === "conflict" || delivery?.state === "refused";
    set({
      find: after,
      ...steps,
      refusal: undefined,
      // it is on its way from now on, and nothing says otherwise until it is there
      ...(isInTrouble ? {} : { delivery: { waiting: 1, state: "sending" as const } }),
    });
    const answered = judgeNow(after);
    keep(touch, { before: find, after, inverse: step.inverse }, steps, answered).catch(() =>
      set({ refusal: NOT_KEPT }),
    );
    return true;
  };

  /** Keeps a touch on this device: it begins when the touch has been drawn, and in the order of the touches. */
  const keep = (touch: Touch<Change>, { before, after, inverse }: Drawn, steps: Steps, answered: Promise<unknown>) => {
    const at = opening;
    const write = async () => {
      // where nobody was between, what was drawn is what is kept
      const drawn = keptContent === before ? { revision, content: after, archived: false, inverse } : undefined;
      const kept = await keepTouch("find", id, touch, () => keepSteps(id, steps), drawn);
      if (opening !== at) return;
      if (!kept.ok) return set({ refusal: kept.faults.map((fault) => fault.message).join("; ") });
      const { content, revision: now } = kept.value.kept;
      const isAhead = now > revision + 1;
      revision = now;
      keptContent = drawn === undefined ? content : after;
      // another tab was between: what is shown is what both made of it
      if (isAhead && underWay(id) === 1) {
        set({ find: content });
        void judgeNow(content);
      }
    };
    return onItsWay(id, write, answered);
  };

  const changeTogether = (changes: readonly Change[]) => {
    if (changes.length > 0)
      apply(touchNow(changes.map(weigh)), (step) => ({ done: [...get().done, step], undone: [] }));
  };

  return {
    id,
    store,
    open,
    close,
    changeTogether,
    change: (change) => changeTogether([change]),
    observe: (observer) => set({ observer }),

    checkAgainst: async (sheet) => {
      const { answer, find } = get();
      const against =
        sheet === undefined || answer === undefined || find === undefined
          ? undefined
          : await comparisonWith(sheet, find, answer);
      set({ against });
    },

    undo: () => {
      const { done, undone } = get();
      const step = done.at(-1);
      if (step === undefined) return;
      const after = { done: done.slice(0, -1), undone: [...undone, step] };
      apply(touchNow(step.inverse, { undoes: step.touchId }), () => after);
    },

    redo: () => {
      const { done, undone } = get();
      const step = undone.at(-1);
      if (step === undefined) return;
      const after = (again: Step) => ({ done: [...done, again], undone: undone.slice(0, -1) });
      apply(touchNow(step.changes, { redoes: step.touchId }), after);
    },

    split: async (bodies) => {
      const { find } = get();
      const apart = find === undefined ? undefined : await beginApart(find, bodies);
      if (apart !== undefined) changeTogether(apart.changes);
      return apart?.id;
    },
  };
}
