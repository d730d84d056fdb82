import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import { benchScale, errorScale, fineDecimals, type LengthScale } from '../text/lengths';
import { turnSign } from '../text/quantities';

/** How a quantity kept in SI is shown and typed. */
export interface Unit {
  label: string;
  /** How a screen reader says it. */
  spoken: string;
  show(si: number): number;
  read(shown: number): number;
  decimals: number;
  /** Limits of fields are written in this many to one of SI, whatever is shown. */
  limitsPerSi: number;
  /** What one press of an arrow key changes, in the shown unit. */
  step: number;
}

export const scaled = (
  label: string,
  spoken: string,
  factor: number,
  decimals: number,
  step: number,
): Unit => ({
  label,
  spoken,
  show: (si) => si * factor,
  read: (shown) => shown / factor,
  decimals,
  limitsPerSi: factor,
  step,
});

/** A length or what is made of it, in the team's units; limits are written in centimetres or millimetres. */
const lengthUnit = (
  scale: () => LengthScale,
  limitsPerSi: number,
  of: { label: string; spoken: string; decimals(): number; step: number },
): Unit => ({
  get label() {
    return scale().label + of.label;
  },
  get spoken() {
    return scale().spoken + of.spoken;
  },
  show: (si) => si * scale().perM,
  read: (shown) => shown / scale().perM,
  get decimals() {
    return of.decimals();
  },
  limitsPerSi,
  get step() {
    return scale().step * of.step;
  },
});

const angle = (label: string, spoken: string, decimals: number, step: number): Unit => ({
  label,
  spoken,
  show: degreesFromRadians,
  read: radiansFromDegrees,
  decimals,
  limitsPerSi: degreesFromRadians(1),
  step,
});

/** An angle or rate with a direction: by the turn that the team counts as positive. */
const directed = (unit: Unit): Unit => ({
  ...unit,
  show: (si) => turnSign() * unit.show(si) + 0,
  read: (shown) => unit.read(turnSign() * shown) + 0,
});

const ALONE = { label: '', spoken: '', step: 1 };
const benchDecimals = () => benchScale().decimals;

/** Lengths that are measured with a tape, and the small ones; limits in cm and in mm. */
export const BENCH_LENGTH = lengthUnit(benchScale, 100, {
  ...ALONE,
  decimals: () => Math.max(1, benchDecimals()),
});
export const SMALL_LENGTH = lengthUnit(errorScale, 1000, { ...ALONE, decimals: fineDecimals });
export const SPEED = lengthUnit(benchScale, 100, {
  label: '/s',
  spoken: ' per second',
  decimals: () => Math.max(1, benchDecimals()),
  step: 1,
});
export const ACCELERATION = lengthUnit(benchScale, 100, {
  label: '/s²',
  spoken: ' per second squared',
  decimals: () => Math.max(0, benchDecimals() - 1),
  step: 10,
});
export const SECONDS = scaled('s', 'seconds', 1, 2, 0.5);
export const MILLISECONDS = scaled('ms', 'milliseconds', 1000, 1, 1);
export const DEG = angle('°', 'degrees', 2, 1);
/** As an encoder tells it: in degrees already. */
export const MOTOR_DEGREES = scaled('°', 'degrees', 1, 1, 1);
/** With its direction: a heading, a turn. */
export const HEADING = directed(DEG);
export const DEG_PER_S = angle('°/s', 'degrees per second', 1, 5);
/** The size of a drift, and a drift with its direction. */
export const DRIFT_SIZE = angle('°/s', 'degrees per second', 4, 0.01);
export const DRIFT = directed(DRIFT_SIZE);
export const DEG_PER_SQRT_S = angle('°/√s', 'degrees in the first second', 4, 0.01);
export const PERCENT = scaled('%', 'percent', 100, 2, 0.1);
export const PERCENTAGE = scaled('%', 'percent', 1, 2, 5);
export const PLAIN = scaled('', '', 1, 3, 0.1);
export const TIMES = scaled('×', 'times', 1, 0, 1);
export const RUNS = scaled('runs', 'runs', 1, 0, 5);
export const POINTS = scaled('points', 'points', 1, 0, 5);
export const VOLTS = scaled('V', 'volts', 1, 2, 0.1);
/** Turning for a reading of light that is off, and for a distance that is. */
export const LINE_GAIN = scaled(
  '°/s per %',
  'degrees a second for each percent of light too much',
  degreesFromRadians(1) / 100,
  3,
  0.1,
);
const perWallLength = () => degreesFromRadians(1) / benchScale().perM;
export const WALL_GAIN: Unit = {
  get label() {
    return `°/s per ${benchScale().label}`;
  },
  get spoken() {
    return `degrees a second, by the ${benchScale().spoken} too far from the wall`;
  },
  show: (si) => si * perWallLength(),
  read: (shown) => shown / perWallLength(),
  decimals: 3,
  limitsPerSi: degreesFromRadians(1) / 100,
  step: 0.1,
};
export const COUNTED_TIMES = scaled('times', 'times', 1, 0, 1);
