/** Whether the lines of the log go by so quickly that nobody sees what is drawn in them. */
import { createContext } from "react";

/** As a share of the list's height, from one frame to the next: twenty screens in a second. */
const QUICK = 1 / 3;

/** Whether a list that was scrolled from one place to another within a frame goes by too quickly to be seen, all in px. */
export const isPassing = (from: number, to: number, height: number): boolean => Math.abs(to - from) > QUICK * height;

/** True while they go by: a picture that is not drawn yet waits. */
export const PassingContext = createContext(false);
