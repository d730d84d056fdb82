import type { CalibrationValue } from '../calibration/calibration';
import { calibrationOf } from '../calibration/find';
import { kindOfStep } from '../steps/registry';
import { motionsOf } from '../steps/tree';
import { errorLength } from '../text/quantities';
import { guess, timesText, type Doubt, type Source } from './source';

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

/** How much single drives, turns and placings differ from one to the next is itself only known as well as some trials tell. */
export const SCATTERS: readonly Source[] = [
  {
    name: 'scatter of drives',
    measuredBy: 'straight',
    touches: ({ steps }, { measured }) =>
      measured.straight !== null &&
      motionsOf(steps).some((step) => kindOfStep(step).byEncoders?.(step) !== undefined),
    doubt: drives,
    figure: ({ measured }) =>
      measured.straight && `± ${errorLength(measured.straight.scatterM, 1)}`,
    within: timesText,
    imagine: (one, log) => ({ ...one, drivesScatter: one.drivesScatter * Math.exp(log) }),
  },
  {
    name: 'scatter of turns',
    measuredBy: 'turns',
    touches: ({ steps }) => motionsOf(steps).some((step) => kindOfStep(step).rateRadPerS(step) > 0),
    doubt: turns,
    figure: () => null,
    within: timesText,
    imagine: (one, log) => ({ ...one, turnsScatter: one.turnsScatter * Math.exp(log) }),
  },
  {
    name: 'scatter of placing',
    measuredBy: 'placing',
    doubt: placings,
    figure: () => null,
    within: timesText,
    // A route says how it is placed: that is taken as it is told until somebody measures it.
    imagine: (one, log, { measured }) =>
      measured ? { ...one, placingScatter: one.placingScatter * Math.exp(log) } : one,
  },
];
