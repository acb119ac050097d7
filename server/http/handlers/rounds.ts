/** Rounds over HTTP: the table makes them and shows, whoever has the link answers. */
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names =
  | "makeRound"
  | "listRounds"
  | "readRound"
  | "showRound"
  | "endRound"
  | "joinRound"
  | "answerRound"
  | "watchRound";

const noRound = (id: string) => new Problem(404, `There is no round ${id}.`);
const noLink = () => new Problem(404, "There is no such round. Its link may be wrong or too old, or it was ended.");

export function roundHandlers({ rounds, roundsLive }: Parts): Pick<Handlers, Names> {
  return {
    makeRound: async ({ actor, body }) => {
      const round = await rounds.make(actor, body.id, body.name, body.items);
      if (round === undefined) throw noRound(body.id);
      return new WithStatus(201, round);
    },
    listRounds: async ({ actor }) => ({
      rounds: (await rounds.list(actor)).map(({ id, name, items, madeAt }) => ({
        id,
        name,
        finds: Array.isArray(items) ? items.length : 0,
        madeAt: madeAt.toISOString(),
      })),
    }),
    readRound: async ({ actor, params }) => {
      const round = await rounds.read(actor, params.id);
      if (round === undefined) throw noRound(params.id);
      return round;
    },
    showRound: async ({ actor, params, body }) => {
      if (!(await rounds.show(actor, params.id, body.shown))) throw noRound(params.id);
      return undefined;
    },
    endRound: async ({ actor, params }) => {
      if (!(await rounds.end(actor, params.id))) throw noRound(params.id);
      return undefined;
    },
    joinRound: async ({ params, query }) => {
      const round = await rounds.join(params.token, query.guest);
      if (round === undefined) throw noLink();
      return round;
    },
    answerRound: async ({ params, body }) => {
      const heard = await rounds.hear(params.token, body);
      if (heard.kind === "missing") throw noLink();
      if (heard.kind === "late") throw new Problem(409, heard.why);
      return new WithStatus(201, { heard: body.id });
    },
    watchRound: async ({ params, request, response }) => {
      if (!(await rounds.isOpen(params.token))) throw noLink();
      if (!roundsLive.hasRoom) throw new Problem(503, "Too many phones listen already.");
      await roundsLive.listen(params.token, 0, request, response);
      return undefined;
    },
  };
}
