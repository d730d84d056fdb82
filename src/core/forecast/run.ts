import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import type { TurnsCalibration } from '../calibrationValues/turns';
import type { Failure } from '../control/controller';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { SETTLE_S } from '../control/settings';
import { onBattery } from '../program/byPower';
import { planRoute, type PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { Table } from '../table/table';
import type { Robot } from '../robot/robot';
import { missionOfStep, type MotionStep } from '../steps/descriptions';
import { kindOfStep } from '../steps/registry';
import { controlStep } from '../steps/untilCondition';
import { allInRun, type InRun, type OneRun } from '../sources/inRun';
import type { Doubt, SampledRobot } from '../sources/source';
import { ERRORS, sampledRobot, type ErrorTimes } from '../sources/sources';
import { createMachine, type Machine } from '../machine/machine';
import { randomStream, type RandomStream } from '../stats/random';

/** What is simulated: which robot drives which route on which table. */
export interface Simulation {
  robot: Robot;
  table: Table;
  route: Route;
  seed: number;
  /** What was measured of its turns; without it they follow the robot's physics alone. */
  turns?: TurnsCalibration | null;
  /** What is not known about the robot; without it the robot is taken to be as it is computed with. */
  doubts?: readonly Doubt[];
  /** What the program does with its heading before each turn and drive; without it headings are counted on. */
  headings?: Headings;
  /** So many times as much of some errors, by their names; as they are where it is left out. */
  times?: ErrorTimes;
}

/** Counted on from the start, or set to 0 each time: then what is left over of the motions before is forgotten. */
export type Headings = 'counted on' | 'zeroed each time';

/** The luck that every forecast is made with: two screens that ask the same question say the same. */
export const FORECAST_SEED = 20_261;

/** With doubts, so many runs one after the other are of the same sampled robot. */
export const RUNS_PER_ROBOT = 4;

/** What all runs of a simulation share: its plan, and how errors act in them. */
export interface Prepared {
  plan: PlannedStep[];
  errors: { name: string; begin(run: OneRun): InRun }[];
  /** The robot of a run: so many runs each have one of their own. */
  robotOf(runIndex: number): SampledRobot;
}

export function prepare(simulation: Simulation): Prepared {
  const { robot, table, route, turns = null, doubts = [], seed, times } = simulation;
  const plan = planRoute(route, robot, table);
  const sampled = new Map<number, SampledRobot>();
  const robotOf = (runIndex: number) => {
    const index = Math.floor(runIndex / RUNS_PER_ROBOT);
    const one = sampled.get(index) ?? sampledRobot(robot, doubts, seed, index, times);
    sampled.set(index, one);
    return one;
  };
  const errors = ERRORS.flatMap(({ name, inRuns }) =>
    inRuns === undefined ? [] : [{ name, begin: inRuns({ plan, robot, route, turns }) }],
  );
  return { plan, errors, robotOf };
}

export interface RunEnd extends Pose {
  timeS: number;
  /** Index of the step that failed (0 for the first), or null. */
  failedStep: number | null;
  /** What stopped it. */
  failure: Failure | null;
}

/** The true pose when the robot begins to work a mission. */
export interface MarkPose extends Pose {
  missionId: string;
  timeS: number;
}

/** One moment of the first run: the truth, and what the program read. */
export interface TraceSample extends Pose {
  tS: number;
  step: number;
  headingReadingRad: number;
  leftEncoderM: number;
  rightEncoderM: number;
}

export interface SimulatedRun {
  end: RunEnd;
  marks: MarkPose[];
}

const MAX_RUN_S = 300;

/** What all errors do to one run of a robot. */
const errorsIn = (
  { seed, times = {} }: Simulation,
  { errors }: Prepared,
  { robot, off }: SampledRobot,
  runIndex: number,
) =>
  allInRun(
    errors.map(({ name, begin }) =>
      begin({
        robot,
        off: off[name] ?? 0,
        times: times[name] ?? 1,
        random: (stream) => randomStream(seed, runIndex, stream),
      }),
    ),
  );

/** A step may go on when its time is over. */
const afterTimeout = (step: MotionStep, said: 'done' | Failure): 'done' | Failure =>
  said === 'time' && 'onTimeout' in step && step.onTimeout === 'go-on' ? 'done' : said;

/** How far it was carried this time. */
const scattered = ({ by, sd }: { by: Pose; sd: Pose }, random: RandomStream): Pose => ({
  xM: by.xM + sd.xM * random.normal(),
  yM: by.yM + sd.yM * random.normal(),
  headingRad: by.headingRad + sd.headingRad * random.normal(),
});

/** The true start: so far off the planned pose, in its own frame. */
const offStart = ({ start }: Route, by: Pose): Pose => ({
  ...toTable(start, by),
  headingRad: start.headingRad + by.headingRad,
});

/**
 * Simulate one run; everything about it follows from the simulation's seed and the run's index.
 *
 * @param prepared of this simulation, from `prepare`
 * @param watch sees the machine after each loop of the program, with the index of the running step
 */
export function simulateRun(
  simulation: Simulation,
  prepared: Prepared,
  runIndex: number,
  watch: (machine: Machine, step: number) => void = () => undefined,
): SimulatedRun {
  const { table, route, seed, headings } = simulation;
  const sampled = prepared.robotOf(runIndex);
  const { robot } = sampled;
  const { headingScale } = robot.program;
  const errors = errorsIn(simulation, prepared, sampled, runIndex);
  const start = offStart(route, errors.placed());
  const machine = createMachine(onBattery(robot, errors.moreV), table, start, seed, runIndex);
  const marks: MarkPose[] = [];
  const arms = randomStream(seed, runIndex, 'arms');
  const carriedBy = randomStream(seed, runIndex, 'free');
  let current = 0;
  const onLoop = () => watch(machine, current);
  watch(machine, current);
  let failure: Failure | null = null;
  const asPlanned = ({ headingRad }: Pose) => headingScale * (headingRad - route.start.headingRad);
  /** So much more than planned the heading reads where the program takes it to be right. */
  let beyondPlanRad = 0;
  for (const [index, planned] of prepared.plan.entries()) {
    current = index;
    const { step } = planned;
    const kind = kindOfStep(step);
    const missionId = missionOfStep(step);
    if (missionId !== null) {
      marks.push({ missionId, timeS: machine.readings.timeS, ...tablePose(machine) });
    }
    const lateM = errors.lateM(index);
    const kickRad = errors.kickRad(index);
    if (kickRad !== 0) machine.kick(kickRad);
    const lateRad = errors.lateRad(index);
    if (headings === 'zeroed each time') {
      beyondPlanRad = machine.readings.headingRad - asPlanned(planned.from);
    }
    const plannedReadingRad = asPlanned(planned.from) + beyondPlanRad;
    const angleRad = headingScale * planned.angleRad;
    const limitS = Math.min(planned.timeoutS, MAX_RUN_S);
    const fromHeadingRad = planned.from.headingRad;
    const leg = {
      ...planned,
      timeoutS: limitS,
      angleRad,
      fromHeadingRad,
      plannedReadingRad,
      lateRad,
      lateM,
    };
    const motion = controlStep(step, leg, robot);
    const arm = kind.movesArm?.(step, robot, arms) ?? null;
    if (arm !== null) machine.moveArm(arm);
    const carried = kind.carries?.(step);
    if (carried !== undefined) machine.carry(scattered(carried, carriedBy));
    const askewRad = wrap(machine.pose.headingRad - planned.to.headingRad);
    const said = afterTimeout(step, drive(machine, motion, onLoop));
    failure = said !== 'done' ? said : machine.readings.timeS > MAX_RUN_S ? 'time' : null;
    if (failure !== null) break;
    const taken = kind.takesHeading?.(step, robot);
    if (taken !== undefined) {
      // What is set by the program alone is off by nothing that a wall leaves.
      const byWallRad = taken.headingRad === undefined ? errors.takenRad(index) : 0;
      const leftRad = taken.shareLeft * askewRad + byWallRad;
      const { headingRad = planned.to.headingRad } = taken;
      beyondPlanRad =
        machine.readings.headingRad - asPlanned({ ...planned.to, headingRad }) + leftRad;
    }
  }
  drive(machine, rest(SETTLE_S), onLoop);
  const failedStep = failure === null ? null : current;
  return {
    end: { ...tablePose(machine), timeS: machine.readings.timeS, failedStep, failure },
    marks,
  };
}

const tablePose = ({ pose }: Machine): Pose => ({
  xM: pose.xM,
  yM: pose.yM,
  headingRad: wrap(pose.headingRad),
});

const TRACE_PERIOD_S = 0.02;

/** A path is kept in points so long apart. */
const PATH_PERIOD_S = 0.1;

/**
 * Simulate runs `from` (included) to `to` (excluded) of a simulation, one after the other.
 *
 * @param onRun sees each run when it is done, and its path: x, y pairs in metres, every tenth of a second
 */
export function simulateRange(
  simulation: Simulation,
  from: number,
  to: number,
  onRun: (runIndex: number, run: SimulatedRun, path: Float32Array) => void,
  prepared: Prepared = prepare(simulation),
): void {
  for (let runIndex = from; runIndex < to; runIndex += 1) {
    const path: number[] = [];
    let next = 0;
    const run = simulateRun(simulation, prepared, runIndex, (machine) => {
      if (machine.readings.timeS < next) return;
      next = machine.readings.timeS + PATH_PERIOD_S - 1e-9;
      path.push(machine.pose.xM, machine.pose.yM);
    });
    path.push(run.end.xM, run.end.yM);
    onRun(runIndex, run, Float32Array.from(path));
  }
}

/** Truth and readings of one run, every 20 ms. */
export function traceRun(simulation: Simulation, runIndex: number): TraceSample[] {
  const trace: TraceSample[] = [];
  let next = 0;
  simulateRun(simulation, prepare(simulation), runIndex, (machine, step) => {
    const { readings } = machine;
    if (readings.timeS < next) return;
    next = readings.timeS + TRACE_PERIOD_S - 1e-9;
    trace.push({
      tS: readings.timeS,
      xM: machine.pose.xM,
      yM: machine.pose.yM,
      headingRad: machine.pose.headingRad,
      step,
      headingReadingRad: readings.headingRad,
      leftEncoderM: readings.leftM,
      rightEncoderM: readings.rightM,
    });
  });
  return trace;
}
