import type { NumberValue } from '../description/description';
import type { Robot } from '../robot/robot';
import { headingOf, isA, withHeading } from '../devices/ofRobot';
import { KINDS } from '../devices/registry';
import type { Device } from '../devices/device';
import type { NamedError } from './source';

/** What its kind calls noise, so many times as much, but no more than may stand there. */
function noisier(
  unit: Device,
  noise: Readonly<Record<string, NumberValue>>,
  times: number,
): Device {
  const behaviour = unit.behaviour as Readonly<Record<string, number>>;
  const more = Object.entries(noise).map(([name, { max }]) => [
    name,
    Math.min(max, times * (behaviour[name] ?? 0)),
  ]);
  return { ...unit, behaviour: { ...behaviour, ...Object.fromEntries(more) } } as Device;
}

/** The noise of each kind of sensor. */
const NOISES = KINDS.flatMap(({ kind, noise }): NamedError[] =>
  noise === null
    ? []
    : [
        {
          name: `noise of the ${kind}`,
          level: 'use',
          times: (robot, times) => ({
            ...robot,
            units: robot.units.map((unit) =>
              isA(unit, kind) ? noisier(unit, noise, times) : unit,
            ),
          }),
        },
      ],
);

/** What is part of the robot as it is recorded: its wheels slip, its sensors are never quite still. */
export const IN_THE_ROBOT: readonly NamedError[] = [
  {
    name: 'slip of the wheels',
    level: 'use',
    times: (robot: Robot, times) => ({
      ...robot,
      errors: { ...robot.errors, slipMPerSqrtM: times * robot.errors.slipMPerSqrtM },
    }),
  },
  {
    name: 'drift from run to run',
    level: 'run',
    times: (robot, times) =>
      withHeading(robot, { driftSdRadPerS: times * (headingOf(robot)?.driftSdRadPerS ?? 0) }),
  },
  ...NOISES,
];
