/** The find that is open: its record, its answer, its undo. The only way to change it is an edit. */
import { type Answer, applyChange, type Change, type Edit, type Find, newFind } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { create } from "zustand";
import type { AnswerState } from "../card/verdict-words.ts";
import { readFind, type Stored } from "../device/api.ts";
import { device, waitingFor } from "../device/device.ts";
import { type Delivery, deliver, keepEdit, keepNewFind, onDelivery } from "../device/outbox.ts";
import { askJudge } from "../worker/judge.ts";
import { whatChanged } from "./what-changed.ts";

/** A change made here, with what takes it back. */
interface Step {
  readonly editId: string;
  readonly change: Change;
  readonly inverse: Change;
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
  readonly open: (id: string) => Promise<void>;
  readonly start: () => Promise<string>;
  readonly change: (change: Change) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  readonly takeTheirs: (theirs: Stored) => Promise<void>;
  readonly keepMineApart: (theirs: Stored) => Promise<string>;
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

  const show = (find: Find) => {
    set({
      find,
      status: "open",
      done: [],
      undone: [],
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

  /** Applies a change to the open find; answers the step, or undefined where the core refuses it. */
  const apply = (change: Change, link: Pick<Edit, "undoes" | "redoes">): Step | undefined => {
    const { find } = get();
    if (find === undefined) return undefined;
    const applied = applyChange(find, change);
    if (!applied.ok) {
      set({ refusal: applied.faults.map((fault) => `${fault.path}: ${fault.message}`).join("; ") });
      return undefined;
    }
    const edit: Edit = { id: uuidv7(), at: new Date().toISOString(), change, ...link };
    const { delivery } = get();
    const unsettled = delivery?.state === "conflict" || delivery?.state === "refused";
    set({
      find: applied.value.find,
      refusal: undefined,
      ...(unsettled ? {} : { delivery: { findId: find.id, waiting: 1, state: "sending" as const } }),
    });
    void keepEdit(applied.value.find, edit);
    judgeNow(applied.value.find);
    return { editId: edit.id, change, inverse: applied.value.inverse };
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

    open: async (id) => {
      if (get().find?.id === id) return;
      set({ status: "loading", find: undefined, answer: undefined, delivery: undefined, savedAt: undefined });
      const kept = await device.finds.get(id);
      const waiting = await waitingFor(id);
      // what waits on this device is the person's latest; the server's copy is taken only where nothing waits
      if (kept !== undefined && (waiting.length > 0 || kept.version === 0)) {
        show(kept.find);
        void deliver(id);
        return;
      }
      const reply = await readFind(id);
      if (reply.kind === "stored") {
        const { find, version } = reply.stored;
        await device.finds.put({ id, find, base: find, version });
        show(find);
        set({ delivery: { findId: id, waiting: 0, state: "saved" } });
      } else if (kept !== undefined && reply.kind === "unreachable") {
        show(kept.find);
        set({ delivery: { findId: id, waiting: 0, state: "waiting" } });
      } else set({ status: "missing" });
    },

    start: async () => {
      const find = newFind(uuidv7(), new Date().toISOString());
      await keepNewFind(find);
      showUnsent(find);
      return find.id;
    },

    change: (change) => {
      const step = apply(change, {});
      if (step !== undefined) set({ done: [...get().done, step], undone: [] });
    },

    undo: () => {
      const step = get().done.at(-1);
      if (step === undefined) return;
      if (apply(step.inverse, { undoes: step.editId }) !== undefined)
        set({ done: get().done.slice(0, -1), undone: [...get().undone, step] });
    },

    redo: () => {
      const step = get().undone.at(-1);
      if (step === undefined) return;
      const again = apply(step.change, { redoes: step.editId });
      if (again !== undefined) set({ done: [...get().done, again], undone: get().undone.slice(0, -1) });
    },

    takeTheirs: async ({ find, version }) => {
      await device.transaction("rw", device.finds, device.waiting, async () => {
        await device.waiting.where("findId").equals(find.id).delete();
        await device.finds.put({ id: find.id, find, base: find, version });
      });
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
  };
});
