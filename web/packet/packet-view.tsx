/** A packet, as somebody sees it who was asked: what the finder recorded, no answer; their own looks and their name. */
import { applyChange, type Change, type Find } from "@jittery-cap/core";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useParams } from "react-router";
import { type OpenPacket, openPacket } from "../api/packets.ts";
import { Page } from "../layout/page.tsx";
import { SplitCard } from "../layout/split-card.tsx";
import { Trail } from "../layout/trail.tsx";
import { OwnLooks } from "./own-looks.tsx";
import { SendOpinion, type SentAs } from "./send-opinion.tsx";
import { WhatWasRecorded } from "./what-was-recorded.tsx";

/** Their own looks begin with nothing, so that they are their own. */
const unlooked = (record: Find): Find => ({
  ...record,
  bodies: record.bodies.map(({ seen: _seen, ...body }) => body),
});

export function PacketView() {
  const { token = "" } = useParams();
  const [packet, setPacket] = useState<OpenPacket | "missing">();
  useEffect(() => {
    let isGone = false;
    void openPacket(token).then((found) => isGone || setPacket(found ?? "missing"));
    return () => {
      isGone = true;
    };
  }, [token]);
  if (packet === undefined || packet === "missing")
    return (
      <Page>
        <Typography variant="h2" component="h1">
          {packet === "missing" ? "There is no such packet" : "Opening the packet"}
        </Typography>
        {packet === "missing" && <p>Its link may be wrong, or its find was put away.</p>}
      </Page>
    );
  return <OnePacket key={token} token={token} packet={packet} />;
}

interface OnePacketProps {
  readonly token: string;
  readonly packet: OpenPacket;
  /** Who looks, where they have signed in, and how it is sent: under their name. */
  readonly as?: SentAs;
}

export function OnePacket({ token, packet, as }: OnePacketProps) {
  const { record, pictures } = packet;
  const [mine, setMine] = useState(() => unlooked(record));
  const [bodyId, setBodyId] = useState("A");
  const [refusal, setRefusal] = useState<string>();
  const [isOpen, setIsOpen] = useState(false);
  const theirs = record.bodies.find((body) => body.id === bodyId) ?? record.bodies[0];
  const own = mine.bodies.find((body) => body.id === theirs?.id);
  if (theirs === undefined || own === undefined) return null;
  const change = (made: Change) => {
    const applied = applyChange(mine, made);
    setRefusal(applied.ok ? undefined : applied.faults.map((fault) => fault.message).join("; "));
    if (applied.ok) setMine(applied.value.find);
  };
  return (
    <SplitCard
      light={
        <>
          {/* a guest has nowhere to go; whoever has signed in has */}
          {as !== undefined && <Trail />}
          <div className="page scroll">
            <Typography variant="h2" component="h1">
              What do you see?
            </Typography>
            <p className="lead-in">
              Somebody asks for a second pair of eyes. Record what you see yourself.{" "}
              {isOpen ? "No" : "What the finder recorded is covered, and no"} answer is shown, so that yours is your
              own.
            </p>
            <OwnLooks find={mine} body={own} onBody={setBodyId} onChange={change} />
            <SendOpinion token={token} mine={mine} refusal={refusal} as={as} />
          </div>
        </>
      }
      dark={
        <WhatWasRecorded
          token={token}
          record={record}
          body={theirs}
          pictures={pictures}
          isOpen={isOpen}
          onOpen={() => setIsOpen(true)}
        />
      }
    />
  );
}
