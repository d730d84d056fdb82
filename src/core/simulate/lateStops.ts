import { approach } from '../control/approach';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import type { PlannedStep } from '../course/plan';
import type { Table } from '../table/table';
import type { MeasuredStop } from '../robot/measured';
import { overrunM } from '../control/overrun';
import type { Robot } from '../robot/robot';
import { mean, sampleSd } from '../stats/moments';
import { kindOfStep } from '../steps/registry';
import { lookingAhead } from '../devices/ofRobot';
import { OPEN_FLOOR } from './floor';
import { createMachine } from '../machine/machine';

/** How far a stop goes on, or further than another: always, and by chance. */
export interface LateStop {
  meanM: number;
  sdM: number;
}

/** So many stops, spread over the moments at which the sensor may read. */
const STOPS = 24;
const SEED = 7;
/** Softly braked wheels take longer than a program waits. */
const STANDS_AFTER_S = 2;
/** Nothing but a border. */
const TABLE: Table = { ...OPEN_FLOOR, widthM: 6, heightM: 2 };
const THRESHOLD_M = 0.3;
/** So far it drives until the threshold, beside what it takes to come to its speed. */
const RUN_UP_M = 0.25;

/** How far a simulated robot drives on by itself after the true gap at which its sensor should read the threshold. */
export function ownOverrun(robot: Robot, speedMPerS: number): LateStop {
  const sensor = lookingAhead(robot);
  if (sensor === null) return { meanM: 0, sdM: 0 };
  const { behaviour, place } = sensor;
  const runUpM = RUN_UP_M + speedMPerS ** 2 / robot.motors.maxAccelerationMPerS2;
  const overruns = Array.from({ length: STOPS }, (_, run) => {
    const phaseM = (speedMPerS * behaviour.periodS * run) / STOPS;
    const startM = TABLE.widthM - place.aheadM - THRESHOLD_M - runUpM - phaseM;
    const start = { xM: startM, yM: TABLE.heightM / 2, headingRad: 0 };
    const machine = createMachine(robot, TABLE, start, SEED, run);
    const how = {
      thresholdM: behaviour.offsetM + behaviour.scale * THRESHOLD_M,
      speedMPerS,
      keep: { strategy: 'open-loop' as const },
      timeoutS: (4 * runUpM) / speedMPerS + 2,
    };
    drive(machine, approach(how, robot), () => undefined);
    drive(machine, rest(STANDS_AFTER_S), () => undefined);
    return THRESHOLD_M - (TABLE.widthM - machine.pose.xM - place.aheadM);
  });
  return { meanM: mean(overruns), sdM: sampleSd(overruns) };
}

const beyondOwn = (stop: MeasuredStop, own: LateStop, speedMPerS: number): LateStop => ({
  meanM: overrunM(stop, speedMPerS) - own.meanM,
  sdM: Math.sqrt(Math.max(0, stop.residualSdM ** 2 - own.sdM ** 2)),
});

/**
 * What stops were measured to go on by, less what the simulated robot does by itself: with it, a step that stops by
 * a reading comes out in the simulation as it was measured.
 *
 * @returns null for steps that do not stop so, and where nobody has measured it
 */
export function lateStops(plan: readonly PlannedStep[], robot: Robot): (LateStop | null)[] {
  const { stop } = robot.measured;
  const known = new Map<number, LateStop>();
  return plan.map(({ step }) => {
    const speedMPerS = kindOfStep(step).stopsBy?.(step).speedMPerS ?? null;
    if (stop === null || speedMPerS === null) return null;
    const late =
      known.get(speedMPerS) ?? beyondOwn(stop, ownOverrun(robot, speedMPerS), speedMPerS);
    known.set(speedMPerS, late);
    return late;
  });
}
