/** Documents over HTTP: what changed, one of them, its touches, and the one way to write. */
import type { Person } from "@jittery-cap/core/documents";
import { hashOf, type Row, sentOf, type Written } from "../../documents/document.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names = "changedDocuments" | "live" | "readDocument" | "writeDocument" | "readTouches";

/** Changes in all touches of one request: more would hold the loop for too long. */
const MOST_CHANGES = 2000;

const noDocument = (id: string) => new Problem(404, `There is no document ${id}.`);

/** What was written, as it is answered. @throws the problem where nothing was */
export function sentWritten(written: Written, id: string): WithStatus<ReturnType<typeof sentOf>> {
  switch (written.kind) {
    case "stored":
      return new WithStatus(written.isNew ? 201 : 200, sentOf(written.row));
    case "conflict":
      throw new Problem(409, `known: the document is at version ${written.row.version}, and what was sent meets it`, {
        current: sentOf(written.row),
      });
    case "refused":
      throw Problem.ofFaults(written.faults);
    case "missing":
      throw noDocument(id);
  }
}

export function documentHandlers(parts: Parts): Pick<Handlers, Names> {
  const { documents, writer, live, admission } = parts;
  const mine = async (person: Person, id: string): Promise<Row> => {
    const row = await documents.read(person, id);
    if (row === undefined) throw noDocument(id);
    return row;
  };
  return {
    changedDocuments: async ({ actor, query }) => {
      const { rows, more } = await documents.changed(actor, query.after, query.limit);
      return { documents: rows.map(sentOf), next: rows.at(-1)?.place ?? query.after, more };
    },
    live: async ({ actor, request, response }) => {
      if (!live.hasRoom) throw new Problem(503, "Too many pages listen already.");
      await live.listen(actor.id, await documents.place(actor), request, response);
      return undefined;
    },
    readDocument: async ({ actor, params }) => sentOf(await mine(actor, params.id)),
    readTouches: async ({ actor, params, query }) => {
      await mine(actor, params.id);
      const { rows, more } = await documents.touches(params.id, query.before, query.limit);
      return {
        touches: rows.map(({ version, touch, inverse, receivedAt }) => ({
          version,
          touch,
          inverse: Array.isArray(inverse) ? inverse : [],
          receivedAt: receivedAt.toISOString(),
        })),
        more,
      };
    },
    writeDocument: async ({ actor, params: { id }, body }) => {
      const { kind, known, create, touches } = body;
      const changes = touches.reduce((sum, touch) => sum + touch.changes.length, 0);
      if (changes > MOST_CHANGES)
        throw new Problem(413, `touches: at most ${MOST_CHANGES} changes in one request, not ${changes}`);
      if (create === undefined && touches.length === 0)
        throw Problem.ofFaults([{ path: "(root)", message: "create or touches is missing" }]);
      const admitted = await admission.of(actor, id, body);
      if (admitted.kind === "missing") throw new Problem(404, admitted.what);
      if (admitted.kind === "refused") throw Problem.ofFaults(admitted.faults);
      const written = await writer.write({
        actor,
        ownerId: actor.id,
        id,
        kind,
        known,
        // by what was sent a repeated write is known, whatever is kept of it
        ...(create === undefined ? {} : { create: admitted.content, made: hashOf(create) }),
        touches,
      });
      return sentWritten(written, id);
    },
  };
}
