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

/**
 * A calendar of prints under their cups: for each an hour when it is due, with an alarm then and one at the last moment.
 * Prints that were read are left out. @param stamp the moment at which the file is made
 */
export function printCalendar(prints: readonly LaidPrint[], stamp: Date): string {
  const lines = ["BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Jittery Cap//Prints//EN", "CALSCALE:GREGORIAN"];
  for (const print of prints) {
    if (print.stage === "read") continue;
    const name = print.label ?? "a find";
    lines.push(
      "BEGIN:VEVENT",
      `UID:${print.find}-${print.body}@jittery-cap`,
      `DTSTAMP:${moment(stamp)}`,
      `DTSTART:${moment(print.usual)}`,
      `DTEND:${moment(print.latest)}`,
      `SUMMARY:${text(`Read the print of ${print.body}: ${name}`)}`,
      `DESCRIPTION:${text("Read the colour on the black half and on the white half. No print is no result, never a pass.")}`,
      "TRANSP:TRANSPARENT",
      "BEGIN:VALARM",
      "ACTION:DISPLAY",
      `DESCRIPTION:${text(`The print of ${print.body} is due: ${name}`)}`,
      "TRIGGER:PT0S",
      "END:VALARM",
      "BEGIN:VALARM",
      "ACTION:DISPLAY",
      `DESCRIPTION:${text(`The print of ${print.body} has lain a day: ${name}`)}`,
      "TRIGGER;RELATED=END:PT0S",
      "END:VALARM",
      "END:VEVENT",
    );
  }
  lines.push("END:VCALENDAR");
  return `${lines.map(folded).join("\r\n")}\r\n`;
}
