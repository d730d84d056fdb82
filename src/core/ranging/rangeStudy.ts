import type { RangeCalibration as RangeValue } from '../calibrationValues/range';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import {
  benchLength,
  counted,
  degrees,
  errorLength,
  number,
  percent,
  aMetre,
} from '../text/quantities';
import {
  rangeCalibration,
  type RangeFit,
  type RangeReading,
  type DeviceRange,
} from './rangeCalibration';
import { restsOnSteps } from './readingStep';

/** Both intervals hold in 95 of 100 together: their half width in standard errors (normal, two-sided 97.5 %). */
const Z_OF_BOTH = 2.241;
/** Of one interval alone. */
const Z = 1.96;
/** Fewer distances prove no line: a dead zone would pass for an offset. */
const LEAST_DISTANCES = 3;

const longOrShort = (errorM: number): string =>
  `${errorLength(Math.abs(errorM), 1)} too ${errorM < 0 ? 'short' : 'long'}`;

/** "D3 reads 16.5 mm too long at 5 cm and 13 mm too long at 160 cm." */
function unitSentence({ unit, offsetM, scaleFactor, validFromM, validToM }: DeviceRange): string {
  if (scaleFactor === null) return `${unit} reads ${longOrShort(offsetM)}`;
  const errorAt = (trueM: number) => offsetM + (scaleFactor - 1) * trueM;
  return `${unit} reads ${longOrShort(errorAt(validFromM))} at ${benchLength(validFromM)} and ${longOrShort(errorAt(validToM))} at ${benchLength(validToM)}`;
}

/** How single readings scatter; of a sensor that rests on its steps, what they are. */
function scatterSentence({ noiseM, noisePerM, quantumM }: DeviceRange): string {
  if (restsOnSteps(noiseM, quantumM)) {
    return `it reads in steps of ${stepText(quantumM)}, and tells nothing finer`;
  }
  const grows =
    noisePerM > 0
      ? `, ${errorLength(noisePerM, 1)} more with every ${aMetre().replace('a ', '')}`
      : '';
  return `single readings scatter by ${errorLength(noiseM, 1)}${grows}`;
}

function lostSentence({ readings, lostRate, lostHigh95 }: DeviceRange): string {
  const lost = Math.round(lostRate * readings);
  return lost === 0
    ? `No echo of ${readings} was lost (at most ${percent(lostHigh95)}).`
    : `${lost} of ${counted(readings, 'echo', 'echoes')} were lost (up to ${percent(lostHigh95)}).`;
}

/** Less than this share too long is no sign of a sensor that looks askew; more than this is none, either. */
const LEAST_STRETCH = 0.003;
const MOST_STRETCH = 0.1;

/**
 * What a scale over 1 may come of: turned or tilted on its mount by an angle, a narrow beam reads 1/cos of it too far
 * at every distance. The tape alone cannot tell it from a scale of the sensor's own.
 */
function askewSentence({ unit, scaleFactor, scaleLow95 }: DeviceRange): string {
  if (scaleFactor === null || scaleLow95 === null) return '';
  if (scaleLow95 < 1 + LEAST_STRETCH || scaleFactor > 1 + MOST_STRETCH) return '';
  const askewRad = Math.acos(1 / scaleFactor);
  return ` ${unit} reads in proportion too far, as a narrow beam does that looks ${degrees(askewRad, 0)} aside, up or down: look how it sits on its mount.`;
}

function meansSentence(units: readonly DeviceRange[], toleranceM: number): string {
  const out = units.filter(({ withinTolerance }) => !withinTolerance);
  const best = units.toSorted((a, b) => a.worstErrorM - b.worstErrorM)[0];
  const within = `within ${errorLength(toleranceM)}`;
  if (units.length === 1) {
    return out.length === 0
      ? `It reads ${within} everywhere that was tried.`
      : `It is not ${within}.`;
  }
  if (out.length === 0) return `All of ${units.length} read ${within}.`;
  return `Not ${within}: ${out.map(({ unit }) => unit).join(', ')}. ${best === undefined ? '' : `${best.unit} is the nearest to the tape: put it where it matters most.`}`;
}

/** A scale that no distance sensor has: something else was read, or in another unit. */
const isNoScale = (scaleFactor: number): boolean =>
  scaleFactor < LEAST_SCALE || scaleFactor > MOST_SCALE;
const LEAST_SCALE = 0.75;
const MOST_SCALE = 1.33;

/** A bend of less is borne, whatever else is asked of it. */
const SMALL_BEND_M = 0.01;

const bendsTooFar = ({ bendM }: DeviceRange, toleranceM: number): boolean =>
  bendM !== null && bendM > Math.max(toleranceM, SMALL_BEND_M);

function nextSentence({ against }: RangeFit, own: DeviceRange, toleranceM: number): string {
  if (against === 'other units') {
    return 'One distance tells how they differ, not which is right: measure two more against the tape.';
  }
  const onLine = own.distances.filter((at) => at.isOnLine).length;
  if (own.scaleFactor === null || onLine < LEAST_DISTANCES) {
    return 'Measure at two more distances, near and far: then offset and scale are told apart.';
  }
  if (isNoScale(own.scaleFactor)) {
    return `No distance sensor reads × ${number(own.scaleFactor, 2)}: see whether tape and sensor were read in one unit, and measure again where it reads clearly.`;
  }
  if (bendsTooFar(own, toleranceM)) {
    return `It does not read straight with the distance: up to ${errorLength(own.bendM ?? 0)} off any line, more than its readings scatter. Measure only where it is used, closer together.`;
  }
  return 'Apply it: then the Course knows what it reads, and how far to trust it.';
}

/** Units that are to change places: one that is plugged in and reads too far off, one that is not and reads better. */
export interface Swap {
  out: DeviceRange;
  in: DeviceRange;
}

/**
 * Which pair of units to swap, so that the worst that is plugged in gives way to the best that is not; null where
 * none is outside its tolerance, or none of the others is within it.
 *
 * @param pluggedIn labels of the units that the robot drives with
 */
export function swapOf(units: readonly DeviceRange[], pluggedIn: readonly string[]): Swap | null {
  const byError = units.toSorted((a, b) => a.worstErrorM - b.worstErrorM);
  const isIn = ({ unit }: DeviceRange) => pluggedIn.includes(unit);
  const worst = byError.findLast((unit) => isIn(unit) && !unit.withinTolerance);
  const spare = byError.find((unit) => !isIn(unit) && unit.withinTolerance);
  return worst === undefined || spare === undefined ? null : { out: worst, in: spare };
}

const swapSentence = ({ out, in: into }: Swap): string =>
  `Swap ${out.unit} (up to ${errorLength(out.worstErrorM)} off) for ${into.unit} (${errorLength(into.worstErrorM)}), or apply what was measured: then the Course knows what it reads.`;

/** What a bench of distance sensors says, the unit that is asked about first. */
export function rangeSentences(
  found: RangeFit,
  unit: string,
  toleranceM: number,
  pluggedIn: readonly string[] = [],
): ThreeSentences | null {
  const own = found.units.find((one) => one.unit === unit) ?? found.units[0];
  if (own === undefined) return null;
  const against = found.against === 'other units' ? ', against the others' : '';
  const swap = found.against === 'tape' ? swapOf(found.units, pluggedIn) : null;
  const off = own.distances.filter(({ isOnLine, lost, readings }) => !isOnLine && lost < readings);
  const outside =
    off.length === 0
      ? ''
      : ` At ${off.map(({ trueM }) => benchLength(trueM)).join(', ')} it reads something else: its dead zone, or beyond its range.`;
  return {
    found: `${unitSentence(own)}${against}; ${scatterSentence(own)}.`,
    means: `${meansSentence(found.units, toleranceM)} ${lostSentence(own)}${outside}${askewSentence(own)}`,
    next: swap === null ? nextSentence(found, own, toleranceM) : swapSentence(swap),
  };
}

/** What a unit leaves to be computed with; null where its line is not known, or is none that a sensor has. */
export function rangeValueOf(unit: DeviceRange | undefined, toleranceM: number): RangeValue | null {
  if (unit === undefined || unit.scaleFactor === null) return null;
  const { scaleLow95, scaleHigh95, distances } = unit;
  const onLine = distances.filter(({ isOnLine }) => isOnLine);
  if (onLine.length < LEAST_DISTANCES || scaleLow95 === null || scaleHigh95 === null) return null;
  if (isNoScale(unit.scaleFactor)) return null;
  if (bendsTooFar(unit, toleranceM)) return null;
  const lost = onLine.reduce((sum, at) => sum + at.lost, 0);
  const all = onLine.reduce((sum, at) => sum + at.readings, 0);
  return {
    kind: 'range',
    offsetM: unit.offsetM,
    offsetSeM: (unit.offsetHigh95M - unit.offsetLow95M) / (2 * Z_OF_BOTH),
    scaleFactor: unit.scaleFactor,
    scaleFactorSe: (scaleHigh95 - scaleLow95) / (2 * Z_OF_BOTH),
    ...(unit.atMid !== null && {
      atMid: { distanceM: unit.atMid.distanceM, seM: unit.atMid.half95M / Z },
    }),
    noiseM: unit.noiseM,
    quantumM: unit.quantumM,
    lostRate: lost / all,
    validFromM: unit.validFromM,
    validToM: unit.validToM,
  };
}

/** Figures of a unit's distance, for a table: mean error and scatter in words. */
export const factorText = (scaleFactor: number | null): string =>
  scaleFactor === null ? 'not known from one distance' : `× ${number(scaleFactor, 4)}`;

/** A step of readings: "10 mm", "0.5 mm". */
export const stepText = (stepM: number): string => errorLength(stepM, stepM < 0.001 ? 1 : 0);

export interface RangeStudy {
  found: RangeFit;
  sentences: ThreeSentences | null;
  /** Of the unit that is asked about. */
  value: RangeValue | null;
}

/** Calibration, sentences and value of a bench; null where nothing can be said yet. */
export function rangeStudy(
  readings: readonly RangeReading[],
  unit: string,
  toleranceM: number,
  pluggedIn: readonly string[] = [],
): RangeStudy | null {
  const found = rangeCalibration(readings, toleranceM);
  return (
    found && {
      found,
      sentences: rangeSentences(found, unit, toleranceM, pluggedIn),
      value: rangeValueOf(
        found.units.find((one) => one.unit === unit),
        toleranceM,
      ),
    }
  );
}
