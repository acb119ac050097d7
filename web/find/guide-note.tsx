/** The step of a first find that is next, above its station; it can be left at any time. */
import type { Find } from "@jittery-cap/core";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { memo } from "react";
import { usePreferences } from "../device/preferences.ts";
import { GUIDE, stepOf } from "./first-find.ts";

export const GuideNote = memo(function GuideNote({ find }: { readonly find: Find }) {
  const wasLed = usePreferences((state) => state.wasLed);
  const prefer = usePreferences((state) => state.prefer);
  const led = usePreferences((state) => state.ledFind);
  if (wasLed || led !== find.id) return null;
  const index = stepOf(find);
  const step = index === undefined ? undefined : GUIDE[index];
  const leave = () => prefer({ wasLed: true, ledFind: null });
  return (
    <Alert
      severity="warning"
      role="status"
      data-testid="guide"
      sx={{ mb: 2 }}
      action={
        <Button variant="quiet" onClick={leave}>
          {step === undefined ? "Done" : "Leave"}
        </Button>
      }
    >
      {step === undefined ? (
        <b>That was a whole find. From here on Next leads.</b>
      ) : (
        <>
          <b>
            {(index ?? 0) + 1} of {GUIDE.length}: {step.title}
          </b>
          <div className="small">{step.how}</div>
        </>
      )}
    </Alert>
  );
});
