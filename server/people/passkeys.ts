/** Passkeys: kept by their public half, asked for by a challenge that only this session knows. */
import type { OwnPerson } from "@jittery-cap/core/people";
import {
  type AuthenticationResponseJSON,
  generateAuthenticationOptions,
  generateRegistrationOptions,
  type RegistrationResponseJSON,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from "@simplewebauthn/server";
import { z } from "zod";
import type { Models } from "../database/models.ts";
import { Problem } from "../http/problem.ts";

/** Where the application is, as a browser knows it: passkeys belong to that. */
export interface Origin {
  /** With scheme and port. */
  readonly url: string;
  /** The name alone. */
  readonly name: string;
}

const transportSchema = z.array(z.enum(["ble", "cable", "hybrid", "internal", "nfc", "smart-card", "usb"])).catch([]);
/** What a browser made with a passkey; the package looks the rest through. */
const signedSchema = z.looseObject({ id: z.string().max(400) });

const refused = () => new Problem(401, "That passkey opens nothing here.");

export class Passkeys {
  private readonly models: Models;

  constructor(models: Models) {
    this.models = models;
  }

  /** What a new passkey is made by. The challenge is kept by whoever calls. */
  async toMake(origin: Origin, person: OwnPerson) {
    return generateRegistrationOptions({
      rpName: "Jittery Cap",
      rpID: origin.name,
      userName: person.signInName ?? person.name,
      userDisplayName: person.name,
      userID: new TextEncoder().encode(person.id),
      attestationType: "none",
      excludeCredentials: person.passkeys.map(({ id }) => ({ id })),
      authenticatorSelection: { residentKey: "required", userVerification: "required" },
    });
  }

  /** Keeps a passkey. @throws 400 where it was not made by the challenge, here */
  async keep(origin: Origin, challenge: string, personId: string, name: string, made: unknown): Promise<void> {
    const verified = await verifyRegistrationResponse({
      // the package looks through what the browser made
      response: made as RegistrationResponseJSON,
      expectedChallenge: challenge,
      expectedOrigin: origin.url,
      expectedRPID: origin.name,
    }).catch((error: unknown) => {
      throw Problem.ofFaults([{ path: "made", message: error instanceof Error ? error.message : "is no passkey" }]);
    });
    if (!verified.verified) throw Problem.ofFaults([{ path: "made", message: "is not what was asked for" }]);
    const { id, publicKey, counter, transports } = verified.registrationInfo.credential;
    await this.models.passkeys.create({
      id,
      personId,
      name,
      publicKey: Buffer.from(publicKey),
      counter,
      transports: transports ?? [],
      madeAt: new Date(),
    });
  }

  /** What a passkey is asked for: any of this address, whoever's it is. */
  async toSign(origin: Origin) {
    return generateAuthenticationOptions({ rpID: origin.name, userVerification: "required" });
  }

  /** The person whose passkey signed the challenge. @throws 401 */
  async personOf(origin: Origin, challenge: string, signed: unknown): Promise<string> {
    const parsed = signedSchema.safeParse(signed);
    const row = parsed.success ? await this.models.passkeys.findByPk(parsed.data.id) : null;
    if (row === null) throw refused();
    const verified = await verifyAuthenticationResponse({
      response: signed as AuthenticationResponseJSON,
      expectedChallenge: challenge,
      expectedOrigin: origin.url,
      expectedRPID: origin.name,
      credential: {
        id: row.id,
        publicKey: new Uint8Array(row.publicKey),
        counter: Number(row.counter),
        transports: transportSchema.parse(row.transports),
      },
      requireUserVerification: true,
    }).catch(() => undefined);
    if (verified?.verified !== true) throw refused();
    await row.update({ counter: verified.authenticationInfo.newCounter, lastUsedAt: new Date() });
    return row.personId;
  }

  /** Takes one back. @returns whether it was this person's */
  async drop(personId: string, id: string): Promise<boolean> {
    return (await this.models.passkeys.destroy({ where: { personId, id } })) > 0;
  }
}
