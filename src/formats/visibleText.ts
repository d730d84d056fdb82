/**
 * Characters that are not seen and change how what stands beside them is seen: controls (but for tab and line end),
 * marks and overrides of direction, byte-order marks.
 */
const INVISIBLE =
  /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]/g;

/** A JSON value, what is not seen taken out of its texts. */
export function withVisibleText(value: unknown): unknown {
  if (typeof value === 'string') return value.replace(INVISIBLE, '');
  if (Array.isArray(value)) {
    return value.some((one) => typeof one !== 'number') ? value.map(withVisibleText) : value;
  }
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [key, withVisibleText(inner)]),
  );
}
