/** What is read out on the telephone, or printed for the hospital. */
import { messageOf } from "@jittery-cap/core";
import Button from "@mui/material/Button";
import { useNow } from "../field-tests/use-now.ts";
import { useAccount } from "./account-store.ts";
import { momentWords } from "./moments.ts";

export function ReadOut() {
  const now = useNow();
  const told = useAccount((state) => state.told);
  const text = messageOf(told, now, momentWords);
  return (
    <section aria-labelledby="read-out">
      <h2 id="read-out">To read out on the telephone</h2>
      <p className="ill-message" data-testid="message">
        {text}
      </p>
      <div className="ill-fields">
        <Button size="large" onClick={() => void navigator.clipboard?.writeText(text)}>
          Copy it
        </Button>
        <Button size="large" onClick={() => window.print()}>
          Print this page for the hospital
        </Button>
      </div>
    </section>
  );
}
