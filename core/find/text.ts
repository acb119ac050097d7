/** Text that is cut, and text that is whole. */

const isHighSurrogate = (unit: number): boolean => unit >= 0xd800 && unit <= 0xdbff;

/** The beginning of a text, at most so many code units long and never ending in half a character (an emoji has two units). */
export function cutText(text: string, most: number): string {
  if (text.length <= most) return text;
  return text.slice(0, isHighSurrogate(text.charCodeAt(most - 1)) ? most - 1 : most);
}
