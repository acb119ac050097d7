/** Who this phone is at a table: a number of its own and a name, on this device alone. */
import { uuidv7 } from "uuidv7";
import { z } from "zod";
import { create } from "zustand";
import { persist } from "zustand/middleware";

const guestSchema = z.object({ guest: z.uuid(), name: z.string().max(80) });

interface Guest extends z.infer<typeof guestSchema> {
  readonly setName: (name: string) => void;
}

export const useGuest = create<Guest>()(
  persist((set) => ({ guest: uuidv7(), name: "", setName: (name) => set({ name }) }), {
    name: "guest at a table",
    version: 1,
    partialize: ({ guest, name }) => ({ guest, name }),
    // what another program wrote there is not believed
    merge: (kept, now) => ({ ...now, ...(guestSchema.safeParse(kept).data ?? {}) }),
    // the number is kept from the first visit on
    onRehydrateStorage: () => (state) => state?.setName(state.name),
  }),
);
