/** Outings, their tracks, places and dates to come back, as documents. */
import { type Outing, outingSchema } from "../../outing/outing.ts";
import { type Reminder, reminderSchema } from "../../outing/reminder.ts";
import { type Track, trackSchema } from "../../outing/track-leg.ts";
import { type OwnPlace, placeSchema } from "../../place/place.ts";
import { allOf, fieldKind, heldBy, keyed } from "./fields.ts";
import { unchangingKind } from "./unchanging.ts";

export const outingKind = fieldKind<Outing>({
  kind: "outing",
  schema: outingSchema,
  fields: [
    "begunAt",
    "endedAt",
    "name",
    "companions",
    "sky",
    "searches",
    "nothing",
    "foundBy",
    "packed",
    "missed",
    "note",
  ],
  joins: {
    companions: heldBy(keyed("name")),
    searches: allOf(keyed("id"), "from"),
    nothing: allOf(keyed("id")),
    foundBy: allOf(keyed("find")),
    packed: heldBy(String),
    missed: heldBy(String),
    // two devices that ended it: whoever was longer on the way
    endedAt: (mine, theirs) => (Date.parse(String(mine)) > Date.parse(String(theirs)) ? mine : theirs),
  },
  listed: ({ begunAt }) => ({ at: begunAt }),
});

export const trackKind = unchangingKind<Track>({
  kind: "track",
  schema: trackSchema,
  canArchive: true,
  listed: ({ about, points }) => ({ about, at: points[0]?.at }),
});

export const placeKind = fieldKind<OwnPlace>({
  kind: "place",
  schema: placeSchema,
  fields: [
    "name",
    "position",
    "outline",
    "elevationM",
    "region",
    "habitat",
    "host",
    "substrate",
    "concerns",
    "history",
    "owner",
    "rule",
    "closedMonths",
    "limits",
    "share",
    "patches",
    "note",
  ],
  joins: {
    patches: heldBy(keyed("id")),
    // what one of them calls unclean or closed is so
    concerns: allOf(),
    closedMonths: allOf(String),
    limits: allOf(),
    // the one that tells less
    share: (mine, theirs) => (SHARES.indexOf(String(mine)) <= SHARES.indexOf(String(theirs)) ? mine : theirs),
  },
  listed: () => ({}),
});
const SHARES: readonly string[] = ["none", "10km", "1km", "exact"];

export const reminderKind = fieldKind<Reminder>({
  kind: "reminder",
  schema: reminderSchema,
  fields: ["kind", "what", "from", "to", "find", "place", "patch", "left", "came", "droppedAt", "madeAt"],
  joins: { came: (mine, theirs) => theirs ?? mine },
  listed: ({ from, find }) => ({ at: `${from}T00:00:00Z`, about: find }),
});
