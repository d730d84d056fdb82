import type { PlannedBranch } from '../course/branches';
import type { PlannedStep } from '../course/plan';
import type { Robot } from '../robot/robot';
import { PROBLEM_SENTENCES } from '../steps/problems';
import type { Table } from '../table/table';
import type { Check, CheckFinding } from './checks/check';
import { gainElsewhere } from './checks/gain';
import { headingNeverSet } from './checks/heading';
import { joinsNothing, tooShortToStop } from './checks/joins';
import { markedTwice, outOfWindow, tooEarly } from './checks/marks';
import { outline, outsideHome } from './checks/outline';
import { unknownMounting } from './checks/mounted';
import { lineTooFast, notTimed } from './checks/speeds';

const asPlanned: Check = ({ problems, choice, found = '' }) =>
  problems.map((problem) => ({
    problem,
    sentence: PROBLEM_SENTENCES[problem],
    ...(problem === 'answers-otherwise' &&
      choice?.withUsual !== undefined && {
        mend: { words: 'Mark that as usual', step: choice.withUsual(found) },
      }),
  }));

const CHECKS: readonly Check[] = [
  asPlanned,
  markedTwice,
  outOfWindow,
  tooEarly,
  lineTooFast,
  notTimed,
  gainElsewhere,
  joinsNothing,
  tooShortToStop,
  outline,
  headingNeverSet,
  outsideHome,
  unknownMounting,
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
