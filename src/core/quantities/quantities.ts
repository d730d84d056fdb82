import { degreesFromRadians } from '../geometry/angle';
import {
  benchLength,
  benchSpeed,
  counted,
  degrees,
  fineLength,
  headingText,
  number,
  shortNumber,
} from '../text/quantities';
import {
  ACCELERATION,
  BENCH_LENGTH,
  COUNTED_TIMES,
  DEG,
  DEG_PER_S,
  DEG_PER_SQRT_S,
  DRIFT,
  DRIFT_SIZE,
  HEADING,
  LINE_GAIN,
  MILLISECONDS,
  MOTOR_DEGREES,
  PERCENT,
  PERCENTAGE,
  PLAIN,
  POINTS,
  RUNS,
  SECONDS,
  SMALL_LENGTH,
  SPEED,
  TIMES,
  VOLTS,
  WALL_GAIN,
  type Unit,
} from './units';

/** What a value is a measure of: how it is typed and said, in the team's units. */
export interface Quantity {
  unit: Unit;
  /** As a sentence says it. */
  text(si: number): string;
  /** With more digits than a sentence needs: for differences that it rounds away. */
  exact(si: number): string;
}

/** Digits behind the point, for differences that a sentence rounds away. */
const EXACT = 6;
const FINE = 4;

const exactDegrees = (si: number): string => `${shortNumber(degreesFromRadians(si), EXACT)}°`;

/** A quantity that is said as its field shows it. */
const asShown = (unit: Unit): Quantity => {
  const say = (si: number, decimals: number) => {
    const gap = unit.label === '' || unit.label === '°' ? '' : ' ';
    return `${shortNumber(unit.show(si), decimals)}${gap}${unit.label}`;
  };
  return {
    unit,
    text: (si) => say(si, unit.decimals),
    exact: (si) => say(si, Math.max(unit.decimals, FINE)),
  };
};

/** Every quantity by its name. */
export const QUANTITIES = {
  /** Measured with a tape. */
  length: { unit: BENCH_LENGTH, text: benchLength, exact: (si) => benchLength(si, 5) },
  speed: { unit: SPEED, text: benchSpeed, exact: (si) => benchSpeed(si, 5) },
  acceleration: {
    unit: ACCELERATION,
    text: (si) => `${benchSpeed(si)}²`,
    exact: (si) => `${benchSpeed(si, 5)}²`,
  },
  /** An angle without a direction: a size, a tolerance. */
  angle: { unit: DEG, text: degrees, exact: exactDegrees },
  'motor angle': asShown(MOTOR_DEGREES),
  /** In the table's frame, by the turn that the team counts as positive. */
  heading: { unit: HEADING, text: headingText, exact: (si) => headingText(si, EXACT) },
  'turning rate': {
    unit: DEG_PER_S,
    text: (si) => `${degrees(si, 0)}/s`,
    exact: (si) => `${exactDegrees(si)}/s`,
  },
  time: {
    unit: SECONDS,
    text: (si) => `${shortNumber(si, 2)} s`,
    exact: (si) => `${shortNumber(si, EXACT)} s`,
  },
  /** The size of a part, an error. */
  'small length': { ...asShown(SMALL_LENGTH), text: fineLength },
  /** So short that it is counted in milliseconds. */
  'short time': asShown(MILLISECONDS),
  share: asShown(PERCENT),
  /** Kept as it is said. */
  percentage: asShown(PERCENTAGE),
  voltage: { ...asShown(VOLTS), text: (si) => `${number(si, 2)} V` },
  /** A drift with its direction, and its size. */
  drift: asShown(DRIFT),
  'drift size': asShown(DRIFT_SIZE),
  'angle random walk': asShown(DEG_PER_SQRT_S),
  /** So many things. */
  count: asShown(TIMES),
  /** How often. */
  times: {
    unit: COUNTED_TIMES,
    text: (si) => counted(si, 'time'),
    exact: (si) => counted(si, 'time'),
  },
  runs: asShown(RUNS),
  points: asShown(POINTS),
  /** So much of one thing to one of another. */
  ratio: asShown(PLAIN),
  /** A figure without a unit, as programs hold it. */
  gain: {
    unit: PLAIN,
    text: (si) => shortNumber(si, 2),
    exact: (si) => shortNumber(si, EXACT),
  },
  'line gain': asShown(LINE_GAIN),
  'wall gain': asShown(WALL_GAIN),
} satisfies Record<string, Quantity>;

export type QuantityName = keyof typeof QUANTITIES;
