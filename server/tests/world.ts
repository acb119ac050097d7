/** People who stand in every way to one find, with everything that can be made of it. */
import { newFind } from "@jittery-cap/core";
import { uuidv7 as uuid } from "uuidv7";
import { STANDINGS, type WhoAsks } from "../http/policy.ts";
import type { ScratchApp } from "./scratch-app.ts";

export const AT = "2026-09-14T10:20:00Z";

export interface World {
  readonly who: Record<WhoAsks, string>;
  /** Somebody else in the circle. */
  readonly another: string;
  readonly find: string;
  readonly circle: string;
  readonly ask: string;
  readonly packet: { readonly id: string; readonly token: string };
  readonly picture: string;
  readonly place: string;
  readonly placeLink: { readonly id: string; readonly token: string };
  readonly round: { readonly id: string; readonly token: string };
}

const SEEN = { id: "A", seen: [{ character: "ring", states: ["skirt"] }] };
const PLACE = { name: "Hask bank", position: { lat: 61, lon: 24, accuracyM: 20 }, madeAt: AT };
const ITEMS = [{ sheet: "agaricus-campestris", seed: "one" }];

/** The hash of everybody's password, and the bytes of a picture. */
export interface WorldMatter {
  readonly password: string;
  readonly picture: Buffer;
}

/** A world, all of it new, so that no cell knows of another. What is dear to make is the same in all. */
export async function newWorld(made: ScratchApp, { password, picture }: WorldMatter): Promise<World> {
  const { parts } = made;
  const { who, another } = await newPeople(made, password);
  const { circle, looking } = await newCircles(made, who, another);
  const finder = { kind: "person", id: who.finder } as const;
  const keep = async (kind: "find" | "place", id: string, content: object) => {
    await parts.writer.write({ actor: finder, ownerId: finder.id, id, kind, known: 0, create: content, touches: [] });
    return id;
  };
  const find = await keep("find", uuid(), { ...newFind(uuid(), AT), bodies: [SEEN] });
  const place = await keep("place", uuid(), PLACE);
  await parts.sharing.share(finder, find, circle, { place: "none", mayRecord: false });
  await parts.sharing.share(finder, find, looking, { place: "none", mayRecord: true });
  const placeLink = await parts.placeLinks.make(finder, place, uuid(), "a wood");
  const round = await parts.rounds.make(finder, uuid(), "a round", ITEMS);
  const pictureId = uuid();
  await parts.pictures.keep(finder, pictureId, { about: find, part: "top", takenAt: AT }, picture);
  const packet = await parts.packets.make(finder, find, uuid());
  const ask = (await parts.asks.ask(finder, find, { id: uuid(), circle, note: "" })).id;
  if (packet === undefined || placeLink === undefined || round === undefined) throw new Error("no world");
  return { who, another, find, circle, ask, packet, picture: pictureId, place, placeLink, round };
}

/** Somebody of each standing, and another. */
async function newPeople({ models }: ScratchApp, password: string) {
  const who = Object.fromEntries(STANDINGS.map((one) => [one, uuid()])) as Record<WhoAsks, string>;
  await models.people.bulkCreate(
    STANDINGS.filter((one) => one !== "nobody").map((one) => ({
      id: who[one],
      name: one,
      signInName: `p${who[one].slice(-12)}`,
      password,
      isKeeper: one === "keeper",
      sealPublic: "{}",
      sealPrivate: "{}",
      createdAt: new Date(),
    })),
  );
  const another = uuid();
  await models.people.create({ id: another, name: "another", createdAt: new Date() });
  return { who, another };
}

/** One circle to look, one to add looks as well. */
async function newCircles({ models }: ScratchApp, who: World["who"], another: string) {
  const [circle, looking] = [uuid(), uuid()];
  await models.circles.bulkCreate(
    [circle, looking].map((id) => ({ id, name: id.slice(-8), madeBy: who["circle owner"], madeAt: new Date() })),
  );
  const member = (circleId: string, one: WhoAsks, role: string) => ({
    circleId,
    personId: who[one],
    role,
    trusted: [],
    joinedAt: new Date(),
  });
  await models.circleMembers.bulkCreate([
    member(circle, "circle owner", "owner"),
    member(circle, "finder", "member"),
    member(circle, "member", "member"),
    member(circle, "recorder", "member"),
    { ...member(circle, "member", "member"), personId: another },
    member(looking, "finder", "owner"),
    member(looking, "recorder", "member"),
  ]);
  return { circle, looking };
}
