/** Something lies sealed here and is not open yet: what is shown may be older than what was recorded. */
import { useSealed } from "./sealed.ts";
import "./people.css";

export function SealedNote() {
  const is = useSealed((sealed) => sealed.is);
  return (
    <div role="status" className="signed-out" data-testid="sealed">
      <span className="grow">
        {is === "failed"
          ? "What you recorded before you signed out lies sealed here and does not open. It is kept. What is shown may be older."
          : "What you recorded before you signed out lies sealed here, and opens when the server can be reached. What is shown may be older."}
      </span>
    </div>
  );
}
