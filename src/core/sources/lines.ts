import { calibrationOf } from '../calibration/find';
import type { Route } from '../course/route';
import { devicesOf } from '../devices/ofRobot';
import { neededBy } from '../steps/neededBy';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { errorLength } from '../text/quantities';
import { seenLaterBy } from '../calibration/seenLater';
import { guess, onRobot, type Source } from './source';

/** Nobody has driven over a line and measured where it stood. */
const OVERRUN_M = 0.003;

/** It drives by what a light sensor sees under it. */
const drivesByLines = ({ steps }: Pick<Route, 'steps'>): boolean =>
  motionsOf(steps).some(
    (step) => kindOfStep(step).drives && neededBy(step).includes('light sensor'),
  );

/** What may be off about where a line is seen: it acts as if the sensors sat further behind, or ahead. */
export const LINES: readonly Source[] = [
  {
    name: 'overrun of lines',
    level: 'robot',
    measuredBy: 'line-speed',
    touches: (route, robot) => devicesOf(robot, 'light sensor').length > 0 && drivesByLines(route),
    doubt: (values) => {
      const [first] = calibrationOf(values, 'line-crossing')?.overruns ?? [];
      return first === undefined
        ? guess(OVERRUN_M)
        : { sdRobot: Math.min(first.overSeM, OVERRUN_M), measured: true };
    },
    figure: () => null,
    within: (half) => `± ${errorLength(half, 1)}`,
    sample: (one, lateM) => onRobot(one, (robot) => seenLaterBy(robot, lateM)),
  },
];
