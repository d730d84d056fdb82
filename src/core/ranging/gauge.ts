import { fUpperTail } from '../stats/student';

/** A reading of the same part by a person. */
export interface GaugeReading {
  part: string;
  person: string;
  valueM: number;
}

export interface Gauge {
  parts: number;
  persons: number;
  readingsEach: number;
  /** Of one person reading the same again. */
  repeatabilitySdM: number;
  /** Between persons, with what depends on person and part together. */
  reproducibilitySdM: number;
  /** Both together. */
  gaugeSdM: number;
}

const LEAST = 2;
/** Where the part that depends on person and part together is less sure than this, it is taken as chance. */
const POOLING_LEVEL = 0.25;

const mean = (values: readonly number[]) =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
const squares = (values: readonly number[], centre: number) =>
  values.reduce((sum, value) => sum + (value - centre) ** 2, 0);

/** The readings of each person of each part, all equally many; null where they are not. */
function cellsOf(readings: readonly GaugeReading[]): number[][][] | null {
  const parts = [...new Set(readings.map(({ part }) => part))];
  const persons = [...new Set(readings.map(({ person }) => person))];
  const cells = parts.map((part) =>
    persons.map((person) =>
      readings
        .filter((one) => one.part === part && one.person === person)
        .map(({ valueM }) => valueM),
    ),
  );
  const sizes = new Set(cells.flat().map((cell) => cell.length));
  const [size = 0] = sizes;
  return sizes.size === 1 && parts.length >= LEAST && persons.length >= LEAST && size >= LEAST
    ? cells
    : null;
}

/**
 * How much of the scatter of readings is the measuring: one person again (repeatability), another person
 * (reproducibility), by the crossed analysis of variance of parts and persons, in which the part of both together is
 * pooled where it is not shown.
 *
 * Source: Montgomery, Introduction to Statistical Quality Control (6th ed., 2009), section 8.7.
 * @returns null where parts, persons or readings are fewer than two, or not every person read every part as often
 */
export function gauge(readings: readonly GaugeReading[]): Gauge | null {
  const cells = cellsOf(readings);
  if (cells === null) return null;
  const [p, o, r] = [cells.length, cells[0]?.length ?? 0, cells[0]?.[0]?.length ?? 0];
  const all = cells.flat(2);
  const grand = mean(all);
  const personMeans = Array.from({ length: o }, (_, j) =>
    mean(cells.flatMap((row) => row[j] ?? [])),
  );
  const partMeans = cells.map((row) => mean(row.flat()));
  const cellMeans = cells.map((row) => row.map(mean));
  const ofPersons = p * r * squares(personMeans, grand);
  const ofParts = o * r * squares(partMeans, grand);
  const ofCells = r * squares(cellMeans.flat(), grand);
  const together = Math.max(0, ofCells - ofPersons - ofParts);
  const within = cells.flat().reduce((sum, cell) => sum + squares(cell, mean(cell)), 0);
  const [dfTogether, dfWithin] = [(p - 1) * (o - 1), p * o * (r - 1)];
  const [msTogether, msWithin] = [together / dfTogether, within / dfWithin];
  const isPooled =
    msWithin > 0 && fUpperTail(msTogether / msWithin, dfTogether, dfWithin) > POOLING_LEVEL;
  const error = isPooled ? (together + within) / (dfTogether + dfWithin) : msWithin;
  const interaction = isPooled ? 0 : Math.max(0, (msTogether - msWithin) / r);
  const msPersons = ofPersons / (o - 1);
  const persons = Math.max(0, (msPersons - (isPooled ? error : msTogether)) / (p * r));
  return {
    parts: p,
    persons: o,
    readingsEach: r,
    repeatabilitySdM: Math.sqrt(error),
    reproducibilitySdM: Math.sqrt(persons + interaction),
    gaugeSdM: Math.sqrt(error + persons + interaction),
  };
}
