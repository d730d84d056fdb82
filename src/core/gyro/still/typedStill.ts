import { radiansFromDegrees } from '../../geometry/angle';
import type { RandomWalk } from '../randomWalk';
import type { StillCheck } from './stillCheck';
import type { StillSettings } from './stillDefaults';
import { judgeStill } from './stillVerdict';

/** Two readings of a robot that lies still, as a small screen shows them; left positive, unwrapped. */
export interface TypedReadings {
  fromRad: number;
  untilRad: number;
  /** Time between the two. */
  durationS: number;
  /** The smallest step that the screen shows. */
  stepRad: number;
}

/** How much a heading sensor wanders by itself where nobody has logged it: a cautious guess, rad/√s. */
const WALK_GUESS = radiansFromDegrees(0.02);

/**
 * A still check from two readings: the drift is their difference over the time between them.
 *
 * Each reading is rounded by up to half a step, so the difference is off by less than one: the interval is
 * ± (step + what the sensor may wander by itself) / time, and never narrower than two readings are worth. The
 * wander is a guess, and a bound, where no logged check of the sensor has shown it: two readings tell nothing of it.
 */
export function typedStill(
  { fromRad, untilRad, durationS, stepRad }: TypedReadings,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  known: RandomWalk | null = null,
): StillCheck {
  const walk = known ?? { radPerSqrtS: WALK_GUESS, degreesOfFreedom: Infinity };
  const driftRadPerS = (untilRad - fromRad) / durationS;
  const half = (stepRad + 1.96 * walk.radPerSqrtS * Math.sqrt(durationS)) / durationS;
  const interval = { low95: driftRadPerS - half, high95: driftRadPerS + half };
  const headingErrorAtEndRad = driftRadPerS * runDurationS;
  return {
    kind: 'heading',
    driftRadPerS,
    ...interval,
    nextRunLow95: interval.low95,
    nextRunHigh95: interval.high95,
    cleanS: durationS,
    touched: [],
    headingErrorAtEndRad,
    ...judgeStill(
      {
        driftRadPerS,
        ...interval,
        cleanS: durationS,
        walk,
        quantumRad: 0,
        hiddenRadPerS: 0,
        wanderRadPerS: 0,
        nextRun: interval,
        changing: false,
        hinted: false,
        settledS: 0,
        driven: false,
      },
      runDurationS,
      toleranceRad,
      settings,
    ),
    typed: true,
    quantum: stepRad,
    randomWalkRadPerSqrtS: walk.radPerSqrtS,
    isWalkBound: true,
    wanderRadPerS: 0,
    sidewaysPerM: Math.sin(headingErrorAtEndRad),
    warmUp: null,
    allan: null,
    fit: [{ fromS: 0, toS: durationS, startRad: fromRad }],
  };
}
