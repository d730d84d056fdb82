import { offsetFrom, alongAcross, isInWindow } from '../geometry/pose';
import type { PlannedBranch } from '../course/branches';
import type { PlannedStep } from '../course/plan';
import { bodyRadius } from '../machine/contact';
import { fitsHome, outlineMeets } from './outlineCheck';
import { lineSpeed } from '../light/lineSpeed';
import { COMMAND_WAYS } from '../program/commands';
import type { Robot } from '../robot/robot';
import type { Step } from '../steps/descriptions';
import type { StepPath } from '../steps/tree';
import { PROBLEM_SENTENCES, type PlanProblem } from '../steps/problems';
import { neededBy } from '../steps/neededBy';
import { kindOfStep } from '../steps/registry';
import { unitOrFirst } from '../steps/unitNamed';
import { missionName } from '../table/missionName';
import { isMarkOf, targetsOf } from '../table/targets';
import { passedAt } from './plannedPassing';
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
  const marked = kindOfStep(step).marks?.(step);
  if (marked === undefined) return [];
  const { missionId, part } = marked;
  const isAlike = (one: PlannedStep) => {
    const other = kindOfStep(one.step).marks?.(one.step);
    return (
      other?.missionId === missionId &&
      (other.part === null || part === null || other.part === part)
    );
  };
  const first = plan.find(isAlike);
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

/** A mark stands within the window of its mission, as planned; in passing, the next motion comes through it. */
const outOfWindow: Check = (planned, { plan, table }) => {
  const { step, to, isMeanwhile } = planned;
  const marked = kindOfStep(step).marks?.(step);
  if (marked === undefined || isMeanwhile === true) return [];
  const stands = marked.passing ? passedAt(plan, planned) : () => to;
  return table.missions
    .flatMap(targetsOf)
    .filter((target) => isMarkOf(marked, target))
    .flatMap((target) => {
      const at = stands(target.pose);
      if (isInWindow(at, target.pose, target.window)) return [];
      const off = offsetFrom(target.pose, at);
      const { alongM, acrossM } = alongAcross(off, target.pose.headingRad);
      const how = marked.passing ? 'comes by' : 'stands';
      return [
        {
          problem: 'out-of-window',
          sentence: `As planned it ${how} ${errorLength(Math.hypot(alongM, acrossM))} and ${degrees(Math.abs(off.headingRad), 0)} off the ${target.name}: outside its window.`,
        },
      ];
    });
};

/** What has to be worked before a mission counts is worked before it on the same route. */
const tooEarly: Check = (planned, { plan, table }) => {
  const id = kindOfStep(planned.step).marks?.(planned.step)?.missionId;
  const mission = table.missions.find((one) => one.id === id);
  const place = plan.indexOf(planned);
  if (mission === undefined || place < 0) return [];
  const later = plan
    .slice(place + 1)
    .flatMap(({ step }) => kindOfStep(step).marks?.(step).missionId ?? []);
  return mission.after
    .filter((one) => later.includes(one) && !isMarkedBefore(plan, place, one))
    .map((one) => ({
      problem: 'too-early',
      sentence: `The ${mission.name} counts only once the ${missionName(table.missions, one)} has been worked, which comes later here.`,
    }));
};

const isMarkedBefore = (plan: readonly PlannedStep[], place: number, id: string): boolean =>
  plan.slice(0, place).some(({ step }) => kindOfStep(step).marks?.(step).missionId === id);

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
  return [
    {
      problem: 'outline-meets',
      sentence: `Its outline meets ${met} on the way: it reaches ${errorLength(bodyRadius(robot.body))} about its axle.`,
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

/** Robots are placed within a home area, with all of their outline. */
const outsideHome: Check = (planned, { plan, robot, table }) => {
  const isFirst = plan[0] === planned;
  if (!isFirst || table.homeAreas.length === 0 || fitsHome(planned.from, robot, table)) return [];
  return [
    {
      problem: 'outside-home',
      sentence: 'The robot does not stand within a home area as it is placed.',
    },
  ];
};

const CHECKS: readonly Check[] = [
  asPlanned,
  markedTwice,
  outOfWindow,
  tooEarly,
  lineTooFast,
  notTimed,
  outline,
  headingNeverSet,
  outsideHome,
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
