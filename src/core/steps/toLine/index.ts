import { luminance, reflectedBy } from '../../colour/reflected';
import { meanStopM } from '../../control/meanStop';
import { settled } from '../../control/rest';
import { SETTLE_S, timeoutS as timeoutFor } from '../../control/settings';
import { toLine as controlToLine } from '../../control/toLine';
import { toTable, type Pose } from '../../geometry/pose';
import type { Robot } from '../../robot/robot';
import { lineShares } from '../../sensing/lineShares';
import { pastEdgeM } from '../../sensing/pastEdge';
import { linesAhead } from '../../table/linesAhead';
import { mayHaveLines } from '../../table/mat';
import type { Table } from '../../table/table';
import { ahead, drivenInProgram, newGain, STARTING_S } from '../driven';
import { lineLeave } from '../lineLeave';
import { heldHeading, type Leg, type StepKind } from '../kind';
import type { PlanProblem } from '../problems';
import { rehearsed } from '../rehearsed';
import { unitOrFirst } from '../unitNamed';
import type { ToLineStep } from './description';

export const sensorOf = ({ sensor }: ToLineStep, robot: Robot) =>
  unitOrFirst(robot, 'light sensor', sensor);

/** Nearer than this it stands at that edge already: a plan that comes to one ends there, but for rounding. */
const THERE_M = 1e-6;

/** Lines of a lightness of their own are looked for only as what they are against the floor. */
const seenLines = ({ darker }: ToLineStep, { lines, floorColour }: Table) =>
  lines.filter(
    ({ colour }) => colour === undefined || lightness(colour) < lightness(floorColour) === darker,
  );
const lightness = (colour: string): number => luminance(reflectedBy(colour));

/** How far it is until its sensor's middle lies on the edge of that line, or why it never will. */
function wayTo(
  step: ToLineStep,
  from: Pose,
  robot: Robot,
  table: Table,
): { distanceM: number } | { problem: PlanProblem } {
  const unit = sensorOf(step, robot);
  if (unit === null) return { problem: 'no-such-sensor' };
  const at = toTable(from, { xM: unit.place.aheadM, yM: unit.place.leftM });
  const headingRad = from.headingRad + (step.back ? Math.PI : 0);
  const edges = linesAhead(seenLines(step, table), { ...at, headingRad })
    .map(({ fromM, toM }) => (step.on === 'entering' ? fromM : toM))
    .filter((edgeM) => edgeM > THERE_M);
  const edgeM = edges[step.count - 1];
  if (edgeM === undefined) return { problem: 'no-line-ahead' };
  const stopM = meanStopM(robot, unit.behaviour.periodS, step.speedMPerS, edgeM);
  const pastM = pastEdgeM(unit.behaviour, step.darker ? 'darker' : 'lighter', step.on);
  return { distanceM: edgeM + pastM + stopM };
}

/** Where what is printed on a mat is counted with what is drawn: as the exact robot comes by it. */
const byWhatItReads = (step: ToLineStep, from: Pose, robot: Robot, table: Table) =>
  rehearsed((leg, exact) => controlStep(step, leg, exact), from, robot, table, {
    never: 'no-line-ahead',
    timeoutS: step.timeoutS,
  });

function controlStep(step: ToLineStep, leg: Leg, robot: Robot) {
  const unit = sensorOf(step, robot);
  const lineIs = step.darker ? 'darker' : 'lighter';
  const { enterShare, leaveShare } =
    unit === null ? { enterShare: 0, leaveShare: 0 } : lineShares(unit.behaviour, lineIs);
  return settled(
    controlToLine(
      {
        of: unit && { unitId: unit.id, channel: 'light' },
        enter: enterShare,
        leave: leaveShare,
        lineIs,
        count: step.count,
        on: step.on,
        speedMPerS: step.back ? -step.speedMPerS : step.speedMPerS,
        keep: heldHeading(step, leg),
        timeoutS: leg.timeoutS,
        ...(leg.fromMPerS !== undefined && { fromMPerS: leg.fromMPerS }),
      },
      robot,
    ),
  );
}

export const toLine: StepKind<ToLineStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor', 'light sensor'],
  group: 'until',
  isOffered: mayHaveLines,
  asAdded: (place) => ({
    kind: 'to-line',
    count: 1,
    on: 'entering',
    darker: true,
    back: false,
    speedMPerS: 0.15,
    gainMPerSPerRad: newGain(place),
  }),
  plan(step, from, robot, table) {
    if (table.mat != null) return byWhatItReads(step, from, robot, table);
    const way = wayTo(step, from, robot, table);
    const farM = 'problem' in way ? 0 : way.distanceM;
    const distanceM = step.back ? -farM : farM;
    const durationS = farM / step.speedMPerS + STARTING_S + SETTLE_S;
    return {
      to: ahead(from, distanceM),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: step.timeoutS ?? timeoutFor(durationS),
      problems: 'problem' in way ? [way.problem] : [],
    };
  },
  control: controlStep,
  crossesLines: (step) => ({
    speedMPerS: step.speedMPerS,
    sensor: step.sensor,
    withSpeed: (speedMPerS) => ({ ...step, speedMPerS }),
  }),
  asPlanned: ({ timeoutS }) => ({ timeoutS }),
  rollsIn: ({ back }) => (back ? -1 : 1),
  drives: true,
  inProgram: {
    ...drivenInProgram<ToLineStep>(),
    leaves(step, _planned, robot) {
      const unit = sensorOf(step, robot);
      return [lineLeave(unit, step.darker, step.on, step.count)];
    },
  },
};
