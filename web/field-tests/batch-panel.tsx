/** How many of a troop have to be looked at, and why for deadly company it is every one. */
import { batchLines, type Find, quickLookCount } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import InputBase from "@mui/material/InputBase";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { Link } from "react-router";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

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
      <Typography sx={{ color: tone.inkSoft, pb: 1.5, maxWidth: 640 }}>
        How many have to be looked at in full, all of them good, to be sure of the rest. It counts for a troop mixed by
        chance, and for company that would only be a pity.
      </Typography>
      <Box component="label" sx={{ display: "flex", alignItems: "center", gap: 1.5, pb: 2 }}>
        Bodies in the troop
        <InputBase
          value={text}
          onChange={(event) => setText(event.target.value.trim())}
          inputProps={{ inputMode: "numeric", "aria-label": "Bodies in the troop" }}
          sx={{
            width: 110,
            minHeight: TOUCH,
            px: 1.25,
            bgcolor: tone.paper,
            border: `1px solid ${tone.boneLine}`,
            fontSize: "1.25rem",
            fontWeight: 700,
          }}
        />
      </Box>
      {!valid && (
        <Box role="alert" sx={{ color: tone.rust, pb: 2 }}>
          A troop is a whole number from 1 to {MOST}.
        </Box>
      )}
      {valid && (
        <Box
          component="table"
          data-testid="batch"
          sx={{
            borderCollapse: "collapse",
            "& th, & td": { textAlign: "left", py: 0.75, pr: 3, borderBottom: `1px solid ${tone.boneLine}` },
          }}
        >
          <thead>
            <tr>
              <th scope="col">To be so sure</th>
              <th scope="col">that fewer than</th>
              <th scope="col">look at</th>
            </tr>
          </thead>
          <tbody>
            {batchLines(troop).map((line) => (
              <tr key={`${line.confidence} ${line.strange}`}>
                <td>{Math.round(line.confidence * 100)} of 100 times</td>
                <td>
                  {line.strange} of {troop} {line.strange === 1 ? "is" : "are"} something else
                </td>
                <td>
                  <b>
                    {line.looks} {line.looks === troop ? "(every one)" : ""}
                  </b>
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      <Box sx={{ mt: 2.5, pl: 1.5, borderLeft: `4px solid ${tone.rust}`, maxWidth: 640 }}>
        <Box sx={{ fontWeight: 750 }}>For deadly company it is every one.</Box>
        One is enough to kill, and troops are not mixed by chance: the deadly one stands beside its likeness.{" "}
        {deadly > 0 && `${deadly} deadly ${deadly === 1 ? "kind stands" : "kinds stand"} here now. `}
        {done} of {all} bodies of this record have their quick look.{" "}
        <Link to={`/find/${find.id}/bodies`} style={{ color: tone.ink }}>
          Go on with the quick look
        </Link>
      </Box>
    </>
  );
}
