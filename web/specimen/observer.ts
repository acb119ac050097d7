/** Who looks just now: an observer's id, or undefined for the person whose record this is. Blocks of the kit ask it here. */
import { createContext, useContext } from "react";

export const ObserverContext = createContext<string | undefined>(undefined);

export const useObserver = (): string | undefined => useContext(ObserverContext);
