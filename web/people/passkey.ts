/** Passkeys, as the browser keeps and uses them. */
import { PEOPLE_ROUTES, type ReplyOf } from "@jittery-cap/core/api";
import {
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  startAuthentication,
  startRegistration,
} from "@simplewebauthn/browser";
import { ask, type Outcome } from "../api/client.ts";

type Signed = Outcome<ReplyOf<(typeof PEOPLE_ROUTES)["readMe"]>>;

const gaveUp = (error: unknown): Signed => ({
  kind: "unreachable",
  text: error instanceof Error ? `No passkey: ${error.message}` : "No passkey was used.",
  isAway: false,
});

/** Signs in by a passkey that this browser has, or can reach. */
export async function signWithPasskey(): Promise<Signed> {
  const asked = await ask(PEOPLE_ROUTES.passkeyChallenge, { body: {} });
  if (asked.kind !== "ok") return asked;
  try {
    // the package that made it on the server looks it through here
    const optionsJSON = asked.value as unknown as PublicKeyCredentialRequestOptionsJSON;
    return await ask(PEOPLE_ROUTES.signInByPasskey, { body: { ...(await startAuthentication({ optionsJSON })) } });
  } catch (error) {
    return gaveUp(error);
  }
}

/** Makes a passkey. @param name by which its person knows it again */
export async function makePasskey(name: string): Promise<Signed> {
  const asked = await ask(PEOPLE_ROUTES.passkeyToMake, { body: {} });
  if (asked.kind !== "ok") return asked;
  try {
    const optionsJSON = asked.value as unknown as PublicKeyCredentialCreationOptionsJSON;
    return await ask(PEOPLE_ROUTES.keepPasskey, {
      body: { name, made: { ...(await startRegistration({ optionsJSON })) } },
    });
  } catch (error) {
    return gaveUp(error);
  }
}
