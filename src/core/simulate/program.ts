import { wrap } from '../geometry/angle';
import { CREEP_M_PER_S, PROFILE_SHARE, SETTLE_S, type PlannedStep } from '../course/plan';
import type { StepOf } from '../course/route';
import type { Robot } from '../robot';
import type { Machine } from './machine';

/** What a program knows while it runs: the machine's readings and where the plan begins. */
export interface Program {
  machine: Machine;
  robot: Robot;
  /** The planned heading of the start pose: table heading = reading + this. */
  startHeadingRad: number;
  /** Called once per loop, after it. */
  onLoop(): void;
}

type Outcome = 'done' | 'failed';

/** Let one loop pass; false when the robot has run into a wall that stands on the table. */
function loop(program: Program): boolean {
  program.machine.advance();
  program.onLoop();
  return !program.machine.hitWall;
}

/** Stop the motors and stand for a while. */
export function stand(program: Program, durationS: number): void {
  program.machine.command(0, 0);
  const until = program.machine.timeS + durationS - 1e-9;
  while (program.machine.timeS < until) loop(program);
}

const headingOnTable = ({ machine, startHeadingRad }: Program) =>
  machine.headingReadingRad() + startHeadingRad;

/** Drive at a signed speed, the heading held: right minus left = gain · heading error, also backwards. */
function drive(program: Program, speedMPerS: number, targetRad: number, gain: number): void {
  const difference = gain * wrap(targetRad - headingOnTable(program));
  program.machine.command(speedMPerS - difference / 2, speedMPerS + difference / 2);
}

function runStraight(program: Program, step: StepOf<'straight'>, plan: PlannedStep): Outcome {
  const { machine, robot } = program;
  const accel = PROFILE_SHARE * robot.motors.maxAccelerationMPerS2;
  const sign = Math.sign(step.distanceM);
  const wanted = Math.abs(step.distanceM);
  const distance = () => (machine.leftEncoderM() + machine.rightEncoderM()) / 2;
  const from = distance();
  const until = machine.timeS + plan.timeoutS;
  let speed = 0;
  for (;;) {
    const left = wanted - sign * (distance() - from);
    if (left <= 0) break;
    if (machine.timeS > until) return 'failed';
    const braking = Math.max(
      CREEP_M_PER_S,
      Math.sqrt(2 * accel * left) - accel * robot.motors.lagS,
    );
    const faster = Math.max(CREEP_M_PER_S, speed + accel * robot.loopPeriodS);
    speed = Math.min(step.speedMPerS, faster, braking);
    drive(program, sign * speed, plan.from.headingRad, step.gainMPerSPerRad);
    if (!loop(program)) return 'failed';
  }
  stand(program, SETTLE_S);
  return machine.hitWall ? 'failed' : 'done';
}

function runTurn(program: Program, step: StepOf<'turn'>, plan: PlannedStep): Outcome {
  const { machine, robot } = program;
  if (plan.angleRad === 0) return 'done';
  const sign = Math.sign(plan.angleRad);
  const reading = machine.headingReadingRad();
  // To a heading: what earlier turns left over is taken out. By an angle: it is not.
  const leftOver = step.mode === 'to' ? wrap(plan.from.headingRad - headingOnTable(program)) : 0;
  const target = reading + plan.angleRad + leftOver;
  const wheelSpeed = (step.rateRadPerS * robot.trackM) / 2;
  const until = machine.timeS + plan.timeoutS;
  while (sign * (target - machine.headingReadingRad()) > step.leadRad) {
    if (machine.timeS > until) return 'failed';
    machine.command(-sign * wheelSpeed, sign * wheelSpeed);
    if (!loop(program)) return 'failed';
  }
  stand(program, SETTLE_S);
  return machine.hitWall ? 'failed' : 'done';
}

function runApproach(program: Program, step: StepOf<'approach'>, plan: PlannedStep): Outcome {
  const { machine, robot } = program;
  if (robot.distance === null) return 'failed';
  const ramp = PROFILE_SHARE * robot.motors.maxAccelerationMPerS2 * robot.loopPeriodS;
  const until = machine.timeS + plan.timeoutS;
  let speed = 0;
  for (;;) {
    const reading = machine.distanceReadingM();
    if (reading !== null && reading <= step.thresholdM) break;
    if (machine.timeS > until) {
      stand(program, SETTLE_S);
      return 'failed';
    }
    speed = Math.min(step.speedMPerS, speed + ramp);
    drive(program, speed, plan.from.headingRad, step.gainMPerSPerRad);
    if (!loop(program)) return 'failed';
  }
  stand(program, SETTLE_S);
  return machine.hitWall ? 'failed' : 'done';
}

/** Run one step as the exported program would. `mark` only stands: what it is worth is judged outside. */
export function runStep(program: Program, plan: PlannedStep): Outcome {
  switch (plan.step.kind) {
    case 'straight':
      return runStraight(program, plan.step, plan);
    case 'turn':
      return runTurn(program, plan.step, plan);
    case 'approach':
      return runApproach(program, plan.step, plan);
    case 'mark':
      stand(program, plan.step.dwellS);
      return 'done';
  }
}
