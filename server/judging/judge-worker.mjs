/** Lets a worker thread read TypeScript, then begins its work: threads do not inherit the loader of the program. */
import { register } from "tsx/esm/api";

register();
export const { work } = await import("./judge-task.ts");
