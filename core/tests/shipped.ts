/** The sheets as they ship, for tests. */
import { readKnowledge } from "@jittery-cap/shelf";
import type { Knowledge } from "../knowledge/knowledge.ts";

export const SHIPPED: Knowledge = readKnowledge();
