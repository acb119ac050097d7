/** Finds in lists, how decisions stand, pictures, and finds on paper. */

import { FIND_VERSION } from "@jittery-cap/core";
import { z } from "zod";
import type { Row } from "../../documents/document.ts";
import { findPaper, paperAnswerSchema } from "../../paper/find-paper.ts";
import { cursorOf, rowAfter } from "../cursor.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import type { Handlers } from "../serve.ts";
import { sentWritten } from "./documents.ts";

type Names = "listFinds" | "listStandings" | "putPicture" | "showPicture" | "findPaper";

/** A picture never changes under its id. */
const YEAR_SECONDS = 365 * 24 * 60 * 60;

export function findHandlers(parts: Parts): Pick<Handlers, Names> {
  const { documents, verdicts, standings, pictures, admission, judging } = parts;
  return {
    listFinds: async ({ actor, query }) => {
      const archived = query.archived === "true";
      const { rows, more } = await documents.page(actor, "find", {
        archived,
        after: rowAfter(query.after),
        limit: query.limit,
      });
      const known = await verdicts.words(rows);
      // what was not judged yet is judged when there is time; the list does not wait for it
      verdicts.wanted(rows.filter((row) => !known.has(row.id)));
      return {
        edition: verdicts.edition,
        finds: rows.map((row) => ({ ...lineOf(row), verdict: known.get(row.id) })),
        ...nextOf(rows, more),
      };
    },
    listStandings: async ({ actor, query }) => {
      const after = rowAfter(query.after);
      if (query.about === undefined) {
        const { decisions, more } = await standings.latest(actor, after, query.limit);
        const rows = decisions.map((one) => one.row);
        return { edition: verdicts.edition, decisions: decisions.map(standingLine), ...nextOf(rows, more) };
      }
      const { rows, more } = await documents.page(actor, "decision", {
        archived: false,
        after,
        limit: query.limit,
        about: query.about,
      });
      const decisions = await standings.of(actor, rows);
      return { edition: verdicts.edition, decisions: decisions.map(standingLine), ...nextOf(rows, more) };
    },
    putPicture: async ({ actor, params, query, file }) => {
      const admitted = await admission.picture(actor, query);
      if (admitted.kind === "missing") throw new Problem(404, admitted.what);
      return sentWritten(await pictures.keep(actor, params.id, query, file), params.id);
    },
    showPicture: async ({ actor, params, response }) => {
      const content = await pictures.content(actor, params.id);
      if (content === undefined) throw new Problem(404, `There is no picture ${params.id}.`);
      response.set("cache-control", `private, max-age=${YEAR_SECONDS}, immutable`);
      return content;
    },
    findPaper: async ({ actor, params, query }) => {
      const find = await documents.content(actor, params.id, "find");
      if (find === undefined) throw new Problem(404, `There is no find ${params.id}.`);
      const [answer] = await judging.answers([find]);
      return findPaper(find, paperAnswerSchema.parse(answer), query.size);
    },
  };
}

function standingLine({ row, standing }: Awaited<ReturnType<Parts["standings"]["of"]>>[number]) {
  return {
    id: row.id,
    about: row.about ?? "",
    decidedAt: row.listedAt.toISOString(),
    ...(standing === undefined
      ? {}
      : {
          standing: {
            verdict: standing.verdict,
            cleared: [...standing.cleared],
            restsOn: [...standing.restsOn],
            conditions: [...standing.conditions],
          },
        }),
  };
}

const nextOf = (rows: readonly Row[], more: boolean) => {
  const last = rows.at(-1);
  return more && last !== undefined ? { next: cursorOf(last) } : {};
};

const lineSchema = z.looseObject({
  label: z.string().optional(),
  foundAt: z.string().optional(),
  place: z.looseObject({ name: z.string().optional() }).optional(),
  bodies: z.array(z.looseObject({ id: z.string() })).min(1),
});

function lineOf(row: Row) {
  const line = {
    id: row.id,
    version: row.version,
    updatedAt: row.updatedAt.toISOString(),
    archived: row.archivedAt !== null,
  };
  // only what the line shows is looked at here: the record itself is looked through where it is used
  const read = lineSchema.safeParse(row.content);
  if (!read.success || row.contentSchema > FIND_VERSION)
    return { ...line, unreadable: "This record cannot be read by this program." };
  const find = read.data;
  return {
    ...line,
    ...(find.label === undefined ? {} : { label: find.label }),
    ...(find.foundAt === undefined ? {} : { foundAt: find.foundAt }),
    ...(find.place?.name === undefined ? {} : { place: find.place.name }),
    bodies: find.bodies.length,
  };
}
