import { parseDecimal } from '../../../core/text/decimal';

/** What is typed for an echo that was lost. */
const LOST = /^(x|-|–|lost|no echo)$/i;

/**
 * Readings as they were typed or pasted, one a line: a number, or x for a lost echo.
 *
 * @param perSi so many of the typed unit are one of the core's
 */
export function typedReadings(
  text: string,
  perSi: number,
): { readings: (number | null)[]; bad: string | null } {
  const lines = text
    .split(/[\n\r\t;]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const readings: (number | null)[] = [];
  for (const line of lines) {
    if (LOST.test(line)) {
      readings.push(null);
      continue;
    }
    const value = parseDecimal(line);
    if (!Number.isFinite(value)) return { readings: [], bad: line };
    readings.push(value / perSi);
  }
  return { readings, bad: null };
}
