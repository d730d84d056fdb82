import { settled } from '../../control/rest';
import { untilRead } from '../../control/untilRead';
import { devicesOf } from '../../devices/ofRobot';
import { WHEELS_HELD } from '../../machine/ownReadings';
import type { Robot } from '../../robot/robot';
import { drivenInProgram, newGain } from '../driven';
import { heldHeading, type Leg, type StepKind } from '../kind';
import { rehearsed } from '../rehearsed';
import { unitNamed } from '../unitNamed';
import { STALL, type TouchStep } from './description';

/** Pressed or let go. */
const MIDDLE = 0.5;

function felt({ sensor }: TouchStep, robot: Robot) {
  if (sensor === STALL) return WHEELS_HELD;
  const unit = unitNamed(robot, 'touch sensor', sensor);
  return unit && { unitId: unit.id, channel: 'touch' };
}

const controlTouch = (step: TouchStep, leg: Leg, robot: Robot) =>
  settled(
    untilRead(
      {
        endsWhen: { of: felt(step, robot), passes: 'above', value: MIDDLE, confirmations: 1 },
        speedMPerS: step.back ? -step.speedMPerS : step.speedMPerS,
        keep: heldHeading(step, leg),
        timeoutS: leg.timeoutS,
        ...(leg.fromMPerS !== undefined && { fromMPerS: leg.fromMPerS }),
      },
      robot,
    ),
  );

export const touch: StepKind<TouchStep> = {
  needs: ({ sensor }) => [
    'left motor',
    'right motor',
    'heading sensor',
    ...(sensor === STALL ? [] : (['touch sensor'] as const)),
  ],
  group: 'until',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'touch',
    sensor: devicesOf(place.robot, 'touch sensor')[0]?.label ?? STALL,
    back: false,
    speedMPerS: 0.1,
    gainMPerSPerRad: newGain(place),
  }),
  plan: (step, from, robot, table) =>
    rehearsed((leg, exact) => controlTouch(step, leg, exact), from, robot, table, {
      never: 'nothing-to-touch',
      timeoutS: step.timeoutS,
      meets: true,
    }),
  control: controlTouch,
  meets: true,
  rollsIn: ({ back }) => (back ? -1 : 1),
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  drives: true,
  inProgram: {
    ...drivenInProgram<TouchStep>(),
    leaves: ({ sensor }, _planned, robot) =>
      sensor === STALL
        ? [{ by: 'stall' }]
        : [
            {
              by: 'reading',
              unit: unitNamed(robot, 'touch sensor', sensor),
              channel: 'touch',
              is: 'above',
              value: MIDDLE,
            },
          ],
  },
};
