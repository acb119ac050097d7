/** Bodies that contradict each other, put as a question; the answer may be a find of its own for the second kind. */
import { CHARACTER_WORDS, disagreements, type Find, stateWords, wordList } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import AlertTitle from "@mui/material/AlertTitle";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { useSession } from "../session/session-context.tsx";

/** So many characters in which bodies differ are told. */
const TOLD = 3;

type Disagreement = ReturnType<typeof disagreements>[number];

/** "A and B white, C brown". */
const groupWords = ({ character, groups }: Disagreement): string =>
  groups
    .map(({ states, bodies }) => {
      const seen = states.map((state) => stateWords(character, state));
      return `${wordList([...bodies], "and")} ${wordList(seen, "and")}`;
    })
    .join(", ");

export function TwoKinds({ find }: { readonly find: Find }) {
  const { split } = useSession();
  const [apart, setApart] = useState<{ readonly id: string; readonly bodies: readonly string[] }>();
  const found = disagreements(find);
  const smallest = found
    .flatMap(({ groups }) => groups.map((group) => group.bodies))
    .filter((bodies) => bodies.length < find.bodies.length)
    .sort((one, other) => one.length - other.length)[0];
  if (apart !== undefined)
    return (
      <Alert severity="warning" role="status" sx={{ mb: 2 }}>
        {wordList([...apart.bodies], "and")} {apart.bodies.length === 1 ? "has a find of its" : "have a find of their"}{" "}
        own now.{" "}
        <Link component={RouterLink} to={findPath(apart.id, "record", "bodies")}>
          Open it
        </Link>
      </Alert>
    );
  if (found.length === 0) return null;
  const give = async (bodies: readonly string[]) => {
    const id = await split(bodies);
    if (id !== undefined) setApart({ id, bodies });
  };
  return (
    <Alert severity="error" role="region" aria-label="Two kinds?" data-testid="two-kinds" sx={{ mb: 2.5 }}>
      <AlertTitle className="strong">Two kinds?</AlertTitle>
      {found.slice(0, TOLD).map((one) => (
        <div key={one.character}>
          {CHARACTER_WORDS[one.character].plain}: {groupWords(one)}
        </div>
      ))}
      <div className="soft small">
        Look again at both. A slip is put right where it was made; a second kind gets a find of its own.
      </div>
      {smallest !== undefined && (
        <Button sx={{ mt: 1 }} onClick={() => void give(smallest)}>
          Give {wordList([...smallest], "and")} a find of {smallest.length === 1 ? "its" : "their"} own
        </Button>
      )}
    </Alert>
  );
}
