import { student975 } from '../stats/student';

/**
 * Whether a mean heading error differs from zero at the 5 % level: Student's one-sample t.
 *
 * For errors well below half a turn, where the circular mean and the plain one agree.
 * Source: Student, Biometrika 6 (1908) 1–25.
 * @param sdRad sample standard deviation (n − 1)
 * @returns false for n < 2, where nothing can be proved
 */
export function isHeadingOff(meanRad: number, sdRad: number, n: number): boolean {
  if (n < 2) return false;
  return Math.abs(meanRad) > (student975(n - 1) * sdRad) / Math.sqrt(n);
}
