/** The page may run no code made from text; Zod is told before anything is parsed. Imported first. */
import { z } from "zod";

z.config({ jitless: true });
