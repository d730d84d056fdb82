import { angleStepRad } from '../stats/instrumentStep';
import type { LinearFit } from '../stats/linearFit';
import { student975 } from '../stats/student';
import { mean } from '../stats/moments';
import { roundedFit } from '../stats/roundedFit';
import { ratesTried } from './grouping';
import type { TurnPoint } from './trial';

/** What heading sensors are off by, where nobody has measured it: a guess (standard deviation). */
export const GUESSED_GYRO_SCALE = 0.01;

/**
 * The scale of the heading sensor: reading = (1 + scaleError) · truly turned. It does not end with a turn: a drive that
 * holds a reading afterwards, and every later turn to a heading, are off by it as well.
 */
export interface GyroScale {
  scaleError: number;
  low95: number;
  high95: number;
  /** By its own readings beside the protractor, or by the share of the angle that turns go wrong. */
  by: 'readings' | 'trials';
  /** The fastest turning for which it was found; faster turns go beyond what the sensor can follow. Null: all tried. */
  upToRateRadPerS: number | null;
}

interface Found {
  value: number;
  half95: number;
}

const Z = 1.96;

/** With what is known of such sensors beforehand: means weighted by how sure each is (normal distributions). */
function withGuess({ value, half95 }: Found): Found {
  if (!Number.isFinite(half95)) return { value: 0, half95: Z * GUESSED_GYRO_SCALE };
  const variance = (half95 / Z) ** 2;
  const guessed = GUESSED_GYRO_SCALE ** 2;
  const total = variance + guessed;
  return { value: (value * guessed) / total, half95: Z * Math.sqrt((variance * guessed) / total) };
}

type Read = TurnPoint & { reading: number };

const isRead = (point: TurnPoint): point is Read => point.reading !== undefined;

/** By readings: (reading − truly turned) against truly turned. */
function byReadings(points: readonly Read[]): Found | null {
  const fit = roundedFit(
    points.map((point) => [truly(point)]),
    points.map((point) => point.reading - truly(point)),
    points.map(({ stepRad }) => stepRad),
  );
  const value = fit?.coefficients[0];
  return fit === null || value === undefined ? null : { value, half95: fit.halfWidth95([1]) };
}

/** What is truly turned, by the protractor; a point's `actual` has the known drift in it, as its reading has not. */
const truly = ({ actual, driftRad }: TurnPoint): number => actual - driftRad;

/** Those at one rate, to a hundredth. */
const atRate = (points: readonly Read[], rate: number): Read[] =>
  points.filter((point) => Math.abs(point.rate / rate - 1) < 0.011);

/**
 * The fastest rate up to which a sensor reads as it does at the slowest; null where it does so at all that were tried. A
 * share that grows with the rate is the sensor's own top rate.
 */
function topRate(points: readonly Read[]): number | null {
  const rates = ratesTried(points);
  const slowest = byReadings(atRate(points, rates[0] ?? 0));
  if (slowest === null || !Number.isFinite(slowest.half95)) return null;
  const first = rates.slice(1).findIndex((rate) => {
    const own = byReadings(atRate(points, rate));
    if (own === null || !Number.isFinite(own.half95)) return false;
    return Math.abs(own.value - slowest.value) > own.half95 + slowest.half95;
  });
  return first < 0 ? null : (rates[first] ?? null);
}

/**
 * By how much more than single turns the turns of one setting go off together: a loop that stops all turns of an angle
 * at the same moment of its period shifts all of them alike, and more of them tell no more.
 *
 * Source: analysis of variance, lack of fit against repeats (Seber and Lee, Linear Regression Analysis, 2nd ed., 2003,
 * section 4.4).
 * @returns 1 where it does not show
 */
function sharedBySetting(rows: readonly number[][], errors: readonly number[], fit: LinearFit) {
  const rest = rows.map(
    (row, i) =>
      (errors[i] ?? 0) - row.reduce((sum, one, j) => sum + one * (fit.coefficients[j] ?? 0), 0),
  );
  const settings = rows.map((row) => row.join(' '));
  const different = [...new Set(settings)];
  const free = different.length - fit.coefficients.length;
  if (free < 1 || !(fit.residualSd > 0)) return 1;
  const squares = different.reduce((sum, setting) => {
    const own = rest.filter((_, i) => settings[i] === setting);
    return sum + own.length * mean(own) ** 2;
  }, 0);
  const wider = Math.sqrt(squares / free) / fit.residualSd;
  // Then so few settings tell it as there are, and not so many turns.
  return wider <= 1 ? 1 : (wider * student975(free)) / student975(fit.degreesOfFreedom);
}

/** By trials alone: what share of the angle turns go wrong, each kind, side and rate with a constant of its own. */
function byShare(points: readonly TurnPoint[]): Found | null {
  const keyOf = ({ kind, side, rate }: TurnPoint) => `${kind} ${side} ${rate.toPrecision(2)}`;
  const keys = [...new Set(points.map(keyOf))];
  const rows = points.map((point) => [
    ...keys.map((key) => Number(key === keyOf(point))),
    point.target,
  ]);
  const errors = points.map(({ target, actual }) => actual - target);
  const fit = roundedFit(
    rows,
    errors,
    points.map(({ stepRad }) => stepRad),
  );
  const share = fit?.coefficients.at(-1);
  if (fit === null || share === undefined) return null;
  const half95 = fit.halfWidth95([...keys.map(() => 0), 1]) * sharedBySetting(rows, errors, fit);
  // true = told / (1 + e) + coast.
  return { value: 1 / (1 + share) - 1, half95 };
}

const scaleOf = (found: Found, by: GyroScale['by'], upToRateRadPerS: number | null): GyroScale => {
  const { value, half95 } = withGuess(found);
  return {
    scaleError: value,
    low95: value - half95,
    high95: value + half95,
    by,
    upToRateRadPerS,
  };
};

/**
 * The scale of the heading sensor from turns that it ended. Readings beside the protractor tell it at once; without them
 * the share of the angle that turns go wrong is the sensor's, as far as it can be told from a constant. Both are weighed
 * against what such sensors usually are off by.
 *
 * Source: least squares through the origin, and the conjugate normal prior, e.g. Gelman et al., Bayesian Data Analysis,
 * 3rd ed., 2013, section 2.5.
 * @returns null where neither tells anything: it stays a guess of 1 %
 */
export function gyroScale(all: readonly TurnPoint[]): GyroScale | null {
  const points = all.filter(({ bySensor }) => !bySensor);
  const read = points.filter(isRead);
  const top = topRate(read);
  const counted = top === null ? read : read.filter(({ rate }) => rate <= top * 1.011);
  const direct = byReadings(counted);
  if (direct !== null && Number.isFinite(direct.half95)) return scaleOf(direct, 'readings', top);
  const share = byShare(points);
  return share !== null && Number.isFinite(share.half95) ? scaleOf(share, 'trials', null) : null;
}

/** Whether a turn is one of those by which the scale was found, so that its own reading tells how far it turned. */
const tellsBy = ({ by, upToRateRadPerS }: GyroScale, point: TurnPoint): point is Read =>
  by === 'readings' &&
  isRead(point) &&
  (upToRateRadPerS === null || point.rate <= upToRateRadPerS * 1.011);

/**
 * How far each turn truly turned, by its own reading and the scale, where there is one: a reading is finer than a
 * protractor, of which only the scale is taken.
 */
export function byOwnReading(points: readonly TurnPoint[], scale: GyroScale | null): TurnPoint[] {
  if (scale === null || scale.by === 'trials') return [...points];
  const stepRad = angleStepRad(points.filter(isRead).map(({ reading }) => reading));
  return points.map((point) =>
    tellsBy(scale, point)
      ? {
          ...point,
          actual: point.reading / (1 + scale.scaleError) + point.driftRad,
          stepRad,
          known: {
            scaleError: 1 / (1 + scale.scaleError) - 1,
            half95: (scale.high95 - scale.low95) / 2,
          },
        }
      : point,
  );
}
