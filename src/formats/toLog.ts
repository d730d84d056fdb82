import { channelOf } from '../core/channels/key';
import type { ChannelKind } from '../core/channels/kinds';
import { unwrapEncoder } from '../core/channels/unwrapEncoder';
import { medianPeriod, type ChannelLog } from '../core/channels/log';
import { unwrapHeadings } from '../core/channels/unwrap';
import type { RawConvention } from '../core/channels/rawConvention';
import { number } from '../core/text/quantities';
import { deviceSlip } from '../core/channels/deviceSlip';
import type { ReadingTable } from './readings';

/** A log in Corvat's units and directions, in order of time; NaN where a channel has a gap. */
export type Log = ChannelLog;

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

/** One channel from its raw numbers: its direction, its unit, and counted on where it begins anew. */
function channelFrom(
  kind: ChannelKind,
  raw: Float64Array,
  factor: number,
  { signs, encodersRollOver }: RawConvention,
): Float64Array {
  const sign = kind.sign === null ? 1 : signs[kind.sign];
  const rollsOver = kind.countsOn === 'encoder' && encodersRollOver;
  const continuous = rollsOver ? unwrapEncoder(raw) : raw;
  const scaled = continuous.map((value) => value * factor * sign + 0);
  return kind.countsOn === 'heading' ? unwrapHeadings(scaled) : scaled;
}

/**
 * A log from the raw numbers of a file or a robot: directions by the robot's record (which says how
 * each raw reading grows), in the core's units, wrapped headings and rolled-over encoders made continuous.
 * What is missing stays a gap.
 *
 * @throws Error with a sentence when there is nothing to work with
 */
export function toLog(
  { tS: raw, columns }: Pick<ReadingTable, 'tS' | 'columns'>,
  convention: RawConvention,
): Log {
  if (raw.length < 2) {
    throw new Error('There are no readings in it: at least two lines with a time are needed.');
  }
  refuseRestart(raw);
  const order = timeOrder(raw);
  const ordered = (values: Float64Array) =>
    order === null ? values : Float64Array.from(order, (i) => values[i] ?? Number.NaN);
  const log: Log = { tS: ordered(raw), columns: {} };
  for (const { title, key, factor, values } of columns) {
    const channel = channelOf(key);
    if (channel === null) continue;
    const { kind } = channel;
    const inUnits = channelFrom(kind, ordered(values), factor, convention);
    if (inUnits.some((value) => Math.abs(value) > kind.limit)) {
      throw new Error(
        `${title} holds numbers that are too large for “${kind.name}”: choose another unit or another meaning for that column.`,
      );
    }
    log.columns[key] = inUnits;
  }
  if (Object.keys(log.columns).length === 0) {
    throw new Error('It holds nothing but times: choose what its columns are.');
  }
  const slip = deviceSlip(log.tS, log.columns.headingRad);
  if (slip !== null) throw new Error(`${slip} Choose the unit beside its column.`);
  return log;
}

/** The same log with its first reading at 0 s. */
export function fromItsStart({ tS, columns }: Log): Log {
  const start = tS[0] ?? 0;
  return { tS: tS.map((t) => t - start), columns };
}
