/** Packets over HTTP: the owner makes them, whoever has the link reads them and says what they saw. */
import { randomUUID } from "node:crypto";
import { contentAs, type Row } from "../../documents/document.ts";
import type { OpenPacket } from "../../packets/packets.ts";
import { findPaper } from "../../paper/find-paper.ts";
import type { Parts } from "../parts.ts";
import { Problem } from "../problem.ts";
import { type Handlers, WithStatus } from "../serve.ts";

type Names =
  | "makePacket"
  | "listPackets"
  | "withdrawPacket"
  | "openPacket"
  | "packetPaper"
  | "packetPicture"
  | "sayOfPacket"
  | "askStandIn";

const MISSING = "There is no such packet. Its link may be wrong or too old, or it was taken back.";

/** Pictures of the specimen that were there when it was packed; one of the ground may tell the place. */
const goesAlong = (row: Row, { madeAt }: OpenPacket): boolean =>
  row.createdAt <= madeAt && contentAs(row, "picture")?.part !== "ground";

export function packetHandlers({ packets, documents, pictures, secondPerson }: Parts): Pick<Handlers, Names> {
  const opened = async (token: string): Promise<OpenPacket> => {
    const packet = await packets.open(token);
    if (packet === undefined) throw new Problem(404, MISSING);
    return packet;
  };
  const packed = async (packet: OpenPacket): Promise<Row[]> =>
    (await documents.about(packet.owner, packet.findId, "picture")).filter((row) => goesAlong(row, packet));
  const noFind = (id: string) => new Problem(404, `There is no find ${id}.`);
  return {
    makePacket: async ({ actor, params, body }) => {
      const packet = await packets.make(actor, params.id, body.id);
      if (packet === undefined) throw noFind(params.id);
      return new WithStatus(201, packet);
    },
    listPackets: async ({ actor, params }) => {
      if ((await documents.open(actor, params.id, "find")) === undefined) throw noFind(params.id);
      return { packets: await packets.list(actor, params.id) };
    },
    withdrawPacket: async ({ actor, params }) => {
      if (!(await packets.withdraw(actor, params.id, params.packet)))
        throw new Problem(404, `There is no packet ${params.packet} of this find.`);
      return undefined;
    },
    openPacket: async ({ params }) => {
      const packet = await opened(params.token);
      const notes = await packed(packet);
      return {
        record: packet.record,
        pictures: notes.flatMap((row) => {
          const picture = contentAs(row, "picture");
          return picture === undefined
            ? []
            : [{ id: row.id, part: picture.part, ...(picture.body === undefined ? {} : { body: picture.body }) }];
        }),
      };
    },
    packetPaper: async ({ params, query }) => {
      // no answer on it: the opinion has to be their own
      const { record } = await opened(params.token);
      return findPaper(record, undefined, query.size);
    },
    packetPicture: async ({ params }) => {
      const packet = await opened(params.token);
      const isPacked = (await packed(packet)).some((row) => row.id === params.picture);
      const content = isPacked ? await pictures.content(packet.owner, params.picture) : undefined;
      if (content === undefined) throw new Problem(404, MISSING);
      return content;
    },
    sayOfPacket: async ({ params, body }) => {
      const heard = await packets.hear(params.token, body, false);
      if (heard.kind === "missing") throw new Problem(404, MISSING);
      if (heard.kind === "refused") throw Problem.ofFaults(heard.faults);
      return new WithStatus(201, { heard: body.id });
    },
    askStandIn: async ({ params, body }) => {
      const packet = await opened(params.token);
      const opinion = secondPerson(randomUUID(), packet.record, body.differs);
      if (opinion === undefined) throw new Problem(409, "record: nothing was seen yet that somebody could look at");
      await packets.hear(params.token, opinion, true);
      return new WithStatus(201, { heard: opinion.id });
    },
  };
}
