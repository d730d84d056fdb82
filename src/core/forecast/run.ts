import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import { travelledM, type Failure } from '../control/controller';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { SETTLE_S } from '../control/settings';
import { onBattery } from '../program/byPower';
import type { PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { MotionStep } from '../steps/descriptions';
import type { Leg } from '../steps/kind';
import { withReaction } from '../steps/reaction';
import { kindOfStep } from '../steps/registry';
import type { StepPath } from '../steps/tree';
import { controlStep } from '../steps/untilCondition';
import { createMachine, type Machine } from '../machine/machine';
import { randomStream, type RandomStream } from '../stats/random';
import { drawnTable } from '../table/drawnTable';
import { asLeft, hasMoved } from '../table/moved';
import type { Table } from '../table/table';
import { isMarkOf, targetsOf, type Marked } from '../table/targets';
import { passBy, type Passing } from './passing';
import { missionsWorked } from './points';
import { errorsOnWay, type Prepared, type Simulation } from './prepare';

export interface RunEnd extends Pose {
  timeS: number;
  /** Index of the step that failed in the list of the route (0 for the first), or null. */
  failedStep: number | null;
  /** Where it stands, within that one perhaps; and by its number: "4.2". */
  failedPath: StepPath | null;
  failedNumber: string | null;
  /** What stopped it. */
  failure: Failure | null;
}

/** The true pose when the robot begins to work a mission, or a part of it; in passing, as it comes nearest to it. */
export interface MarkPose extends Pose, Marked {
  timeS: number;
}

/** What a question was answered with, by the number of its step. */
export interface Answered {
  number: string;
  answer: string;
}

export interface SimulatedRun {
  end: RunEnd;
  marks: MarkPose[];
  answers: Answered[];
}

const MAX_RUN_S = 300;

/** What a step does when its time is over; undefined: it has failed. */
const onTimeoutOf = (step: MotionStep) => ('onTimeout' in step ? step.onTimeout : undefined);

/** A step may go on when its time is over. */
const goingOn = (step: MotionStep, said: 'done' | Failure): 'done' | 'goes on' | Failure =>
  said === 'time' && onTimeoutOf(step) === 'go-on' ? 'goes on' : said;

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

/** The table as a run finds it: what is not always there was drawn. */
export const tableInRun = (
  { table, seed }: Pick<Simulation, 'table' | 'seed'>,
  runIndex: number,
): Table => drawnTable(table, randomStream(seed, runIndex, 'things on the table'));

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
  let way = prepared.wayOf([]);
  const answers: Answered[] = [];
  const errors = errorsOnWay(simulation, way, sampled, runIndex);
  const start = offStart(route, errors.placed());
  const onTable = tableInRun(simulation, runIndex);
  const machine = createMachine(
    onBattery(robot, errors.moreV),
    asLeft(onTable, []),
    start,
    seed,
    runIndex,
  );
  const marks: MarkPose[] = [];
  const movesThings = hasMoved(onTable);
  let left = 0;
  /** What the robot has moved by now stands as it left it. */
  const leaveThings = () => {
    if (!movesThings || marks.length === left) return;
    left = marks.length;
    machine.lay(asLeft(onTable, missionsWorked(marks, table.missions)));
  };
  const arms = randomStream(seed, runIndex, 'arms');
  const carriedBy = randomStream(seed, runIndex, 'free');
  let awaited: Passing[] = [];
  const mark = (step: MotionStep, isMeanwhile = false) => {
    const marked = kindOfStep(step).marks?.(step);
    if (marked === undefined) return;
    const { missionId, part, passing, leastMPerS } = marked;
    if (passing && !isMeanwhile) {
      const at = table.missions.flatMap(targetsOf).find((one) => isMarkOf(marked, one))?.pose;
      const unseen = { at: at ?? null, nearest: null, last: null };
      awaited.push({ missionId, part, leastMPerS, ...unseen });
    } else marks.push({ missionId, part, timeS: machine.readings.timeS, ...tablePose(machine) });
  };
  /** The motion that came by is over: what was worked in passing is known. */
  const passedBy = () => {
    const passed = awaited.filter(({ nearest }) => nearest !== null);
    for (const { missionId, part, nearest, leastMPerS } of passed) {
      if (nearest === null || nearest.speedMPerS < leastMPerS) continue;
      const { speedMPerS: _speed, ...pose } = nearest;
      marks.push({ missionId, part, ...pose });
    }
    awaited = awaited.filter(({ nearest }) => nearest === null);
  };
  const moveArm = (step: MotionStep) => {
    const arm = kindOfStep(step).movesArm?.(step, robot, arms) ?? null;
    if (arm !== null) machine.moveArm(arm);
  };
  const makeMeanwhile = (step: MotionStep) => {
    mark(step, true);
    moveArm(step);
  };
  let current = 0;
  let isDriving = false;
  const onLoop = () => {
    watch(machine, current);
    if (isDriving)
      for (const one of awaited) passBy(one, tablePose(machine), machine.readings.timeS);
  };
  watch(machine, current);
  let failure: Failure | null = null;
  let failed: PlannedStep | null = null;
  const asPlanned = ({ headingRad }: Pose) => headingScale * (headingRad - route.start.headingRad);
  /** So much more than planned the heading reads where the program takes it to be right. */
  let beyondPlanRad = 0;
  let balancedM = 0;
  /** So far beyond the end of the motion before it rolled on into this one. */
  let carriedM = 0;
  for (let next = 0; next < way.plan.length; next += 1) {
    current = next;
    const planned = way.plan[current] as PlannedStep;
    const { step, choice } = planned;
    const kind = kindOfStep(step);
    mark(step);
    isDriving = kind.drives;
    const lateM = errors.at('lateM', current);
    const kickRad = errors.at('kickRad', current);
    if (kickRad !== 0) machine.kick(kickRad);
    const pushedM = errors.at('pushedM', current);
    if (pushedM !== 0) machine.carry({ xM: pushedM, yM: 0, headingRad: 0 });
    const lateRad = errors.at('lateRad', current);
    if (headings === 'zeroed each time') {
      beyondPlanRad = machine.readings.headingRad - asPlanned(planned.from);
    }
    const leg: Leg = {
      ...planned,
      timeoutS: Math.min(planned.timeoutS, MAX_RUN_S),
      angleRad: headingScale * planned.angleRad,
      fromHeadingRad: planned.from.headingRad,
      plannedReadingRad: asPlanned(planned.from) + beyondPlanRad,
      balancedM,
      lateRad,
      lateM,
      carriedM,
    };
    const beganM = travelledM(machine.readings);
    const asking = choice?.ask(leg, robot);
    const made = () => {
      const own = asking?.controller ?? controlStep(step, leg, robot);
      return planned.reaction === undefined
        ? own
        : withReaction(own, planned.reaction, leg, robot, makeMeanwhile);
    };
    const motion = made();
    moveArm(step);
    const carried = kind.carries?.(step);
    if (carried !== undefined) machine.carry(scattered(carried, carriedBy));
    const askewRad = wrap(machine.pose.headingRad - planned.to.headingRad);
    machine.mayLean(kind.meets === true);
    let ended = drive(machine, motion, onLoop);
    if (ended === 'time' && onTimeoutOf(step) === 'again') {
      drive(machine, rest(motion.restS), onLoop);
      ended = drive(machine, made(), onLoop);
    }
    const said = goingOn(step, ended);
    passedBy();
    leaveThings();
    // It comes to rest before it goes on, as after a motion that is done.
    if (said === 'goes on' && planned.rollsOut !== true) drive(machine, rest(motion.restS), onLoop);
    carriedM =
      planned.rollsOut === true
        ? beyondEndM(planned, leg, travelledM(machine.readings) - beganM)
        : 0;
    const answer = asking && (ledTo(simulation, planned) ?? asking.answer());
    const givesUp = answer !== undefined && answer === choice?.givesUp;
    const isOver = machine.readings.timeS > MAX_RUN_S || givesUp;
    failure = said !== 'done' && said !== 'goes on' ? said : isOver ? 'time' : null;
    failed = failure === null ? null : planned;
    if (failed !== null) break;
    if (answer !== undefined) {
      answers.push({ number: planned.number, answer });
      if (answer !== planned.answer) {
        way = prepared.wayOf(answers.map((one) => one.answer));
        errors.turnTo(way);
      }
    }
    const taken = kind.takesHeading?.(step, robot);
    if (taken !== undefined || planned.angleRad !== 0) {
      balancedM = machine.readings.rightM - machine.readings.leftM;
    }
    if (taken !== undefined) {
      // What is set by the program alone is off by nothing that a wall leaves.
      const byWallRad = taken.headingRad === undefined ? errors.at('takenRad', current) : 0;
      const leftRad = taken.shareLeft * askewRad + byWallRad;
      const { headingRad = planned.to.headingRad } = taken;
      beyondPlanRad =
        machine.readings.headingRad - asPlanned({ ...planned.to, headingRad }) + leftRad;
    }
  }
  drive(machine, rest(SETTLE_S), onLoop);
  return {
    end: { ...tablePose(machine), timeS: machine.readings.timeS, ...failedAt(failed), failure },
    marks,
    answers,
  };
}

/** How far beyond its end a drive has rolled that does not stop there; 0 where something ended it before. */
function beyondEndM({ step }: PlannedStep, { lateM, carriedM = 0 }: Leg, rolledM: number): number {
  const { distanceM = 0 } = kindOfStep(step).byEncoders?.(step) ?? {};
  const toldM = Math.max(0, Math.abs(distanceM) + lateM - carriedM);
  return Math.max(0, Math.abs(rolledM) - toldM);
}

/** The answer that a run is led to at a question. */
const ledTo = ({ ledBy }: Simulation, { number }: PlannedStep): string | undefined =>
  ledBy?.find((one) => one.number === number)?.answer;

const failedAt = (failed: PlannedStep | null) => ({
  failedStep: failed === null ? null : Number(failed.path[0]),
  failedPath: failed?.path ?? null,
  failedNumber: failed?.number ?? null,
});

const tablePose = ({ pose }: Machine): Pose => ({
  xM: pose.xM,
  yM: pose.yM,
  headingRad: wrap(pose.headingRad),
});
