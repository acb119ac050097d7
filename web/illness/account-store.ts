/** What is told while somebody is ill, on this device alone: it waits for no database and no server. */
import { type Account, accountSchema, strike, type Told, tell } from "@jittery-cap/core";
import { uuidv7 } from "uuidv7";
import { z } from "zod";
import { create } from "zustand";
import { persist } from "zustand/middleware";

/** A thing to be told, without what the telling adds. */
export type ToTell = Told extends infer One
  ? One extends Told
    ? Omit<One, "id" | "toldAt" | "struckAt">
    : never
  : never;

interface AccountState {
  readonly told: Account;
  readonly tell: (one: ToTell) => void;
  readonly strike: (id: string) => void;
}

const keptSchema = z.object({ told: accountSchema.catch([]) });

export const useAccount = create<AccountState>()(
  persist(
    (set) => ({
      told: [],
      tell: (one) =>
        set(({ told }) => ({ told: tell(told, { ...one, id: uuidv7(), toldAt: new Date().toISOString() } as Told) })),
      strike: (id) => set(({ told }) => ({ told: strike(told, id, new Date().toISOString()) })),
    }),
    {
      name: "illness",
      version: 1,
      partialize: ({ told }) => ({ told }),
      merge: (kept, now) => ({ ...now, ...keptSchema.catch({ told: [] }).parse(kept ?? {}) }),
    },
  ),
);
