/** For every route a request that is complete and in order but for who sends it. */
import { newFind } from "@jittery-cap/core";
import type { RouteName } from "@jittery-cap/core/api";
import type { Express } from "express";
import sharp from "sharp";
import request from "supertest";
import { uuidv7 as uuid } from "uuidv7";
import { hashPassword } from "../people/passwords.ts";
import { hashOfCode } from "../people/people.ts";
import type { ScratchApp } from "./scratch-app.ts";
import { AT, newWorld, type World } from "./world.ts";

const PASSWORD = "four damp birches leaning";
const TOKEN = "0123456789abcdef0123456789abcdef";
const ITEMS = [{ sheet: "agaricus-campestris", seed: "one" }];
const LOOKS = [{ body: "A", entry: { character: "ring", states: ["skirt"] } }];
const SHOWN = { at: 0, find: newFind("one", AT), conditions: [], looks: [], minutes: 0, dangers: [] };

/** A request of a route, complete and in order but for whoever sends it. */
export interface Asked {
  readonly params?: Record<string, string>;
  readonly query?: Record<string, string>;
  readonly body?: object;
  readonly file?: Buffer;
}

/** What is sent in a world, by whoever it is. */
type Request = (w: World, me: string) => Asked | Promise<Asked>;
type Requests = Readonly<Partial<Record<RouteName, Request>>>;

/** Makes worlds, and what is sent in one. */
export interface Worlds {
  readonly world: () => Promise<World>;
  readonly asked: Readonly<Record<RouteName, Request>>;
}

/** @param appOf the application as somebody reaches it who has signed in */
export async function worldsOf(made: ScratchApp, appOf: (me: string) => Express): Promise<Worlds> {
  const picture = await sharp({ create: { width: 8, height: 8, channels: 3, background: "#caa" } })
    .png()
    .toBuffer();
  const password = await hashPassword(PASSWORD);
  return {
    world: () => newWorld(made, { password, picture }),
    asked: {
      ...recordRequests(made, appOf, picture),
      ...linkRequests(made),
      ...personRequests(made),
      ...circleRequests(made),
    },
  };
}

/** Of documents, finds and pictures. */
function recordRequests(made: ScratchApp, appOf: (me: string) => Express, picture: Buffer) {
  return {
    writeDocument: async (w, me) => {
      const row = await made.models.documents.findByPk(w.find);
      const isFinder = me === w.who.finder;
      const change = isFinder ? { kind: "set-find", field: "label", value: "mine" } : lookBy(me);
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
      file: picture,
    }),
    showPicture: (w) => ({ params: { id: w.picture } }),
    findPaper: (w) => ({ params: { id: w.find } }),
  } satisfies Requests;
}

/** Of what is handed on by a link, and of the simulated devices. */
function linkRequests(made: ScratchApp) {
  return {
    makePacket: (w) => ({ params: { id: w.find }, body: { id: uuid() } }),
    listPackets: (w) => ({ params: { id: w.find } }),
    withdrawPacket: (w) => ({ params: { id: w.find, packet: w.packet.id } }),
    openPacket: (w) => ({ params: { token: w.packet.token } }),
    packetPaper: (w) => ({ params: { token: w.packet.token } }),
    packetPicture: (w) => ({ params: { token: w.packet.token, picture: w.picture } }),
    sayOfPacket: (w) => ({
      params: { token: w.packet.token },
      body: { id: uuid(), name: "somebody", inHand: true, looks: LOOKS },
    }),
    askStandIn: (w) => ({ params: { token: w.packet.token }, body: { differs: false } }),
    makePlaceLink: (w) => ({ params: { id: w.place }, body: { id: uuid(), name: "a wood" } }),
    listPlaceLinks: (w) => ({ params: { id: w.place } }),
    withdrawPlaceLink: (w) => ({ params: { id: w.place, link: w.placeLink.id } }),
    openPlaceLink: (w) => ({ params: { token: w.placeLink.token } }),
    makeRound: () => ({ body: { id: uuid(), name: "another", items: ITEMS } }),
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
  } satisfies Requests;
}

/** Of people and their ways in. */
function personRequests(made: ScratchApp) {
  return {
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
    withdrawInvitation: async (w) => ({ params: { id: await invitation(made, w) } }),
    readInvitation: async (w) => {
      await invitation(made, w);
      return { params: { token: TOKEN } };
    },
    join: async (w) => {
      await invitation(made, w);
      const id = uuid();
      return { params: { token: TOKEN }, body: { id, name: "x", signInName: `n${id.slice(-12)}`, password: PASSWORD } };
    },
  } satisfies Requests;
}

/** Of circles and what is shared in them. */
function circleRequests(made: ScratchApp) {
  return {
    listCircles: () => ({}),
    makeCircle: () => ({ body: { id: uuid(), name: "another" } }),
    inviteToCircle: (w) => ({ params: { id: w.circle }, body: { id: uuid(), role: "member" } }),
    readCircleInvitation: async (w) => ({ params: { token: await circleInvitation(made, w) } }),
    joinCircle: async (w) => ({ params: { token: await circleInvitation(made, w) }, body: {} }),
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
    answerAsk: (w) => ({ params: { id: w.ask }, body: { id: uuid(), inHand: true, looks: LOOKS } }),
    withdrawAsk: (w) => ({ params: { id: w.ask } }),
  } satisfies Requests;
}

function lookBy(by: string) {
  return {
    kind: "observe",
    body: "A",
    character: "cap-colour",
    by,
    entries: [{ character: "cap-colour", states: ["white"], by }],
  };
}

/** An invitation of the keeper, under the one token. */
async function invitation(made: ScratchApp, w: World): Promise<string> {
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

async function circleInvitation(made: ScratchApp, w: World): Promise<string> {
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
