/** A second pair of eyes, and books: asked, heard, set beside the finder's own looks; what differs counts as unsure. */
import { CHARACTER_WORDS, compareLooks, type Find, stateWords, witnessChanges } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import { useCallback, useEffect, useState } from "react";
import { PlainButton } from "../card/plain-button.tsx";
import {
  askStandIn,
  type KeptPacket,
  makePacket,
  noteBook,
  openPackets,
  readWitnesses,
  type Witness,
  withdrawPacket,
} from "../device/packets.ts";
import { observerId } from "../find/observer-switch.tsx";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

const KIND_WORDS: Readonly<Record<Witness["kind"], string>> = {
  "in-hand": "with the specimen in hand",
  "from-pictures": "from pictures only: confirms nothing",
  simulated: "simulated: fulfils nothing",
  book: "a book",
};

interface SecondEyesProps {
  readonly find: Find;
  /** Told what was said, as soon as it is heard. */
  readonly onHeard: (witnesses: readonly Witness[]) => void;
}

export function SecondEyes({ find, onHeard }: SecondEyesProps) {
  const changeTogether = useFind((state) => state.changeTogether);
  const [witnesses, setWitnesses] = useState<readonly Witness[]>();
  const [packets, setPackets] = useState<readonly KeptPacket[]>();
  const [refusal, setRefusal] = useState<string>();
  const [title, setTitle] = useState("");
  const load = useCallback(() => void readWitnesses(find.id).then(setWitnesses), [find.id]);
  useEffect(load, [load]);
  const loadPackets = useCallback(() => void openPackets(find.id).then(setPackets), [find.id]);
  useEffect(loadPackets, [loadPackets]);
  useEffect(() => {
    if (witnesses !== undefined) onHeard(witnesses);
  }, [witnesses, onHeard]);
  const inHand = witnesses?.filter((one) => one.kind === "in-hand") ?? [];
  const books = witnesses?.filter((one) => one.kind === "book" && one.agrees === true) ?? [];
  const takeIn = ({ name, kind, looks }: Witness) => {
    const known = find.observers?.find((one) => one.name === name)?.id;
    const id = known ?? observerId(name, find.observers?.map((one) => one.id) ?? []);
    changeTogether(witnessChanges(find, id, name, kind !== "in-hand", looks));
  };
  const note = async (agrees: boolean) => {
    if (title.trim() === "") return;
    setWitnesses((await noteBook(find.id, title.trim(), agrees)) ?? witnesses);
    setTitle("");
  };
  const ask = async () => {
    const made = await makePacket(find.id);
    setRefusal(made === undefined ? "No packet is made: the server cannot be reached." : undefined);
    loadPackets();
  };
  const takeBack = async (id: string) => {
    const heard = await withdrawPacket(find.id, id);
    setRefusal(heard ? undefined : "It is not taken back: the server cannot be reached. Its link still leads to it.");
    loadPackets();
  };
  return (
    <Box component="section" aria-labelledby="second-eyes" data-testid="second-eyes" sx={{ pt: 2.75 }}>
      <Box component="h2" id="second-eyes" sx={{ m: 0, pb: 0.5, fontSize: "1.125rem", fontWeight: 700 }}>
        A second pair of eyes, and books
      </Box>
      <Box sx={{ color: tone.inkSoft, fontSize: "0.9375rem", pb: 1 }}>
        {inHand.length === 0
          ? "Nobody has had it in the hand besides you."
          : `In hand: ${inHand.map((one) => one.name).join(", ")}.`}{" "}
        {books.length === 0
          ? "No book noted."
          : `${books.length} of two books ${books.length === 1 ? "agrees" : "agree"}.`}
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <PlainButton onClick={() => void ask()}>Ask somebody who knows</PlainButton>
        <a href={`/api/finds/${find.id}/paper.pdf?size=A5`} style={{ color: tone.ink, alignSelf: "center" }}>
          The find on paper (PDF, A5)
        </a>
      </Box>
      {refusal !== undefined && (
        <Box role="alert" sx={{ pt: 1, color: tone.rust, fontWeight: 600 }}>
          {refusal}
        </Box>
      )}
      {packets?.map((packet) => (
        <PacketLine key={packet.id} packet={packet} onTakeBack={() => void takeBack(packet.id)} onHeard={load} />
      ))}
      {witnesses === undefined && <Box sx={{ pt: 1 }}>The server cannot be asked who has looked.</Box>}
      {witnesses
        ?.filter((one) => one.kind !== "book")
        .map((witness) => (
          <WitnessLine key={witness.id} witness={witness} find={find} onTakeIn={() => takeIn(witness)} />
        ))}
      {witnesses
        ?.filter((one) => one.kind === "book")
        .map((book) => (
          <Box key={book.id} sx={{ py: 0.75, borderTop: `1px solid ${tone.boneLine}` }}>
            <b>{book.name}</b> {book.agrees === true ? "agrees" : "does not agree: look again"}
          </Box>
        ))}
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap", pt: 1 }}>
        <InputBase
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          placeholder="title of a book"
          inputProps={{ "aria-label": "Title of a book", maxLength: 120 }}
          sx={{
            flex: "1 1 200px",
            minHeight: TOUCH,
            px: 1.25,
            bgcolor: tone.paper,
            border: `1px solid ${tone.boneLine}`,
          }}
        />
        <PlainButton onClick={() => void note(true)}>It agrees</PlainButton>
        <PlainButton onClick={() => void note(false)}>It does not</PlainButton>
      </Box>
    </Box>
  );
}

function PacketLine({
  packet: { token, openUntil },
  onTakeBack,
  onHeard,
}: {
  packet: KeptPacket;
  onTakeBack: () => void;
  onHeard: () => void;
}) {
  const link = `${window.location.origin}/packet/${token}`;
  const until = new Date(openUntil).toLocaleDateString([], { day: "numeric", month: "short" });
  return (
    <Box role="status" data-packet sx={{ pt: 1, display: "grid", gap: 0.75 }}>
      <Box>
        A packet without the answer and without the place, open until {until}:{" "}
        <a href={link} style={{ color: tone.ink, overflowWrap: "anywhere" }}>
          {link}
        </a>
      </Box>
      <Box sx={{ display: "flex", gap: 2, alignItems: "center", flexWrap: "wrap" }}>
        <a href={`/api/packets/${token}`} download="packet.json" style={{ color: tone.ink }}>
          as a file
        </a>
        <a href={`/api/packets/${token}/paper.pdf?size=A5`} style={{ color: tone.ink }}>
          on paper (PDF)
        </a>
        <PlainButton onClick={onTakeBack}>Take it back</PlainButton>
      </Box>
      <Box sx={{ display: "flex", gap: 1, flexWrap: "wrap" }}>
        <PlainButton onClick={() => void askStandIn(token, false).then(onHeard)}>
          Somebody simulated, who agrees
        </PlainButton>
        <PlainButton onClick={() => void askStandIn(token, true).then(onHeard)}>
          Somebody simulated, who differs
        </PlainButton>
      </Box>
    </Box>
  );
}

function WitnessLine({ witness, find, onTakeIn }: { witness: Witness; find: Find; onTakeIn: () => void }) {
  const compared = compareLooks(find, witness.looks);
  const differing = compared.filter((one) => one.relation === "differs");
  const agreeing = compared.filter((one) => one.relation === "agrees").length;
  const fresh = compared.filter((one) => one.relation === "new").length;
  const observer = find.observers?.find((one) => one.name === witness.name)?.id;
  const taken = observer !== undefined && find.bodies.some((body) => body.seen?.some((entry) => entry.by === observer));
  return (
    <Box data-witness={witness.kind} sx={{ py: 1, borderTop: `1px solid ${tone.boneLine}` }}>
      <b>{witness.name}</b>, {KIND_WORDS[witness.kind]}: {agreeing} agree, {differing.length} differ, {fresh} new.
      {differing.map((one) => (
        <Box key={`${one.body} ${one.character}`} sx={{ color: tone.rust, fontWeight: 600 }}>
          {one.body}, {CHARACTER_WORDS[one.character].plain}: you{" "}
          {one.mine?.map((state) => stateWords(one.character, state)).join(" and ")}, they{" "}
          {one.theirs === undefined
            ? "could not look"
            : one.theirs.map((state) => stateWords(one.character, state)).join(" and ")}
        </Box>
      ))}
      {taken ? (
        <Box sx={{ color: tone.inkSoft }}>In the record; what differs counts as unsure.</Box>
      ) : (
        <Box sx={{ pt: 0.5 }}>
          <PlainButton onClick={onTakeIn}>Take it into the record</PlainButton>
        </Box>
      )}
    </Box>
  );
}
