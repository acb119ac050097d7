/** `npm run -s read-colour -- PICTURE --black X,Y --white X,Y --deposit X,Y,R --for spore-print`: one reading, as JSON. */
import { readFileSync } from "node:fs";
import { parseArgs } from "node:util";
import { MarkError, type Raster, READABLE, type Readable, readColour } from "@jittery-cap/core";
import sharp from "sharp";

/** Said on standard error, with status 2. */
class Refused extends Error {}

const OPTIONS = {
  black: { type: "string" },
  white: { type: "string" },
  deposit: { type: "string" },
  for: { type: "string" },
} as const;
/** A picture that unpacks to more is refused before it is unpacked, px. */
const MOST_PIXELS = 60_000_000;

function numbers(name: string, text: string | undefined, count: number): number[] {
  const shape = count === 2 ? "X,Y" : "X,Y,R";
  if (text === undefined) throw new Refused(`--${name}: is missing; expected ${shape}`);
  const values = text.split(",").map((part) => (part.trim() === "" ? Number.NaN : Number(part)));
  if (values.length !== count || !values.every(Number.isFinite))
    throw new Refused(`--${name}: expected ${shape} in pixels, found ${JSON.stringify(text)}`);
  return values;
}

function readable(text: string | undefined): Readable {
  const found = READABLE.find((one) => one === text);
  if (found === undefined)
    throw new Refused(
      `--for: ${text === undefined ? "is missing" : `${JSON.stringify(text)} cannot be read`}; allowed: ${READABLE.join(", ")}`,
    );
  return found;
}

async function rasterOf(path: string): Promise<Raster> {
  let content: Buffer;
  try {
    content = readFileSync(path);
  } catch (error) {
    throw new Refused(`${path}: ${error instanceof Error ? error.message : String(error)}`);
  }
  try {
    const { data, info } = await sharp(content, { limitInputPixels: MOST_PIXELS, failOn: "error" })
      .rotate()
      .toColourspace("srgb")
      .flatten({ background: "#ffffff" })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    return { width: info.width, height: info.height, data };
  } catch {
    throw new Refused(`${path}: is no picture that can be read`);
  }
}

async function main(): Promise<void> {
  const parsed = (() => {
    try {
      return parseArgs({ options: OPTIONS, allowPositionals: true });
    } catch (error) {
      throw new Refused(error instanceof Error ? error.message : String(error));
    }
  })();
  const [path, ...more] = parsed.positionals;
  if (path === undefined || more.length > 0) throw new Refused("expected one picture");
  const [blackX = 0, blackY = 0] = numbers("black", parsed.values.black, 2);
  const [whiteX = 0, whiteY = 0] = numbers("white", parsed.values.white, 2);
  const [x = 0, y = 0, radius = 0] = numbers("deposit", parsed.values.deposit, 3);
  const character = readable(parsed.values.for);
  const marks = { black: { x: blackX, y: blackY }, white: { x: whiteX, y: whiteY }, deposit: { x, y }, radius };
  const reading = readColour(await rasterOf(path), marks, character);
  process.stdout.write(`${JSON.stringify(reading)}\n`);
}

main().catch((error: unknown) => {
  const known = error instanceof Refused || error instanceof MarkError;
  process.stderr.write(`${known ? error.message : String(error)}\n`);
  process.exit(2);
});
