import { radiansFromDegrees } from '../../core/geometry/angle';
import type { TunedId } from '../../core/robot/tunedIds';
import { SHOWN } from '../../core/control/tuned';
import { gainTrace } from '../../core/tuning/gainTrace';
import type { GainJudgement, Trace } from '../../core/tuning/judge';
import { wallTrace, type WallSide } from '../../core/tuning/wallTrace';
import type { BadLine } from '../readings';
import { readSmallCsv, type WantedColumn } from './smallCsv';

export interface ReadTrace {
  trace: Trace;
  /** Null where the trace is too short to tell. */
  judged: GainJudgement | null;
  bad: BadLine[];
}

/** How a trace of following is meant: what it was to keep, and on which side the wall or the darker half was. */
export interface Followed {
  target: number;
  side: WallSide;
}

const column = (name: string, max: number): WantedColumn => ({
  key: name,
  heading: new RegExp(`^${name}$`, 'i'),
  name,
  number: { min: -max, max },
});

const TIME = column('t_s', 1e6);
const CORRECTION = column('correction_deg_per_s', 1e5);
const MOST_READ = 1e5;

/**
 * A trace of a controller from a CSV file, and how its gain is judged. A lost echo, an empty reading, is left out.
 *
 * @param followed for a controller that keeps a reading
 * @throws Error with a sentence when the file is no such table
 */
export async function readGainTrace(
  file: File,
  id: TunedId,
  followed: Followed,
): Promise<ReadTrace> {
  const { bandRad, column: wanted } = SHOWN[id];
  const { name, toSi, keepsReading } = wanted;
  // A lost echo is an empty reading, and no line to mend.
  const reading = { ...column(name, MOST_READ), optional: keepsReading };
  const { rows, bad } = await readSmallCsv(file, [TIME, reading, CORRECTION]);
  const read = rows.filter(({ values }) => name in values);
  if (read.length === 0) throw new Error(`There is no reading in the column ${name}.`);
  const columnOf = (key: string) => read.map(({ values }) => Number(values[key]));
  const tS = columnOf(TIME.name);
  const back = tS.findIndex((t, i) => i > 0 && t < (tS[i - 1] ?? 0));
  if (back >= 0) throw new Error(`Line ${read[back]?.line}: the time goes back (${tS[back]} s).`);
  const values = columnOf(name).map((value) => value * toSi);
  const correction = columnOf(CORRECTION.name).map(radiansFromDegrees);
  if (!keepsReading) {
    const trace = { tS, error: values, correction };
    return { trace, judged: gainTrace(trace, bandRad), bad };
  }
  const { target, side } = followed;
  const samples = { tS, readingM: values, correctionRadPerS: correction };
  return {
    trace: { tS, error: values.map((value) => value - target), correction },
    judged: wallTrace(samples, target, side),
    bad,
  };
}
