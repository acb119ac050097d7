/** XML of other programs, read into plain objects; attributes begin with "@", and every value stays text. */
import { XMLParser, XMLValidator } from "fast-xml-parser";
import type { Parsed } from "../find/parse.ts";

/** @param lists names of elements of which there may be several: they are lists, also where there is one */
export function readXml(text: string, lists: readonly string[]): Parsed<unknown> {
  const valid = XMLValidator.validate(text);
  if (valid !== true)
    return { ok: false, faults: [{ path: `line ${valid.err.line}`, message: `is no XML: ${valid.err.msg}` }] };
  const parser = new XMLParser({
    ignoreAttributes: false,
    attributeNamePrefix: "@",
    parseTagValue: false,
    isArray: (name) => lists.includes(name),
  });
  return { ok: true, value: parser.parse(text) };
}
