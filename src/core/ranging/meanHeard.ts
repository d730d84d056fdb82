import { mean } from '../stats/moments';

/** A reading that is taken live is the mean of so long, s. */
export const READING_S = 1;
const CM = 100;

/** The mean of what a distance sensor showed for a while, m; null where it heard no echo in most of it. */
export function meanHeardM(readingsCm: readonly (number | null)[]): number | null {
  const heard = readingsCm.filter((one) => one !== null);
  const isLost = heard.length === 0 || 2 * heard.length < readingsCm.length;
  return isLost ? null : mean(heard) / CM;
}
