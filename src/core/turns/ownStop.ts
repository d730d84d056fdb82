import type { Robot } from '../robot/robot';
import { mean, sampleSd } from '../stats/moments';
import { turnOnce } from './simulateStrategy';

/** So many turns tell what a simulated robot does by itself. */
const ENOUGH_TURNS = 48;
const SEED = 5;

/** How much further than told one simulated turn goes, stopped late by an angle. */
export const beyondCommanded = (
  robot: Robot,
  commandedRad: number,
  rateRadPerS: number,
  lateRad: number,
  run: number,
): number =>
  turnOnce(robot, { school: 'stop-early', rateRadPerS, leadRad: -lateRad }, commandedRad, SEED, run)
    .errorRad;

/**
 * How far a simulated robot's turns go beyond what they are told: on average, and how far apart.
 *
 * A program stops in steps of its loop, so that a single turn without scatter says little: this is the mean
 * over what is told, spread evenly over such a step.
 */
export function ownStop(
  robot: Robot,
  commandedRad: number,
  rateRadPerS: number,
  turns = ENOUGH_TURNS,
): { meanRad: number; sdRad: number } {
  const stepRad = rateRadPerS * robot.loopPeriodS;
  const beyond = Array.from({ length: turns }, (_, run) => {
    const lateRad = stepRad * ((run + 0.5) / turns - 0.5);
    return beyondCommanded(robot, commandedRad, rateRadPerS, lateRad, run) - lateRad;
  });
  return { meanRad: mean(beyond), sdRad: sampleSd(beyond) };
}
