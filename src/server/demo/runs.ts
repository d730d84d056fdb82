import { motionsOf } from '../../core/steps/tree';
import { degreesFromRadians, radiansFromDegrees } from '../../core/geometry/angle';
import { offsetFrom, type Pose } from '../../core/geometry/pose';
import { plannedEnd, planRoute } from '../../core/course/plan';
import type { Robot } from '../../core/robot/robot';
import type { Route } from '../../core/course/route';
import { routeTargets } from '../../core/course/routeMissions';
import { missionOfStep } from '../../core/steps/descriptions';
import { targetsOf } from '../../core/table/targets';
import { works } from '../../core/forecast/points';
import { prepare } from '../../core/forecast/prepare';
import { simulateRun } from '../../core/forecast/run';
import type { SimulatedRun } from '../../core/forecast/simulatedRun';
import type { RunRecord } from '../../formats/records';
import { demoId } from './ids';
import { winterGarden, type DemoSeries } from './scenario';

const PLACERS = ['Moss', 'Juniper', 'Tam'];
/** One letter for each series: with two, runs of different series could be named alike. */
const DIGITS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';
const MINUTES_PER_RUN = 3;
/** Every eleventh run nobody measured the end; the last but one of the second series was bumped. */
const isUnmeasured = (i: number) => i % 11 === 7;
const SET_ASIDE = { series: 2, run: 17, reason: 'A sleeve touched the robot at the rain barrel' };

const toMillimetre = (metres: number) => Math.round(metres * 1000) / 1000;
const toHalfDegree = (radians: number) =>
  radiansFromDegrees(Math.round(degreesFromRadians(radians) * 2) / 2);

function causeOf(run: SimulatedRun, offset: Pose, worked: boolean): string | null {
  if (worked || isGateShut(run)) return null;
  if (run.end.failedStep !== null) return 'stopped on the way';
  return Math.abs(degreesFromRadians(offset.headingRad)) > 2.5 ? 'turned wrong' : 'wrong distance';
}

/** What is jotted down beside some of the runs that failed. */
const NOTES = [
  'turned too far at the seed drawer already',
  'scraped along the wall',
  'started a finger too far right',
];

const isGateShut = ({ answers }: SimulatedRun): boolean =>
  answers.some(({ answer }) => answer === 'then');

const noteOf = (run: SimulatedRun, worked: boolean, i: number): string | null => {
  if (isGateShut(run)) return 'the leaf lay before the gate';
  if (run.end.failedStep !== null) return 'waited for the wall until the time-out';
  return worked || i % 4 !== 1 ? null : (NOTES[i % NOTES.length] ?? null);
};

/** The runs of a demo series: the simulator drives, and a person with a ruler writes down. */
export function demoRuns(
  series: DemoSeries,
  { route, robot }: { route: Route; robot: Robot },
  seriesNumber: number,
): RunRecord[] {
  const plan = planRoute(route, robot, winterGarden);
  const target = plannedEnd(route, plan);
  const startMs = Date.parse(series.day);
  const { placers = PLACERS, minuteOf = (i: number) => i * MINUTES_PER_RUN } = series;
  return Array.from({ length: series.runs }, (_, i): RunRecord => {
    const simulation = {
      robot: series.robotFor(i),
      table: winterGarden,
      route: { ...route, placement: series.placement },
      seed: series.seed,
    };
    const prepared = prepare(simulation, (answers) =>
      planRoute(route, robot, winterGarden, answers),
    );
    const run = simulateRun(simulation, prepared, i);
    const targets = routeTargets(route, winterGarden);
    const missions = Object.fromEntries(
      winterGarden.missions
        .filter(({ id }) => motionsOf(route.steps).some((step) => missionOfStep(step) === id))
        .map((mission) => [
          mission.id,
          targetsOf(mission).every((one) => works(run, one, targets)),
        ]),
    );
    const offset = offsetFrom(target, run.end);
    const worked = Object.values(missions).every(Boolean);
    const measured = !isUnmeasured(i) && run.end.failedStep === null;
    const { label, volts } = series.batteryFor(i);
    const aside = SET_ASIDE.series === seriesNumber && SET_ASIDE.run === i + 1;
    return {
      id: demoId(`R${DIGITS[seriesNumber] ?? ''}`, i + 1),
      version: 0,
      seriesId: demoId('S', seriesNumber),
      happenedAt: new Date(startMs + minuteOf(i) * 60_000).toISOString(),
      placedBy: placers[i % placers.length] ?? null,
      battery: label,
      batteryV: volts,
      endXM: measured ? toMillimetre(offset.xM) : null,
      endYM: measured ? toMillimetre(offset.yM) : null,
      endHeadingRad: measured ? toHalfDegree(offset.headingRad) : null,
      worked,
      missions,
      cause: causeOf(run, offset, worked),
      note: noteOf(run, worked, i),
      setAsideReason: aside ? SET_ASIDE.reason : null,
    };
  });
}
