/** Passwords as they are kept and compared, and which of them are too easy to guess. */
import { randomBytes } from "node:crypto";
import { hash, verify } from "@node-rs/argon2";

/** argon2id with 19 MiB, two passes, one lane: OWASP's Password Storage Cheat Sheet, from memory. */
const ARGON2ID = 2;
const COST = { algorithm: ARGON2ID, memoryCost: 19 * 1024, timeCost: 2, parallelism: 1 } as const;
/** Of zxcvbn's 0 to 4: below it a password falls to some 10^8 guesses. */
const LEAST_SCORE = 3;

/** The hash of a password, with all that it was made by. */
export const hashPassword = (password: string): Promise<string> => hash(password, COST);

/** Nobody's password: compared where there is no person, so that the time taken tells nothing. */
let nobodys: Promise<string> | undefined;

/** Whether a password is the one that was hashed. @param kept left out where there is no such person, or no password */
export async function isPassword(kept: string | null | undefined, told: string): Promise<boolean> {
  nobodys ??= hashPassword(randomBytes(16).toString("hex"));
  const isSame = await verify(kept ?? (await nobodys), told);
  return isSame && kept !== null && kept !== undefined;
}

let guesser: Promise<(password: string, own: readonly string[]) => number> | undefined;

/** Read only when somebody chooses a password: the lists of what people choose are long. */
async function loadGuesser(): Promise<(password: string, own: readonly string[]) => number> {
  const [{ ZxcvbnFactory }, common, english] = await Promise.all([
    import("@zxcvbn-ts/core"),
    import("@zxcvbn-ts/language-common"),
    import("@zxcvbn-ts/language-en"),
  ]);
  const zxcvbn = new ZxcvbnFactory({
    dictionary: { ...common.dictionary, ...english.dictionary },
    graphs: common.adjacencyGraphs,
  });
  return (password, own) => zxcvbn.check(password, [...own]).score;
}

/**
 * Why a password is too easy to guess; undefined where it is not.
 * @param own what anybody would try first: the person's names, the program's
 */
export async function tooEasy(password: string, own: readonly string[]): Promise<string | undefined> {
  guesser ??= loadGuesser();
  const score = (await guesser)(password, [...own, "jittery", "cap", "mushroom", "forager"]);
  return score < LEAST_SCORE
    ? "is among those that are guessed first; take four or five words that belong to nothing"
    : undefined;
}
