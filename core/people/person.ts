/** A person as others and they themselves see them, and what they sign in with. */
import { z } from "zod";

/** Long enough to say who somebody is, short enough for a line. */
const NAME_LENGTH = 80;
/** Shorter passwords are guessed; of longer ones nobody types more (OWASP ASVS 4.0.3, 2.1.1 and 2.1.2, from memory). */
export const PASSWORD_LENGTH = { least: 12, most: 128 } as const;

/** Length in characters as a person counts them, not in parts of them. */
const lengthOf = (text: string): number => [...text].length;

/** What others call a person. */
export const personNameSchema = z.string().trim().min(1).max(NAME_LENGTH);

/** The name by which a person signs in. */
export const signInNameSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9.-]{1,39}$/, "expected 2 to 40 small letters, digits, points or hyphens");

/** A password that is new; one that is told again is only compared. */
export const newPasswordSchema = z
  .string()
  .normalize("NFC")
  .refine((text) => lengthOf(text) >= PASSWORD_LENGTH.least, `expected ${PASSWORD_LENGTH.least} characters or more`)
  .refine((text) => lengthOf(text) <= PASSWORD_LENGTH.most, `expected at most ${PASSWORD_LENGTH.most} characters`);

/** Bounded before it is hashed: hashing is slow on purpose. */
export const toldPasswordSchema = z
  .string()
  .normalize("NFC")
  .min(1)
  .max(4 * PASSWORD_LENGTH.most);

/** A code as it is typed: case, spaces and hyphens do not matter. */
export const toldCodeSchema = z
  .string()
  .max(80)
  .transform((text) => text.toLowerCase().replace(/[\s-]/g, ""))
  .pipe(z.string().regex(/^[a-z0-9]{8,40}$/, "expected the letters and digits of the code"));

/** A person as they see themselves. */
export const ownPersonSchema = z.object({
  id: z.string(),
  name: z.string(),
  /** Left out: nobody signs in as this person by a name, they are invented. */
  signInName: z.string().optional(),
  /** Whether they keep this server: they may invite people. */
  isKeeper: z.boolean(),
  /** Somebody who does not exist, and whom anybody at this machine may take. */
  isInvented: z.boolean(),
  hasPassword: z.boolean(),
  recoveryCodesLeft: z.int().nonnegative(),
  /** Devices and browsers that are signed in. */
  signedIn: z.int().nonnegative(),
  passkeys: z.array(
    z.object({ id: z.string(), name: z.string(), madeAt: z.string(), lastUsedAt: z.string().optional() }),
  ),
  /** With this key a device seals what it could not send when somebody signs out; only they can have it opened again. */
  sealKey: z.record(z.string(), z.unknown()),
});
export type OwnPerson = z.infer<typeof ownPersonSchema>;
