import { mean } from '../stats/moments';
import { lineThreshold } from './lineThreshold';

/** A reading over a line or the floor. */
export interface LightReading {
  over: 'line' | 'floor';
  place: string;
  reading: number;
  heightM: number | null;
}

/** What a threshold does at one height of the sensor. */
export interface AtHeight {
  heightM: number;
  lineReads: number;
  floorReads: number;
  n: number;
  /** Of the readings there, those on the wrong side. */
  wrong: number;
  /** Whether both means lie on their own sides, and no more than one reading of twenty does not. */
  holds: boolean;
}

const MOST_WRONG = 0.05;
const FEWEST = 2;

export const readingsOver = (
  readings: readonly LightReading[],
  over: LightReading['over'],
): { values: number[]; places: string[] } => {
  const own = readings.filter((one) => one.over === over);
  return { values: own.map(({ reading }) => reading), places: own.map(({ place }) => place) };
};

/** The height at which most readings were made: the threshold is found there, the others only try it. Null: as it is mounted. */
export function usualHeightM(readings: readonly Pick<LightReading, 'heightM'>[]): number | null {
  const count = (heightM: number | null) =>
    readings.filter((one) => one.heightM === heightM).length;
  const heights = [...new Set(readings.map(({ heightM }) => heightM))];
  return heights.toSorted((a, b) => count(b) - count(a))[0] ?? null;
}

/** What the same threshold does at each height at which both surfaces were read, from low to high. */
export function heightsOf(
  readings: readonly LightReading[],
  { threshold, lineIs }: Pick<ReturnType<typeof lineThreshold>, 'threshold' | 'lineIs'>,
): AtHeight[] {
  const heights = [...new Set(readings.flatMap(({ heightM }) => heightM ?? []))];
  const isLine = (reading: number) =>
    lineIs === 'darker' ? reading <= threshold : reading >= threshold;
  return heights
    .toSorted((a, b) => a - b)
    .flatMap((heightM) => {
      const here = readings.filter((one) => one.heightM === heightM);
      const line = readingsOver(here, 'line').values;
      const floor = readingsOver(here, 'floor').values;
      if (line.length < FEWEST || floor.length < FEWEST) return [];
      const wrong = here.filter(
        ({ over, reading }) => isLine(reading) !== (over === 'line'),
      ).length;
      const [lineReads, floorReads] = [mean(line), mean(floor)];
      const holds = isLine(lineReads) && !isLine(floorReads) && wrong <= MOST_WRONG * here.length;
      return { heightM, lineReads, floorReads, n: here.length, wrong, holds };
    });
}
