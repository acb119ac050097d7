/** A newer version of the application lies ready: it is taken when the person says so, never in the middle of a touch. */
import Button from "@mui/material/Button";
import Snackbar from "@mui/material/Snackbar";
import { useEffect, useState } from "react";
import { Workbox } from "workbox-window";
import { under } from "./base.ts";

export function NewVersion() {
  const [take, setTake] = useState<() => void>();
  useEffect(() => {
    if (!("serviceWorker" in navigator) || import.meta.env.DEV) return;
    const worker = new Workbox(under("/sw.js"), { scope: under("/") });
    worker.addEventListener("waiting", () =>
      setTake(() => () => {
        // a page that was open when the first version came is not told by itself that another minds it now
        navigator.serviceWorker.addEventListener("controllerchange", () => window.location.reload(), { once: true });
        worker.messageSkipWaiting();
      }),
    );
    // a browser that refuses it works as long as there is a network
    void worker.register().catch(() => undefined);
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
