import { armMove } from '../../control/armMove';
import { rest } from '../../control/rest';
import { timeoutS as timeoutFor } from '../../control/settings';
import type { DeviceOf } from '../../devices/device';
import { devicesOf } from '../../devices/ofRobot';
import { degreesFromRadians, radiansFromDegrees } from '../../geometry/angle';
import type { Robot } from '../../robot/robot';
import { degrees } from '../../text/quantities';
import type { StepKind } from '../kind';
import type { PlanProblem } from '../problems';
import { unitOrFirst } from '../unitNamed';
import type { AttachmentStep } from './description';

/** So near it is there. */
export const THERE_RAD = radiansFromDegrees(2);
/** Where nobody has tried how it comes back to a place: a cautious guess. */
const GUESSED_SD_RAD = radiansFromDegrees(2);
const STARTING_S = 0.1;

export const motorOf = ({ unit }: AttachmentStep, robot: Robot) =>
  unitOrFirst(robot, 'attachment motor', unit);

/** The position of that name, as it was measured. */
function positionOf(step: AttachmentStep, robot: Robot) {
  const motor = motorOf(step, robot);
  const first = devicesOf(robot, 'attachment motor')[0];
  const arm = robot.measured.arms.find(({ unitId }) =>
    unitId === null ? motor === first : unitId === motor?.id,
  );
  return arm?.positions.find(({ name }) => name === step.position);
}

/** Where its motor is told to stop, and how that scatters; null: it turns for a time. */
export function targetOf(
  step: AttachmentStep,
  robot: Robot,
): { rad: number; sdRad: number } | null {
  if (step.position !== undefined) {
    const known = positionOf(step, robot);
    return known === undefined ? null : { rad: known.angleRad, sdRad: known.sdRad };
  }
  return step.angleRad === undefined ? null : { rad: step.angleRad, sdRad: GUESSED_SD_RAD };
}

const rateOf = (motor: DeviceOf<'attachment motor'> | null, { share }: AttachmentStep): number =>
  share * (motor?.behaviour.fullRateRadPerS ?? 1);

/** From where it stands at the start; what it has still to go from elsewhere nobody knows before. */
function moveS(step: AttachmentStep, robot: Robot): number {
  const target = targetOf(step, robot);
  if (target === null) return step.seconds ?? 0;
  const rate = Math.abs(rateOf(motorOf(step, robot), step));
  return STARTING_S + Math.abs(target.rad) / rate;
}

function problemsOf(step: AttachmentStep, robot: Robot): PlanProblem[] {
  if (motorOf(step, robot) === null) return ['no-such-motor'];
  if (step.position !== undefined && positionOf(step, robot) === undefined)
    return ['unknown-position'];
  const told = [step.position, step.angleRad, step.seconds];
  return told.every((one) => one === undefined) ? ['nowhere-to-move'] : [];
}

export const attachment: StepKind<AttachmentStep> = {
  needs: () => ['attachment motor'],
  group: 'work',
  isOffered: () => true,
  asAdded: ({ robot: { measured } }) => ({
    kind: 'attachment',
    share: 0.5,
    wait: true,
    ...(measured.arms[0]?.positions[0] === undefined
      ? { angleRad: Math.PI / 2 }
      : { position: measured.arms[0].positions[0].name }),
  }),
  plan(step, from, robot) {
    const durationS = step.wait ? moveS(step, robot) : 0;
    const problems = problemsOf(step, robot);
    const stays = { to: from, distanceM: 0, angleRad: 0, durationS, problems };
    return { ...stays, timeoutS: timeoutFor(moveS(step, robot)) };
  },
  control(step, { timeoutS }, robot) {
    const motor = motorOf(step, robot);
    const target = targetOf(step, robot);
    if (motor !== null && (!step.wait || target === null))
      return rest(step.wait ? (step.seconds ?? 0) : 0);
    return armMove({
      of: motor && { unitId: motor.id, channel: 'angle' },
      target: degreesFromRadians(target?.rad ?? 0),
      tolerance: degreesFromRadians(THERE_RAD + 3 * (target?.sdRad ?? 0)),
      timeoutS,
    });
  },
  movesArm(step, robot, random) {
    const motor = motorOf(step, robot);
    if (motor === null) return null;
    const target = targetOf(step, robot);
    const rateRadPerS = rateOf(motor, step);
    return target === null
      ? { unitId: motor.id, toRad: null, rateRadPerS, durationS: step.seconds ?? 0 }
      : {
          unitId: motor.id,
          toRad: target.rad + target.sdRad * random.normal(),
          rateRadPerS: Math.abs(rateRadPerS),
          durationS: null,
        };
  },
  teaches(step, robot) {
    const unit = motorOf(step, robot);
    if (unit === null) return [];
    return [
      {
        placed: 'with the arm where it should go',
        of: { unit, channel: 'angle' },
        with(reading) {
          const { position: _named, seconds: _timed, ...rest } = step;
          return { ...rest, angleRad: radiansFromDegrees(reading) };
        },
      },
    ];
  },
  drives: false,
  inProgram: {
    leaves(step, _planned, robot) {
      if (!step.wait) return [];
      const target = targetOf(step, robot);
      return target === null
        ? [{ by: 'time', seconds: step.seconds ?? 0 }]
        : [{ by: 'arm', unit: motorOf(step, robot), angleRad: target.rad }];
    },
    notes(step, robot) {
      const target = step.position === undefined ? null : targetOf(step, robot);
      if (target !== null) return [`Its motor stands at ${degrees(target.rad)} then.`];
      return step.angleRad === undefined
        ? []
        : ['How exactly it comes there is a guess: try it a few times (Bench: Attachments).'];
    },
  },
};
