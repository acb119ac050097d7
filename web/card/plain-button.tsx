/** A quiet button of a word or two, as broad as a thumb. */
import ButtonBase from "@mui/material/ButtonBase";
import { TOUCH, tone } from "../theme/tokens.ts";

interface PlainButtonProps {
  readonly onClick: () => void;
  readonly children: string;
}

export function PlainButton({ onClick, children }: PlainButtonProps) {
  return (
    <ButtonBase
      onClick={onClick}
      sx={{
        minHeight: TOUCH,
        px: 1.5,
        border: `1px solid ${tone.ink}`,
        bgcolor: tone.paper,
        "&:hover": { bgcolor: tone.boneDeep },
      }}
    >
      {children}
    </ButtonBase>
  );
}
