import { number } from '../text/quantities';
import type { CalibrationValue } from '../calibration/calibration';
import type { Route } from '../course/route';
import type { Robot } from '../robot/robot';
import type { InRuns } from './inRun';

/** One robot as it may be, as far as nobody knows better. */
export interface SampledRobot {
  robot: Robot;
  /** By how much each error that acts in its runs is off, by its name; what is not named is off by nothing. */
  off: Readonly<Record<string, number>>;
}

/** How well one quantity of a robot is known. */
export interface Doubt {
  name: string;
  /** Standard deviation of what is not known about this robot, in the source's own unit. */
  sdRobot: number;
  /** Whether anybody has measured it; else the deviation is a cautious guess. */
  measured: boolean;
  /** Of a scale: the distance about which it was found, m; at it an error of the scale changes nothing. */
  aboutM?: number;
  /** Of the heading sensor's scale: a protractor says how far turns go, so that only what holds a heading is off by it. */
  turnsAreKnown?: true;
  /** It is a scatter that is doubtful: the deviation is that of its logarithm, and moves no run on average. */
  ofScatter?: true;
}

/** Something that makes a run differ from the plan. */
export interface NamedError {
  /** As in "until the … has been measured". */
  name: string;
  /** Where it comes from anew: with each robot (the same in all its runs), each run, or each use within one. */
  level: 'robot' | 'run' | 'use';
  /** What it does in a run; left out where it is part of the robot itself. */
  inRuns?: InRuns;
  /** The robot with so many times as much of it, where it is part of the robot itself. */
  times?(robot: Robot, times: number): Robot;
}

/** An error of which it is doubtful how large it is: it is sampled anew with each robot. */
export interface Source extends NamedError {
  /** "has" or "have". */
  plural?: boolean;
  /** The procedure of the Bench, or the record, by which it is measured; null: by none yet. */
  measuredBy:
    | 'straight'
    | 'range'
    | 'square'
    | 'turns'
    | 'still'
    | 'speed'
    | 'stop'
    | 'squaring'
    | 'placing'
    | 'light'
    | 'line-speed'
    | null;
  /** Whether it changes anything about such a route on such a robot; always where it is left out. */
  touches?(route: Route, robot: Robot): boolean;
  doubt(values: readonly CalibrationValue[]): Omit<Doubt, 'name'>;
  /** What is computed with, in words; null where no figure stands for it. */
  figure(robot: Robot): string | null;
  /** Within what of it the truth is, 19 times in 20: as in "± 2 %". */
  within(halfWidth: number, robot: Robot): string;
  /** The robot with so much of it; left out where it only acts in its runs, by that much. */
  sample?(one: SampledRobot, deviation: number, doubt: Doubt): SampledRobot;
}

/** A doubt about what nobody has measured. */
export const guess = (sdRobot: number): Omit<Doubt, 'name'> => ({ sdRobot, measured: false });

export const withErrors = (one: SampledRobot, errors: Partial<Robot['errors']>): SampledRobot => ({
  ...one,
  robot: { ...one.robot, errors: { ...one.robot.errors, ...errors } },
});

/** The robot whose runs an error is off by so much in. */
export const offBy = (one: SampledRobot, name: string, amount: number): SampledRobot => ({
  ...one,
  off: { ...one.off, [name]: amount },
});

export const onRobot = (one: SampledRobot, change: (robot: Robot) => Robot): SampledRobot => ({
  ...one,
  robot: change(one.robot),
});

/** Of what is known as a share. */
export const plusMinusShare = (half: number): string => `± ${number(100 * half, 1)} %`;

/** Of a scatter, whose logarithm is known so well. */
export const timesText = (half: number): string =>
  `${number(Math.exp(-half), 1)} to ${number(Math.exp(half), 1)} times that`;
