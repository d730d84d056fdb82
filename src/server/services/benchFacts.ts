import { allHeld } from '../../formats/holding';
import { creepFirst } from '../../core/gyro/creepFirst';
import { restsOn } from '../../core/sources/restsOn';
import { doubtsOf, doubtsThatTouch } from '../../core/sources/sources';
import type { BenchTrialsRecord } from '../../formats/benchRecords';
import type { RobotRecord } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { calibrationsOf, holdingOf } from '../stores/calibrations';
import { listRobots } from '../stores/robots';
import { listStillChecks } from '../stores/stillChecks';
import { routesOfRobot, trialLists } from './bench';
import { knownBy } from './courseCalibrations';
import { keptFittedRobot } from './fitted';
import { validityOf } from './validity';

/** Something that is read once, when it is first asked for. */
function once<T>(read: () => Promise<T>): () => Promise<T> {
  let reading: Promise<T> | null = null;
  return () => (reading ??= read());
}

/** What is kept of a robot's measurements, each read when a procedure asks for it. */
export function benchFacts(
  db: TeamDatabase,
  robot: RobotRecord,
  wishes: URLSearchParams,
  now: Date,
) {
  const calibrations = once(() => calibrationsOf(db, robot));
  const stillChecks = once(() => listStillChecks(db, robot.id));
  const routes = once(() => routesOfRobot(db, robot.id));
  const holding = async () => holdingOf(await calibrations(), robot);
  /** Of what matters to some route of it; of all where it has none. */
  const rests = async () => {
    const [held, driven] = await Promise.all([holding(), routes()]);
    const saved = allHeld(held);
    const fitted = keptFittedRobot(
      robot.robot,
      saved.map(({ value }) => value),
    );
    const doubts = doubtsOf(saved.map(({ value }) => value));
    const touched = driven.flatMap(({ version }) =>
      doubtsThatTouch(doubts, version.route, fitted.robot),
    );
    return restsOn(
      fitted.robot,
      driven.length === 0 ? doubts : doubts.filter((doubt) => touched.includes(doubt)),
      saved.map(knownBy),
    );
  };
  return {
    robot,
    now,
    wishes,
    stillChecks,
    creep: async () =>
      creepFirst(
        (await stillChecks()).find(({ setAsideReason }) => setAsideReason === null),
        now,
      ),
    trials: <P extends BenchTrialsRecord['procedure']>(procedure: P) =>
      trialLists(db, robot.id, procedure, wishes.get('list')),
    routes,
    calibrations,
    holding,
    rests,
    validity: once(() => validityOf(db, robot)),
    fitted: (values: Parameters<typeof keptFittedRobot>[1]) => keptFittedRobot(robot.robot, values),
  };
}

/** The robots, and the one that is worked on: the wished one, or else the first. */
export async function benchRobots(db: TeamDatabase, wished: string | null) {
  const robots = await listRobots(db);
  return { robots, robot: robots.find(({ id }) => id === wished) ?? robots[0] };
}
