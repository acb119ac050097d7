/** The people of the household, on this device alone: what matters of a person is never sent. */
import { type Eater, eaterSchema } from "@jittery-cap/core/kitchen";
import { device } from "../documents/device.ts";

/** Everybody who can be read, by name. One who cannot be read is nobody: nothing is served to them. */
export async function people(): Promise<readonly Eater[]> {
  const rows = await device.household.toArray();
  return rows
    .flatMap(({ eater }) => {
      const read = eaterSchema.safeParse(eater);
      return read.success ? [read.data] : [];
    })
    .sort((one, other) => one.name.localeCompare(other.name));
}

/** Keeps a person. @returns what is wrong with what was told, by field; undefined where nothing is */
export async function keepPerson(eater: unknown): Promise<string | undefined> {
  const read = eaterSchema.safeParse(eater);
  if (!read.success) return read.error.issues.map((issue) => `${issue.path.join(".")}: ${issue.message}`).join("; ");
  await device.household.put({ id: read.data.id, eater: read.data });
  return undefined;
}

/** Forgets a person. Meals that they sat at keep their place, without a name. */
export const forgetPerson = (id: string): Promise<void> => device.household.delete(id);
