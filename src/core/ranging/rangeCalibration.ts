import { atMiddle, bendOf, lineOf, mostByRounding, onLine } from './rangeLine';
import { readingStepM, restsOnSteps } from './readingStep';
import { distinct, noiseOf, pooledSd, scattersOf, type Heard } from './rangeNoise';
import { median } from '../stats/median';
import { mean } from '../stats/moments';
import { student975, studentQuantile } from '../stats/student';
import { wilson } from '../stats/wilson';

/** One reading of a distance sensor against a tape; null: the echo was lost. */
export interface RangeReading {
  unit: string;
  trueM: number;
  readingM: number | null;
}

/** What is known of one distance. */
export interface AtDistance {
  trueM: number;
  readings: number;
  lost: number;
  /** Mean reading minus true; null where all were lost. */
  meanErrorM: number | null;
  /** Scatter of single readings; null with fewer than two. */
  sdM: number | null;
  /** Whether it lies on the sensor's line; outside it is its dead zone or beyond its range. */
  isOnLine: boolean;
}

export interface DeviceRange {
  unit: string;
  readings: number;
  /** reading = offset + scale · true. */
  offsetM: number;
  offsetLow95M: number;
  offsetHigh95M: number;
  /** Null where one distance alone was tried: an offset and a scale cannot be told apart then. */
  scaleFactor: number | null;
  scaleLow95: number | null;
  scaleHigh95: number | null;
  /** Where errors of offset and scale are independent, and half the 95 % interval of a mean reading there; null as the scale. */
  atMid: { distanceM: number; half95M: number } | null;
  /** How far a distance's mean lies off the line, where the repeats prove that it bends; null: nothing does. */
  bendM: number | null;
  /** Scatter of single readings, over all distances; by how much it grows per metre. */
  noiseM: number;
  noisePerM: number;
  /** The step in which it reads; 0 where none is seen. */
  quantumM: number;
  lostRate: number;
  lostHigh95: number;
  /** Where it reads as it should: from the first to the last distance on its line. */
  validFromM: number;
  validToM: number;
  /** The largest mean error of a distance within that range; with one distance, against the others. */
  worstErrorM: number;
  withinTolerance: boolean;
  distances: AtDistance[];
}

/** What the offset is measured against. */
export type Against = 'tape' | 'other units';

export interface RangeFit {
  against: Against;
  units: DeviceRange[];
}

const LEAST_READINGS = 2;
/** Offset and scale are used together: both intervals hold in 95 of 100 (Bonferroni). */
const TAILS_OF_BOTH = 0.025;
const heardOf = (readings: readonly RangeReading[]): Heard[] =>
  readings.flatMap(({ trueM, readingM }) => (readingM === null ? [] : [{ trueM, readingM }]));

function atDistances(readings: readonly RangeReading[], valid: ReadonlySet<number>): AtDistance[] {
  return distinct(readings.map(({ trueM }) => trueM)).map((trueM) => {
    const all = readings.filter((one) => one.trueM === trueM);
    const heard = heardOf(all).map(({ readingM }) => readingM);
    const centre = heard.length === 0 ? null : mean(heard);
    const squares = heard.reduce((sum, value) => sum + (value - (centre ?? 0)) ** 2, 0);
    return {
      trueM,
      readings: all.length,
      lost: all.length - heard.length,
      meanErrorM: centre === null ? null : centre - trueM,
      sdM: heard.length < 2 ? null : Math.sqrt(squares / (heard.length - 1)),
      isOnLine: valid.has(trueM),
    };
  });
}

/** What both ways of judging a unit share. */
function common(unit: string, readings: readonly RangeReading[], valid: ReadonlySet<number>) {
  const heard = heardOf(readings);
  const lost = readings.length - heard.length;
  const distances = atDistances(readings, valid);
  return {
    unit,
    readings: readings.length,
    lostRate: lost / readings.length,
    lostHigh95: wilson(lost, readings.length)?.high95 ?? 1,
    quantumM: readingStepM(heard.map(({ readingM }) => readingM)),
    validFromM: Math.min(...valid),
    validToM: Math.max(...valid),
    distances,
  };
}

/** A unit's readings, those of them that lie on its line, and where that is. */
interface OnLine {
  unit: string;
  readings: RangeReading[];
  used: Heard[];
  valid: Set<number>;
}

function onLineOf(unit: string, readings: RangeReading[]): OnLine {
  const heard = heardOf(readings);
  const valid = onLine(heard);
  return { unit, readings, valid, used: heard.filter(({ trueM }) => valid.has(trueM)) };
}

function byLine(
  { unit, readings, used, valid }: OnLine,
  noise: ReturnType<typeof noiseOf>,
  toleranceM: number,
): DeviceRange | null {
  const line = lineOf(used, noise.at);
  if (line === null) return null;
  const shared = common(unit, readings, valid);
  const noiseM = pooledSd(used);
  const bend = bendOf(used, line, noise.at, shared.quantumM);
  const hidden = restsOnSteps(noiseM, shared.quantumM)
    ? mostByRounding(used, noise.at, shared.quantumM)
    : ([0, 0] as const);
  const half = (i: 0 | 1) =>
    bend.degreesOfFreedom < 1
      ? Infinity
      : studentQuantile(TAILS_OF_BOTH, bend.degreesOfFreedom) *
          bend.residualSd *
          Math.sqrt(line.unscaledCovariance[i]?.[i] ?? 0) +
        hidden[i];
  const [offsetM = 0, scaleFactor = 1] = line.coefficients;
  const worstErrorM = Math.max(
    ...shared.distances.flatMap(({ meanErrorM, isOnLine }) =>
      isOnLine && meanErrorM !== null ? [Math.abs(meanErrorM)] : [],
    ),
  );
  return {
    ...shared,
    offsetM,
    offsetLow95M: offsetM - half(0),
    offsetHigh95M: offsetM + half(0),
    scaleFactor,
    scaleLow95: scaleFactor - half(1),
    scaleHigh95: scaleFactor + half(1),
    atMid: atMiddle({ ...line, ...bend }, hidden[1] > 0 ? shared.quantumM / 2 : 0),
    bendM: bend.bendM,
    noiseM,
    noisePerM: noise.perM,
    worstErrorM,
    withinTolerance: worstErrorM <= toleranceM,
  };
}

/** All units at one distance: which differs from the others, and by how much. */
function againstOthers(
  units: readonly string[],
  readings: readonly RangeReading[],
  toleranceM: number,
): DeviceRange[] {
  const of = (unit: string) => readings.filter((one) => one.unit === unit);
  const means = units.map((unit) => mean(heardOf(of(unit)).map(({ readingM }) => readingM)));
  return units.flatMap((unit, i) => {
    const heard = heardOf(of(unit));
    if (heard.length === 0) return [];
    const others = means.filter((value, j) => j !== i && Number.isFinite(value));
    const reference = others.length === 0 ? (heard[0]?.trueM ?? 0) : median(others);
    const offsetM = (means[i] ?? 0) - reference;
    const noiseM = pooledSd(heard);
    const shared = common(unit, of(unit), new Set(heard.map(({ trueM }) => trueM)));
    const rounding = restsOnSteps(noiseM, shared.quantumM) ? shared.quantumM / 2 : 0;
    const half =
      heard.length < 2
        ? Infinity
        : (student975(heard.length - 1) * noiseM) / Math.sqrt(heard.length) + rounding;
    return [
      {
        ...shared,
        offsetM,
        offsetLow95M: offsetM - half,
        offsetHigh95M: offsetM + half,
        scaleFactor: null,
        scaleLow95: null,
        scaleHigh95: null,
        atMid: null,
        bendM: null,
        noiseM,
        noisePerM: 0,
        worstErrorM: Math.abs(offsetM),
        withinTolerance: Math.abs(offsetM) <= toleranceM,
      },
    ];
  });
}

/**
 * What a table of readings against a tape says of each distance sensor: reading = offset + scale · true, its noise,
 * its lost echoes, where it reads as it should, and whether it is within a tolerance. With one distance for all, the
 * units are compared with each other (the median of the others), and the scale stays unknown. Of a sensor that rests on
 * its steps the intervals hold what rounding may hide.
 *
 * Source: calibration by a straight line (ISO 11095, 1996, simplified: least squares weighted by the noise at each
 * distance, errors of the tape left to `gauge`); lost echoes after Wilson (1927).
 * @returns null where no unit has two readings
 */
export function rangeCalibration(
  readings: readonly RangeReading[],
  toleranceM: number,
): RangeFit | null {
  const units = [...new Set(readings.map(({ unit }) => unit))].filter(
    (unit) => heardOf(readings.filter((one) => one.unit === unit)).length >= LEAST_READINGS,
  );
  if (units.length === 0) return null;
  const isOne = new Set(heardOf(readings).map(({ trueM }) => trueM)).size === 1;
  if (isOne) {
    return {
      against: units.length > 1 ? 'other units' : 'tape',
      units: againstOthers(units, readings, toleranceM),
    };
  }
  const lines = units.map((unit) =>
    onLineOf(
      unit,
      readings.filter((one) => one.unit === unit),
    ),
  );
  const noise = noiseOf(lines.flatMap(({ used }) => scattersOf(used)));
  const found = lines.flatMap((one) => byLine(one, noise, toleranceM) ?? []);
  return found.length === 0 ? null : { against: 'tape', units: found };
}
