/** The end of an outing: what was missed is first on the next list, and whatever is open stays open. */
import { ITEM_WORDS, ITEMS, openSearch } from "@jittery-cap/core/season";
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { usePreferences } from "../device/preferences.ts";
import { Section } from "../layout/section.tsx";
import { changeOuting } from "./on-the-way.ts";
import type { WholeOuting } from "./use-outing.ts";

export function EndOuting({ outing }: { readonly outing: WholeOuting }) {
  const { id, content, isGoing, open } = outing;
  const prefer = usePreferences((state) => state.prefer);
  const [fault, setFault] = useState<string>();
  const end = async () => {
    const wrong = await changeOuting(id, ({ searches, begunAt }) => {
      const now = Math.max(Date.now(), Date.parse(begunAt));
      const at = new Date(now).toISOString();
      return {
        endedAt: at,
        searches: searches.map((one) =>
          one.to === undefined ? { ...one, to: now < Date.parse(one.from) ? one.from : at } : one,
        ),
      };
    });
    setFault(wrong);
    if (wrong === undefined) prefer({ packed: [] });
  };
  return (
    <Section title="What was missed" about="First on the list next time.">
      <ToggleButtonGroup
        value={content.missed}
        onChange={(_event, missed: string[]) => void changeOuting(id, () => ({ missed }))}
        aria-label="What was missed"
        className="outing-by"
      >
        {ITEMS.filter((item) => item !== "split-card" || !content.packed.includes(item)).map((item) => (
          <ToggleButton key={item} value={item}>
            {ITEM_WORDS[item].split(/[,:]/)[0]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      {fault !== undefined && <Alert severity="error">Not ended: {fault}</Alert>}
      {(isGoing || content.endedAt === undefined) && (
        <div className="actions above-2">
          <Button variant="contained" size="large" onClick={() => void end()}>
            End the outing
          </Button>
          {open.length > 0 && <span className="soft">What is open stays on this list and in the log.</span>}
          {openSearch(content) !== undefined && <span className="soft">The search that goes on ends with it.</span>}
        </div>
      )}
    </Section>
  );
}
