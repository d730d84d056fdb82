import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { timeoutS } from '../control/settings';
import { expectedStraightS, straight } from '../control/straight';
import type { PlannedStep } from '../course/plan';
import type { Robot } from '../robot/robot';
import { kindOfStep } from '../steps/registry';
import { FLOOR_MIDDLE, OPEN_FLOOR } from './floor';
import type { LateStop } from './lateStops';
import { createMachine } from '../machine/machine';

const SEED = 9;
/** Until a drive is measured, the robot has come to rest. */
const STANDS_AFTER_S = 1;

/**
 * How far a simulated robot drives beyond what it is told by itself, on an open floor.
 *
 * Its encoders do not see the slip: the mean is that of one drive without it, and the scatter is what the slip of both
 * wheels makes of their mean. (Means of a few drives with it are off by as much for every robot that is simulated.)
 */
export function ownCoast(robot: Robot, distanceM: number, speedMPerS: number): LateStop {
  const { slipMPerSqrtM } = robot.errors;
  const surefooted = { ...robot, errors: { ...robot.errors, slipMPerSqrtM: 0 } };
  const machine = createMachine(surefooted, OPEN_FLOOR, FLOOR_MIDDLE, SEED, 0);
  const keep = { strategy: 'open-loop' as const };
  const limitS = timeoutS(expectedStraightS(distanceM, speedMPerS, robot));
  const how = { distanceM, speedMPerS, keep, timeoutS: limitS };
  drive(machine, straight(how, robot), () => undefined);
  drive(machine, rest(STANDS_AFTER_S), () => undefined);
  const { xM, yM } = machine.pose;
  return {
    meanM: Math.hypot(xM - FLOOR_MIDDLE.xM, yM - FLOOR_MIDDLE.yM) - Math.abs(distanceM),
    sdM: slipMPerSqrtM * Math.sqrt(Math.abs(distanceM) / 2),
  };
}

/**
 * How single drives by the encoders were measured to scatter, less what the simulated robot does by itself: with it, a
 * drive gets as far in the simulation as its program, told less by what it rolls on, makes it on the table.
 *
 * @returns null for steps that do not end by the encoders, and where nobody has measured it
 */
export function lateDrives(plan: readonly PlannedStep[], robot: Robot): (LateStop | null)[] {
  const { straight: measured } = robot.measured;
  const known = new Map<string, LateStop>();
  return plan.map(({ step }) => {
    const told = kindOfStep(step).byEncoders?.(step);
    if (measured === null || told === undefined || told.distanceM === 0) return null;
    const key = `${told.distanceM} ${told.speedMPerS}`;
    const own = known.get(key) ?? ownCoast(robot, told.distanceM, told.speedMPerS);
    known.set(key, own);
    const sdM = Math.sqrt(Math.max(0, measured.scatterM ** 2 - own.sdM ** 2));
    return { meanM: -own.meanM, sdM };
  });
}
