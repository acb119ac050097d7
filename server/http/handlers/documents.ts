/** Documents over HTTP: what changed, one of them, its touches, and the one way to write. */
import type { Change } from "@jittery-cap/core";
import type { SentDocument } from "@jittery-cap/core/api";
import { type ArchiveChange, isArchiving, KINDS, type Person, touchSchemaOf } from "@jittery-cap/core/documents";
import { mayChangeShared, type Shared, tellsMore } from "@jittery-cap/core/people";
import { shownRow } from "../../circles/sharing.ts";
import { hashOf, type Row, sentOf, type Written } from "../../documents/document.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names = "changedDocuments" | "live" | "readDocument" | "writeDocument" | "readTouches";

/** Changes in all touches of one request: more would hold the loop for too long. */
const MOST_CHANGES = 2000;

const noDocument = (id: string) => new Problem(404, `There is no document ${id}.`);

/** What was written, as it is answered. @throws the problem where nothing was */
export function sentWritten(
  written: Written,
  id: string,
  sent: (row: Row) => SentDocument = sentOf,
): WithStatus<SentDocument> {
  switch (written.kind) {
    case "stored":
      return new WithStatus(written.isNew ? 201 : 200, sent(written.row));
    case "conflict":
      throw new Problem(409, `known: the document is at version ${written.row.version}, and what was sent meets it`, {
        current: sent(written.row),
      });
    case "refused":
      throw Problem.ofFaults(written.faults);
    case "missing":
      throw noDocument(id);
  }
}

/** A touch as others read it; what tells more than they are shown is left out, and a touch of nothing else with it. */
function shownTouch<One extends { readonly touch: unknown; readonly inverse: unknown[] }>(
  one: One,
  standing: Shared,
): One[] {
  const touch = touchSchemaOf(KINDS.find).safeParse(one.touch);
  if (!touch.success) return [];
  const tells = (change: Change | ArchiveChange) => !isArchiving(change) && tellsMore(change, standing.place);
  const changes = touch.data.changes.filter((change) => !tells(change));
  // what takes it back is for its finder alone
  return changes.length === 0 ? [] : [{ ...one, touch: { ...touch.data, changes }, inverse: [] }];
}

/** Another's document as it travels: it is kept apart from one's own. */
export const sentOfAnother = (row: Row): SentDocument => ({ ...sentOf(row), another: true });

export function documentHandlers(parts: Parts): Pick<Handlers, Names> {
  const { documents, writer, live, admission, sharing, people } = parts;
  /** A find of another's that is shared with somebody; undefined where it is their own, or none of their affair. */
  const sharedWith = async (person: Person, id: string) =>
    (await documents.read(person, id)) === undefined ? sharing.read(person, id) : undefined;
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
    readDocument: async ({ actor, params }) => {
      const own = await documents.read(actor, params.id);
      if (own !== undefined) return sentOf(own);
      const shared = await sharing.read(actor, params.id);
      if (shared === undefined) throw noDocument(params.id);
      return sentOfAnother(shared.row);
    },
    readTouches: async ({ actor, params, query }) => {
      const own = await documents.read(actor, params.id);
      const standing = own === undefined ? (await sharing.read(actor, params.id))?.standing : undefined;
      if (own === undefined && standing === undefined) throw noDocument(params.id);
      const { rows, more } = await documents.touches(params.id, query.before, query.limit);
      const authors = await people.names(rows.map((row) => row.authorId));
      const touches = rows.map(({ version, touch, inverse, receivedAt }) => ({
        version,
        touch,
        inverse: Array.isArray(inverse) ? inverse : [],
        receivedAt: receivedAt.toISOString(),
      }));
      return {
        touches: standing === undefined ? touches : touches.flatMap((one) => shownTouch(one, standing)),
        authors,
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
      const shared = create === undefined && kind === "find" ? await sharedWith(actor, id) : undefined;
      if (shared !== undefined) {
        const faults = touches.flatMap((touch, at) =>
          touch.changes.flatMap((change, place) =>
            isArchiving(change) || !mayChangeShared(change as Change, shared.standing, actor.id)
              ? [{ path: `touches[${at}].changes[${place}]`, message: "is for its finder to change" }]
              : [],
          ),
        );
        if (faults.length > 0) throw Problem.ofFaults(faults);
        const written = await writer.write({
          actor,
          ownerId: shared.row.ownerId,
          id,
          kind,
          known,
          touches,
          standing: shared.standing,
        });
        return sentWritten(written, id, (row) => sentOfAnother(shownRow(row, shared.standing)));
      }
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
