import type { ThreeSentences } from '../../gyro/still/stillSentence';
import { wilson, type SuccessRate } from '../../stats/wilson';
import { percent } from '../../text/quantities';

interface Driven {
  radiusM: number;
  speedMPerS: number;
  gainRadPerS: number;
}

interface Round extends Driven {
  ended: 'held' | 'lost';
}

/** A round counts for what is asked when each of its figures is within so much of it: so near they are typed. */
const AS_ASKED = 0.05;

const isNear = (one: number, asked: number): boolean => Math.abs(one - asked) <= AS_ASKED * asked;

/**
 * How often the robot held the edge at the table, driven as asked.
 *
 * @returns null where no round was driven so
 */
export const heldAtTable = (rounds: readonly Round[], asked: Driven): SuccessRate | null => {
  const such = rounds.filter(
    (round) =>
      isNear(round.radiusM, asked.radiusM) &&
      isNear(round.speedMPerS, asked.speedMPerS) &&
      isNear(round.gainRadPerS, asked.gainRadPerS),
  );
  return wilson(such.filter(({ ended }) => ended === 'held').length, such.length);
};

/** What the simulator says of a bend, once the same was driven at the table: the table has the last word. */
export function withTable(simulated: ThreeSentences, table: SuccessRate): ThreeSentences {
  const { successes, n, low95, high95 } = table;
  return successes === n
    ? {
        ...simulated,
        means: `${simulated.means} At the table it held in all of ${n}, driven just so (${percent(low95)} at least).`,
      }
    : {
        found: `At the table it lost the edge in ${n - successes} of ${n} rounds, driven just so.`,
        means: `By these it holds in ${percent(low95)} to ${percent(high95)} of rounds; the simulator knows nothing of what made it lose the line: a seam, a shadow, a worn edge. ${simulated.means}`,
        next: 'Drive slower, or judge the gain by a trace: the table goes before the simulator.',
      };
}
