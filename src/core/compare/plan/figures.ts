import { errorLength, number } from '../../text/quantities';
import type { Side } from '../compareSeries';
import type { About } from './plannedVerdict';

/** What is looked at of each run, by what a plan is about. */
export const FIGURE: Record<About, string> = {
  aim: 'distance from the target',
  spread: 'spread',
  success: 'success',
};

/** A mean figure of runs, or a difference of two, in words: a length, or runs of a hundred that worked. */
export const meanText = (about: About, value: number): string =>
  about === 'success' ? `${number(100 * value)} of 100 runs` : errorLength(value);

/** What a plan is about, of one of its two ways. */
export function sideFigure(about: About, { biasM, meanDistanceM, success }: Side): string {
  if (about === 'success') return success === null ? '–' : meanText(about, success.rate);
  if (biasM === null || meanDistanceM === null) return '–';
  return meanText(about, about === 'aim' ? Math.hypot(biasM.xM, biasM.yM) : meanDistanceM);
}
