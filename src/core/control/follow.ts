import type { ReadingOf } from '../units/channel';
import type { Controller } from './controller';

export interface Follow {
  /** Of what looks at the wall or at the line's edge. */
  of: ReadingOf;
  /** Its reading that is to be kept: metres to a wall, a share of the light over an edge. */
  target: number;
  /** Turning to the left, rad/s, for a reading that is too large by one; negative turns right. */
  gainRadPerS: number;
  speedMPerS: number;
  durationS: number;
}

/**
 * Drive along a wall or a line's edge: turn by a gain on how far the reading is from its target. A lost echo
 * changes nothing: it goes on turning as before. The inner wheel never runs backwards.
 *
 * Source: proportional control, Åström and Murray, Feedback Systems, 2nd ed., 2021, chapter 11.
 */
export function follow(
  { of, target, gainRadPerS, speedMPerS, durationS }: Follow,
  trackM: number,
): Controller {
  let startS: number | null = null;
  let rateRadPerS = 0;
  const mostRadPerS = (2 * speedMPerS) / trackM;
  return (now, wheels) => {
    startS ??= now.timeS;
    if (now.timeS - startS >= durationS) return 'done';
    const reading = now.reading(of);
    if (reading !== null) {
      const wanted = gainRadPerS * (reading - target);
      rateRadPerS = Math.max(-mostRadPerS, Math.min(mostRadPerS, wanted));
    }
    const half = (rateRadPerS * trackM) / 2;
    wheels.leftMPerS = speedMPerS - half;
    wheels.rightMPerS = speedMPerS + half;
    return 'go on';
  };
}
