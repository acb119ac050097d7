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
