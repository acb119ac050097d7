/** What somebody said, beside the finder's own looks. */
import { CHARACTER_WORDS, compareLooks, type Find, stateWords } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import type { ShownOpinion } from "../documents/opinions.ts";

const KIND_WORDS: Readonly<Record<ShownOpinion["kind"], string>> = {
  "in-hand": "with the specimen in hand",
  "from-pictures": "from pictures only: confirms nothing",
  simulated: "simulated: fulfils nothing",
  book: "a book",
};

interface OpinionLineProps {
  readonly opinion: ShownOpinion;
  readonly find: Find;
  readonly onTakeIn: () => void;
}

export function OpinionLine({ opinion, find, onTakeIn }: OpinionLineProps) {
  const compared = compareLooks(find, opinion.looks);
  const differing = compared.filter((one) => one.relation === "differs");
  const agreeing = compared.filter((one) => one.relation === "agrees").length;
  const fresh = compared.filter((one) => one.relation === "new").length;
  const observer = find.observers?.find((one) => one.name === opinion.name)?.id;
  const taken = observer !== undefined && find.bodies.some((body) => body.seen?.some((entry) => entry.by === observer));
  return (
    <div data-opinion={opinion.kind} className="around line">
      <b>{opinion.name}</b>, {KIND_WORDS[opinion.kind]}: {agreeing} agree, {differing.length} differ, {fresh} new.
      {differing.map((one) => (
        <div key={`${one.body} ${one.character}`} className="stands">
          {one.body}, {CHARACTER_WORDS[one.character].plain}: you{" "}
          {one.mine?.map((state) => stateWords(one.character, state)).join(" and ")}, they{" "}
          {one.theirs === undefined
            ? "could not look"
            : one.theirs.map((state) => stateWords(one.character, state)).join(" and ")}
        </div>
      ))}
      {taken ? (
        <div className="soft">In the record; what differs counts as unsure.</div>
      ) : (
        <div className="above">
          <Button onClick={onTakeIn}>Take it into the record</Button>
        </div>
      )}
    </div>
  );
}
