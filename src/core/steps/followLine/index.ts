import { followUntil, type FollowUntil } from '../../control/followUntil';
import { settled } from '../../control/rest';
import type { DeviceOf } from '../../devices/device';
import { devicesOf } from '../../devices/ofRobot';
import { rawReading, rawText } from '../../program/rawReading';
import type { Robot } from '../../robot/robot';
import { lineShares } from '../../sensing/lineShares';
import { mayHaveLines } from '../../table/mat';
import { atSpeed } from '../driven';
import { lineLeave } from '../lineLeave';
import type { Leg, StepKind } from '../kind';
import { rehearsed } from '../rehearsed';
import { unitNamed, unitOrFirst } from '../unitNamed';
import type { FollowLineStep } from './description';

type Light = DeviceOf<'light sensor'>;

/** Where nobody has tuned it on the robot. */
const USUAL_GAIN = 5;

const lightOf = (unit: Light | null) => unit && { unitId: unit.id, channel: 'light' };

const lineIsOf = ({ darker }: FollowLineStep) => (darker ? 'darker' : 'lighter');

/** The middle between line and floor, as that sensor reads them. */
export function middleOf(step: FollowLineStep, unit: Light | null): number {
  if (unit === null) return 0;
  const { enterShare, leaveShare } = lineShares(unit.behaviour, lineIsOf(step));
  return (enterShare + leaveShare) / 2;
}

/** The sensor that counts crossings: the one that is named, else the first that follows nothing. */
export function counterOf(step: FollowLineStep, robot: Robot): Light | null {
  const { crossingSensor, sensor, astride } = step;
  if (crossingSensor !== undefined) return unitNamed(robot, 'light sensor', crossingSensor);
  const followed = unitOrFirst(robot, 'light sensor', sensor);
  const others = devicesOf(robot, 'light sensor');
  return others.find((one) => one !== followed && one.label !== astride) ?? null;
}

/** How it counts them; null: it counts none. */
function crossingOf(step: FollowLineStep, robot: Robot): FollowUntil['crossing'] {
  const { crossings } = step;
  if (crossings === undefined) return null;
  const unit = counterOf(step, robot);
  const { enterShare, leaveShare } =
    unit === null ? { enterShare: 0, leaveShare: 0 } : lineShares(unit.behaviour, lineIsOf(step));
  return {
    of: lightOf(unit),
    count: crossings,
    enter: enterShare,
    leave: leaveShare,
    lineIs: lineIsOf(step),
    on: 'entering',
    isOnLine: null,
    seen: 0,
  };
}

/** What looks at the edge, and at the other one; null: there is no such sensor, or it is not asked for. */
export const withSensors = (
  { sensor, astride }: FollowLineStep,
  robot: Robot,
): { own: Light | null; other: Light | null } => ({
  own: unitOrFirst(robot, 'light sensor', sensor),
  other: astride === undefined ? null : unitNamed(robot, 'light sensor', astride),
});

/**
 * To which side a reading that is too large turns it: 1 to the left. Floor lies to the left of a left edge: a reading
 * too much like the floor's wants a turn to the right.
 */
export function wayBack(step: FollowLineStep, own: Light | null, other: Light | null): 1 | -1 {
  if (step.astride === undefined) return (step.side === 'left') === step.darker ? -1 : 1;
  const isLeft = own !== null && other !== null && own.place.leftM > other.place.leftM;
  return isLeft === step.darker ? -1 : 1;
}

/** What it keeps, by one sensor over an edge or by two astride the line. */
function kept(step: FollowLineStep, robot: Robot) {
  const { own, other } = withSensors(step, robot);
  const gainRadPerS = wayBack(step, own, other) * step.gainRadPerS;
  if (step.astride === undefined) {
    const target = step.target ?? middleOf(step, own);
    return { of: lightOf(own), minus: null, target, gainRadPerS };
  }
  return {
    of: other === null ? null : lightOf(own),
    minus: lightOf(other),
    target: middleOf(step, own) - middleOf(step, other),
    gainRadPerS,
  };
}

const controlStep = (step: FollowLineStep, { timeoutS }: Leg, robot: Robot) =>
  settled(
    followUntil(
      {
        ...kept(step, robot),
        speedMPerS: step.speedMPerS,
        lengthM: step.lengthM,
        timeoutS,
        crossing: crossingOf(step, robot),
        gapFrom: null,
        endsAtGap: false,
      },
      robot.trackM,
    ),
  );

export const followLine: StepKind<FollowLineStep> = {
  needs: () => ['left motor', 'right motor', 'light sensor'],
  group: 'follow',
  isOffered: mayHaveLines,
  asAdded: ({ robot: { measured } }) => ({
    kind: 'follow-line',
    side: 'left',
    darker: true,
    lengthM: 0.3,
    speedMPerS: 0.12,
    gainRadPerS: Math.abs(measured.gains.line ?? USUAL_GAIN),
  }),
  plan: (step, from, robot, table) =>
    rehearsed((leg, exact) => controlStep(step, leg, exact), from, robot, table, {
      never: 'never-ends',
      timeoutS: step.timeoutS,
    }),
  control: controlStep,
  corrects: (step) => ({
    by: 'line',
    gain: step.gainRadPerS,
    speed: step.speedMPerS,
    withSpeed: (speedMPerS) => ({ ...step, speedMPerS }),
  }),
  crossesLines: (step) =>
    step.crossings === undefined
      ? null
      : {
          speedMPerS: step.speedMPerS,
          sensor: step.crossingSensor,
          withSpeed: (speedMPerS) => ({ ...step, speedMPerS }),
        },
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  teaches(step, robot) {
    const unit = unitOrFirst(robot, 'light sensor', step.sensor);
    if (unit === null || step.astride !== undefined) return [];
    return [
      {
        placed: 'with that sensor over the edge, as it should follow it',
        of: { unit, channel: 'light' },
        with: (target) => ({ ...step, target }),
      },
    ];
  },
  drives: true,
  inProgram: {
    speed: atSpeed<FollowLineStep>(),
    leaves: (step, _planned, robot) => [
      { by: 'travel', distanceM: step.lengthM, angleRad: null },
      ...(step.crossings === undefined
        ? []
        : [lineLeave(counterOf(step, robot), step.darker, 'entering', step.crossings)]),
    ],
    notes(step, robot) {
      const own = unitOrFirst(robot, 'light sensor', step.sensor);
      return own === null || step.astride !== undefined
        ? []
        : [
            `It keeps ${own.label} at ${rawText(rawReading(own, 'light', step.target ?? middleOf(step, own)))}.`,
          ];
    },
  },
};
