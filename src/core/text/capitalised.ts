/** A text as the beginning of a sentence. */
export const capitalised = (text: string): string =>
  `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
