/** Somebody who knows, and does not exist: looks at a packet and says what the finder said, or not quite. It fulfils nothing. */
import type { Find, OpinionLook, SaidOfPacket } from "@jittery-cap/core";

/** An opinion on a packet. @param differs whether the gills are seen otherwise */
export function simulatedOpinion(id: string, packet: Find, differs: boolean): SaidOfPacket | undefined {
  const looks = packet.bodies.flatMap((body) =>
    (body.seen ?? []).flatMap((entry): OpinionLook[] => {
      if (entry.states === undefined) return [];
      const { character, states } = entry;
      const seen = differs && character === "gill-colour" ? [states.includes("white") ? "cream" : "white"] : states;
      return [{ body: body.id, entry: { character, states: [...seen] } }];
    }),
  );
  return looks.length === 0 ? undefined : { id, name: "Tosk Ammerel (simulated)", inHand: true, looks };
}
