import { number } from '../text/quantities';

/** volts = base + scale / (distance + shift): falling or growing, as sensors that look aslant show it. */
export interface BentLaw {
  baseV: number;
  scaleVM: number;
  shiftM: number;
}

/** volts = atZero + perM · distance: in proportion, as sensors that count an echo's time show it. */
export interface StraightLaw {
  atZeroV: number;
  perMV: number;
}

export type VoltLaw = BentLaw | StraightLaw;

/** Which of the two; an earlier Corvat knew only the bent one. */
export const isStraight = (law: VoltLaw): law is StraightLaw => 'perMV' in law;

export const voltsAt = (law: VoltLaw, distanceM: number): number =>
  isStraight(law)
    ? law.atZeroV + law.perMV * distanceM
    : law.baseV + law.scaleVM / (distanceM + law.shiftM);

/** The distance at which it shows so many volts; NaN where it never does. */
export function distanceAtVolts(law: VoltLaw, volts: number): number {
  if (isStraight(law)) return (volts - law.atZeroV) / law.perMV;
  const distanceM = law.scaleVM / (volts - law.baseV) - law.shiftM;
  return distanceM + law.shiftM > 0 ? distanceM : Number.NaN;
}

/** How much the volts change for a metre. */
export const voltSlope = (law: VoltLaw, distanceM: number): number =>
  isStraight(law) ? law.perMV : -law.scaleVM / (distanceM + law.shiftM) ** 2;

/** Whether it is nearer where it shows more. */
export const growsNearer = (law: VoltLaw): boolean =>
  isStraight(law) ? law.perMV < 0 : law.scaleVM > 0;

export const voltsText = (value: number): string => `${number(value, 2)} V`;

/** When it is so near or nearer, in volts: the inequality turns round where it shows more the nearer it is. */
export const voltsOrNearer = (law: VoltLaw, distanceM: number): string =>
  `${voltsText(voltsAt(law, distanceM))} or ${growsNearer(law) ? 'more' : 'less'}`;

/** Where a law was measured. */
export interface Measured {
  fromM: number;
  toM: number;
}

/** A distance nearer or farther than any that was tried, but for a rounding of it. */
export const isBeyond = ({ fromM, toM }: Measured, distanceM: number): boolean =>
  distanceM < fromM - 1e-6 || distanceM > toM + 1e-6;
