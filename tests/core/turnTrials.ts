import { randomStream } from '../../src/core/stats/random';
import type { TurnTrial } from '../../src/core/turns/trial';
import { deg } from './support';

/** Trials of a robot with known errors. */
export function trialsOf(
  targets: number[],
  rates: number[],
  { c = (rate: number) => 0 * rate, k = 0, sd = 0, seed = 1, rightExtra = 0 },
): TurnTrial[] {
  const random = randomStream(seed, 0, 'turn-trials');
  return rates.flatMap((rate) =>
    targets.map((target) => {
      const sign = Math.sign(target);
      const size =
        c(rate) + (sign < 0 ? rightExtra : 0) + (1 + k) * Math.abs(target) + sd * random.normal();
      return {
        targetRad: deg(target),
        actualRad: sign * deg(size),
        rateRadPerS: deg(rate),
        kind: 'spin',
      };
    }),
  );
}

export const BOTH_WAYS = [45, 90, 180, 270, 45, 90, 180].flatMap((angle) => [angle, -angle]);
