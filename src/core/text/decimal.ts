/**
 * A number as people write it: with a point or a comma, with any minus sign, perhaps with a power of ten.
 *
 * @returns NaN for what is none
 */
export function parseDecimal(text: string): number {
  const typed = text.trim();
  return /^[+\-−]?(\d+[.,]?\d*|[.,]\d+)(e[+-]?\d+)?$/i.test(typed)
    ? Number(typed.replace('−', '-').replace(',', '.'))
    : Number.NaN;
}
