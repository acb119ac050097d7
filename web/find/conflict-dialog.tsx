/** Two devices changed one find: both sides beside each other, and the person says which holds. Nothing is merged unasked. */
import { differences } from "@jittery-cap/core";
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import Dialog from "@mui/material/Dialog";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useNavigate } from "react-router";
import type { Stored } from "../device/api.ts";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

interface ConflictDialogProps {
  readonly theirs: Stored;
  readonly onClose: () => void;
}

export function ConflictDialog({ theirs, onClose }: ConflictDialogProps) {
  const { find, takeTheirs, keepMineApart, takeBoth } = useFind();
  const navigate = useNavigate();
  const [refusal, setRefusal] = useState<string>();
  if (find === undefined) return null;
  const lines = differences(find, theirs.find);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="conflict-title">
      <Box sx={{ p: { xs: 2, md: 3 } }}>
        <Typography id="conflict-title" variant="h2" component="h2">
          Changed on two devices
        </Typography>
        <Typography sx={{ color: tone.inkSoft, pt: 0.5, pb: 2 }}>
          Both records are kept until you choose. Where they differ nothing is believed by itself.
        </Typography>
        <Box
          component="table"
          data-testid="conflict"
          sx={{
            width: "100%",
            borderCollapse: "collapse",
            "& th, & td": {
              textAlign: "left",
              verticalAlign: "top",
              py: 0.75,
              pr: 2,
              borderBottom: `1px solid ${tone.boneLine}`,
            },
          }}
        >
          <thead>
            <tr>
              <th scope="col">Where they differ</th>
              <th scope="col">Here</th>
              <th scope="col">On the other</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.what}>
                <th scope="row" style={{ fontWeight: 450 }}>
                  {line.what}
                </th>
                <td>
                  <b>{line.mine}</b>
                </td>
                <td>
                  <b>{line.theirs}</b>
                </td>
              </tr>
            ))}
            {lines.length === 0 && (
              <tr>
                <td colSpan={3}>Nothing: both came to the same record.</td>
              </tr>
            )}
          </tbody>
        </Box>
        {refusal !== undefined && (
          <Box role="alert" sx={{ color: tone.rust, fontWeight: 600, pt: 1.5 }}>
            {refusal}
          </Box>
        )}
        <Box sx={{ display: "grid", gap: 1, gridTemplateColumns: { xs: "1fr", md: "repeat(3, 1fr)" }, pt: 2.5 }}>
          <Way
            title="Put both together"
            about="What only one saw, or both saw differently, becomes unsure, to be looked at again."
            onClick={() => void takeBoth(theirs).then((why) => (why === undefined ? onClose() : setRefusal(why)))}
          />
          <Way
            title="Take the other, drop mine"
            about="What this device holds and the server does not is given up."
            onClick={() => void takeTheirs(theirs).then(onClose)}
          />
          <Way
            title="Keep mine as a find of its own"
            about="The other stays as it is; mine becomes a second find."
            onClick={() =>
              void keepMineApart(theirs).then((id) => {
                onClose();
                return navigate(`/find/${id}`);
              })
            }
          />
        </Box>
      </Box>
    </Dialog>
  );
}

function Way({ title, about, onClick }: { title: string; about: string; onClick: () => void }) {
  return (
    <ButtonBase
      onClick={onClick}
      sx={{
        display: "block",
        textAlign: "left",
        p: 1.5,
        minHeight: TOUCH,
        border: `1px solid ${tone.ink}`,
        bgcolor: tone.paper,
        "&:hover": { bgcolor: tone.boneDeep },
      }}
    >
      <Box sx={{ fontWeight: 750 }}>{title}</Box>
      <Box sx={{ fontSize: "0.9375rem", color: tone.inkSoft, lineHeight: 1.3 }}>{about}</Box>
    </ButtonBase>
  );
}
