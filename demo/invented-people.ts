/** Three people who do not exist, of an invented circle in an invented lakeland district: the demo is seen through their eyes. */
import { LOCAL_PERSON } from "@jittery-cap/core/documents";

export const INVENTED = [
  {
    id: LOCAL_PERSON,
    name: "Ilva Marrund",
    about: "has gathered for two seasons; the finds and outings of the demo are hers",
  },
  {
    id: "0193a000-0000-7000-8000-000000000002",
    name: "Tosk Ammerel",
    about: "knows boletes and brittlegills, and is asked by the others",
  },
  { id: "0193a000-0000-7000-8000-000000000003", name: "Wenna Skirre", about: "learns, in her first autumn" },
] as const;

/** Their circle: who is what in it, which of the first one's finds is shared, and about which they ask. */
export const INVENTED_CIRCLE = {
  id: "0193a030-0000-7000-8000-000000000001",
  name: "Skirrow circle",
  roles: [
    { id: INVENTED[1].id, role: "knows", trusted: ["boletus", "leccinum", "russula", "lactarius"] },
    { id: INVENTED[2].id, role: "learner", trusted: [] },
  ],
  /** The beginning of a find's label. */
  shared: "white ones in an arc",
  asked: {
    find: "grey brittle one",
    id: "0193a030-0000-7000-8000-000000000002",
    note: "does the stem snap like chalk?",
  },
} as const;
