/** Links by which somebody else sees a place, as its owner shows it. */
import { z } from "zod";
import { placeSchema } from "../place/place.ts";
import { uuid } from "./documents.ts";
import { route } from "./route.ts";

const NAME_LENGTH = 120;
const ofPlace = z.strictObject({ id: uuid });

const linkSchema = z.object({
  id: z.string(),
  token: z.string(),
  madeAt: z.string(),
  /** From then on it leads nowhere: because it is old, or because it was taken back. */
  openUntil: z.string(),
});

export const makePlaceLink = route({
  method: "post",
  path: "/api/places/:id/links",
  about: "Makes a link by which somebody else sees a place as its owner shows it",
  params: ofPlace,
  /** The place's own name stays at home: others call it by this. */
  body: z.strictObject({ id: uuid, name: z.string().trim().min(1).max(NAME_LENGTH) }),
  reply: linkSchema,
  problems: [404],
});

export const listPlaceLinks = route({
  method: "get",
  path: "/api/places/:id/links",
  about: "The links to a place, latest first",
  params: ofPlace,
  reply: z.object({ links: z.array(linkSchema) }),
  problems: [404],
});

export const withdrawPlaceLink = route({
  method: "delete",
  path: "/api/places/:id/links/:link",
  about: "Takes a link back: it leads nowhere from now on",
  params: z.strictObject({ id: uuid, link: uuid }),
  reply: "nothing",
  problems: [404],
});

const shared = placeSchema.shape;
export const openPlaceLink = route({
  method: "get",
  path: "/api/place-links/:token",
  about: "What somebody else may see of a place",
  access: "link",
  params: z.strictObject({ token: z.string().regex(/^[0-9a-f]{32}$/, "expected the token of a link") }),
  reply: z.object({
    name: z.string(),
    region: shared.region,
    position: z.object({ lat: z.number(), lon: z.number(), accuracyM: z.number() }).optional(),
    outline: shared.outline,
    habitat: shared.habitat,
    host: shared.host,
    substrate: shared.substrate,
    concerns: shared.concerns,
  }),
  problems: [404],
});
