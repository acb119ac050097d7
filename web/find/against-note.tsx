/** Says that only what separates the find from one danger is asked, and how to ask everything again. */
import Box from "@mui/material/Box";
import ButtonBase from "@mui/material/ButtonBase";
import { useShallow } from "zustand/react/shallow";
import { useFind } from "../state/find-state.ts";
import { TOUCH, tone } from "../theme/tokens.ts";

export function AgainstNote() {
  const { against, answer, checkAgainst } = useFind(
    useShallow(({ against, answer, checkAgainst }) => ({ against, answer, checkAgainst })),
  );
  if (against === undefined) return null;
  const mistakes = answer?.dangers.find((danger) => danger.sheet === against.sheet)?.mistakes;
  return (
    <Box
      role="status"
      data-testid="against"
      sx={{
        display: "flex",
        alignItems: "center",
        gap: 1.5,
        mb: 2,
        pl: 1.5,
        borderLeft: `4px solid ${tone.rust}`,
      }}
    >
      <Box sx={{ flex: 1 }}>
        {against.beside === undefined
          ? `Only what would move the ${against.name}.`
          : `Only what tells the ${against.name} from the ${against.beside}.`}{" "}
        {mistakes !== undefined && (
          <b>
            {mistakes === 0
              ? "Nothing speaks against it yet."
              : `${mistakes} ${mistakes === 1 ? "mistake" : "mistakes"} away.`}
          </b>
        )}
      </Box>
      <ButtonBase
        onClick={() => void checkAgainst(undefined)}
        sx={{ minHeight: TOUCH, px: 1.5, border: `1px solid ${tone.ink}`, bgcolor: tone.paper, flex: "none" }}
      >
        Ask everything
      </ButtonBase>
    </Box>
  );
}
