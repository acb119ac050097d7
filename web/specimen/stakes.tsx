/** How many dangers turn on a character, and at a touch which. */
import { wordList } from "@jittery-cap/core";
import { useState } from "react";

export function Stakes({ names }: { readonly names: readonly string[] }) {
  const [open, setOpen] = useState(false);
  if (names.length === 0) return null;
  return (
    <>
      <button type="button" aria-expanded={open} onClick={() => setOpen(!open)} className="stakes">
        {names.length === 1 ? "one danger turns on it" : `${names.length} dangers turn on it`}
      </button>
      {open && <span className="stakes-names">{wordList([...names], "and")}</span>}
    </>
  );
}
