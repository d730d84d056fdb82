import { radiansFromDegrees } from '../core/geometry/angle';
import { unwrapHeadings } from '../core/gyro/unwrap';
import type { RawSigns } from '../core/robot';
import type { LogColumn } from './benchConstants';
import type { ReadingNumber, ReadingTable } from './readings';

/** A log in Corvat's units and directions, in order of time. */
export interface Log {
  tS: Float64Array;
  columns: Partial<Record<LogColumn, Float64Array>>;
}

const SOURCES: [LogColumn, ReadingNumber, keyof RawSigns][] = [
  ['headingRad', 'heading_deg', 'heading'],
  ['rateRadPerS', 'rate_deg_per_s', 'heading'],
  ['leftMotorDegrees', 'left_deg', 'leftMotor'],
  ['rightMotorDegrees', 'right_deg', 'rightMotor'],
];

const isAngle = (column: LogColumn) => column === 'headingRad' || column === 'rateRadPerS';

/** Places of the rows by time; nothing is moved when they are in order already. */
function timeOrder(tS: Float64Array): Int32Array | null {
  let ordered = true;
  for (let i = 1; i < tS.length && ordered; i += 1) ordered = (tS[i] ?? 0) >= (tS[i - 1] ?? 0);
  if (ordered) return null;
  return Int32Array.from(tS.keys()).sort((a, b) => (tS[a] ?? 0) - (tS[b] ?? 0));
}

/**
 * A log from the raw numbers of a file or a robot: directions by the robot's record (which says how
 * each raw reading grows), degrees to radians, wrapped headings made continuous.
 *
 * @throws Error with a sentence when there is nothing to work with
 */
export function toLog({ columns }: Pick<ReadingTable, 'columns'>, signs: RawSigns): Log {
  const raw = columns.t_s;
  if (raw === undefined || raw.length < 2) {
    throw new Error('There are no readings in it: at least two lines with a time are needed.');
  }
  const order = timeOrder(raw);
  const ordered = (values: Float64Array) =>
    order === null ? values : Float64Array.from(order, (i) => values[i] ?? Number.NaN);
  const log: Log = { tS: ordered(raw), columns: {} };
  for (const [column, source, sign] of SOURCES) {
    const values = columns[source];
    // A column of which some readings are missing cannot be followed through time.
    if (values === undefined || values.some(Number.isNaN)) continue;
    const factor = signs[sign] * (isAngle(column) ? radiansFromDegrees(1) : 1);
    const scaled = ordered(values).map((value) => value * factor || 0);
    log.columns[column] = column === 'headingRad' ? unwrapHeadings(scaled) : scaled;
  }
  if (log.columns.headingRad === undefined && log.columns.rateRadPerS === undefined) {
    throw new Error(
      'It has neither a heading nor a turning rate in every line: choose the column that holds one.',
    );
  }
  return log;
}
