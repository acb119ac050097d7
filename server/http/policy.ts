/**
 * Who may what, as a table: every route against every way in which somebody may stand to what it is about. The routes are the
 * contract's own; what each needs stands here once, the tests try every cell, and the page in docs is made from it.
 */
import type { RouteName } from "@jittery-cap/core/api";

/** How somebody stands to a find, a circle or a server, from nobody to its owner. */
export const STANDINGS = [
  "nobody",
  "stranger",
  "taken out",
  "member",
  "recorder",
  "circle owner",
  "finder",
  "keeper",
] as const;
export type WhoAsks = (typeof STANDINGS)[number];

/** What these are, in a sentence each. */
export const STANDING_WORDS: Readonly<Record<WhoAsks, string>> = {
  nobody: "has not signed in",
  stranger: "has signed in, and has nothing to do with it",
  "taken out": "was in the circle, and was taken out",
  member: "is in a circle with which the find is shared, to look at",
  recorder: "the same, and may add looks",
  "circle owner": "is the owner of that circle, to look at",
  finder: "whose find it is, and who is in the circle",
  keeper: "keeps this server, and has nothing to do with the find",
};

/**
 * What a route needs of whoever asks.
 * anybody: nothing; self: to have signed in, since it is about nothing but oneself; link: the link, whoever has it; finder, reader,
 * recorder: that standing to the find; sharer: to be somebody with whom it is shared; along: to be somebody with whom it is shared so that they may add looks; other in circle: to be in
 * the circle, and not whoever asked; circle owner: that standing to the circle; keeper: to keep this server, or to have made what it is
 * about.
 */
export type Need =
  | "anybody"
  | "self"
  | "link"
  | "finder"
  | "reader"
  | "recorder"
  | "along"
  | "sharer"
  | "other in circle"
  | "circle owner"
  | "keeper"
  | "keeper's own";

export const NEEDS: Readonly<Record<RouteName, Need>> = {
  writeDocument: "recorder",
  changedDocuments: "self",
  readDocument: "reader",
  alive: "anybody",
  health: "anybody",
  describeApi: "anybody",
  assessFinds: "self",
  reportBrowserError: "anybody",
  live: "self",
  readTouches: "reader",
  listFinds: "self",
  listStandings: "self",
  putPicture: "finder",
  showPicture: "finder",
  findPaper: "finder",
  makePacket: "finder",
  listPackets: "finder",
  withdrawPacket: "finder",
  openPacket: "link",
  packetPaper: "link",
  packetPicture: "link",
  sayOfPacket: "link",
  askStandIn: "link",
  makePlaceLink: "finder",
  listPlaceLinks: "finder",
  withdrawPlaceLink: "finder",
  openPlaceLink: "link",
  makeRound: "self",
  listRounds: "self",
  readRound: "finder",
  showRound: "finder",
  endRound: "finder",
  joinRound: "link",
  answerRound: "link",
  watchRound: "link",
  readWeather: "self",
  readSky: "self",
  simulatedPosition: "self",
  simulatedScale: "self",
  waysIn: "anybody",
  beFirst: "anybody",
  signInByPassword: "anybody",
  signInByCode: "anybody",
  takeInvented: "anybody",
  passkeyChallenge: "anybody",
  signInByPasskey: "anybody",
  signOut: "anybody",
  readMe: "self",
  renameMe: "self",
  changePassword: "self",
  makeRecoveryCodes: "self",
  passkeyToMake: "self",
  keepPasskey: "self",
  dropPasskey: "self",
  openSeal: "self",
  exportMine: "self",
  leaveForGood: "self",
  invite: "keeper",
  listInvitations: "self",
  withdrawInvitation: "keeper's own",
  readInvitation: "link",
  join: "link",
  listCircles: "self",
  makeCircle: "self",
  inviteToCircle: "circle owner",
  readCircleInvitation: "self",
  joinCircle: "self",
  setMember: "circle owner",
  leaveCircle: "circle owner",
  listShares: "finder",
  shareFind: "finder",
  withdrawShare: "finder",
  listShared: "self",
  listSharedPictures: "sharer",
  showSharedPicture: "sharer",
  recordAlong: "along",
  askCircle: "finder",
  listAsks: "self",
  takeAsk: "other in circle",
  answerAsk: "other in circle",
  withdrawAsk: "finder",
};

/** What comes of asking: done, or refused by a status that tells no more than it must. */
export type Outcome = "done" | 400 | 401 | 403 | 404 | 409;

/** What a route answers to somebody who stands so to what it is about. */
export function outcomeFor(need: Need, who: WhoAsks): Outcome {
  if (need === "anybody" || need === "link") return "done";
  if (who === "nobody") return 401;
  switch (need) {
    case "self":
      return "done";
    case "keeper":
      return who === "keeper" ? "done" : 403;
    case "keeper's own":
      return who === "keeper" ? "done" : 404;
    case "finder":
      return who === "finder" ? "done" : 404;
    case "reader":
      return ["member", "recorder", "circle owner", "finder"].includes(who) ? "done" : 404;
    case "recorder":
      // whoever may look may know that it is there, and is told that it is not theirs to change
      if (who === "finder" || who === "recorder") return "done";
      return who === "member" || who === "circle owner" ? 400 : 404;
    case "sharer":
      return ["member", "recorder", "circle owner"].includes(who) ? "done" : 404;
    case "along":
      return who === "recorder" ? "done" : 404;
    case "other in circle":
      if (who === "finder") return 409;
      return ["member", "recorder", "circle owner"].includes(who) ? "done" : 404;
    case "circle owner":
      if (who === "circle owner") return "done";
      return ["member", "recorder", "finder"].includes(who) ? 403 : 404;
  }
}
