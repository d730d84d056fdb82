import type { TurnsCalibration } from '../calibrationValues/turns';
import type { PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import type { RandomStream } from '../stats/random';

/** What is simulated, as far as errors ask for it. */
export interface Simulated {
  plan: readonly PlannedStep[];
  robot: Robot;
  route: Route;
  /** What was measured of its turns; null: nothing. */
  turns: TurnsCalibration | null;
}

/** The run that an error acts in. */
export interface OneRun {
  /** The robot that drives, as it is sampled. */
  robot: Robot;
  /** So much it is off by this error, as its `sample` has it; 0 where it is as it is computed with. */
  off: number;
  /** So many times as much of it as was found or told: 1, unless somebody asks what it makes. */
  times: number;
  /** Its own chance in this run. */
  random(stream: string): RandomStream;
}

/**
 * What an error does to one run, asked once at each of its moments; what it has no hand in is left out.
 * Motions are numbered as in the plan.
 */
export interface InRun {
  /** So much more charge its battery has than that of its timed drives, V. */
  moreV?: number;
  /** So far off its planned start it is placed, in the frame of the start. */
  placed?(): Pose;
  /** So far it is turned before a motion by what no motor is told of. */
  kickRad?(motion: number): number;
  /** And pushed ahead so far. */
  pushedM?(motion: number): number;
  /** So much further a turn goes on than foreseen. */
  lateRad?(motion: number): number;
  /** And a drive by the encoders, or a stop by a reading. */
  lateM?(motion: number): number;
  /** So far off the planned heading it faces where its program takes it for that. */
  takenRad?(motion: number): number;
}

/** How an error acts in the runs of a simulation: what all of them share is computed once. */
export type InRuns = (of: Simulated) => (run: OneRun) => InRun;

/** What all errors together do to one run. */
export type AllInRun = Required<InRun>;

const NOWHERE: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** All errors of a run at once, summed. */
export function allInRun(all: readonly InRun[]): AllInRun {
  const sumOf = (name: 'kickRad' | 'pushedM' | 'lateRad' | 'lateM' | 'takenRad') => {
    const acting = all.flatMap((one) => (one[name] === undefined ? [] : [one[name]]));
    return (motion: number) => acting.reduce((sum, error) => sum + error(motion), 0);
  };
  return {
    moreV: all.reduce((sum, { moreV = 0 }) => sum + moreV, 0),
    placed: () =>
      all.reduce((sum, { placed }) => {
        const { xM, yM, headingRad } = placed?.() ?? NOWHERE;
        return {
          xM: sum.xM + xM,
          yM: sum.yM + yM,
          headingRad: sum.headingRad + headingRad,
        };
      }, NOWHERE),
    kickRad: sumOf('kickRad'),
    pushedM: sumOf('pushedM'),
    lateRad: sumOf('lateRad'),
    lateM: sumOf('lateM'),
    takenRad: sumOf('takenRad'),
  };
}
