/** A second pair of eyes, and books: asked, heard, set beside the finder's own looks; what differs counts as unsure. */
import { type Find, isInvented, opinionChanges } from "@jittery-cap/core";
import { ROUTES } from "@jittery-cap/core/api";
import Button from "@mui/material/Button";
import TextField from "@mui/material/TextField";
import { useLiveQuery } from "dexie-react-hooks";
import { useCallback, useEffect, useState } from "react";
import { addressOf } from "../api/client.ts";
import { type KeptPacket, makePacket, openPackets, withdrawPacket } from "../api/packets.ts";
import { noteBook, opinionsOf, type ShownOpinion } from "../documents/opinions.ts";
import { useSync } from "../documents/sync.ts";
import { useSession } from "../session/session-context.tsx";
import { observerId } from "../specimen/observer-switch.tsx";
import { OpinionLine } from "./opinion-line.tsx";
import { PacketLine } from "./packet-line.tsx";

interface SecondEyesProps {
  readonly find: Find;
  /** Told what was said, as soon as it is heard. */
  readonly onHeard: (opinions: readonly ShownOpinion[]) => void;
}

export function SecondEyes({ find, onHeard }: SecondEyesProps) {
  const { changeTogether } = useSession();
  // what others say comes with everything else that changes elsewhere
  const opinions = useLiveQuery(() => opinionsOf(find.id), [find.id]);
  const isAway = useSync((state) => state.state === "unreachable");
  const [packets, setPackets] = useState<readonly KeptPacket[]>();
  const [refusal, setRefusal] = useState<string>();
  const loadPackets = useCallback(() => void openPackets(find.id).then(setPackets), [find.id]);
  useEffect(loadPackets, [loadPackets]);
  useEffect(() => {
    if (opinions !== undefined) onHeard(opinions);
  }, [opinions, onHeard]);
  const takeIn = ({ name, kind, looks }: ShownOpinion) => {
    const known = find.observers?.find((one) => one.name === name)?.id;
    const id = known ?? observerId(name, find.observers?.map((one) => one.id) ?? []);
    changeTogether(opinionChanges(find, id, name, kind !== "in-hand", looks));
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
    <section aria-labelledby="second-eyes" data-testid="second-eyes" className="above-3">
      <h2 id="second-eyes" className="below large strong">
        A second pair of eyes, and books
      </h2>
      <WhoHasSeen opinions={opinions ?? []} />
      <div className="actions">
        <Button onClick={() => void ask()}>Ask somebody who knows</Button>
        <a href={addressOf(ROUTES.findPaper, { params: { id: find.id }, query: { size: "A5" } })}>
          The find on paper (PDF, A5)
        </a>
      </div>
      {refusal !== undefined && (
        <div role="alert" className="above danger-ink strong">
          {refusal}
        </div>
      )}
      {packets?.map((packet) => (
        <PacketLine
          key={packet.id}
          packet={packet}
          isInvented={isInvented(find.id)}
          onTakeBack={() => void takeBack(packet.id)}
        />
      ))}
      {isAway && <div className="above">The server cannot be asked who else has looked.</div>}
      {opinions
        ?.filter((one) => one.kind !== "book")
        .map((opinion) => (
          <OpinionLine key={opinion.id} opinion={opinion} find={find} onTakeIn={() => takeIn(opinion)} />
        ))}
      <Books findId={find.id} opinions={opinions ?? []} />
    </section>
  );
}

function WhoHasSeen({ opinions }: { readonly opinions: readonly ShownOpinion[] }) {
  const inHand = opinions.filter((one) => one.kind === "in-hand");
  const books = opinions.filter((one) => one.kind === "book" && one.agrees === true);
  return (
    <div className="soft small below">
      {inHand.length === 0
        ? "Nobody has had it in the hand besides you."
        : `In hand: ${inHand.map((one) => one.name).join(", ")}.`}{" "}
      {books.length === 0
        ? "No book noted."
        : `${books.length} of two books ${books.length === 1 ? "agrees" : "agree"}.`}
    </div>
  );
}

interface BooksProps {
  readonly findId: string;
  readonly opinions: readonly ShownOpinion[];
}

function Books({ findId, opinions }: BooksProps) {
  const [title, setTitle] = useState("");
  const note = async (agrees: boolean) => {
    if (title.trim() === "") return;
    await noteBook(findId, title.trim(), agrees);
    setTitle("");
  };
  return (
    <>
      {opinions
        .filter((one) => one.kind === "book")
        .map((book) => (
          <div key={book.id} className="around line">
            <b>{book.name}</b> {book.agrees === true ? "agrees" : "does not agree: look again"}
          </div>
        ))}
      <div className="actions above">
        <TextField
          value={title}
          onChange={(event) => setTitle(event.target.value)}
          placeholder="title of a book"
          sx={{ flex: "1 1 200px" }}
          slotProps={{ htmlInput: { "aria-label": "Title of a book", maxLength: 120 } }}
        />
        <Button onClick={() => void note(true)}>It agrees</Button>
        <Button onClick={() => void note(false)}>It does not</Button>
      </div>
    </>
  );
}
