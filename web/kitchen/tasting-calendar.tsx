/** The waits of a tasting as a calendar to take along. */
import { calendarOf } from "@jittery-cap/core";
import { keptUntil, type Tasting, type TastingStage, tastingEvents } from "@jittery-cap/core/kitchen";
import Button from "@mui/material/Button";
import { saveFile } from "../exchange/save-file.ts";
import { useCommonNames } from "../sheets/use-common-names.ts";

interface TastingCalendarProps {
  readonly id: string;
  readonly tasting: Tasting;
  readonly stage: TastingStage;
  readonly person: string;
}

export function TastingCalendar({ id, tasting, stage, person }: TastingCalendarProps) {
  const names = useCommonNames();
  if (keptUntil(tasting) === undefined) return null;
  const name = tasting.kinds.map((kind) => names.get(kind) ?? kind.replaceAll("-", " ")).join(" or ");
  const save = () => {
    const events = tastingEvents(id, tasting, stage, `${person}: ${name}`, (moment) => new Date(moment));
    saveFile(calendarOf("Tasting", events, new Date()), "tasting.ics", "text/calendar");
  };
  return (
    <Button variant="quiet" onClick={save}>
      calendar file
    </Button>
  );
}
