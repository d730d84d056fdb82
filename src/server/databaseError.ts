import { BaseError } from 'sequelize';

/** Whether an error is the database's own (away, or a constraint), rather than a fault of the code. */
export const isDatabaseError = (error: unknown): error is BaseError => error instanceof BaseError;

/** The number that the database gives an error, where it gave one. */
export const databaseErrorNumber = (error: unknown): number | undefined =>
  (error as { parent?: { errno?: number } }).parent?.errno;

/** A lock not got, a deadlock, or a row that another request has just made. */
const RETRIED = new Set([1205, 1213, 1020, 1062]);

/** Whether the same may well go through at another try. */
export const isWorthAnotherTry = (error: unknown): boolean =>
  RETRIED.has(databaseErrorNumber(error) ?? 0);

/** No room: the disk, a table, or a temporary file is full; or writing to a file failed. */
const FULL = new Set([3, 20, 28, 1021, 1026, 1030, 1114]);

/** What was sent does not fit its column: wrong characters, too long, out of range, or against a check. */
const NO_FIT = new Set([1048, 1264, 1265, 1292, 1364, 1366, 1406, 3819, 4025, 4078]);

/** Why the database refused, as far as whoever asked can do something about it. */
export type Refusal = 'full' | 'no-fit' | 'taken' | 'points-nowhere' | 'away';

export function refusalOf(error: BaseError): Refusal {
  const number = databaseErrorNumber(error);
  if (number !== undefined && FULL.has(number)) return 'full';
  if (number !== undefined && NO_FIT.has(number)) return 'no-fit';
  if (error.name === 'SequelizeUniqueConstraintError') return 'taken';
  if (error.name === 'SequelizeForeignKeyConstraintError') return 'points-nowhere';
  if (error.name === 'SequelizeValidationError') return 'no-fit';
  return 'away';
}
