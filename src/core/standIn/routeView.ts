import { wrap } from '../geometry/angle';
import { toTable, type Point, type Pose } from '../geometry/pose';
import type { Failure } from '../control/controller';
import { routeTargets } from '../course/routeMissions';
import { pointsOf, works } from '../forecast/points';
import { randomStream } from '../stats/random';
import { byTape } from './byTape';
import { drivenRoute, onTableOf, type RouteDrive } from './drivenRoute';
import { placeAt } from './place';
import type { StandIn } from './state';
import type { StandInTruth } from './truth';

/** A way is kept in points so long apart. */
const POINT_EVERY_S = 0.2;

/** How a route that the stand-in drove came out, as people at the table note it. */
export interface RouteDriven {
  /** Where it stands on the table, by tape and protractor. */
  end: Pose;
  durationS: number;
  /** The step that stopped it, and why; null where it came through. */
  failed: { number: string; failure: Failure } | null;
  /** The names of what it worked, and of what it did not. */
  worked: string[];
  missed: string[];
  points: number;
  /** The way that it took, from its start. */
  trail: Point[];
}

/** Of a drive that is over. */
function cameOut(
  truth: StandInTruth,
  what: RouteDrive,
  stands: Pose,
  durationS: number,
): RouteDriven {
  const { run, samples } = drivenRoute(truth.robot, what);
  const targets = routeTargets(what.route, what.table);
  const { toMillimetre, toHalfDegree } = byTape(randomStream(what.seed, 0, 'measuring'));
  const { failedNumber: number, failure } = run.end;
  const namesOf = (isWorked: boolean) =>
    targets.filter((one) => works(run, one, targets) === isWorked).map(({ name }) => name);
  const every = Math.max(1, Math.round(POINT_EVERY_S / what.robot.loopPeriodS));
  return {
    trail: samples
      .filter((_, i) => i % every === 0 || i === samples.length - 1)
      .map(({ pose }) => toTable(what.route.start, pose)),
    end: {
      xM: toMillimetre(stands.xM),
      yM: toMillimetre(stands.yM),
      headingRad: toHalfDegree(wrap(stands.headingRad)),
    },
    durationS,
    failed: number === null || failure === null ? null : { number, failure },
    worked: namesOf(true),
    missed: namesOf(false),
    points: pointsOf(run, targets),
  };
}

/** The route that the stand-in drives or has driven, until it is moved by hand; null where it does neither. */
export function routeView(truth: StandInTruth, state: StandIn, nowS: number) {
  const motion = state.motions.at(-1);
  if (motion?.what.by !== 'route') return null;
  const { what, fromS, toS } = motion;
  const pose = onTableOf(motion, what, placeAt(truth.robot, state, nowS).pose);
  return {
    /** When it began: by this one is told from the one before. */
    fromS,
    durationS: toS - fromS,
    /** Where it is on the table now, for all to see. */
    pose,
    driven: nowS < toS ? null : cameOut(truth, what, pose, toS - fromS),
  };
}
