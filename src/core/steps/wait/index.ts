import { endsWhen } from '../../control/endsWhen';
import { rest } from '../../control/rest';
import type { PlanProblem } from '../../course/problems';
import type { Table } from '../../course/table';
import type { Pose } from '../../geometry/pose';
import type { Robot } from '../../robot';
import { expectedReading } from '../../simulate/units/expected';
import { readBySteps } from '../../units/ofRobot';
import type { StepKind } from '../kind';
import { readingOf, USUAL_SENSOR, type WaitStep } from './description';

/** What is on or off has passed beyond its middle. */
const MIDDLE = 0.5;

const valueOf = ({ sensor, value }: WaitStep): number =>
  readingOf(sensor)?.states === undefined ? value : MIDDLE;

/** Why it will not end by its reading, as far as the plan knows; nothing where it ends at once. */
function doubtful(step: WaitStep, at: Pose, robot: Robot, table: Table): PlanProblem[] {
  if (step.until === 'time') return [];
  const unit = readBySteps(robot, step.sensor);
  if (unit === null) return ['no-such-sensor'];
  const reads = expectedReading(unit, at, table);
  const value = valueOf(step);
  const isPast = reads !== null && (step.passes === 'below' ? reads <= value : reads >= value);
  return isPast ? [] : ['waits-all-the-time'];
}

export const wait: StepKind<WaitStep> = {
  needs: ({ until, sensor }) => (until === 'time' ? [] : [sensor]),
  isOffered: () => true,
  asAdded: () => ({
    kind: 'wait',
    until: 'time',
    sensor: USUAL_SENSOR,
    passes: 'below',
    value: 0.12,
    timeS: 1,
  }),
  plan(step, from, robot, table) {
    const problems = doubtful(step, from, robot, table);
    const endsAtOnce = step.until === 'reading' && problems.length === 0;
    return {
      to: from,
      distanceM: 0,
      angleRad: 0,
      durationS: endsAtOnce ? 0 : step.timeS,
      timeoutS: step.timeS,
      problems,
    };
  },
  control(step, _leg, robot) {
    const stand = rest(step.timeS);
    if (step.until === 'time') return stand;
    const unitId = readBySteps(robot, step.sensor)?.id ?? null;
    const { passes } = step;
    const isOver = endsWhen({ unitId, passes, value: valueOf(step), confirmations: 1 });
    return (now, wheels) => {
      if (unitId === null) return 'no-sensor';
      const said = stand(now, wheels);
      return isOver(now) ? 'done' : said;
    };
  },
  drives: false,
  inProgram: {},
};
