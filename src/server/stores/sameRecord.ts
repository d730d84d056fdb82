import { isDeepStrictEqual } from 'node:util';

/** A value as it comes back from being written as JSON: −0 is 0, and what is undefined is not there. */
const asWritten = (value: unknown): unknown => JSON.parse(JSON.stringify(value)) as unknown;

/** Whether two records say the same: a save that is repeated is one. */
export const sameRecord = (a: unknown, b: unknown): boolean =>
  isDeepStrictEqual(asWritten(a), asWritten(b));
