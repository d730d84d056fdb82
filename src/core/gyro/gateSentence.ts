import { degrees } from '../text/quantities';
import { driftText } from './driftText';
import type { Gate } from './still/standstill';

/** What is said before a heading is set to zero. */
export function gateSentence({ open, reasons, lostRad, creepsRadPerS }: Gate): string {
  if (!open) {
    return `Not yet: ${reasons.join(', ')}. Setting it to zero now would lose ${degrees(lostRad)}.`;
  }
  return creepsRadPerS === null
    ? 'It stands still: the heading can be set to zero. That the rate reads 0 now is weak proof: a few seconds of the heading tell more.'
    : `It stands still, and yet the heading creeps by ${driftText(creepsRadPerS)}: start the sensor anew first, for that goes on after zeroing.`;
}
