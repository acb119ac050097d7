/** A packet that was made: its link, as a file, on paper; and taken back. */
import Button from "@mui/material/Button";
import { askStandIn, type KeptPacket } from "../api/packets.ts";
import { linkTo, under } from "../base.ts";

interface PacketLineProps {
  readonly packet: KeptPacket;
  /** Whether it is of a find of the invented season: only there somebody simulated can be asked. */
  readonly isInvented: boolean;
  readonly onTakeBack: () => void;
}

export function PacketLine({ packet: { token, openUntil }, isInvented, onTakeBack }: PacketLineProps) {
  const link = linkTo(`/packet/${token}`);
  const until = new Date(openUntil).toLocaleDateString([], { day: "numeric", month: "short" });
  return (
    <div role="status" data-packet className="stack above">
      <div>
        A packet without the answer and without the place, open until {until}:{" "}
        <a href={link} style={{ overflowWrap: "anywhere" }}>
          {link}
        </a>
      </div>
      <div className="actions">
        <a href={under(`/api/packets/${token}`)} download="packet.json">
          as a file
        </a>
        <a href={under(`/api/packets/${token}/paper.pdf?size=A5`)}>on paper (PDF)</a>
        <Button onClick={onTakeBack}>Take it back</Button>
      </div>
      {isInvented && (
        <div className="actions">
          <Button onClick={() => void askStandIn(token, false)}>Somebody simulated, who agrees</Button>
          <Button onClick={() => void askStandIn(token, true)}>Somebody simulated, who differs</Button>
        </div>
      )}
    </div>
  );
}
