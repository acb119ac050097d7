/** Which finds are another's, and what may be done with them: asked by whatever shows a find. */
import type { PlaceShown } from "@jittery-cap/core/people";
import { create } from "zustand";

/** A find that somebody shares with this person. */
export interface SharedFind {
  readonly id: string;
  readonly version: number;
  readonly owner: { readonly id: string; readonly name: string };
  /** The circle with which it was shared last. */
  readonly circle: string;
  /** All circles of this person with which it is shared; not known of what was kept before they were told. */
  readonly circles?: readonly string[] | undefined;
  readonly place: PlaceShown;
  readonly mayRecord: boolean;
}

/** Whether a find is shared with a circle, as far as this device knows. */
export const isSharedWith = ({ circle, circles }: SharedFind, asked: string): boolean =>
  circles === undefined ? circle === asked : circles.includes(asked);

interface SharedState {
  readonly finds: ReadonlyMap<string, SharedFind>;
  readonly show: (finds: readonly SharedFind[]) => void;
  /** The circles in which this person learns. */
  readonly learnsIn: readonly string[];
  /** Counts up whenever others did something in a circle. */
  readonly told: number;
}

export const useShared = create<SharedState>()((set) => ({
  finds: new Map(),
  learnsIn: [],
  told: 0,
  show: (finds) => set(({ told }) => ({ finds: new Map(finds.map((one) => [one.id, one])), told: told + 1 })),
}));

/** How a find is another's; undefined where it is one's own. */
export const useSharedFind = (id: string | undefined): SharedFind | undefined =>
  useShared((state) => (id === undefined ? undefined : state.finds.get(id)));
