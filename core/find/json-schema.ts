/** The find file as a JSON Schema, draft 2020-12, generated from the schema that parses it. */
import { z } from "zod";
import { findSchema } from "./schema.ts";

/** One find, or an array of finds. Rules across fields (an id used twice) are beyond JSON Schema and not in it. */
export function findJsonSchema(): unknown {
  const one = z.toJSONSchema(findSchema, {
    target: "draft-2020-12",
    io: "input",
    override: ({ jsonSchema }) => {
      // an entry was looked at, or it was not: never both
      if (jsonSchema.properties?.unseen !== undefined)
        jsonSchema.oneOf = [{ required: ["states"] }, { required: ["unseen"] }];
    },
  });
  return { ...one, title: "Jittery Cap find, version 1" };
}
