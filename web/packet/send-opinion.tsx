/** Who looked, how they saw it, and off it goes. */
import type { Find, SaidOfPacket } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useRef, useState } from "react";
import { uuidv7 } from "uuidv7";
import { sendOpinion } from "../api/packets.ts";
import { looksIn } from "../documents/opinions.ts";
import { Choice } from "../specimen/choice.tsx";
import { Choices } from "../specimen/choices.tsx";

interface SendOpinionProps {
  readonly token: string;
  /** The record with their own looks. */
  readonly mine: Find;
  /** Why the last look was not taken, if it was not. */
  readonly refusal: string | undefined;
  readonly as?: SentAs | undefined;
}

/** Somebody who has signed in. */
export interface SentAs {
  readonly name: string;
  /** @returns why it was not taken, or undefined where it was */
  readonly send: (said: Pick<SaidOfPacket, "id" | "inHand" | "looks">) => Promise<string | undefined>;
}

export function SendOpinion({ token, mine, refusal, as }: SendOpinionProps) {
  const [name, setName] = useState(as?.name ?? "");
  const [inHand, setInHand] = useState<boolean>();
  const [sent, setSent] = useState<"sent" | { readonly why: string }>();
  // sent again after a lost reply it is the same opinion
  const id = useRef(uuidv7());
  const looks = looksIn(mine);
  const send = async () => {
    const said = { id: id.current, inHand: inHand === true, looks: [...looks] };
    const why = await (as === undefined ? sendOpinion(token, { ...said, name: name.trim() }) : as.send(said));
    setSent(why === undefined ? "sent" : { why });
  };
  return (
    <section aria-label="Who you are" className="packet-who">
      {as === undefined && (
        <TextField
          value={name}
          onChange={(event) => setName(event.target.value)}
          placeholder="your name"
          slotProps={{ htmlInput: { "aria-label": "Your name", maxLength: 120 } }}
        />
      )}
      <Choices label="How you saw it" className="columns">
        <Choice
          quiet
          label="I had it in my hand"
          state="in-hand"
          chosen={inHand === true}
          onChoose={() => setInHand(true)}
        />
        <Choice
          quiet
          label="from pictures only"
          state="pictures"
          chosen={inHand === false}
          onChoose={() => setInHand(false)}
        />
      </Choices>
      <Button
        variant="contained"
        disabled={name.trim() === "" || inHand === undefined || looks.length === 0}
        onClick={() => void send()}
      >
        {`Send what I saw, ${looks.length} ${looks.length === 1 ? "look" : "looks"}`}
      </Button>
      <div role="status">
        {sent === "sent" && "Sent. Thank you; the finder sees it now."}
        {typeof sent === "object" &&
          `It could not be sent: ${sent.why} Try again; nothing is lost while this page is open.`}
        {refusal !== undefined && `Not taken: ${refusal}`}
      </div>
    </section>
  );
}
