import { median } from '../../stats/median';

/**
 * What a sensor reads as the robot stands there: the middle of some looks.
 *
 * @param looks null where it read nothing
 * @param factor from the core's unit to theirs
 * @returns in the core's unit; null where most looks found nothing
 */
export function readingOfLooks(looks: readonly (number | null)[], factor: number): number | null {
  const heard = looks.filter((one) => one !== null);
  return heard.length === 0 || 2 * heard.length < looks.length ? null : median(heard) / factor;
}
