import { benchLength, benchSpeed, shortNumber } from '../text/quantities';

const DEGREES_PER_RADIAN = 180 / Math.PI;

/** A number with all the digits that it was given, up to a millionth. */
const exact = (value: unknown, factor: number): string => shortNumber(Number(value) * factor, 6);

/** Words for a value of a step, exactly and with its unit. */
export const exactLength = (name: string) => (value: unknown) =>
  `${name} ${benchLength(Number(value), 5)}`;
export const exactSpeed = (value: unknown) => `speed ${benchSpeed(Number(value), 5)}`;
export const exactGain = (value: unknown) => `gain ${exact(value, 1)}`;
export const exactAngle = (name: string) => (value: unknown) =>
  `${name} ${exact(value, DEGREES_PER_RADIAN)}°`;
export const exactRate = (value: unknown) => `rate ${exact(value, DEGREES_PER_RADIAN)}°/s`;
export const exactTime = (name: string) => (value: unknown) => `${name} ${exact(value, 1)} s`;
export const plainValue = (name: string) => (value: unknown) => `${name} ${String(value)}`;
