/** The find that is open: its record, its answer, its undo. The only way to change it is an edit. */
import { type Answer, applyChange, type Change, type Edit, type Find, newFind, splitOff } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { create } from "zustand";
import type { AnswerState } from "../card/verdict-words.ts";
import { putFind, readFind, type Stored } from "../device/api.ts";
import { type DeviceSteps, device, type Step, touchesKept, waitingFor } from "../device/device.ts";
import { type Delivery, deliver, keepEdit, keepNewFind, onDelivery } from "../device/outbox.ts";
import { ownRules } from "../device/settled.ts";
import { askJudge, askShelf, askUnion } from "../worker/judge.ts";
import { whatChanged } from "./what-changed.ts";

/** The one danger that the find is checked against, with the characters that separate it from what this seems to be. */
export interface Against {
  readonly sheet: string;
  readonly name: string;
  /** What the find seems to be; undefined where nothing fits yet, and all that moves the danger is asked. */
  readonly beside: string | undefined;
  readonly characters: ReadonlySet<string>;
}

interface FindState {
  readonly status: "none" | "loading" | "open" | "missing";
  readonly find: Find | undefined;
  readonly answer: Answer | undefined;
  readonly answerState: AnswerState;
  /** What the last touch moved, in one line. */
  readonly lastMove: string | undefined;
  /** Why the last touch was refused, if it was. */
  readonly refusal: string | undefined;
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
  readonly delivery: Delivery | undefined;
  readonly savedAt: Date | undefined;
  /** Who looks just now: an observer's id, or undefined for the person whose record this is. */
  readonly observer: string | undefined;
  readonly observe: (observer: string | undefined) => void;
  readonly against: Against | undefined;
  /** Asks only what separates the find from one danger; undefined: everything again. */
  readonly checkAgainst: (sheet: string | undefined) => Promise<void>;
  readonly open: (id: string) => Promise<void>;
  readonly start: () => Promise<string>;
  readonly change: (change: Change) => void;
  /** Several changes that are one touch, and are undone as one. */
  readonly changeTogether: (changes: readonly Change[]) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly takeTheirs: (theirs: Stored) => Promise<void>;
  readonly keepMineApart: (theirs: Stored) => Promise<string>;
  /** Puts both records together where that permits no more than either; answers why not, where it cannot be. */
  readonly takeBoth: (theirs: Stored) => Promise<string | undefined>;
  /** Gives some bodies a find of their own; answers its id, or undefined where that cannot be. */
  readonly split: (bodies: readonly string[]) => Promise<string | undefined>;
}

type Steps = Pick<DeviceSteps, "done" | "undone">;
/** Said where this device has no room, or its memory is closed to us. */
const NOT_KEPT = "this device could not keep it. It stands on this screen only; write it down.";
const NO_STEPS: Steps = { done: [], undone: [] };

/** A soft character tells two kinds apart if one look at it settles the matter at least so often; ours. */
const TELLING = 0.5;

/** The steps of the latest touch, latest first: those that belong together, or the one. */
function lastTouch(steps: readonly Step[]): readonly Step[] {
  const last = steps.at(-1);
  if (last === undefined) return [];
  const before = steps.findLastIndex((step) => step.touch === undefined || step.touch !== last.touch);
  return last.touch === undefined ? [last] : steps.slice(before + 1).reverse();
}

export const useFind = create<FindState>()((set, get) => {
  /** Only the answer to the latest record is shown; an overtaken one is dropped. */
  const judgeNow = (find: Find) => {
    set({ answerState: "working" });
    askJudge(find).then(
      (answer) => {
        if (get().find !== find) return;
        const before = get().answer;
        set({ answer, answerState: "fresh", lastMove: whatChanged(before, answer) ?? get().lastMove });
      },
      () => {
        if (get().find === find) set({ answerState: "failed" });
      },
    );
  };

  /** The find that was asked for last: one that comes late is not shown, and no touch lands on it. */
  let wanted: string | undefined;

  const show = (find: Find, { done, undone } = NO_STEPS) => {
    wanted = find.id;
    set({
      find,
      status: "open",
      done,
      undone,
      observer: undefined,
      against: undefined,
      answer: undefined,
      lastMove: undefined,
      refusal: undefined,
    });
    judgeNow(find);
  };

  /** Shows a find that the server may not have yet: what was said of the one before says nothing of it. */
  const showUnsent = (find: Find) => {
    show(find);
    set({ delivery: { findId: find.id, waiting: 1, state: "sending" }, savedAt: undefined });
    void deliver(find.id);
  };

  /** Applies a change to the open find, with what can be undone after it. @returns whether the core took it */
  const apply = (change: Change, link: Pick<Edit, "undoes" | "redoes">, stepsAfter: (step: Step) => Steps): boolean => {
    const { find, delivery } = get();
    if (find === undefined) return false;
    const applied = applyChange(find, change);
    if (!applied.ok) {
      set({ refusal: applied.faults.map((fault) => `${fault.path}: ${fault.message}`).join("; ") });
      return false;
    }
    const after = applied.value.find;
    const edit: Edit = { id: uuidv7(), at: new Date().toISOString(), change, ...link };
    const steps = stepsAfter({ editId: edit.id, change, inverse: applied.value.inverse });
    const unsettled = delivery?.state === "conflict" || delivery?.state === "refused";
    set({
      find: after,
      ...steps,
      refusal: undefined,
      ...(unsettled ? {} : { delivery: { findId: find.id, waiting: 1, state: "sending" as const } }),
    });
    judgeNow(after);
    keepEdit(after, edit, steps).catch(() => set({ refusal: NOT_KEPT }));
    return true;
  };

  onDelivery((delivery) => {
    if (delivery.findId !== get().find?.id) return;
    set({ delivery, ...(delivery.state === "saved" ? { savedAt: new Date() } : {}) });
  });

  return {
    status: "none",
    find: undefined,
    answer: undefined,
    answerState: "working",
    lastMove: undefined,
    refusal: undefined,
    done: [],
    undone: [],
    delivery: undefined,
    savedAt: undefined,
    observer: undefined,
    observe: (observer) => set({ observer }),
    against: undefined,

    checkAgainst: async (sheet) => {
      const { answer, find } = get();
      const danger = answer?.dangers.find((one) => one.sheet === sheet);
      if (answer === undefined || danger === undefined) return set({ against: undefined });
      const seems = answer.candidates.find((one) => one.fits && one.tier !== "inedible")?.sheet ?? find?.takenFor;
      const compared =
        seems === undefined
          ? undefined
          : await askShelf((remote) => remote.compare(seems, danger.sheet)).catch(() => undefined);
      const moved = Object.entries(answer.atStake).flatMap(([character, by]) =>
        by.includes(danger.sheet) ? [character] : [],
      );
      const characters = new Set<string>(
        compared?.differences.filter((one) => one.hard || one.power >= TELLING).map((one) => one.character) ?? moved,
      );
      // nothing that separates the two: then nothing is left out
      set({
        against:
          characters.size === 0
            ? undefined
            : { sheet: danger.sheet, name: danger.name, beside: compared?.one.common, characters },
      });
    },

    open: async (id) => {
      wanted = id;
      if (get().find?.id === id) return;
      set({ status: "loading", find: undefined, answer: undefined, delivery: undefined, savedAt: undefined });
      await touchesKept();
      const kept = await device.finds.get(id);
      const waiting = await waitingFor(id);
      const steps = await device.steps.get(id);
      if (wanted !== id) return;
      // what waits on this device is the person's latest; the server's copy is taken only where nothing waits
      if (kept !== undefined && (waiting.length > 0 || kept.version === 0)) {
        show(kept.find, steps);
        void deliver(id);
        return;
      }
      const reply = await readFind(id);
      if (wanted !== id) return;
      if (reply.kind === "stored") {
        const { find, version } = reply.stored;
        await device.finds.put({ id, find, base: find, version });
        if (wanted !== id) return;
        // what was done here can be undone only as long as nobody else has changed the record since
        show(find, kept?.version === version ? steps : undefined);
        set({ delivery: { findId: id, waiting: 0, state: "saved" } });
        void deliver(id);
      } else if (kept !== undefined && reply.kind === "unreachable") {
        show(kept.find, steps);
        set({ delivery: { findId: id, waiting: 0, state: "unreachable" } });
      } else set({ status: "missing" });
    },

    start: async () => {
      const rules = ownRules();
      const id = uuidv7();
      wanted = id;
      const find: Find = { ...newFind(id, new Date().toISOString()), ...(rules === undefined ? {} : { rules }) };
      await keepNewFind(find);
      showUnsent(find);
      return find.id;
    },

    change: (change) => void apply(change, {}, (step) => ({ done: [...get().done, step], undone: [] })),

    changeTogether: (changes) => {
      const touch = uuidv7();
      for (const change of changes)
        if (!apply(change, {}, (step) => ({ done: [...get().done, { ...step, touch }], undone: [] }))) return;
    },

    undo: () => {
      for (const step of lastTouch(get().done)) {
        const isTaken = apply(step.inverse, { undoes: step.editId }, () => ({
          done: get().done.slice(0, -1),
          undone: [...get().undone, step],
        }));
        if (!isTaken) return;
      }
    },

    redo: () => {
      for (const step of lastTouch(get().undone)) {
        const isTaken = apply(step.change, { redoes: step.editId }, (again) => ({
          done: [...get().done, { ...again, touch: step.touch }],
          undone: get().undone.slice(0, -1),
        }));
        if (!isTaken) return;
      }
    },

    takeTheirs: async ({ find, version }) => {
      await touchesKept();
      await device.transaction("rw", device.finds, device.waiting, async () => {
        await device.waiting.where("findId").equals(find.id).delete();
        await device.finds.put({ id: find.id, find, base: find, version });
      });
      await device.steps.delete(find.id);
      show(find);
      set({ delivery: { findId: find.id, waiting: 0, state: "saved" } });
    },

    keepMineApart: async (theirs) => {
      const { find } = get();
      const copy: Find = {
        ...(find ?? theirs.find),
        id: uuidv7(),
        label: `${find?.label ?? "find"} (kept from this device)`,
      };
      await get().takeTheirs(theirs);
      await keepNewFind(copy);
      showUnsent(copy);
      return copy.id;
    },

    takeBoth: async (theirs) => {
      const { find } = get();
      if (find === undefined) return "There is no find here.";
      const both = await askUnion(find, theirs.find).catch(() => undefined);
      if (both === undefined)
        return "Together they would permit more than one of them alone. Take one of them, or look again.";
      const reply = await putFind(both, theirs.version);
      if (reply.kind !== "stored") return "The server did not take it. Both are still as they were.";
      await get().takeTheirs(reply.stored);
      return undefined;
    },

    split: async (bodies) => {
      const { find, changeTogether } = get();
      const split = find === undefined ? undefined : splitOff(find, bodies, uuidv7());
      if (split === undefined) return undefined;
      // the new find first: a body may stand in two finds for a moment, but never in none
      await keepNewFind(split.apart);
      changeTogether(split.changes);
      return split.apart.id;
    },
  };
});
