import { prepare, type Prepared, type Simulation } from './prepare';
import type { SimulatedRun } from './simulatedRun';
import { simulateRange } from './simulateRange';

/** More periods of the loop than this are not simulated at once: a few seconds of computing. */
export const MOST_LOOPS = 7_000_000;

/** All runs of a simulation, or why it would take too long. */
export type AllRuns = { runs: SimulatedRun[] } | { sentence: string };

/**
 * All runs of a simulation, as long as together they do not take too many periods of the program's loop.
 *
 * @param count runs that are asked for
 * @param mostLoops so many periods at most
 */
export function simulateAll(
  simulation: Simulation,
  count: number,
  prepared: Prepared = prepare(simulation),
  mostLoops: number = MOST_LOOPS,
): AllRuns {
  const runs: SimulatedRun[] = [];
  const { loopPeriodS } = simulation.robot;
  let loops = 0;
  while (runs.length < count && loops < mostLoops) {
    simulateRange(
      simulation,
      runs.length,
      runs.length + 1,
      (_, run) => {
        runs.push(run);
        loops += run.end.timeS / loopPeriodS;
      },
      prepared,
    );
  }
  if (runs.length === count) return { runs };
  return {
    sentence: `${count} runs of this length are too many at once: ${runs.length} of them take ${Math.round(mostLoops)} periods of the program’s loop. Ask for at most ${runs.length}.`,
  };
}
