import type { StrategyTrial } from '../../../core/gyro/rezero';
import type { SavedStillCheck } from '../../../formats/benchRecords';

/** The checks that were made after something had been done about drift, and what. */
export const strategyTrials = (checks: readonly SavedStillCheck[]): StrategyTrial[] =>
  checks.flatMap(({ school, result, setAsideReason }) =>
    school === null || setAsideReason !== null
      ? []
      : [{ school, verdict: result.verdict, driftRadPerS: result.driftRadPerS }],
  );
