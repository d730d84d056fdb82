import { reacting } from '../control/reacting';
import type { Controller } from '../control/controller';
import type { Robot } from '../robot/robot';
import { complement } from './condition/complement';
import type { Condition } from './condition/condition';
import { watchedOf } from './condition/watched';
import type { MotionStep } from './descriptions';
import type { Leg } from './kind';

/** What is watched while a motion is made, and the steps that are made as it begins to be so, and as it no longer is. */
export interface Reaction {
  on: Condition;
  hysteresis: number;
  up: readonly MotionStep[];
  down: readonly MotionStep[];
}

/** A motion with its reaction: each step of it is handed out as it is to be made. */
export const withReaction = (
  motion: Controller,
  { on, hysteresis, up, down }: Reaction,
  leg: Leg,
  robot: Robot,
  make: (step: MotionStep) => void,
): Controller =>
  reacting(motion, {
    on: watchedOf(on, leg, robot),
    off: watchedOf(complement(on, hysteresis), leg, robot),
    react: (isSo) => (isSo ? up : down).forEach(make),
  });
