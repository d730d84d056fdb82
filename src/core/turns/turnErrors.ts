import { stopOf, type TurnStop } from '../calibrationValues/turnStop';
import type { TurnsCalibration } from '../calibrationValues/turns';
import type { PlannedStep } from '../course/plan';
import type { Robot } from '../robot/robot';
import { mean } from '../stats/moments';
import { kindOfStep } from '../steps/registry';
import { beyondCommanded, ownStop } from './ownStop';
import { randomStream } from '../stats/random';

/** How much further than the simulated robot's own stop a measured turn goes on: always, and by chance. */
export interface TurnError {
  meanRad: number;
  sdRad: number;
}

/** So many turns, half of them mirrored, show whether the error is right. */
const TURNS = 128;
const SEED = 5;
/** What is told is nudged until the simulated turns come out as measured on average. */
const NUDGES = 2;

/** The error with which turns of the simulated robot come out as the trials found: on average, and as far apart. */
function errorOf(
  robot: Robot,
  stop: TurnStop,
  commandedRad: number,
  rateRadPerS: number,
): TurnError {
  const wanted = stop.constantRad + stop.scaleError * Math.abs(commandedRad);
  const own = ownStop(robot, commandedRad, rateRadPerS);
  const sdRad = Math.sqrt(Math.max(0, (stop.sdRad ?? 0) ** 2 - own.sdRad ** 2));
  const random = randomStream(SEED, 0, 'stop of a turn');
  const normals = Array.from({ length: TURNS / 2 }, () => random.normal()).flatMap((one) => [
    one,
    -one,
  ]);
  let meanRad = wanted - own.meanRad;
  for (let i = 0; i < NUDGES; i += 1) {
    const errors = normals.map((normal, run) =>
      beyondCommanded(robot, commandedRad, rateRadPerS, meanRad + sdRad * normal, run),
    );
    meanRad += wanted - mean(errors);
  }
  return { meanRad, sdRad };
}

/**
 * What the trials found of each turn of a plan, less what the simulated robot does by itself: with it, a turn
 * comes out in the simulation as it was measured.
 *
 * @returns null for steps that are no turns, and for turns of which the trials know nothing
 */
export function turnErrors(
  plan: readonly PlannedStep[],
  robot: Robot,
  turns: TurnsCalibration | null,
): (TurnError | null)[] {
  const known = new Map<string, TurnError>();
  return plan.map(({ step, angleRad }) => {
    const told = kindOfStep(step).turning?.of(step);
    if (turns === null || told == null || angleRad === 0) return null;
    const { rateRadPerS, leadRad } = told;
    const stop = stopOf(turns, angleRad, rateRadPerS);
    if (stop === null) return null;
    const wholeRad = robot.program.headingScale * Math.abs(angleRad);
    const commandedRad = Math.sign(angleRad) * Math.max(0.01, wholeRad - leadRad);
    const key = `${commandedRad} ${rateRadPerS}`;
    const error = known.get(key) ?? errorOf(robot, stop, commandedRad, rateRadPerS);
    known.set(key, error);
    return error;
  });
}
