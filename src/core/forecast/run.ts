import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { toTable } from '../geometry/pose';
import { travelledM, type Controller, type Failure } from '../control/controller';
import { drive } from '../control/drive';
import { rest } from '../control/rest';
import { SETTLE_S } from '../control/settings';
import { onBattery } from '../program/byPower';
import type { PlannedStep } from '../course/plan';
import type { Route } from '../course/route';
import type { Robot } from '../robot/robot';
import type { MotionStep } from '../steps/descriptions';
import type { Leg } from '../steps/kind';
import { withReaction } from '../steps/reaction';
import { kindOfStep } from '../steps/registry';
import { controlStep } from '../steps/untilCondition';
import { createMachine, type Machine } from '../machine/machine';
import { randomStream, type RandomStream } from '../stats/random';
import { drawnTable } from '../table/drawnTable';
import { asLeft } from '../table/moved';
import type { Table } from '../table/table';
import { HeadingKept } from './headingKept';
import { MissionsMade, tablePose } from './missionsMade';
import { errorsOnWay, type ErrorsOnWay, type Prepared, type Simulation, type Way } from './prepare';
import type { Answered, RunEnd, SimulatedRun } from './simulatedRun';

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

/** Sees the machine after each loop of the program, with the index of the motion it makes. */
type Watch = (machine: Machine, motion: number) => void;

/** One run as it is made, motion after motion; everything about it follows from the seed and its index. */
class RunInMaking {
  readonly answers: Answered[] = [];
  readonly machine: Machine;
  readonly missions: MissionsMade;
  private way: Way;
  private readonly robot: Robot;
  private readonly errors: ErrorsOnWay;
  private readonly heading: HeadingKept;
  private readonly arms: RandomStream;
  private readonly carriedBy: RandomStream;
  private current = 0;
  private isDriving = false;
  /** So far beyond the end of the motion before it rolled on into this one. */
  private carriedM = 0;

  constructor(
    private readonly simulation: Simulation,
    private readonly prepared: Prepared,
    runIndex: number,
    private readonly watch: Watch,
  ) {
    const { table, route, seed, headings } = simulation;
    const sampled = prepared.robotOf(runIndex);
    this.robot = sampled.robot;
    this.way = prepared.wayOf([]);
    this.errors = errorsOnWay(simulation, this.way, sampled, runIndex);
    const start = offStart(route, this.errors.placed());
    const onTable = tableInRun(simulation, runIndex);
    const onThisBattery = onBattery(this.robot, this.errors.moreV);
    this.machine = createMachine(onThisBattery, asLeft(onTable, []), start, seed, runIndex);
    this.missions = new MissionsMade(table, onTable, this.machine);
    this.heading = new HeadingKept(this.robot, route.start.headingRad, headings);
    this.arms = randomStream(seed, runIndex, 'arms');
    this.carriedBy = randomStream(seed, runIndex, 'free');
    watch(this.machine, this.current);
  }

  /** Make all of its motions, and come to rest; the one that failed is told. */
  make(): Pick<RunEnd, 'failedStep' | 'failedPath' | 'failedNumber' | 'failure'> {
    let failure: Failure | null = null;
    let failed: PlannedStep | null = null;
    for (let next = 0; failed === null && next < this.way.plan.length; next += 1) {
      this.current = next;
      const planned = this.way.plan[next] as PlannedStep;
      failure = this.makeMotion(planned);
      if (failure !== null) failed = planned;
    }
    this.rest(SETTLE_S);
    return {
      failedStep: failed === null ? null : Number(failed.path[0]),
      failedPath: failed?.path ?? null,
      failedNumber: failed?.number ?? null,
      failure,
    };
  }

  private makeMotion(planned: PlannedStep): Failure | null {
    const { machine, robot } = this;
    const { step, choice } = planned;
    this.missions.mark(step);
    this.isDriving = kindOfStep(step).drives;
    const leg = this.legOf(planned);
    const asking = choice?.ask(leg, robot);
    const beganM = travelledM(machine.readings);
    const makeMeanwhile = (one: MotionStep) => {
      this.missions.mark(one, true);
      this.moveArm(one);
    };
    const controller = () => {
      const own = asking?.controller ?? controlStep(step, leg, robot);
      return planned.reaction === undefined
        ? own
        : withReaction(own, planned.reaction, leg, robot, makeMeanwhile);
    };
    const first = controller();
    this.moveArm(step);
    const carried = kindOfStep(step).carries?.(step);
    if (carried !== undefined) machine.carry(scattered(carried, this.carriedBy));
    const askewRad = wrap(machine.pose.headingRad - planned.to.headingRad);
    const said = this.driveBy(step, first, controller);
    this.missions.hasPassed();
    const rollsOut = planned.rollsOut === true;
    // It comes to rest before it goes on, as after a motion that is done.
    if (said === 'goes on' && !rollsOut) this.rest(first.restS);
    const rolledM = travelledM(machine.readings) - beganM;
    this.carriedM = rollsOut ? beyondEndM(planned, leg, rolledM) : 0;
    if (said !== 'done' && said !== 'goes on') return said;
    const answer = asking && (ledTo(this.simulation, planned) ?? asking.answer());
    const givesUp = answer !== undefined && answer === choice?.givesUp;
    if (machine.readings.timeS > MAX_RUN_S || givesUp) return 'time';
    if (answer !== undefined) this.goBy(answer, planned);
    this.heading.took(planned, machine.readings, askewRad, () => this.error('takenRad'));
    return null;
  }

  /** What the program computes with as it begins a motion; what moves the robot by itself has moved it by then. */
  private legOf(planned: PlannedStep): Leg {
    const { machine, robot, heading } = this;
    const lateM = this.error('lateM');
    const kickRad = this.error('kickRad');
    if (kickRad !== 0) machine.kick(kickRad);
    const pushedM = this.error('pushedM');
    if (pushedM !== 0) machine.carry({ xM: pushedM, yM: 0, headingRad: 0 });
    return {
      ...planned,
      timeoutS: Math.min(planned.timeoutS, MAX_RUN_S),
      angleRad: robot.program.headingScale * planned.angleRad,
      fromHeadingRad: planned.from.headingRad,
      lateRad: this.error('lateRad'),
      plannedReadingRad: heading.plannedReadingRad(planned, machine.readings),
      balancedM: heading.balancedM,
      lateM,
      carriedM: this.carriedM,
    };
  }

  /** Drive until the motion is over, once more where its step says so. */
  private driveBy(step: MotionStep, first: Controller, again: () => Controller) {
    const { machine } = this;
    machine.mayLean(kindOfStep(step).meets === true);
    const ended = drive(machine, first, this.onLoop);
    if (ended !== 'time' || onTimeoutOf(step) !== 'again') return goingOn(step, ended);
    this.rest(first.restS);
    return goingOn(step, drive(machine, again(), this.onLoop));
  }

  /** A question was answered: the way that follows is taken, which may be another than was planned. */
  private goBy(answer: string, planned: PlannedStep): void {
    this.answers.push({ number: planned.number, answer });
    if (answer === planned.answer) return;
    this.way = this.prepared.wayOf(this.answers.map((one) => one.answer));
    this.errors.turnTo(this.way);
  }

  private moveArm(step: MotionStep): void {
    const arm = kindOfStep(step).movesArm?.(step, this.robot, this.arms) ?? null;
    if (arm !== null) this.machine.moveArm(arm);
  }

  private rest(seconds: number): void {
    drive(this.machine, rest(seconds), this.onLoop);
  }

  /** What an error comes to at the motion in hand. */
  private error(what: Parameters<ErrorsOnWay['at']>[0]): number {
    return this.errors.at(what, this.current);
  }

  private readonly onLoop = (): void => {
    this.watch(this.machine, this.current);
    if (this.isDriving) this.missions.comesBy();
  };
}

/**
 * Simulate one run; everything about it follows from the simulation's seed and the run's index.
 *
 * @param prepared of this simulation, from `prepare`
 */
export function simulateRun(
  simulation: Simulation,
  prepared: Prepared,
  runIndex: number,
  watch: Watch = () => undefined,
): SimulatedRun {
  const run = new RunInMaking(simulation, prepared, runIndex, watch);
  const failed = run.make();
  const { machine, answers } = run;
  const end = { ...tablePose(machine), timeS: machine.readings.timeS, ...failed };
  return { end, marks: run.missions.marks, answers };
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
