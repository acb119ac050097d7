/** People who stand in every way to one find, and for every route a request that is complete and in order but for who sends it. */
import { newFind } from "@jittery-cap/core";
import type { RouteName } from "@jittery-cap/core/api";
import type { Express } from "express";
import sharp from "sharp";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { STANDINGS, type WhoAsks } from "../http/policy.ts";
import { hashPassword } from "../people/passwords.ts";
import { hashOfCode } from "../people/people.ts";
import type { ScratchApp } from "./scratch-app.ts";

const AT = "2026-09-14T10:20:00Z";
const PASSWORD = "four damp birches leaning";
const TOKEN = "0123456789abcdef0123456789abcdef";

/** A request of a route, complete and in order but for whoever sends it. */
export interface Asked {
  readonly params?: Record<string, string>;
  readonly query?: Record<string, string>;
  readonly body?: object;
  readonly file?: Buffer;
}

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

/** Makes worlds, and what is sent in one. */
export interface Worlds {
  readonly world: () => Promise<World>;
  readonly asked: { readonly [Name in RouteName]: (w: World, me: string) => Asked | Promise<Asked> };
}

/** @param appOf the application as somebody reaches it who has signed in */
export async function worldsOf(made: ScratchApp, appOf: (me: string) => Express): Promise<Worlds> {
  const password = await hashPassword(PASSWORD);
  const png = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#caa" } })
    .png()
    .toBuffer();
  const items = [{ sheet: "agaricus-campestris", seed: "one" }];

  /** People and what they have, all of it new: no cell knows of another. */
  async function world(): Promise<World> {
    const { models, parts } = made;
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
    const [circle, looking] = [uuid(), uuid()];
    // one circle to look, one to add looks as well
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
    const round = await parts.rounds.make(finder, uuid(), "a round", items);
    const picture = uuid();
    await parts.pictures.keep(finder, picture, { about: find, part: "top", takenAt: AT }, png);
    const packet = await parts.packets.make(finder, find, uuid());
    const ask = (await parts.asks.ask(finder, find, { id: uuid(), circle, note: "" })).id;
    if (packet === undefined || placeLink === undefined || round === undefined) throw new Error("no world");
    return { who, another, find, circle, ask, packet, picture, place, placeLink, round };
  }

  const look = (by: string) => ({
    kind: "observe",
    body: "A",
    character: "cap-colour",
    by,
    entries: [{ character: "cap-colour", states: ["white"], by }],
  });
  const looks = [{ body: "A", entry: { character: "ring", states: ["skirt"] } }];

  /** What is sent, by whoever it is. */
  const asked: Worlds["asked"] = {
    writeDocument: async (w, me) => {
      const row = await made.models.documents.findByPk(w.find);
      const isFinder = me === w.who.finder;
      const change = isFinder ? { kind: "set-find", field: "label", value: "mine" } : look(me);
      // looks stand under the names of observers
      if (me === w.who.recorder) await request(appOf(me)).post(`/api/shared/${w.find}/observers`).send({});
      const now = await made.models.documents.findByPk(w.find);
      return {
        params: { id: w.find },
        body: {
          kind: "find",
          known: (now ?? row)?.version,
          touches: [{ id: uuid(), at: AT, by: me, changes: [change] }],
        },
      };
    },
    changedDocuments: () => ({}),
    readDocument: (w) => ({ params: { id: w.find } }),
    alive: () => ({}),
    health: () => ({}),
    describeApi: () => ({}),
    assessFinds: () => ({ body: newFind("one", AT) }),
    reportBrowserError: () => ({ body: { where: "here", message: "it broke" } }),
    live: () => ({}),
    readTouches: (w) => ({ params: { id: w.find } }),
    listFinds: () => ({}),
    listStandings: () => ({}),
    putPicture: (w) => ({
      params: { id: uuid() },
      query: { about: w.find, part: "top", takenAt: AT },
      file: png,
    }),
    showPicture: (w) => ({ params: { id: w.picture } }),
    findPaper: (w) => ({ params: { id: w.find } }),
    makePacket: (w) => ({ params: { id: w.find }, body: { id: uuid() } }),
    listPackets: (w) => ({ params: { id: w.find } }),
    withdrawPacket: (w) => ({ params: { id: w.find, packet: w.packet.id } }),
    openPacket: (w) => ({ params: { token: w.packet.token } }),
    packetPaper: (w) => ({ params: { token: w.packet.token } }),
    packetPicture: (w) => ({ params: { token: w.packet.token, picture: w.picture } }),
    sayOfPacket: (w) => ({
      params: { token: w.packet.token },
      body: { id: uuid(), name: "somebody", inHand: true, looks },
    }),
    askStandIn: (w) => ({ params: { token: w.packet.token }, body: { differs: false } }),
    makePlaceLink: (w) => ({ params: { id: w.place }, body: { id: uuid(), name: "a wood" } }),
    listPlaceLinks: (w) => ({ params: { id: w.place } }),
    withdrawPlaceLink: (w) => ({ params: { id: w.place, link: w.placeLink.id } }),
    openPlaceLink: (w) => ({ params: { token: w.placeLink.token } }),
    makeRound: () => ({ body: { id: uuid(), name: "another", items } }),
    listRounds: () => ({}),
    readRound: (w) => ({ params: { id: w.round.id } }),
    showRound: (w) => ({ params: { id: w.round.id }, body: { shown: SHOWN } }),
    endRound: (w) => ({ params: { id: w.round.id } }),
    joinRound: (w) => ({ params: { token: w.round.token }, query: { guest: uuid() } }),
    answerRound: async (w) => {
      await made.parts.rounds.show({ kind: "person", id: w.who.finder }, w.round.id, SHOWN);
      return {
        params: { token: w.round.token },
        body: { id: uuid(), guest: uuid(), name: "a phone", at: 0, verdict: "hold", sure: 0.5 },
      };
    },
    watchRound: (w) => ({ params: { token: w.round.token } }),
    readWeather: () => ({ query: { at: AT } }),
    readSky: () => ({ query: { from: "2026-09-14", to: "2026-09-15" } }),
    simulatedPosition: () => ({ query: { at: AT } }),
    simulatedScale: () => ({ query: { capCm: "8" } }),
    waysIn: () => ({}),
    beFirst: () => ({
      body: { word: "aaaa-bbbb-cccc-dddd", name: "x", signInName: "xx", password: PASSWORD },
    }),
    signInByPassword: () => ({ body: { signInName: "nobody", password: "x" } }),
    signInByCode: () => ({ body: { signInName: "nobody", code: "aaaabbbbccccdddd", password: PASSWORD } }),
    takeInvented: () => ({ body: { id: uuid() } }),
    passkeyChallenge: () => ({ body: {} }),
    signInByPasskey: () => ({ body: { id: "none" } }),
    signOut: () => ({ body: { everywhere: false } }),
    readMe: () => ({}),
    renameMe: () => ({ body: { name: "another" } }),
    changePassword: () => ({ body: { old: PASSWORD, password: "nine quiet herons at dusk" } }),
    makeRecoveryCodes: () => ({ body: { password: PASSWORD } }),
    passkeyToMake: () => ({ body: {} }),
    keepPasskey: () => ({ body: { name: "a key", made: {} } }),
    dropPasskey: async (_w, me) => {
      const id = `k${uuid()}`;
      if ((await made.models.people.findByPk(me)) !== null)
        await made.models.passkeys.create({
          id,
          personId: me,
          name: "a key",
          publicKey: Buffer.from("x"),
          counter: 0,
          transports: [],
          madeAt: new Date(),
        });
      return { params: { id } };
    },
    openSeal: () => ({ body: {} }),
    exportMine: () => ({}),
    leaveForGood: (_w, me) => ({ body: { password: PASSWORD, signInName: `p${me.slice(-12)}` } }),
    invite: () => ({ body: { id: uuid() } }),
    listInvitations: () => ({}),
    withdrawInvitation: async (w) => ({ params: { id: await invitation(w) } }),
    readInvitation: async (w) => {
      await invitation(w);
      return { params: { token: TOKEN } };
    },
    join: async (w) => {
      await invitation(w);
      const id = uuid();
      return { params: { token: TOKEN }, body: { id, name: "x", signInName: `n${id.slice(-12)}`, password: PASSWORD } };
    },
    listCircles: () => ({}),
    makeCircle: () => ({ body: { id: uuid(), name: "another" } }),
    inviteToCircle: (w) => ({ params: { id: w.circle }, body: { id: uuid(), role: "member" } }),
    readCircleInvitation: async (w) => ({ params: { token: await circleInvitation(w) } }),
    joinCircle: async (w) => ({ params: { token: await circleInvitation(w) }, body: {} }),
    setMember: (w) => ({
      params: { id: w.circle, person: w.another },
      body: { role: "learner", trusted: [] },
    }),
    leaveCircle: (w) => ({ params: { id: w.circle, person: w.another } }),
    listShares: (w) => ({ params: { id: w.find } }),
    shareFind: (w) => ({ params: { id: w.find, circle: w.circle }, body: { place: "none" } }),
    withdrawShare: (w) => ({ params: { id: w.find, circle: w.circle } }),
    listShared: () => ({}),
    listSharedPictures: (w) => ({ params: { id: w.find } }),
    showSharedPicture: (w) => ({ params: { id: w.find, picture: w.picture } }),
    recordAlong: (w) => ({ params: { id: w.find }, body: {} }),
    askCircle: (w) => ({ params: { id: w.find }, body: { id: uuid(), circle: w.circle } }),
    listAsks: () => ({}),
    takeAsk: (w) => ({ params: { id: w.ask }, body: { take: true } }),
    answerAsk: (w) => ({ params: { id: w.ask }, body: { id: uuid(), inHand: true, looks } }),
    withdrawAsk: (w) => ({ params: { id: w.ask } }),
  };
  const SEEN = { id: "A", seen: [{ character: "ring", states: ["skirt"] }] };
  const SHOWN = { at: 0, find: newFind("one", AT), conditions: [], looks: [], minutes: 0, dangers: [] };
  const PLACE = { name: "Hask bank", position: { lat: 61, lon: 24, accuracyM: 20 }, madeAt: AT };

  async function invitation(w: World): Promise<string> {
    const id = uuid();
    await made.models.invitations.destroy({ where: { hash: hashOfCode(TOKEN) } });
    await made.models.invitations.create({
      id,
      fromId: w.who.keeper,
      hash: hashOfCode(TOKEN),
      note: "",
      madeAt: new Date(),
    });
    return id;
  }
  async function circleInvitation(w: World): Promise<string> {
    await made.models.circleInvitations.destroy({ where: { hash: hashOfCode(TOKEN) } });
    await made.models.circleInvitations.create({
      id: uuid(),
      circleId: w.circle,
      fromId: w.who["circle owner"],
      hash: hashOfCode(TOKEN),
      role: "member",
      trusted: [],
      madeAt: new Date(),
    });
    return TOKEN;
  }

  return { world, asked };
}
