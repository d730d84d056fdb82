import { randomStream } from '../stats/random';
import type { DrillCase, DrillCause } from './cause';
import { asCommanded } from './causes/asCommanded';
import { good } from './causes/good';
import { lateSensor } from './causes/lateSensor';
import { longWay } from './causes/longWay';
import { missedEquality } from './causes/missedEquality';
import { motorAngle } from './causes/motorAngle';
import { rolledOver } from './causes/rolledOver';
import { saturated } from './causes/saturated';
import { staleThreshold } from './causes/staleThreshold';
import { tooStrong } from './causes/tooStrong';
import { tooWeak } from './causes/tooWeak';
import { wrongSign } from './causes/wrongSign';

/** What a drill shows, those that are asked together in the order of their answers. */
export const DRILL_CAUSES: readonly DrillCause[] = [
  good,
  tooWeak,
  tooStrong,
  wrongSign,
  lateSensor,
  saturated,
  asCommanded,
  missedEquality,
  rolledOver,
  motorAngle,
  longWay,
  staleThreshold,
];

export interface DrillTask {
  cause: DrillCause;
  shown: DrillCase;
  /** The causes that it might be. */
  answers: readonly DrillCause[];
}

/** The task under a number: which cause, and its pictures, follow from the number alone. */
export function drillTask(seed: number): DrillTask {
  const random = randomStream(seed, 0, 'drill');
  const cause = DRILL_CAUSES[Math.floor(random.uniform() * DRILL_CAUSES.length)];
  if (cause === undefined) throw new RangeError('no cause');
  return {
    cause,
    shown: cause.make(randomStream(seed, 1, cause.id)),
    answers: DRILL_CAUSES.filter(({ family }) => family === cause.family),
  };
}
