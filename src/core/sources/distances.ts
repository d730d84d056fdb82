import { calibrationOf } from '../calibration/find';
import type { Route } from '../course/route';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { lookingAhead, withDistance } from '../devices/ofRobot';
import { errorLength, number } from '../text/quantities';
import { guess, onRobot, plusMinusShare, type Source } from './source';
import { stopSpeedMPerS } from './uses';

/** What a stop before a wall may be late by: about a period of the sensor. */
const STOP_BY_DISTANCE_S = 0.03;

/** Of what the distance sensor gets wrong nothing is seen where no step goes by it. */
const goesByDistance = ({ steps }: Route): boolean =>
  motionsOf(steps).some((step) => kindOfStep(step).stopsBy !== undefined);

/** What may be off about the distance sensor, and about stops by it. */
export const DISTANCES: readonly Source[] = [
  {
    name: 'offset of the distance sensor',
    level: 'robot',
    measuredBy: 'range',
    touches: goesByDistance,
    doubt: (values) => {
      const range = calibrationOf(values, 'range');
      if (range === null) return guess(0.005);
      return { sdRobot: range.atMid?.seM ?? range.offsetSeM, measured: true };
    },
    figure: (robot) => errorLength(lookingAhead(robot)?.behaviour.offsetM ?? 0, 1),
    within: (half) => `± ${errorLength(half, 1)}`,
    sample: (one, offsetM) =>
      onRobot(one, (robot) =>
        withDistance(robot, {
          offsetM: (lookingAhead(robot)?.behaviour.offsetM ?? 0) + offsetM,
        }),
      ),
  },
  {
    name: 'scale of the distance sensor',
    level: 'robot',
    measuredBy: 'range',
    touches: goesByDistance,
    doubt: (values) => {
      const range = calibrationOf(values, 'range');
      if (range === null) return guess(0.01);
      const { scaleFactorSe, atMid } = range;
      return {
        sdRobot: scaleFactorSe,
        measured: true,
        ...(atMid !== undefined && { aboutM: atMid.distanceM }),
      };
    },
    figure: (robot) => `× ${number(lookingAhead(robot)?.behaviour.scale ?? 1, 3)}`,
    within: plusMinusShare,
    sample: (one, share, { aboutM = 0 }) =>
      onRobot(one, (robot) => {
        const { scale, offsetM } = lookingAhead(robot)?.behaviour ?? { scale: 1, offsetM: 0 };
        return withDistance(robot, {
          scale: scale * (1 + share),
          offsetM: offsetM - scale * share * aboutM,
        });
      }),
  },
  {
    name: 'stops by distance',
    level: 'robot',
    plural: true,
    measuredBy: 'stop',
    touches: goesByDistance,
    doubt: (values) => {
      const stop = calibrationOf(values, 'stop');
      if (stop === null) return guess(STOP_BY_DISTANCE_S);
      const { residualSdM, n, slowestMPerS, lateSeS } = stop;
      return { sdRobot: lateSeS ?? residualSdM / Math.sqrt(n) / slowestMPerS, measured: true };
    },
    figure: ({ measured }) =>
      measured.stop === null ? null : `${number(1000 * measured.stop.lagS)} ms`,
    within: (half) => `± ${number(1000 * half)} ms`,
    inRuns:
      ({ plan }) =>
      (run) => ({ lateM: (motion) => run.off * stopSpeedMPerS(plan[motion]?.step) }),
  },
];
