/** A newer version of the application lies ready: it is taken when the person says so, never in the middle of a touch. */

import { registerSW } from "virtual:pwa-register";
import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";
import { useEffect, useState } from "react";

export function NewVersion() {
  const [take, setTake] = useState<() => void>();
  useEffect(() => {
    const update = registerSW({
      onNeedRefresh: () =>
        setTake(() => () => {
          // a page that was open when the first version came is not told by itself that another minds it now
          navigator.serviceWorker.addEventListener("controllerchange", () => window.location.reload(), { once: true });
          void update(true);
        }),
    });
  }, []);
  if (take === undefined) return null;
  return (
    <Snackbar
      open
      anchorOrigin={{ vertical: "bottom", horizontal: "left" }}
      sx={{ bottom: { xs: 116, md: 24 } }}
      message="A newer version is ready."
      action={
        <Button variant="quiet" onClick={take}>
          Take it
        </Button>
      }
      slotProps={{ content: { role: "status" } }}
    />
  );
}
