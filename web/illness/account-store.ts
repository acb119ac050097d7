/**
 * What is told while somebody is ill, on this device alone: it waits for no database and no server. What another tab told is
 * taken in before anything is written, and what cannot be read is kept as it is.
 */
import { type Account, readTold, strike, type Told, tell, togetherTold, toldSchema } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { create } from "zustand";

/** A thing to be told, without what the telling adds. */
export type ToTell = Told extends infer One
  ? One extends Told
    ? Omit<One, "id" | "toldAt" | "struckAt">
    : never
  : never;

interface AccountState {
  readonly told: Account;
  /** Whether this device could keep all of it; where not, it stands on this screen only. */
  readonly isKept: boolean;
  /** Writes a thing down. @returns whether it could be: a time outside the calendar cannot */
  readonly tell: (one: ToTell) => boolean;
  readonly strike: (id: string) => void;
}

const KEY = "illness";

function kept(): ReturnType<typeof readTold> {
  try {
    return readTold(JSON.parse(localStorage.getItem(KEY) ?? "[]"));
  } catch {
    return { told: [], unreadable: [] };
  }
}

export const useAccount = create<AccountState>()((set, get) => {
  const change = (made: (told: Account) => Account) => {
    const { told: there, unreadable } = kept();
    const told = made(togetherTold(there, get().told));
    set({ told });
    try {
      localStorage.setItem(KEY, JSON.stringify([...unreadable, ...told]));
      set({ isKept: true });
    } catch {
      set({ isKept: false });
    }
  };
  return {
    told: kept().told,
    isKept: true,
    tell: (one) => {
      const at = new Date().toISOString();
      const read = toldSchema.safeParse({ ...one, id: uuidv7(), toldAt: at });
      if (read.success) change((told) => tell(told, read.data));
      return read.success;
    },
    strike: (id) => change((told) => strike(told, id, new Date().toISOString())),
  };
});

if (typeof window !== "undefined")
  window.addEventListener("storage", ({ key }) => {
    if (key === KEY) useAccount.setState(({ told }) => ({ told: togetherTold(kept().told, told) }));
  });
