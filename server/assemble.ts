/** Puts the parts of the server together on a database. */

import type { Logger } from "pino";
import type { Sequelize } from "sequelize";
import { scaleReading } from "../stand-ins/scale.ts";
import { simulatedOpinion } from "../stand-ins/second-person.ts";
import { trackAt } from "../stand-ins/track.ts";
import { Asks } from "./circles/asks.ts";
import { Circles } from "./circles/circles.ts";
import { Sharing } from "./circles/sharing.ts";
import { isAnswering } from "./database/database.ts";
import { defineModels, type Models } from "./database/models.ts";
import { Standings } from "./decisions/standings.ts";
import { Admission } from "./documents/admission.ts";
import { Documents } from "./documents/documents.ts";
import { Live } from "./documents/live.ts";
import { LiveAcross } from "./documents/live-across.ts";
import { DocumentWriter } from "./documents/writer.ts";
import { SETUP_WORD } from "./http/handlers/sign-in.ts";
import type { Parts } from "./http/parts.ts";
import type { Judging } from "./judging/judging.ts";
import { Verdicts } from "./judging/verdicts.ts";
import { Packets } from "./packets/packets.ts";
import { Tries } from "./people/attempts.ts";
import { Invitations } from "./people/invitations.ts";
import { Leaving } from "./people/leaving.ts";
import { Passkeys } from "./people/passkeys.ts";
import { newCode, People } from "./people/people.ts";
import { Sessions } from "./people/sessions.ts";
import { Pictures } from "./pictures/pictures.ts";
import { PlaceLinks } from "./places/place-links.ts";
import { Rounds } from "./rounds/rounds.ts";
import type { Sky, Station } from "./weather/station.ts";

/** All parts, with the tables beneath them and how to bring them to rest. */
export interface Assembled {
  readonly parts: Parts;
  readonly models: Models;
  /** Ends what is open and what runs in the background; the database is the caller's. */
  readonly close: () => Promise<void>;
}

export function assemble(
  database: Sequelize,
  judging: Judging,
  logger: Logger,
  station?: Station | undefined,
  sky?: Sky | undefined,
): Assembled {
  const models = defineModels(database);
  const documents = new Documents(database, models);
  const verdicts = new Verdicts(models, judging, logger);
  const circles = new Circles(database, models);
  const sharing = new Sharing(database, models, circles);
  const live = new Live();
  const roundsLive = new Live();
  const writer = new DocumentWriter(database, models, (rows) => {
    live.tell(rows);
    verdicts.heard(rows);
    const finds = rows.flatMap((row) =>
      row.kind === "find" ? row.id : row.kind === "picture" ? (row.about ?? []) : [],
    );
    sharing.audience(finds).then(
      (others) => {
        for (const person of others) live.nudge(person, "shared");
      },
      (error: unknown) => logger.warn({ err: error }, "others were not told of a change"),
    );
  });
  const packets = new Packets(models, documents, writer);
  const sessions = new Sessions(database, models);
  const people = new People(database, models, sessions);
  const parts: Parts = {
    documents,
    writer,
    live,
    judging,
    verdicts,
    logger,
    station,
    sky,
    admission: new Admission(documents, judging, circles),
    standings: new Standings(database, models, verdicts),
    pictures: new Pictures(models, documents, writer),
    packets,
    circles,
    sharing,
    asks: new Asks(database, models, circles, packets),
    placeLinks: new PlaceLinks(models, documents),
    rounds: new Rounds(models, (token) => roundsLive.nudge(token)),
    roundsLive,
    people,
    sessions,
    passkeys: new Passkeys(models),
    invitations: new Invitations(database, models, people),
    tries: new Tries(database),
    leaving: new Leaving(database, models, documents, people, circles),
    setupWord: () => sessions.secret(SETUP_WORD, newCode),
    track: trackAt,
    scale: scaleReading,
    secondPerson: simulatedOpinion,
    isDatabaseUp: () => isAnswering(database),
  };
  const across = new LiveAcross(database, live);
  across.begin();
  return {
    parts,
    models,
    close: async () => {
      across.close();
      live.close();
      roundsLive.close();
      await verdicts.close();
      await judging.close();
    },
  };
}
