import { approach as controlApproach } from '../../control/approach';
import { settled } from '../../control/rest';
import { SETTLE_S, timeoutS as timeoutFor } from '../../control/settings';
import { obstacles } from '../../table/obstacles';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import type { Pose } from '../../geometry/pose';
import { isBeyond, voltsOrNearer } from '../../sensing/voltLaw';
import { meanStopM } from '../../control/meanStop';
import { overrunM } from '../../control/overrun';
import type { Robot } from '../../robot/robot';
import { gapAhead } from '../../table/ray';
import { errorLength } from '../../text/quantities';
import { lookingAhead } from '../../devices/ofRobot';
import { ahead, drivenInProgram, newGain, STARTING_S } from '../driven';
import { unitNamed } from '../unitNamed';
import { heldHeading, type StepKind } from '../kind';
import type { ApproachStep } from './description';

/** The distance sensor that is named, else the one that looks ahead. */
export const sensorOf = ({ sensor }: ApproachStep, robot: Robot) =>
  sensor === undefined ? lookingAhead(robot) : unitNamed(robot, 'distance sensor', sensor);

/** So far before its threshold it slows down, where nobody says. */
const SLOW_FOR_M = 0.1;

/** From which reading on it has its slow speed; null: it has one speed. */
export const slowsAt = ({ slowMPerS, slowFromM, thresholdM }: ApproachStep) =>
  slowMPerS === undefined
    ? undefined
    : { at: slowFromM ?? thresholdM + SLOW_FOR_M, speedMPerS: slowMPerS };

/** With which speed it comes to its threshold. */
const lastSpeed = ({ slowMPerS, speedMPerS }: ApproachStep): number => slowMPerS ?? speedMPerS;

/** How long its way takes: the last piece of it may be slow. */
function wayS(step: ApproachStep, distanceM: number): number {
  const slows = slowsAt(step);
  const slowM = slows === undefined ? 0 : Math.max(0, slows.at - step.thresholdM);
  const [fast, slow] = [Math.max(0, distanceM - slowM), Math.min(slowM, distanceM)];
  return fast / step.speedMPerS + slow / lastSpeed(step);
}

/** How far it is until the recorded sensor reads the threshold, or why it never will. */
function wayTo(
  step: ApproachStep,
  from: Pose,
  robot: Robot,
  table: Table,
): { distanceM: number } | { problem: PlanProblem } {
  const { thresholdM } = step;
  const sensor = sensorOf(step, robot);
  if (sensor === null)
    return { problem: step.sensor === undefined ? 'no-distance-sensor' : 'no-such-sensor' };
  const { offsetM, scale, beamHalfAngleRad } = sensor.behaviour;
  const surfaces = obstacles(table, sensor.place.heightM);
  const readsAfter = (distanceM: number) =>
    offsetM + scale * gapAhead(ahead(from, distanceM), sensor, beamHalfAngleRad, surfaces);
  const reads = readsAfter(0);
  if (reads === Infinity) return { problem: 'nothing-ahead' };
  if (reads <= thresholdM) return { problem: 'already-there' };
  const distanceM = whereItReads(readsAfter, thresholdM, scale);
  return distanceM === null ? { problem: 'nothing-ahead' } : { distanceM };
}

/** So exactly it is told where a reading is at a threshold, after so many steps at most. */
const EXACTLY_M = 1e-6;
const MOST_STEPS = 1000;

/**
 * After how much driving a reading has come down to a threshold: nothing comes nearer faster than the robot drives, so
 * that it may always drive on by what is left; null: it never does.
 *
 * Source: Hart, Sphere tracing, The Visual Computer 12 (1996), 527–545.
 */
function whereItReads(
  readsAfter: (distanceM: number) => number,
  thresholdM: number,
  scale: number,
): number | null {
  let distanceM = 0;
  for (let step = 0; step < MOST_STEPS; step += 1) {
    const leftM = (readsAfter(distanceM) - thresholdM) / scale;
    if (leftM <= EXACTLY_M) return distanceM + leftM;
    distanceM += leftM;
    if (!Number.isFinite(distanceM)) return null;
  }
  return distanceM;
}

/** How far it drives on after its threshold; null where nobody has measured it. */
const drivesOnM = ({ measured: { stop } }: Robot, speedMPerS: number): number | null =>
  stop && overrunM(stop, speedMPerS);

/** The same, as it was measured, else as it follows from the robot's record; on so short a way as that. */
function goesOnM(step: ApproachStep, robot: Robot, wayM: number): number {
  const { periodS } = sensorOf(step, robot)?.behaviour ?? { periodS: 0 };
  const speedMPerS = lastSpeed(step);
  return drivesOnM(robot, speedMPerS) ?? meanStopM(robot, periodS, speedMPerS, wayM);
}

/** What its sensor shows there, where it shows volts, and that it does not stand where it is told to stop. */
function notesOf(robot: Robot, speedMPerS: number, thresholdM: number): string[] {
  const { volts } = robot.measured;
  const onM = drivesOnM(robot, speedMPerS);
  return [
    ...(volts === null
      ? []
      : [
          `Its sensor shows ${voltsOrNearer(volts.law, thresholdM)} then${isBeyond(volts, thresholdM) ? ': a guess, nobody measured it there' : ''}.`,
        ]),
    ...(onM === null ? [] : [`It drives on by ${errorLength(onM)} after that.`]),
  ];
}

export const approach: StepKind<ApproachStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor', 'distance sensor'],
  group: 'until',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'approach',
    thresholdM: 0.12,
    speedMPerS: 0.12,
    gainMPerSPerRad: newGain(place),
  }),
  plan(step, from, robot, table) {
    const way = wayTo(step, from, robot, table);
    const distanceM = 'problem' in way ? 0 : way.distanceM + goesOnM(step, robot, way.distanceM);
    const durationS = wayS(step, distanceM) + STARTING_S + SETTLE_S;
    return {
      to: ahead(from, distanceM),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: step.timeoutS ?? timeoutFor(durationS),
      problems: 'problem' in way ? [way.problem] : [],
    };
  },
  control(step, leg, robot) {
    const { speedMPerS } = step;
    const keep = heldHeading(step, leg);
    const sensor = sensorOf(step, robot);
    const { scale, minM } = sensor?.behaviour ?? { scale: 1, minM: 0 };
    const thresholdM = Math.max(minM, step.thresholdM - scale * leg.lateM);
    return settled(
      controlApproach(
        {
          ...{ thresholdM, speedMPerS, keep, timeoutS: leg.timeoutS, sensor },
          ...{ fromMPerS: leg.fromMPerS, slows: slowsAt(step) },
        },
        robot,
      ),
    );
  },
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  teaches(step, robot) {
    const unit = sensorOf(step, robot);
    if (unit === null) return [];
    // It is told to stop by so much earlier as it goes on.
    const earlierM = unit.behaviour.scale * goesOnM(step, robot, Infinity);
    return [
      {
        placed: 'where it should stop',
        of: { unit, channel: 'distance' },
        with: (reading) => ({ ...step, thresholdM: reading + earlierM }),
      },
    ];
  },
  stopsBy: (step) => ({ thresholdM: step.thresholdM, speedMPerS: lastSpeed(step) }),
  rollsIn: () => 1,
  drives: true,
  inProgram: {
    ...drivenInProgram<ApproachStep>(),
    leaves: (step, _planned, robot) => [
      {
        by: 'reading',
        unit: sensorOf(step, robot),
        channel: 'distance',
        is: 'below',
        value: step.thresholdM,
      },
    ],
    notes: (step, robot) => notesOf(robot, lastSpeed(step), step.thresholdM),
  },
};
