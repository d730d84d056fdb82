import { followUntil } from '../../control/followUntil';
import { settled } from '../../control/rest';
import { devicesOf } from '../../devices/ofRobot';
import { rawReading, rawText } from '../../program/rawReading';
import type { Robot } from '../../robot/robot';
import { atSpeed } from '../driven';
import type { Leg, StepKind } from '../kind';
import { rehearsed } from '../rehearsed';
import { unitNamed } from '../unitNamed';
import type { FollowWallStep } from './description';

/** Where nobody has tuned it on the robot. */
const USUAL_GAIN = 8;
/** So much further than it should be, nothing of that wall is there any more. */
export const GAP_M = 0.15;

/** Where on that side a sensor looks, at least. */
const SIDEWAYS = 0.5;

export const signOf = ({ side }: FollowWallStep) => (side === 'left' ? 1 : -1);

export function sensorOf(step: FollowWallStep, robot: Robot) {
  if (step.sensor !== undefined) return unitNamed(robot, 'distance sensor', step.sensor);
  const looks = (facingRad: number) => signOf(step) * Math.sin(facingRad);
  return (
    devicesOf(robot, 'distance sensor').find(({ facingRad }) => looks(facingRad) > SIDEWAYS) ?? null
  );
}

function controlStep(step: FollowWallStep, { timeoutS }: Leg, robot: Robot) {
  const unit = sensorOf(step, robot);
  return settled(
    followUntil(
      {
        of: unit && { unitId: unit.id, channel: 'distance' },
        target: step.keepM,
        gainRadPerS: signOf(step) * step.gainRadPerSPerM,
        speedMPerS: step.speedMPerS,
        lengthM: step.lengthM,
        timeoutS,
        crossing: null,
        gapFrom: step.keepM + GAP_M,
        endsAtGap: step.toEnd,
      },
      robot.trackM,
    ),
  );
}

export const followWall: StepKind<FollowWallStep> = {
  needs: () => ['left motor', 'right motor', 'distance sensor'],
  group: 'follow',
  isOffered: () => true,
  asAdded: ({ robot }) => ({
    kind: 'follow-wall',
    side: devicesOf(robot, 'distance sensor').some(
      ({ facingRad }) => Math.sin(facingRad) < -SIDEWAYS,
    )
      ? 'right'
      : 'left',
    keepM: 0.1,
    lengthM: 0.5,
    toEnd: false,
    speedMPerS: 0.12,
    gainRadPerSPerM: Math.abs(robot.measured.gains.wall ?? USUAL_GAIN),
  }),
  plan: (step, from, robot, table) =>
    rehearsed((leg, exact) => controlStep(step, leg, exact), from, robot, table, {
      never: 'never-ends',
      timeoutS: step.timeoutS,
    }),
  control: controlStep,
  corrects: (step) => ({
    by: 'wall',
    gain: step.gainRadPerSPerM,
    speed: step.speedMPerS,
    withSpeed: (speedMPerS) => ({ ...step, speedMPerS }),
  }),
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  teaches(step, robot) {
    const unit = sensorOf(step, robot);
    if (unit === null) return [];
    return [
      {
        placed: 'as far from the wall as it should drive along it',
        of: { unit, channel: 'distance' },
        with: (keepM) => ({ ...step, keepM }),
      },
    ];
  },
  drives: true,
  inProgram: {
    speed: atSpeed<FollowWallStep>(),
    leaves: (step, _planned, robot) => [
      { by: 'travel', distanceM: step.lengthM, angleRad: null },
      ...(step.toEnd
        ? [
            {
              by: 'reading' as const,
              unit: sensorOf(step, robot),
              channel: 'distance',
              is: 'above' as const,
              value: step.keepM + GAP_M,
            },
          ]
        : []),
    ],
    notes(step, robot) {
      const own = sensorOf(step, robot);
      return own === null
        ? []
        : [`It keeps ${own.label} at ${rawText(rawReading(own, 'distance', step.keepM, robot))}.`];
    },
  },
};
