import { number } from '../text/quantities';
import type { CalibrationValue } from '../calibration/calibration';
import type { Route } from '../course/route';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';

/** One robot as it may be, as far as nobody knows better. */
export interface ImaginedRobot {
  robot: Robot;
  /** Turns go on for so much longer than foreseen, s: rate × this is the angle. */
  lateS: number;
  /** And by such a share of their angle. */
  lateShare: number;
  /** Drives by the encoders go on for so much longer than foreseen, m. */
  rollsOnM: number;
  /** And stops by a distance reading for so much, s: speed × this is the way. */
  stopLateS: number;
  /** So much more its battery has than that of its timed drives. */
  batteryMoreV: number;
  /** So far off it faces after squaring up on a wall. */
  atWallRad: number;
  /** Single drives, turns and placings scatter so many times as much as was measured, or told. */
  drivesScatter: number;
  turnsScatter: number;
  placingScatter: number;
  /** So much less the first drive after one the other way goes, m. */
  playM: number;
  /** And so a trailing caster kicks it then: standard deviation of its heading. */
  kickSdRad: number;
  /** Where its start jig truly puts it, in its own frame. */
  placed: Pose;
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

/** A named source of error: something that can make every run of one robot differ from the plan. */
export interface Source {
  /** As in "until the … has been measured". */
  name: string;
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
    | null;
  /** Whether it changes anything about such a route on such a robot; always where it is left out. */
  touches?(route: Route, robot: Robot): boolean;
  doubt(values: readonly CalibrationValue[]): Omit<Doubt, 'name'>;
  /** What is computed with, in words; null where no figure stands for it. */
  figure(robot: Robot): string | null;
  /** Within what of it the truth is, 19 times in 20: as in "± 2 %". */
  within(halfWidth: number, robot: Robot): string;
  /** The robot with so much of it. */
  imagine(one: ImaginedRobot, deviation: number, doubt: Doubt): ImaginedRobot;
}

/** A doubt about what nobody has measured. */
export const guess = (sdRobot: number): Omit<Doubt, 'name'> => ({ sdRobot, measured: false });

export const withErrors = (
  one: ImaginedRobot,
  errors: Partial<Robot['errors']>,
): ImaginedRobot => ({
  ...one,
  robot: { ...one.robot, errors: { ...one.robot.errors, ...errors } },
});

export const onRobot = (one: ImaginedRobot, change: (robot: Robot) => Robot): ImaginedRobot => ({
  ...one,
  robot: change(one.robot),
});

/** Of what is known as a share. */
export const plusMinusShare = (half: number): string => `± ${number(100 * half, 1)} %`;

/** Of a scatter, whose logarithm is known so well. */
export const timesText = (half: number): string =>
  `${number(Math.exp(-half), 1)} to ${number(Math.exp(half), 1)} times that`;
