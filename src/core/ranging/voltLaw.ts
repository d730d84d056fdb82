import { number } from '../text/quantities';

/** volts = base + scale / (distance + shift): falling or growing, and nearly straight for a large shift. */
export interface VoltLaw {
  baseV: number;
  scaleVM: number;
  shiftM: number;
}

export const voltsAt = ({ baseV, scaleVM, shiftM }: VoltLaw, distanceM: number): number =>
  baseV + scaleVM / (distanceM + shiftM);

/** The distance at which it shows so many volts; NaN where it never does. */
export function distanceAtVolts({ baseV, scaleVM, shiftM }: VoltLaw, volts: number): number {
  const distanceM = scaleVM / (volts - baseV) - shiftM;
  return distanceM + shiftM > 0 ? distanceM : Number.NaN;
}

/** How much the volts change for a metre. */
export const voltSlope = ({ scaleVM, shiftM }: VoltLaw, distanceM: number): number =>
  -scaleVM / (distanceM + shiftM) ** 2;

/** Whether it is nearer where it shows more. */
export const growsNearer = ({ scaleVM }: VoltLaw): boolean => scaleVM > 0;

export const voltsText = (value: number): string => `${number(value, 2)} V`;

/** When it is so near or nearer, in volts: the inequality turns round where it shows more the nearer it is. */
export const voltsOrNearer = (law: VoltLaw, distanceM: number): string =>
  `${voltsText(voltsAt(law, distanceM))} or ${growsNearer(law) ? 'more' : 'less'}`;
