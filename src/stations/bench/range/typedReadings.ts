import { parseDecimal } from '../../../core/text/decimal';
import { benchScale } from '../../../core/text/lengths';

/** What is typed for an echo that was lost. */
const LOST = /^(x|-|–|lost|no echo)$/i;

/** Readings as they were typed or pasted, one a line: a number in the team's unit, or x for a lost echo. */
export function typedReadings(text: string): { readingsM: (number | null)[]; bad: string | null } {
  const lines = text
    .split(/[\n\r\t;]+/)
    .map((line) => line.trim())
    .filter((line) => line !== '');
  const readingsM: (number | null)[] = [];
  for (const line of lines) {
    if (LOST.test(line)) {
      readingsM.push(null);
      continue;
    }
    const value = parseDecimal(line);
    if (!Number.isFinite(value)) return { readingsM: [], bad: line };
    readingsM.push(value / benchScale().perM);
  }
  return { readingsM, bad: null };
}
