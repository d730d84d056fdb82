import { mean } from '../stats/moments';
import type { KeptBy } from './straightGroups';
import type { StraightTrial } from './straightModel';

/** How a trailing caster that swings round kicks the robot: by chance to either side. */
export interface Kick {
  /** Standard deviation of the heading it leaves, rad. */
  sdRad: number;
  /** Drives that told it. */
  n: number;
}

/** A drive, and by what it was kept straight, where that is known. */
export type JudgedDrive = StraightTrial & { keptBy?: KeptBy };

/** Fewer drives tell no scatter. */
const LEAST = 3;

/**
 * The kick of a caster at a reversal: what the first drives after one the other way turn meanwhile, beyond what all drives
 * turn. Only drives that no heading sensor keeps straight tell it: the sensor would take it out again.
 *
 * Source: variances of independent causes add up; moments.
 * @returns null with fewer than three such drives whose turning was measured
 */
export function kickOf(drives: readonly JudgedDrive[]): Kick | null {
  const turned = (isAfter: boolean): number[] =>
    drives.flatMap(({ keptBy, headingChangeRad = null, afterReversal = false }) =>
      keptBy !== undefined &&
      keptBy !== 'heading' &&
      headingChangeRad !== null &&
      afterReversal === isAfter
        ? [headingChangeRad]
        : [],
    );
  const [after, plain] = [turned(true), turned(false)];
  if (after.length < LEAST || plain.length < LEAST) return null;
  const usual = mean(plain);
  const squares = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + (value - usual) ** 2, 0);
  const byItself = squares(plain) / (plain.length - 1);
  const sdRad = Math.sqrt(Math.max(0, squares(after) / after.length - byItself));
  return { sdRad, n: after.length };
}
