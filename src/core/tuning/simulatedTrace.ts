import {
  controller,
  watching,
  type Begun,
  type Controller,
  type Readings,
  type Tick,
} from '../control/controller';
import { drive } from '../control/drive';
import type { Table } from '../table/table';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot/robot';
import { FLOOR_MIDDLE, OPEN_FLOOR } from '../simulate/floor';
import { createMachine } from '../machine/machine';
import type { Trace } from './judge';

/** A controller at work, and where. */
export interface Experiment {
  motion: Controller;
  /** What it is to bring to 0, by what can be read now; null where nothing was read. */
  errorOf(now: Readings): number | null;
  /** An open floor where it is left out. */
  scene?: { table: Table; start: Pose };
  /** While this lasts the left wheel is held: what a push does to a robot that keeps straight. */
  heldS?: { from: number; to: number };
}

export interface WatchedTrace extends Trace {
  /** The heading by the encoders, at the same moments. */
  byEncodersRad: readonly number[];
  /** It ended against a wall. */
  hitWall: boolean;
}

interface Held extends Begun {
  hand: { from: number; to: number };
  motion: Controller;
}

const held: Tick<Held> = (state, now, wheels) => {
  const { hand, motion } = state;
  state.startS ??= now.timeS;
  const said = motion.tick(motion.state, now, wheels);
  const sinceS = now.timeS - state.startS;
  if (sinceS >= hand.from && sinceS < hand.to) wheels.leftMPerS = 0;
  return said;
};

/** A motion during which a hand holds the left wheel for a while, counted from its beginning. */
export const heldBy = (hand: Experiment['heldS'], motion: Controller): Controller =>
  hand === undefined ? motion : controller(held, { hand, motion, startS: null });

/** For so long a controller is watched, s. */
export const WATCHED_S = 6;

/** Pushed so, while it drives straight. */
export const HELD_S = { from: 1, to: 1.2 };

/**
 * A controller driven on the simulator: its error and what it tells the robot to turn, once a loop.
 *
 * @param seed chooses the noise
 */
export function simulatedTrace(robot: Robot, experiment: Experiment, seed: number): WatchedTrace {
  const { motion, errorOf, heldS } = experiment;
  const { table, start } = experiment.scene ?? { table: OPEN_FLOOR, start: FLOOR_MIDDLE };
  const machine = createMachine(robot, table, start, seed, 1);
  const trace = { tS: [] as number[], error: [] as number[], correction: [] as number[] };
  const byEncodersRad: number[] = [];
  const watched = watching(motion, (now, wheels) => {
    const error = errorOf(now);
    if (error !== null) {
      trace.tS.push(now.timeS);
      trace.error.push(error);
      byEncodersRad.push((now.rightM - now.leftM) / robot.trackM);
      trace.correction.push((wheels.rightMPerS - wheels.leftMPerS) / robot.trackM);
    }
  });
  const ended = drive(machine, heldBy(heldS, watched), () => undefined);
  return { ...trace, byEncodersRad, hitWall: ended === 'wall' };
}
