/** The prints that wait, as a calendar file to take along. */
import { type LaidPrint, printCalendar } from "@jittery-cap/core";
import Button from "@mui/material/Button";

export function CalendarButton({ prints }: { readonly prints: readonly LaidPrint[] }) {
  const waiting = prints.filter((print) => print.stage !== "read");
  if (waiting.length === 0) return null;
  const save = () => {
    const url = URL.createObjectURL(new Blob([printCalendar(waiting, new Date())], { type: "text/calendar" }));
    const link = document.createElement("a");
    link.href = url;
    link.download = "prints.ics";
    link.click();
    setTimeout(() => URL.revokeObjectURL(url), 1000);
  };
  return <Button onClick={save}>Take the hours along as a calendar</Button>;
}
