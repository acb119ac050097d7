/** The answers that are no state: cannot tell, could not look and why, unsure of it. */
import type { Body, Change, CharacterId } from "@jittery-cap/core";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import useEventCallback from "@mui/utils/useEventCallback";
import { useState } from "react";
import { blockId } from "./block-id.ts";
import { Choice } from "./choice.tsx";
import { useObserver } from "./observer.ts";
import { CANNOT_TELL, couldNot, entryOf, REASONS, turnSureness } from "./observing.ts";

interface ExtraAnswersProps {
  readonly body: Body;
  readonly character: CharacterId;
  readonly onChange: (change: Change) => void;
  readonly onActivate: () => void;
}

export function ExtraAnswers({ body, character, onChange, onActivate }: ExtraAnswersProps) {
  const observer = useObserver();
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  const entry = entryOf(body, character, observer);
  const reason = entry?.unseen === CANNOT_TELL ? undefined : entry?.unseen;
  const act = (change: Change | undefined) => {
    onActivate();
    if (change !== undefined) onChange(change);
  };
  const cannotTell = useEventCallback(() => act(couldNot(body, character, CANNOT_TELL, observer)));
  const unsure = useEventCallback(() => act(turnSureness(body, character, observer)));
  const couldNotLook = useEventCallback(() => {
    onActivate();
    setMenuAt(document.getElementById(blockId(character)));
  });
  return (
    <div className="extra">
      <Choice quiet label="cannot tell" chosen={entry?.unseen === CANNOT_TELL} onChoose={cannotTell} />
      <Choice
        quiet
        label={reason === undefined ? "could not look" : `not looked: ${reason}`}
        chosen={reason !== undefined}
        onChoose={couldNotLook}
      />
      <Choice quiet label="unsure of it" chosen={entry?.sure === false} onChoose={unsure} />
      {menuAt !== null && (
        <Menu
          open
          anchorEl={menuAt}
          onClose={() => setMenuAt(null)}
          anchorOrigin={{ vertical: "bottom", horizontal: "center" }}
          transformOrigin={{ vertical: "bottom", horizontal: "center" }}
        >
          {REASONS.map((one) => (
            <MenuItem
              key={one}
              onClick={() => {
                setMenuAt(null);
                onChange(couldNot(body, character, one, observer));
              }}
            >
              {one}
            </MenuItem>
          ))}
        </Menu>
      )}
    </div>
  );
}
