/** The common names of all kinds on the shelf, by the id of their sheet; empty until they are had. */
import { useShelf } from "./use-shelf.ts";

const NONE: ReadonlyMap<string, string> = new Map();

export function useCommonNames(): ReadonlyMap<string, string> {
  const shelf = useShelf("all", (remote) => remote.listSheets());
  if (shelf.state !== "told") return NONE;
  return new Map([...shelf.reply.dangers, ...shelf.reply.sought].map(({ id, common }) => [id, common]));
}
