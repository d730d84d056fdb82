import { controller, type Tick } from '../../control/controller';
import { hasEnded, type EndsWhen, type Passed } from '../../control/endsWhen';
import { rest, stand, type Standing } from '../../control/rest';
import type { PlanProblem } from '../problems';
import type { Table } from '../../table/table';
import type { Pose } from '../../geometry/pose';
import type { Robot } from '../../robot/robot';
import { expectedReading } from '../../sensing/expected';
import { readBySteps } from '../../devices/ofRobot';
import type { StepKind } from '../kind';
import { readingOf, USUAL_SENSOR, type WaitStep } from './description';

/** What is on or off has passed beyond its middle. */
const MIDDLE = 0.5;

const valueOf = ({ sensor, value }: WaitStep): number =>
  readingOf(sensor).channel.reads?.states === undefined ? value : MIDDLE;

/** Why it will not end by its reading, as far as the plan knows; nothing where it ends at once. */
function doubtful(step: WaitStep, at: Pose, robot: Robot, table: Table): PlanProblem[] {
  if (step.until === 'time') return [];
  const wanted = readingOf(step.sensor);
  const unit = readBySteps(robot, wanted);
  if (unit === null) return ['no-such-sensor'];
  const reads = expectedReading(unit, wanted.channel.name, at, table);
  const value = valueOf(step);
  const isPast = reads !== null && (step.passes === 'below' ? reads <= value : reads >= value);
  return isPast ? [] : ['waits-all-the-time'];
}

const tick: Tick<Standing & Passed & { endsWhen: EndsWhen }> = (state, now, wheels) => {
  if (state.endsWhen.of === null) return 'no-sensor';
  const said = stand(state, now, wheels);
  return hasEnded(state.endsWhen, state, now) ? 'done' : said;
};

export const wait: StepKind<WaitStep> = {
  needs: ({ until, sensor }) => (until === 'time' ? [] : [readingOf(sensor).kind]),
  group: 'work',
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
    if (step.until === 'time') return rest(step.timeS);
    const wanted = readingOf(step.sensor);
    const unit = readBySteps(robot, wanted);
    const of = unit && { unitId: unit.id, channel: wanted.channel.name };
    const { passes } = step;
    const endsWhen: EndsWhen = { of, passes, value: valueOf(step), confirmations: 1 };
    return controller(tick, { endsWhen, durationS: step.timeS, untilS: null, passed: 0 });
  },
  drives: false,
  inProgram: {},
};
