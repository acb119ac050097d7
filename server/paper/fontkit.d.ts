/** What is used of fontkit, which comes without types. */
declare module "fontkit" {
  export interface Font {
    hasGlyphForCodePoint(codePoint: number): boolean;
  }
  /** Reads a font file: one font, or a collection, which none of ours is. */
  export function create(content: Buffer): Font;
}
