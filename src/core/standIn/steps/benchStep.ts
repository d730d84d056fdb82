import { z } from 'zod';
import type { Controller } from '../../control/controller';
import type { Robot } from '../../robot/robot';
import { NOTHING_ABOUT, type Surroundings } from '../surroundings';
import { approach } from './approach';
import type { BenchStepKind } from './kind';
import { power } from './power';
import { press } from './press';
import { push } from './push';
import { squareOnLine } from './squareOnLine';
import { straight } from './straight';
import { toLine } from './toLine';
import { turn } from './turn';
import { wait } from './wait';

/** A step of a short bench program. */
export const benchStepSchema = z.discriminatedUnion('kind', [
  turn.schema,
  straight.schema,
  wait.schema,
  approach.schema,
  push.schema,
  power.schema,
  press.schema,
  toLine.schema,
  squareOnLine.schema,
]);

export type BenchStep = z.output<typeof benchStepSchema>;

const KINDS: Record<BenchStep['kind'], BenchStepKind<z.ZodType<BenchStep>>> = {
  turn,
  straight,
  wait,
  approach,
  push,
  power,
  press,
  'to-line': toLine,
  'square-on-line': squareOnLine,
};

/** The motion of a step, as the program on the robot makes it. */
export const controllerOf = (step: BenchStep, robot: Robot): Controller =>
  KINDS[step.kind].control(step, robot);

/** What is put about the robot for a step, told from where it begins. */
export const aboutStep = (step: BenchStep, robot: Robot): Surroundings =>
  KINDS[step.kind].about?.(step, robot) ?? NOTHING_ABOUT;
