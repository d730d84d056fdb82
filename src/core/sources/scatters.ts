import type { CalibrationValue } from '../calibration/calibration';
import { calibrationOf } from '../calibration/find';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { errorLength } from '../text/quantities';
import { lateDrives } from '../simulate/lateDrives';
import { lateStops, type LateStop } from '../simulate/lateStops';
import type { RandomStream } from '../stats/random';
import { turnErrors } from '../turns/turnErrors';
import type { OneRun } from './inRun';
import { guess, offBy, timesText, type Doubt, type NamedError, type Source } from './source';
import { drivesByEncoders, turningRateOf } from './uses';

/** Of so few trials an earlier method told a scatter, as far as its calibration says. */
const EARLIER_FREEDOM = 5;

/**
 * How well a scatter is known that some trials showed: the standard deviation of its logarithm.
 *
 * Source: delta method on chi-square, Var(ln s) = 1/(2·degrees of freedom).
 */
export const ofScatter = (degreesOfFreedom: number): Omit<Doubt, 'name'> => ({
  sdRobot: 1 / Math.sqrt(2 * Math.max(1, degreesOfFreedom)),
  measured: true,
  ofScatter: true,
});

/** Where nobody measured a scatter, the robot's own physics stands for it, and nobody knows how well. */
const NOT_MEASURED: Omit<Doubt, 'name'> = { ...guess(1), ofScatter: true };

const drives = (values: readonly CalibrationValue[]): Omit<Doubt, 'name'> => {
  const straight = calibrationOf(values, 'straight');
  return straight === null ? NOT_MEASURED : ofScatter(straight.scatterFreedom ?? EARLIER_FREEDOM);
};

const turns = (values: readonly CalibrationValue[]): Omit<Doubt, 'name'> => {
  const known = calibrationOf(values, 'turns');
  if (known === null) return NOT_MEASURED;
  return ofScatter(known.groups.reduce((sum, { n }) => sum + Math.max(0, n - 1), 0));
};

const placings = (values: readonly CalibrationValue[]): Omit<Doubt, 'name'> => {
  const placing = calibrationOf(values, 'placing');
  return placing === null ? NOT_MEASURED : ofScatter(placing.n - 1);
};

/** So many times as much as was found: the logarithm of that is doubtful. */
const scatterTimes = ({ off, times }: OneRun): number => times * Math.exp(off);

const lateBy = (late: LateStop | null | undefined, run: OneRun, random: RandomStream): number =>
  late == null ? 0 : late.meanM + scatterTimes(run) * late.sdM * random.normal();

/** How single stops by a distance reading differ, as it was measured. */
export const SCATTER_OF_STOPS: NamedError = {
  name: 'scatter of stops by distance',
  level: 'use',
  inRuns({ plan, robot }) {
    const late = lateStops(plan, robot);
    return (run) => {
      const random = run.random('stop by distance');
      return { lateM: (motion) => lateBy(late[motion], run, random) };
    };
  },
};

/** And how its heading differs each time that it was pressed against a wall. */
export const SCATTER_AT_WALLS: NamedError = {
  name: 'scatter of headings after a wall',
  level: 'use',
  inRuns:
    ({ plan }) =>
    (run) => {
      const random = run.random('heading after a wall');
      return {
        takenRad(motion) {
          const step = plan[motion]?.step;
          const taken = step && kindOfStep(step).takesHeading?.(step, run.robot);
          return taken === undefined ? 0 : scatterTimes(run) * taken.sdRad * random.normal();
        },
      };
    },
};

/** How much single drives, turns and placings differ from one to the next is itself only known as well as some trials tell. */
export const SCATTERS: readonly Source[] = [
  {
    name: 'scatter of drives',
    level: 'use',
    measuredBy: 'straight',
    touches: ({ steps }, { measured }) =>
      measured.straight !== null && motionsOf(steps).some(drivesByEncoders),
    doubt: drives,
    figure: ({ measured }) =>
      measured.straight && `± ${errorLength(measured.straight.scatterM, 1)}`,
    within: timesText,
    inRuns({ plan, robot }) {
      const late = lateDrives(plan, robot);
      return (run) => {
        const random = run.random('drive by the encoders');
        return { lateM: (motion) => lateBy(late[motion], run, random) };
      };
    },
  },
  {
    name: 'scatter of turns',
    level: 'use',
    measuredBy: 'turns',
    touches: ({ steps }) => motionsOf(steps).some((step) => turningRateOf(step) > 0),
    doubt: turns,
    figure: () => null,
    within: timesText,
    inRuns({ plan, robot, turns: known }) {
      const errors = turnErrors(plan, robot, known);
      return (run) => {
        const random = run.random('stop of a turn');
        return {
          lateRad(motion) {
            const error = errors[motion];
            if (error == null) return 0;
            return error.meanRad + scatterTimes(run) * error.sdRad * random.normal();
          },
        };
      };
    },
  },
  {
    name: 'scatter of placing',
    level: 'use',
    measuredBy: 'placing',
    doubt: placings,
    figure: () => null,
    within: timesText,
    // A route says how it is placed: that is taken as it is told until somebody measures it.
    sample: (one, log, { name, measured }) => (measured ? offBy(one, name, log) : one),
    inRuns:
      ({ route: { placement } }) =>
      (run) => {
        const random = run.random('placement');
        const times = scatterTimes(run);
        return {
          placed: () => ({
            xM: times * placement.alongSdM * random.normal(),
            yM: times * placement.acrossSdM * random.normal(),
            headingRad: times * placement.headingSdRad * random.normal(),
          }),
        };
      },
  },
];
