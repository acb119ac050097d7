/** Jars, meals and people that a changed answer touches: named at once, until somebody says what was done with them. */
import { TAKEN_BACK_WORDS } from "@jittery-cap/core";
import { type Recall, recallWords } from "@jittery-cap/core/kitchen";
import Alert from "@mui/material/Alert";
import AlertTitle from "@mui/material/AlertTitle";
import Button from "@mui/material/Button";
import Link from "@mui/material/Link";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { setFields } from "../documents/keep-fields.ts";
import { type Kitchen, recallsIn } from "./use-kitchen.ts";

/** What may have been done with what is left. */
const DID = ["thrown away", "kept apart, marked, for somebody who knows"] as const;

export function RecallNotes({ kitchen }: { readonly kitchen: Kitchen }) {
  const recalls = recallsIn(kitchen);
  return recalls
    .filter((one) => !one.isAnswered || one.jarsLeft.length === 0)
    .map((one) => <RecallNote key={one.find} recall={one} kitchen={kitchen} />);
}

function RecallNote({ recall, kitchen }: { readonly recall: Recall; readonly kitchen: Kitchen }) {
  const names = recall.persons.map(
    (id) => kitchen.people.find((one) => one.id === id)?.name ?? "somebody who is not on this device",
  );
  const answer = (did: string) => {
    for (const { id, content } of recall.jarsLeft)
      void setFields("batch", id, {
        recalls: [...content.recalls, { find: recall.find, at: new Date().toISOString(), did }],
      });
  };
  return (
    <Alert severity="error" role="alert" data-recall={recall.find} className="recall">
      <AlertTitle className="strong">{recallWords(recall)}</AlertTitle>
      <div>
        <Link component={RouterLink} to={findPath(recall.find, "decide")}>
          {recall.label}
        </Link>
        : {recall.bodies.map(({ body, why }) => `${body}: ${TAKEN_BACK_WORDS[why]}`).join("; ")}.
      </div>
      {recall.jarsLeft.length > 0 && (
        <div>
          Jars with something left: <b>{recall.jarsLeft.map(({ content }) => content.code).join(", ")}</b>. Nothing of
          them is cooked.
        </div>
      )}
      {names.length > 0 && (
        <div>
          It was eaten by <b>{names.join(", ")}</b>. Whoever feels anything:{" "}
          <Link component={RouterLink} to="/ill">
            Ill?
          </Link>
        </div>
      )}
      {recall.jarsLeft.length > 0 && (
        <div className="actions above">
          What was done with them?
          {DID.map((did) => (
            <Button key={did} onClick={() => answer(did)}>
              {did}
            </Button>
          ))}
        </div>
      )}
    </Alert>
  );
}
