/** Circles, what is shared with them, and what waits for somebody's eyes, over HTTP. */
import { randomUUID } from "node:crypto";
import type { Person } from "@jittery-cap/core/documents";
import { shownRow } from "../../circles/sharing.ts";
import { contentAs } from "../../documents/document.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";
import { sentOfAnother } from "./documents.ts";

type Names =
  | "listCircles"
  | "makeCircle"
  | "inviteToCircle"
  | "readCircleInvitation"
  | "joinCircle"
  | "setMember"
  | "leaveCircle"
  | "listShares"
  | "shareFind"
  | "withdrawShare"
  | "listShared"
  | "listSharedPictures"
  | "showSharedPicture"
  | "recordAlong"
  | "askCircle"
  | "listAsks"
  | "takeAsk"
  | "answerAsk"
  | "withdrawAsk";

/** How often somebody is made an observer of a record that others change meanwhile. */
const TRIES = 5;

export function circleHandlers(parts: Parts): Pick<Handlers, Names> {
  const { circles, sharing, asks, live, writer, people } = parts;
  /** Whoever is in a circle is told that something of it is other than it was. */
  const tell = async (circle: string, also: readonly string[] = []) => {
    for (const person of new Set([...(await sharing.peopleIn(circle)), ...also])) live.nudge(person, "shared");
  };
  /** Tries to put somebody among the observers of a find. */
  const observe = async (actor: Person, id: string) => {
    const seen = await sharing.read(actor, id);
    if (seen?.standing.mayRecord !== true) throw new Problem(404, `There is no find ${id}.`);
    const { row, standing } = seen;
    const observers = contentAs(row, "find")?.observers ?? [];
    if (observers.some((one) => one.id === actor.id)) return sentOfAnother(row);
    const name = (await people.read(actor.id))?.name ?? "";
    const written = await writer.write({
      actor,
      ownerId: row.ownerId,
      id,
      kind: "find",
      known: row.version,
      standing,
      touches: [
        {
          id: randomUUID(),
          at: new Date().toISOString(),
          by: actor.id,
          changes: [{ kind: "set-find", field: "observers", value: [...observers, { id: actor.id, name }] }],
        },
      ],
    });
    return written.kind === "stored" ? sentOfAnother(shownRow(written.row, standing)) : undefined;
  };
  return {
    listCircles: async ({ actor }) => ({ circles: await circles.list(actor.id) }),
    makeCircle: async ({ actor, body }) => new WithStatus(201, await circles.make(actor.id, body.id, body.name)),
    inviteToCircle: async ({ actor, params, body }) =>
      new WithStatus(201, await circles.invite(actor.id, params.id, body)),
    readCircleInvitation: ({ params }) => circles.invitation(params.token),
    joinCircle: async ({ actor, params }) => {
      const circle = await circles.join(actor.id, params.token);
      await tell(circle.id);
      return new WithStatus(201, circle);
    },
    setMember: async ({ actor, params, body }) => {
      const circle = await circles.setMember(actor.id, params.id, params.person, body.role, body.trusted);
      await tell(params.id);
      return circle;
    },
    leaveCircle: async ({ actor, params }) => {
      await circles.leave(actor.id, params.id, params.person);
      await tell(params.id, [params.person]);
      return undefined;
    },
    listShares: async ({ actor, params }) => ({ shares: await sharing.shares(actor, params.id) }),
    shareFind: async ({ actor, params, body }) => {
      const shares = await sharing.share(actor, params.id, params.circle, body);
      await tell(params.circle);
      return { shares };
    },
    withdrawShare: async ({ actor, params }) => {
      await sharing.withdraw(actor, params.id, params.circle);
      await tell(params.circle);
      return undefined;
    },
    listShared: ({ actor, query }) => sharing.list(actor.id, query.limit, query.after),
    listSharedPictures: async ({ actor, params }) => ({ pictures: await sharing.pictures(actor, params.id) }),
    showSharedPicture: async ({ actor, params, response }) => {
      const content = await sharing.picture(actor, params.id, params.picture);
      response.set("cache-control", "no-store");
      return content;
    },
    recordAlong: async ({ actor, params }) => {
      for (let tries = 0; tries < TRIES; tries++) {
        const sent = await observe(actor, params.id);
        if (sent !== undefined) return sent;
      }
      throw new Problem(409, "The record is being changed by others just now; try again.");
    },
    askCircle: async ({ actor, params, body }) => {
      const asked = await asks.ask(actor, params.id, body);
      await tell(body.circle);
      return new WithStatus(201, asked);
    },
    listAsks: async ({ actor }) => ({ asks: await asks.list(actor.id) }),
    takeAsk: async ({ actor, params, body }) => {
      const taken = await asks.take(actor.id, params.id, body.take);
      await tell(taken.circle);
      return taken;
    },
    answerAsk: async ({ actor, params, body }) => {
      await asks.answer(actor, params.id, body);
      return new WithStatus(201, { heard: body.id });
    },
    withdrawAsk: async ({ actor, params }) => {
      await asks.withdraw(actor, params.id);
      return undefined;
    },
  };
}
