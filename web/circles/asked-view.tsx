/** A find that somebody in a circle asks about: what they recorded is covered, and no answer is shown. */
import { CIRCLE_ROUTES } from "@jittery-cap/core/api";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { Link, useParams } from "react-router";
import { ask } from "../api/client.ts";
import { type OpenPacket, openPacket } from "../api/packets.ts";
import { Page } from "../layout/page.tsx";
import { OnePacket } from "../packet/packet-view.tsx";
import { useHere } from "../people/here.ts";

interface Asked {
  readonly token: string;
  readonly packet: OpenPacket;
}

/** The record of a question, as those see it who are asked. */
async function askedOf(id: string): Promise<Asked | undefined> {
  const outcome = await ask(CIRCLE_ROUTES.listAsks);
  const token = outcome.kind === "ok" ? outcome.value.asks.find((one) => one.id === id)?.token : undefined;
  const packet = token === undefined ? undefined : await openPacket(token);
  return token === undefined || packet === undefined ? undefined : { token, packet };
}

export function AskedView() {
  const { id = "" } = useParams();
  const name = useHere((here) => here.person?.name ?? "");
  const [asked, setAsked] = useState<Asked | "missing">();
  useEffect(() => {
    let isGone = false;
    void askedOf(id).then((found) => isGone || setAsked(found ?? "missing"));
    return () => {
      isGone = true;
    };
  }, [id]);
  if (asked === undefined || asked === "missing")
    return (
      <Page>
        <Typography variant="h2" component="h1">
          {asked === "missing" ? "Nobody asks this any more" : "Opening what was asked"}
        </Typography>
        <p>
          <Link to="/circles">Back to the circles</Link>
        </p>
      </Page>
    );
  const send = async (said: Parameters<NonNullable<Parameters<typeof OnePacket>[0]["as"]>["send"]>[0]) => {
    const outcome = await ask(CIRCLE_ROUTES.answerAsk, { params: { id }, body: { ...said, looks: [...said.looks] } });
    return outcome.kind === "ok" ? undefined : outcome.kind === "refused" ? outcome.problem.detail : outcome.text;
  };
  return <OnePacket token={asked.token} packet={asked.packet} as={{ name, send }} />;
}
