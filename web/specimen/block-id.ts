/** The block of a question on the screen, by the name of its question. */
export const blockId = (item: string): string => `block-${item}`;
