/** How many of a troop have to be looked at, and why for deadly company it is every one. */
import { batchLines, type Find, quickLookCount } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Link from "@mui/material/Link";
import Table from "@mui/material/Table";
import TableBody from "@mui/material/TableBody";
import TableCell from "@mui/material/TableCell";
import TableHead from "@mui/material/TableHead";
import TableRow from "@mui/material/TableRow";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link as RouterLink } from "react-router";
import { findPath } from "../addresses.ts";
import { useFind } from "../session/session-context.tsx";

/** A troop of more bodies is no troop that anybody carries home. */
const MOST = 5000;

export function BatchPanel({ find }: { readonly find: Find }) {
  const answer = useFind((state) => state.answer);
  const [text, setText] = useState(String(Math.max(find.bodies.length, 12)));
  const troop = Number(text);
  const valid = Number.isInteger(troop) && troop >= 1 && troop <= MOST;
  const { done, all } = quickLookCount(find);
  const deadly = answer?.dangers.filter((one) => one.tier === "deadly" && one.status !== "ruled-out").length ?? 0;
  return (
    <>
      <Typography variant="h2" component="h1">
        The whole troop
      </Typography>
      <Typography className="soft below-2 measure">
        How many have to be looked at in full, all of them good, to be sure of the rest. It counts for a troop mixed by
        chance, and for company that would only be a pity.
      </Typography>
      {/* biome-ignore lint/a11y/noLabelWithoutControl: the field inside is one */}
      <label className="actions below-2">
        Bodies in the troop
        <TextField
          value={text}
          onChange={(event) => setText(event.target.value.trim())}
          sx={{ width: 110 }}
          slotProps={{ htmlInput: { inputMode: "numeric", "aria-label": "Bodies in the troop" } }}
        />
      </label>
      {!valid && (
        <div role="alert" className="danger-ink below-2">
          A troop is a whole number from 1 to {MOST}.
        </div>
      )}
      {valid && <BatchTable troop={troop} />}
      <Alert severity="error" role="note" sx={{ mt: 2.5, maxWidth: 640 }}>
        <div className="strong">For deadly company it is every one.</div>
        One is enough to kill, and troops are not mixed by chance: the deadly one stands beside its likeness.{" "}
        {deadly > 0 && `${deadly} deadly ${deadly === 1 ? "kind stands" : "kinds stand"} here now. `}
        {done} of {all} bodies of this record have their quick look.{" "}
        <Link component={RouterLink} to={findPath(find.id, "record", "bodies")} className="tall-link">
          Go on with the quick look
        </Link>
      </Alert>
    </>
  );
}

function BatchTable({ troop }: { readonly troop: number }) {
  return (
    <Table data-testid="batch">
      <TableHead>
        <TableRow>
          <TableCell>To be so sure</TableCell>
          <TableCell>that fewer than</TableCell>
          <TableCell>look at</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {batchLines(troop).map((line) => (
          <TableRow key={`${line.confidence} ${line.strange}`}>
            <TableCell>{Math.round(line.confidence * 100)} of 100 times</TableCell>
            <TableCell>
              {line.strange} of {troop} {line.strange === 1 ? "is" : "are"} something else
            </TableCell>
            <TableCell className="strong">
              {line.looks} {line.looks === troop ? "(every one)" : ""}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}
