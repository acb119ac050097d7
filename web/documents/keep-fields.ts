/** Documents that are rows of fields, made and changed here field by field. */
import type { ContentOf, KindName } from "@jittery-cap/core/documents";
import { uuidv7 } from "uuidv7";
import { keepTouch, makeDocument, touchNow } from "./documents.ts";

type FieldKind = Extract<KindName, "meal" | "batch" | "tasting" | "outing" | "place" | "reminder" | "sitting">;

/** Sets fields of a document; a field set to null is left out. @returns what is wrong with them, where anything is */
export async function setFields<Name extends FieldKind>(
  name: Name,
  id: string,
  fields: { readonly [Field in keyof ContentOf[Name]]?: ContentOf[Name][Field] | null },
): Promise<string | undefined> {
  const changes = Object.entries(fields).map(([field, value]) => ({
    kind: "set-field" as const,
    field,
    value: value ?? null,
  }));
  const outcome = await keepTouch<FieldKind>(name, id, touchNow(changes));
  return outcome.ok ? undefined : outcome.faults.map(({ path, message }) => `${path}: ${message}`).join("; ");
}

/** Makes one. @returns its id */
export async function make<Name extends FieldKind | "track">(name: Name, content: ContentOf[Name]): Promise<string> {
  const id = uuidv7();
  await makeDocument(name, id, content);
  return id;
}
