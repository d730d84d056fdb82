/** Class names that hold, joined. */
export const classes = (...names: (string | false | null | undefined)[]): string =>
  names.filter(Boolean).join(' ');
