import { fQuantile, fUpperTail } from '../stats/fDistribution';

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
  repeatability95M: [number, number];
  /** Between persons, with what depends on person and part together. */
  reproducibilitySdM: number;
  /** Both together. */
  gaugeSdM: number;
  gauge95M: [number, number];
}

const LEAST = 2;
/** Where the part that depends on person and part together is less sure than this, it is taken as chance. */
const POOLING_LEVEL = 0.25;

/** A mean square with its degrees of freedom, and how often it counts in a sum. */
interface Part {
  times: number;
  meanSquare: number;
  df: number;
}

/** Degrees of freedom of a variance that is as good as known. */
const KNOWN = 1e6;

/**
 * The 95 % interval of the root of a sum of variances, from their mean squares.
 *
 * Source: modified large samples, Graybill and Wang, J. Am. Stat. Assoc. 75 (1980) 869–873; of one mean square alone
 * it is the χ² interval.
 */
function rootInterval(parts: readonly Part[]): [number, number] {
  const sum = parts.reduce((all, { times, meanSquare }) => all + times * meanSquare, 0);
  const reach = (share: number) =>
    Math.sqrt(
      parts.reduce((all, { times, meanSquare, df }) => {
        const off = 1 / fQuantile(share, df, KNOWN) - 1;
        return all + (off * times * meanSquare) ** 2;
      }, 0),
    );
  return [Math.sqrt(Math.max(0, sum - reach(0.975))), Math.sqrt(sum + reach(0.025))];
}

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
  const errorPart = {
    meanSquare: error,
    df: isPooled ? dfTogether + dfWithin : dfWithin,
  };
  const ofBoth = isPooled
    ? [{ ...errorPart, times: 1 - 1 / (p * r) }]
    : [
        { ...errorPart, times: 1 - 1 / r },
        { meanSquare: msTogether, df: dfTogether, times: 1 / r - 1 / (p * r) },
      ];
  const personsPart = { meanSquare: msPersons, df: o - 1, times: 1 / (p * r) };
  return {
    parts: p,
    persons: o,
    readingsEach: r,
    repeatabilitySdM: Math.sqrt(error),
    repeatability95M: rootInterval([{ ...errorPart, times: 1 }]),
    reproducibilitySdM: Math.sqrt(persons + interaction),
    gaugeSdM: Math.sqrt(error + persons + interaction),
    gauge95M: rootInterval([...ofBoth, personsPart]),
  };
}
