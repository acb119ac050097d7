/** The routes that every day is made of, by name: what a first visit fetches knows these and no others. */
import { changedDocuments, live, readDocument, readTouches, writeDocument } from "./documents.ts";
import { findPaper, listFinds, listStandings, putPicture, showPicture } from "./finds.ts";
import { alive, assessFinds, describeApi, health, reportBrowserError } from "./judging.ts";
import {
  askStandIn,
  listPackets,
  makePacket,
  openPacket,
  packetPaper,
  packetPicture,
  sayOfPacket,
  withdrawPacket,
} from "./packets.ts";
import { listPlaceLinks, makePlaceLink, openPlaceLink, withdrawPlaceLink } from "./places.ts";
import { answerRound, endRound, joinRound, listRounds, makeRound, readRound, showRound, watchRound } from "./rounds.ts";
import { readSky, readWeather, simulatedPosition, simulatedScale } from "./surroundings.ts";

export const ROUTES = {
  // what is asked most stands first: routes are tried in this order
  writeDocument,
  changedDocuments,
  readDocument,
  alive,
  health,
  describeApi,
  assessFinds,
  reportBrowserError,
  live,
  readTouches,
  listFinds,
  listStandings,
  putPicture,
  showPicture,
  findPaper,
  makePacket,
  listPackets,
  withdrawPacket,
  openPacket,
  packetPaper,
  packetPicture,
  sayOfPacket,
  askStandIn,
  makePlaceLink,
  listPlaceLinks,
  withdrawPlaceLink,
  openPlaceLink,
  makeRound,
  listRounds,
  readRound,
  showRound,
  endRound,
  joinRound,
  answerRound,
  watchRound,
  readWeather,
  readSky,
  simulatedPosition,
  simulatedScale,
} as const;
