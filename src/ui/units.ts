import { degreesFromRadians, radiansFromDegrees } from '../core/geometry/angle';

/** How a quantity kept in SI is shown and typed. */
export interface Unit {
  label: string;
  /** How a screen reader says it. */
  spoken: string;
  show(si: number): number;
  read(shown: number): number;
  decimals: number;
  /** What one press of an arrow key changes, in the shown unit. */
  step: number;
}

const scaled = (
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
  step,
});

const angle = (label: string, spoken: string, decimals: number, step: number): Unit => ({
  label,
  spoken,
  show: degreesFromRadians,
  read: radiansFromDegrees,
  decimals,
  step,
});

export const CM = scaled('cm', 'centimetres', 100, 1, 1);
export const MM = scaled('mm', 'millimetres', 1000, 1, 1);
export const CM_PER_S = scaled('cm/s', 'centimetres per second', 100, 1, 1);
export const CM_PER_S2 = scaled('cm/s²', 'centimetres per second squared', 100, 0, 10);
export const SECONDS = scaled('s', 'seconds', 1, 2, 0.5);
export const MILLISECONDS = scaled('ms', 'milliseconds', 1000, 1, 1);
export const DEG = angle('°', 'degrees', 2, 1);
export const DEG_PER_S = angle('°/s', 'degrees per second', 1, 5);
export const DRIFT_DEG_PER_S = angle('°/s', 'degrees per second', 4, 0.01);
export const DEG_PER_SQRT_S = angle('°/√s', 'degrees in the first second', 4, 0.01);
export const PERCENT = scaled('%', 'percent', 100, 2, 0.1);
export const PLAIN = scaled('', '', 1, 3, 0.1);
export const RUNS = scaled('runs', 'runs', 1, 0, 5);
export const POINTS = scaled('points', 'points', 1, 0, 5);
export const VOLTS = scaled('V', 'volts', 1, 2, 0.1);
