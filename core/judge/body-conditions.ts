/** What of time, weather and handling holds of one body. Thresholds: common practice, no source, unless a line says memory. */
import type { Body, Find } from "../find/schema.ts";
import type { Age, Lift, PrintPaper, Wear } from "../find/vocabulary.ts";
import type { Looks } from "./looks.ts";

/** More than a few hours since picking: colours, stain, smell and texture are no longer those of the field. */
export const HOURS_UNTIL_STALE = 4;
/** Dry days after which stain and smell are held silent (memory). */
export const DROUGHT_DAYS = 5;
/** Air colder than this silences stain and smell until the piece is warmed in the hand (memory). */
export const COLD_BELOW_C = 8;
/** Rain of a day from which it washes off warts, scales, colours and rings; a drizzle does not (memory). */
export const WASHING_RAIN_MM = 5;

/** All that can put a mask in force on one body. */
export interface Conditions {
  readonly age: Age | undefined;
  readonly lifted: Lift | undefined;
  readonly wear: ReadonlySet<Wear>;
  readonly stale: boolean;
  readonly softened: boolean;
  readonly tunnelled: boolean;
  readonly frost: boolean;
  readonly drought: boolean;
  readonly cold: boolean;
  readonly rain: boolean;
  readonly cannotSmell: boolean;
  readonly paper: PrintPaper | undefined;
  /** A print of this body is laid and not read. */
  readonly printPending: boolean;
  /** A dense cluster on wood with joined feet: a sac or a bulb of one's own has no room in it, however it was cut off. */
  readonly joinedFeet: boolean;
  /** Told as closed all round: a ball. */
  readonly enclosed: boolean;
  /** Not surely seen to be open below: it may be a ball, and one that shows no foot. */
  readonly maybeClosed: boolean;
  /** The ring was looked at and no veil spans the gills. */
  readonly veilSeenOpen: boolean;
}

/** The conditions of one body of a find. */
export function conditionsOf(find: Find, body: Body, looks: Looks): Conditions {
  const weather = find.weather ?? {};
  const ring = looks.get("ring");
  const underside = looks.get("underside");
  const enclosed = underside?.states.includes("enclosed") === true;
  return {
    age: body.age,
    lifted: body.lifted,
    wear: new Set(body.wear ?? []),
    stale: (body.hoursSincePicked ?? 0) > HOURS_UNTIL_STALE,
    softened: body.firmness === "soft" || body.firmness === "mushy",
    tunnelled: [body.larvae, body.larvaeParts?.stem].some((larvae) => larvae === "few" || larvae === "riddled"),
    frost: weather.frostLastNight === true,
    drought: (weather.drySpellDays ?? 0) >= DROUGHT_DAYS,
    cold: weather.warmedInHand !== true && weather.airTempC !== undefined && weather.airTempC < COLD_BELOW_C,
    rain: (weather.rain24hMm ?? 0) >= WASHING_RAIN_MM,
    cannotSmell: weather.cannotSmell === true,
    paper: body.print?.paper ?? weather.printPaper,
    printPending: body.print?.laidAt !== undefined && body.print.readAt === undefined,
    joinedFeet: hasJoinedFeet(find, looks),
    enclosed,
    maybeClosed: enclosed || underside?.sure !== true,
    veilSeenOpen: ring !== undefined && !ring.states.includes("closed"),
  };
}

const CLUSTER_WOOD: ReadonlySet<string> = new Set(["standing-dead-wood", "stump", "fallen-wood", "buried-wood"]);

function hasJoinedFeet({ site }: Find, looks: Looks): boolean {
  const foot = looks.get("base");
  return (
    foot?.sure === true &&
    foot.states.every((state) => state === "fused") &&
    site?.growth?.includes("dense-cluster") === true &&
    site.substrate?.some((one) => CLUSTER_WOOD.has(one)) === true
  );
}

export const isOld = (c: Conditions) => c.age === undefined || c.age === "old";
export const isButton = (c: Conditions) => c.age === undefined || c.age === "egg" || c.age === "button";
export const worn = (c: Conditions, ...wears: Wear[]) => wears.some((wear) => c.wear.has(wear));
export const weathered = (c: Conditions) => c.rain || worn(c, "rain-washed", "waterlogged", "frozen", "dried-out");
/** What washes or rubs things off. */
export const WASHES: readonly Wear[] = ["rain-washed", "handled", "nibbled", "cleaned", "waterlogged", "dried-out"];
