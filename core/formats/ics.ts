/** Prints that wait, as a calendar to take along (RFC 5545). */
import type { LaidPrint } from "../measure/prints.ts";

const LINE_OCTETS = 75;

/** Text as the standard wants it: backslash, semicolon, comma and line end written out. */
function text(value: string): string {
  return value.replace(/\\/g, "\\\\").replace(/;/g, "\\;").replace(/,/g, "\\,").replace(/\r?\n/g, "\\n");
}

const moment = (at: Date): string => `${at.toISOString().replace(/[-:]/g, "").slice(0, 15)}Z`;

/** Lines of 75 octets at most, folded before a character and never within one. */
function folded(line: string): string {
  const encoder = new TextEncoder();
  const parts: string[] = [];
  let part = "";
  let octets = 0;
  for (const sign of line) {
    const size = encoder.encode(sign).length;
    if (octets + size > (parts.length === 0 ? LINE_OCTETS : LINE_OCTETS - 1)) {
      parts.push(part);
      part = "";
      octets = 0;
    }
    part += sign;
    octets += size;
  }
  return [...parts, part].join("\r\n ");
}

/** What stands in a calendar: from when to when, with an alarm at the beginning and one at the end where it has words. */
export interface CalendarEvent {
  readonly id: string;
  readonly from: Date;
  readonly to: Date;
  readonly title: string;
  readonly about: string;
  readonly alarm: string;
  readonly lastAlarm?: string;
}

const alarm = (words: string, trigger: string): readonly string[] => [
  "BEGIN:VALARM",
  "ACTION:DISPLAY",
  `DESCRIPTION:${text(words)}`,
  `TRIGGER${trigger}`,
  "END:VALARM",
];

/** A calendar file. @param of what it is a calendar of, one word @param stamp the moment at which the file is made */
export function calendarOf(of: string, events: readonly CalendarEvent[], stamp: Date): string {
  const lines = ["BEGIN:VCALENDAR", "VERSION:2.0", `PRODID:-//Jittery Cap//${of}//EN`, "CALSCALE:GREGORIAN"];
  for (const event of events)
    lines.push(
      "BEGIN:VEVENT",
      `UID:${event.id}@jittery-cap`,
      `DTSTAMP:${moment(stamp)}`,
      `DTSTART:${moment(event.from)}`,
      `DTEND:${moment(event.to)}`,
      `SUMMARY:${text(event.title)}`,
      `DESCRIPTION:${text(event.about)}`,
      "TRANSP:TRANSPARENT",
      ...alarm(event.alarm, ":PT0S"),
      ...(event.lastAlarm === undefined ? [] : alarm(event.lastAlarm, ";RELATED=END:PT0S")),
      "END:VEVENT",
    );
  lines.push("END:VCALENDAR");
  return `${lines.map(folded).join("\r\n")}\r\n`;
}

/**
 * A calendar of prints under their cups: for each an hour when it is due, with an alarm then and one at the last moment.
 * Prints that were read are left out. @param stamp the moment at which the file is made
 */
export function printCalendar(prints: readonly LaidPrint[], stamp: Date): string {
  const events = prints
    .filter((print) => print.stage !== "read")
    .map((print): CalendarEvent => {
      const name = print.label ?? "a find";
      return {
        id: `${print.find}-${print.body}`,
        from: print.usual,
        to: print.latest,
        title: `Read the print of ${print.body}: ${name}`,
        about: "Read the colour on the black half and on the white half. No print is no result, never a pass.",
        alarm: `The print of ${print.body} is due: ${name}`,
        lastAlarm: `The print of ${print.body} has lain a day: ${name}`,
      };
    });
  return calendarOf("Prints", events, stamp);
}
