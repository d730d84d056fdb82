import { offsetFrom, alongAcross, isInWindow } from '../geometry/pose';
import type { PlannedBranch } from '../course/branches';
import type { PlannedStep } from '../course/plan';
import { bodyRadius } from '../machine/contact';
import { outlineMeets } from './outlineCheck';
import { lineSpeed } from '../light/lineSpeed';
import { COMMAND_WAYS } from '../program/commands';
import type { Robot } from '../robot/robot';
import { missionOfStep, type Step } from '../steps/descriptions';
import type { StepPath } from '../steps/tree';
import { PROBLEM_SENTENCES, type PlanProblem } from '../steps/problems';
import { neededBy } from '../steps/neededBy';
import { kindOfStep } from '../steps/registry';
import { unitOrFirst } from '../steps/unitNamed';
import { missionName } from '../table/missionName';
import type { Table } from '../table/table';
import { benchLength, benchSpeed, degrees, errorLength } from '../text/quantities';

/** Something about a step that a coach should know before any run. */
export interface CheckFinding {
  /** Of the step, as plans have it: "4.2"; and where it stands. */
  number: string;
  path: StepPath;
  problem: string;
  sentence: string;
  /** What mends it in one press. */
  mend?: Mend;
}

/** The step as it would be then, or null where it is taken out; and another one before it. */
export interface Mend {
  words: string;
  step: Step | null;
  before?: Step;
}

/** A line begins where so much of the spot lies on it: the middle, and a little hysteresis. */
const ENTERS_AT = 0.6;
/** Speeds are set in steps of a centimetre a second, downwards. */
const ROUNDED_M_PER_S = 0.01;

type Check = (planned: PlannedStep, about: About) => Omit<CheckFinding, 'number' | 'path'>[];

interface About {
  plan: readonly PlannedStep[];
  robot: Robot;
  table: Table;
}

const asPlanned: Check = ({ problems, choice, found = '' }) =>
  problems.map((problem) => ({
    problem,
    sentence: PROBLEM_SENTENCES[problem],
    ...(problem === 'answers-otherwise' &&
      choice?.withUsual !== undefined && {
        mend: { words: 'Mark that as usual', step: choice.withUsual(found) },
      }),
  }));

/** A mission counts once. */
const markedTwice: Check = ({ step, number }, { plan, table }) => {
  const missionId = missionOfStep(step);
  if (missionId === null) return [];
  const first = plan.find((one) => missionOfStep(one.step) === missionId);
  if (first === undefined || first.number === number) return [];
  const name = missionName(table.missions, missionId);
  return [
    {
      problem: 'marked-twice',
      sentence: `The ${name} is worked in step ${first.number} already: it counts once.`,
      mend: { words: 'Take this step out', step: null },
    },
  ];
};

/** A mark stands within the window of its mission, as planned. */
const outOfWindow: Check = ({ step, to, isMeanwhile }, { table }) => {
  if (isMeanwhile === true) return [];
  const missionId = missionOfStep(step);
  const mission = table.missions.find(({ id }) => id === missionId);
  if (mission === undefined || isInWindow(to, mission.pose, mission.window)) return [];
  const off = offsetFrom(mission.pose, to);
  const { alongM, acrossM } = alongAcross(off, mission.pose.headingRad);
  return [
    {
      problem: 'out-of-window',
      sentence: `As planned it stands ${errorLength(Math.hypot(alongM, acrossM))} and ${degrees(Math.abs(off.headingRad), 0)} off the ${mission.name}: outside its window.`,
    },
  ];
};

/** A line is looked at while the sensor is on it. */
const lineTooFast: Check = ({ step }, { robot, table }) => {
  const crossing = kindOfStep(step).crossesLines?.(step) ?? null;
  const unit = crossing && unitOrFirst(robot, 'light sensor', crossing.sensor);
  const widths = table.lines.map(({ widthM }) => widthM);
  if (crossing === null || unit === null || widths.length === 0) return [];
  const lineWidthM = Math.min(...widths);
  const { speedMPerS } = lineSpeed({
    lineWidthM,
    loopPeriodS: robot.loopPeriodS,
    sensorPeriodS: unit.behaviour.periodS,
    spotM: unit.behaviour.spotDiameterM,
    readings: 1,
    share: ENTERS_AT,
  });
  if (crossing.speedMPerS <= speedMPerS) return [];
  const safe = Math.floor(speedMPerS / ROUNDED_M_PER_S) * ROUNDED_M_PER_S;
  return [
    {
      problem: 'line-too-fast',
      sentence: `At ${benchSpeed(crossing.speedMPerS)} a line of ${benchLength(lineWidthM)} may be passed between two readings of ${unit.label}.`,
      ...(safe > 0 && {
        mend: { words: `Drive at ${benchSpeed(safe)}`, step: crossing.withSpeed(safe) },
      }),
    },
  ];
};

/** What is told as a power was timed. */
const notTimed: Check = ({ step }, { robot }) => {
  const { command } = robot.program;
  const { speed } = kindOfStep(step).inProgram;
  if (command === null || speed === undefined || !COMMAND_WAYS[command].isPower) return [];
  if (speed.commanded(step, robot, command) !== null) return [];
  return [
    {
      problem: 'not-timed',
      sentence: 'Nobody has timed the robot at such a speed: which power that is, is a guess.',
    },
  ];
};

/** It is said already that it runs into something. */
const SAID: readonly PlanProblem[] = ['meets-wall', 'off-table'];

/** Nothing stands where the robot comes by, unless it is meant to. */
const outline: Check = (planned, { robot, table }) => {
  const { step, problems, choice, isMeanwhile } = planned;
  const isMeant = kindOfStep(step).meets === true || problems.some((one) => SAID.includes(one));
  if (isMeant || choice !== undefined || isMeanwhile === true) return [];
  const met = outlineMeets(planned, robot, table);
  if (met === null) return [];
  const what = met === 'border' ? 'the border' : `wall ${met} of the table`;
  return [
    {
      problem: 'outline-meets',
      sentence: `Its outline meets ${what} on the way: it reaches ${errorLength(bodyRadius(robot.body))} about its axle.`,
    },
  ];
};

const isSet = ({ step }: PlannedStep, robot: Robot): boolean =>
  kindOfStep(step).takesHeading?.(step, robot) !== undefined;

/** A sensor that keeps its heading over the start of a program is told one before it is gone by. */
const headingNeverSet: Check = (planned, { plan, robot }) => {
  if (robot.build.startZeroesHeading !== 'no') return [];
  const goesBy = (one: PlannedStep) =>
    !isSet(one, robot) && neededBy(one.step).includes('heading sensor');
  const first = plan.find((one) => isSet(one, robot) || goesBy(one));
  if (first === undefined || first.step.id !== planned.step.id || !goesBy(first)) return [];
  const { headingRad } = planned.from;
  return [
    {
      problem: 'heading-never-set',
      sentence:
        'This program goes by the heading, and nobody has set it: starting it does not zero this sensor.',
      mend: {
        words: 'Set the heading before',
        step: planned.step,
        before: { id: `${planned.step.id}h`, kind: 'set-heading', headingRad },
      },
    },
  ];
};

const CHECKS: readonly Check[] = [
  asPlanned,
  markedTwice,
  outOfWindow,
  lineTooFast,
  notTimed,
  outline,
  headingNeverSet,
];

/** What is doubtful about a route before any run, step by step, each finding of a step once. */
export function routeCheck(
  usual: readonly PlannedStep[],
  branches: readonly PlannedBranch[],
  robot: Robot,
  table: Table,
): CheckFinding[] {
  const found = (steps: readonly PlannedStep[], plan: readonly PlannedStep[]) =>
    steps.flatMap((planned) =>
      CHECKS.flatMap((check) => check(planned, { plan, robot, table })).map((one) => ({
        number: planned.number,
        path: planned.path,
        ...one,
      })),
    );
  const all = [found(usual, usual), ...branches.map(({ steps, way }) => found(steps, way))].flat();
  return all.filter(
    ({ number, sentence }, i) =>
      all.findIndex((one) => one.number === number && one.sentence === sentence) === i,
  );
}
