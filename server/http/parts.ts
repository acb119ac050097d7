/** What the handlers are put together from. Devices and people that do not exist come in from outside, as real ones would. */
import type { Find, SaidOfPacket } from "@jittery-cap/core";
import type { Request } from "express";
import type { Logger } from "pino";
import type { Asks } from "../circles/asks.ts";
import type { Circles } from "../circles/circles.ts";
import type { Sharing } from "../circles/sharing.ts";
import type { Standings } from "../decisions/standings.ts";
import type { Admission } from "../documents/admission.ts";
import type { Documents } from "../documents/documents.ts";
import type { Live } from "../documents/live.ts";
import type { DocumentWriter } from "../documents/writer.ts";
import type { Judging } from "../judging/judging.ts";
import type { Verdicts } from "../judging/verdicts.ts";
import type { Packets } from "../packets/packets.ts";
import type { Tries } from "../people/attempts.ts";
import type { Invitations } from "../people/invitations.ts";
import type { Leaving } from "../people/leaving.ts";
import type { Origin, Passkeys } from "../people/passkeys.ts";
import type { People } from "../people/people.ts";
import type { Sessions } from "../people/sessions.ts";
import type { Pictures } from "../pictures/pictures.ts";
import type { PlaceLinks } from "../places/place-links.ts";
import type { Rounds } from "../rounds/rounds.ts";
import type { Sky, Station } from "../weather/station.ts";

/** A position as a receiver gives it. */
export interface Position {
  readonly lat: number;
  readonly lon: number;
  readonly accuracyM: number;
  readonly elevationM: number;
  readonly simulated: true;
}

export interface Parts {
  readonly documents: Documents;
  readonly writer: DocumentWriter;
  readonly live: Live;
  readonly admission: Admission;
  readonly judging: Judging;
  readonly verdicts: Verdicts;
  readonly standings: Standings;
  readonly pictures: Pictures;
  readonly packets: Packets;
  readonly placeLinks: PlaceLinks;
  readonly rounds: Rounds;
  /** Phones at the tables, by the token of their round. */
  readonly roundsLive: Live;
  readonly circles: Circles;
  readonly sharing: Sharing;
  readonly asks: Asks;
  readonly people: People;
  readonly sessions: Sessions;
  readonly passkeys: Passkeys;
  readonly invitations: Invitations;
  readonly tries: Tries;
  readonly leaving: Leaving;
  /** The word by which the first person is made. */
  readonly setupWord: () => Promise<string>;
  readonly logger: Logger;
  /** The weather station, where there is one. */
  readonly station?: Station | undefined;
  /** Its days, past and foretold. */
  readonly sky?: Sky | undefined;
  readonly track: (at: Date) => Position;
  readonly scale: (capCm: number | undefined) => { readonly grams: number; readonly simulated: true };
  readonly secondPerson: (id: string, packet: Find, differs: boolean) => SaidOfPacket | undefined;
  readonly isDatabaseUp: () => Promise<boolean>;
}

/** What the handlers have to know of where the application is reached. */
export interface Reached {
  /** Where a request came in, as its browser knows it; undefined where passkeys have no place. */
  readonly originOf: (request: Request) => Origin | undefined;
  /** Whether whoever asks sits at this machine, and the demo is there. */
  readonly mayTakeInvented: (request: Request) => boolean;
}
