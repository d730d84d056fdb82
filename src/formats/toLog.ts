import { unwrapEncoder } from '../core/drive/unwrapEncoder';
import { unitSlip } from '../core/unitSlip';
import { radiansFromDegrees } from '../core/geometry/angle';
import { medianPeriod } from '../core/gyro/log';
import { unwrapHeadings } from '../core/gyro/unwrap';
import type { RawConvention } from '../core/rawConvention';
import type { RawSigns } from '../core/robot';
import { number } from '../core/text/quantities';
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

const isMotor = (column: LogColumn) =>
  column === 'leftMotorDegrees' || column === 'rightMotorDegrees';

/** Readings may come a little out of order; a clock that goes back by more was started anew. */
const FARTHEST_BACK_S = 1;
const FARTHEST_BACK_PERIODS = 20;

function refuseRestart(tS: Float64Array): void {
  const goesBack = (byS: number) => tS.findIndex((t, i) => i > 0 && t < (tS[i - 1] ?? t) - byS);
  if (goesBack(FARTHEST_BACK_S) < 0) return;
  const at = goesBack(Math.max(FARTHEST_BACK_S, FARTHEST_BACK_PERIODS * medianPeriod(tS)));
  if (at < 0) return;
  const [before, after] = [tS[at - 1] ?? 0, tS[at] ?? 0];
  throw new Error(
    `The clock goes back from ${number(before, 1)} s to ${number(after, 1)} s at reading ${at + 1}: the robot was started anew in the middle. Keep the part before it or the part after it.`,
  );
}

/** Places of the rows by time; nothing is moved when they are in order already. */
function timeOrder(tS: Float64Array): Int32Array | null {
  let ordered = true;
  for (let i = 1; i < tS.length && ordered; i += 1) ordered = (tS[i] ?? 0) >= (tS[i - 1] ?? 0);
  if (ordered) return null;
  return Int32Array.from(tS.keys()).sort((a, b) => (tS[a] ?? 0) - (tS[b] ?? 0));
}

/**
 * A log from the raw numbers of a file or a robot: directions by the robot's record (which says how
 * each raw reading grows), degrees to radians, wrapped headings and rolled-over encoders made continuous.
 *
 * @throws Error with a sentence when there is nothing to work with
 */
export function toLog(
  { columns }: Pick<ReadingTable, 'columns'>,
  { signs, encodersRollOver }: RawConvention,
): Log {
  const raw = columns.t_s;
  if (raw === undefined || raw.length < 2) {
    throw new Error('There are no readings in it: at least two lines with a time are needed.');
  }
  refuseRestart(raw);
  const order = timeOrder(raw);
  const ordered = (values: Float64Array) =>
    order === null ? values : Float64Array.from(order, (i) => values[i] ?? Number.NaN);
  const log: Log = { tS: ordered(raw), columns: {} };
  for (const [column, source, sign] of SOURCES) {
    const values = columns[source];
    // A column of which some readings are missing cannot be followed through time.
    if (values === undefined || values.some(Number.isNaN)) continue;
    const factor = signs[sign] * (isMotor(column) ? 1 : radiansFromDegrees(1));
    const inOrder = ordered(values);
    const continuous = isMotor(column) && encodersRollOver ? unwrapEncoder(inOrder) : inOrder;
    const scaled = continuous.map((value) => value * factor || 0);
    log.columns[column] = column === 'headingRad' ? unwrapHeadings(scaled) : scaled;
  }
  const slip = unitSlip(log.tS, log.columns.headingRad);
  if (slip !== null) throw new Error(`${slip} Choose the unit beside its column.`);
  if (log.columns.headingRad === undefined && log.columns.rateRadPerS === undefined) {
    throw new Error(
      'It has neither a heading nor a turning rate in every line: choose the column that holds one.',
    );
  }
  return log;
}

/** The same log with its first reading at 0 s. */
export function fromItsStart({ tS, columns }: Log): Log {
  const start = tS[0] ?? 0;
  return { tS: tS.map((t) => t - start), columns };
}
