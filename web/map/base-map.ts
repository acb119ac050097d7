/** A base map file of the person's own, kept on this device: an open tile archive. */
import { useLiveQuery } from "dexie-react-hooks";
import { device } from "../documents/device.ts";

const MARK = "base-map";

export async function keepBaseMap(file: File): Promise<void> {
  await device.marks.put({ name: MARK, value: file });
}
export async function forgetBaseMap(): Promise<void> {
  await device.marks.delete(MARK);
}

export function useBaseMap(): File | undefined {
  const kept = useLiveQuery(async () => (await device.marks.get(MARK))?.value);
  return kept instanceof File ? kept : undefined;
}
