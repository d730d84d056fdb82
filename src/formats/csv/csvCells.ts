import { instantIn } from '../../core/text/dates';
import { parseDecimal } from '../../core/text/decimal';
import { teamZone } from '../../core/text/displaySettings';

/** Why a cell cannot be what its column says it is, in words that follow "line 5:". */
export class BadCell extends Error {}

const YES = new Set(['1', 'yes', 'y', 'true', 'ok', 'x']);
const NO = new Set(['0', 'no', 'n', 'false', '-']);

export function parseNumber(text: string, column: string, min: number, max: number): number | null {
  if (text === '') return null;
  const value = parseDecimal(text);
  if (Number.isNaN(value)) {
    throw new BadCell(`column “${column}” holds “${text.slice(0, 30)}”, which is not a number`);
  }
  if (value < min || value > max) {
    throw new BadCell(
      `column “${column}” holds ${text.slice(0, 30)}; between ${min} and ${max} fits`,
    );
  }
  return value;
}

export function parseYesNo(text: string, column: string): boolean | null {
  const word = text.toLowerCase();
  if (word === '') return null;
  if (YES.has(word)) return true;
  if (NO.has(word)) return false;
  throw new BadCell(`column “${column}” holds “${text.slice(0, 30)}”; 1 or 0, yes or no is read`);
}

export function parseTime(text: string, column: string): string | null {
  if (text === '') return null;
  const [isTime, clock = 'T00:00', zone] =
    /^\d{4}-\d{2}-\d{2}([T ][\d:.]+(Z|[+-]\d{2}:?\d{2})?)?$/.exec(text) ?? [];
  const local = `${text.slice(0, 10)}T${clock.slice(1)}`;
  // Without a zone of its own it is the team's.
  const time =
    isTime === undefined
      ? null
      : zone === undefined
        ? instantIn(local, teamZone())
        : new Date(text);
  if (time === null || Number.isNaN(time.getTime())) {
    throw new BadCell(
      `column “${column}” holds “${text.slice(0, 30)}”; a date such as 2026-11-14 or 2026-11-14T14:10 is read`,
    );
  }
  return time.toISOString();
}
