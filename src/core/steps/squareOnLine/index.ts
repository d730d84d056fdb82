import { settled } from '../../control/rest';
import { squareOnLine as controlSquare } from '../../control/squareOnLine';
import { devicesOf } from '../../devices/ofRobot';
import type { DeviceOf } from '../../devices/device';
import type { Robot } from '../../robot/robot';
import { lineShares } from '../../sensing/lineShares';
import { mayHaveLines } from '../../table/mat';
import { atSpeed } from '../driven';
import { lineLeave } from '../lineLeave';
import type { Leg, StepKind } from '../kind';
import { rehearsed } from '../rehearsed';
import { unitNamed } from '../unitNamed';
import type { SquareOnLineStep } from './description';

/** It backs off so far before a second pass. */
export const BACK_M = 0.04;

/** The sensors on either side: those that are named, else those furthest apart; null where there are not two. */
export function sidesOf({ left, right }: SquareOnLineStep, robot: Robot) {
  const across = devicesOf(robot, 'light sensor').toSorted((a, b) => b.place.leftM - a.place.leftM);
  const named = (name: string | undefined, usual: DeviceOf<'light sensor'> | undefined) =>
    name === undefined ? (usual ?? null) : unitNamed(robot, 'light sensor', name);
  const sides = { left: named(left, across[0]), right: named(right, across.at(-1)) };
  return sides.left === sides.right ? { left: null, right: null } : sides;
}

function controlStep(step: SquareOnLineStep, leg: Leg, robot: Robot) {
  const lineIs = step.darker ? 'darker' : 'lighter';
  const looking = (unit: DeviceOf<'light sensor'> | null) =>
    unit && {
      of: { unitId: unit.id, channel: 'light' },
      enter: lineShares(unit.behaviour, lineIs).enterShare,
    };
  const { left, right } = sidesOf(step, robot);
  return settled(
    controlSquare(
      {
        left: looking(left),
        right: looking(right),
        lineIs,
        speedMPerS: step.speedMPerS,
        secondMPerS: step.secondMPerS ?? null,
        backM: BACK_M,
        timeoutS: leg.timeoutS,
      },
      robot,
    ),
  );
}

export const squareOnLine: StepKind<SquareOnLineStep> = {
  needs: () => ['left motor', 'right motor', 'light sensor'],
  group: 'until',
  isOffered: mayHaveLines,
  asAdded: () => ({ kind: 'square-on-line', darker: true, speedMPerS: 0.1 }),
  plan: (step, from, robot, table) =>
    rehearsed((leg, exact) => controlStep(step, leg, exact), from, robot, table, {
      never: 'no-line-ahead',
      timeoutS: step.timeoutS,
    }),
  control: controlStep,
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  drives: true,
  takesHeading: () => ({ shareLeft: 0, sdRad: 0 }),
  inProgram: {
    speed: atSpeed<SquareOnLineStep>(),
    leaves(step, _planned, robot) {
      const sides = sidesOf(step, robot);
      return (['left', 'right'] as const).map((stops) => {
        const { nth: _, again: __, ...one } = lineLeave(sides[stops], step.darker, 'entering', 1);
        return { ...one, stops };
      });
    },
  },
};
