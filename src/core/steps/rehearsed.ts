import type { Controller } from '../control/controller';
import { timeoutS as timeoutFor } from '../control/settings';
import type { Pose } from '../geometry/pose';
import { rehearse, type Rehearsed } from '../machine/rehearse';
import type { Robot } from '../robot/robot';
import type { Table } from '../table/table';
import type { Leg, Motion } from './kind';
import type { PlanProblem } from './problems';
import { linesThrough } from './trail';

/** After so long a motion that nothing has ended never ends. */
export const LONGEST_S = 60;

/** What a motion is told that is made by itself, from a place where its heading reads 0. */
const legFrom = (from: Pose, planned: Motion): Leg => ({
  ...planned,
  fromHeadingRad: from.headingRad,
  plannedReadingRad: 0,
  balancedM: 0,
  lateRad: 0,
  lateM: 0,
});

const whyNot = ({ ended }: Rehearsed, never: PlanProblem): PlanProblem | null =>
  ended === 'done'
    ? null
    : ended === 'no-sensor'
      ? 'no-such-sensor'
      : ended === 'wall'
        ? 'meets-wall'
        : never;

const notPlanned = (from: Pose): Motion => ({
  to: from,
  distanceM: 0,
  angleRad: 0,
  durationS: LONGEST_S,
  timeoutS: LONGEST_S,
  problems: [],
});

interface Of {
  never: PlanProblem;
  timeoutS?: number | undefined;
  /** What it is planned to do where nothing else ends it. */
  planned?: Motion;
  /** It is meant to run into something. */
  meets?: boolean | undefined;
}

/**
 * The plan of a motion that no formula tells: as the exact robot makes it. One that never ends stays where it begins.
 *
 * @param control its controller, as `StepKind.control` gives it
 * @param never what is doubtful where its time is over first
 * @param timeoutS the time-out that was set for it
 */
export function rehearsed(
  control: (leg: Leg, robot: Robot) => Controller,
  from: Pose,
  robot: Robot,
  table: Table,
  { never, timeoutS, planned = notPlanned(from), meets = false }: Of,
): Motion {
  const motionFor = (exact: Robot) => control(legFrom(from, planned), exact);
  const made = rehearse(motionFor, from, robot, table, meets);
  const problem = whyNot(made, never);
  const isMade = problem === null || problem === 'meets-wall';
  const durationS = isMade ? made.durationS : 0;
  return {
    to: isMade ? made.to : from,
    distanceM: isMade ? made.travelledM : 0,
    angleRad: isMade ? made.to.headingRad - from.headingRad : 0,
    durationS,
    timeoutS: timeoutS ?? timeoutFor(durationS),
    problems: problem === null ? [] : [problem],
    ...(isMade && { trail: linesThrough(made.trail) }),
  };
}
