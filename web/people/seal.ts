/**
 * Sealing what a device could not send: with the public half of a person's keys (RSA-OAEP around AES-GCM, both by the browser), so
 * that whoever has the device reads nothing, and nothing is lost either. The other half comes with signing in.
 */
import { z } from "zod";

const WRAP = { name: "RSA-OAEP", hash: "SHA-256" } as const;
const CIPHER = { name: "AES-GCM", length: 256 } as const;
/** A nonce of AES-GCM, bytes; each key seals one box, each nonce one part of it. */
const NONCE_BYTES = 12;

/** Something sealed: it says nothing but how long it is. */
export interface Sealed {
  readonly nonce: Uint8Array<ArrayBuffer>;
  readonly text: ArrayBuffer;
}

/** A sealed box: its key, closed to all but one person, and what is in it. */
export interface Box {
  readonly person: string;
  readonly key: ArrayBuffer;
  readonly content: Sealed;
  readonly files: readonly Sealed[];
}

/** A key as it travels; the browser looks the rest through. */
const jwkSchema = z.looseObject({ kty: z.literal("RSA"), n: z.string(), e: z.string() });

/** Whether this browser can seal: it does so on https and on this machine alone. */
export const canSeal = (): boolean => globalThis.crypto?.subtle !== undefined;

/** Seals what can be written as JSON, and files beside it. @throws where the key is none */
export async function seal(
  person: string,
  publicKey: unknown,
  content: unknown,
  files: readonly ArrayBuffer[],
): Promise<Box> {
  const { subtle } = crypto;
  const closing = await subtle.importKey("jwk", jwkSchema.parse(publicKey), WRAP, false, ["wrapKey"]);
  const key = await subtle.generateKey(CIPHER, true, ["encrypt"]);
  const one = async (plain: BufferSource): Promise<Sealed> => {
    const nonce = crypto.getRandomValues(new Uint8Array(NONCE_BYTES));
    return { nonce, text: await subtle.encrypt({ ...CIPHER, iv: nonce }, key, plain) };
  };
  return {
    person,
    content: await one(new TextEncoder().encode(JSON.stringify(content))),
    files: await Promise.all(files.map(one)),
    key: await subtle.wrapKey("raw", key, closing, WRAP),
  };
}

/** Opens a box. @throws where the key is another's, or the box was tampered with */
export async function unseal(box: Box, privateKey: unknown): Promise<{ content: unknown; files: ArrayBuffer[] }> {
  const { subtle } = crypto;
  const opening = await subtle.importKey("jwk", jwkSchema.parse(privateKey), WRAP, false, ["unwrapKey"]);
  const key = await subtle.unwrapKey("raw", box.key, opening, WRAP, CIPHER, false, ["decrypt"]);
  const one = ({ nonce, text }: Sealed) => subtle.decrypt({ ...CIPHER, iv: nonce }, key, text);
  return {
    content: JSON.parse(new TextDecoder().decode(await one(box.content))),
    files: await Promise.all(box.files.map(one)),
  };
}
