import { wrap } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import type { Failure } from '../control/controller';
import { routeTargets } from '../course/routeMissions';
import { pointsOf, works } from '../forecast/points';
import { randomStream } from '../stats/random';
import { byTape } from './byTape';
import { drivenRoute, onTableOf, type RouteDrive } from './drivenRoute';
import { placeAt } from './place';
import type { StandIn } from './state';
import type { StandInTruth } from './truth';

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
}

/** Of a drive that is over. */
function cameOut(
  truth: StandInTruth,
  what: RouteDrive,
  stands: Pose,
  durationS: number,
): RouteDriven {
  const { run } = drivenRoute(truth.robot, what);
  const targets = routeTargets(what.route, what.table);
  const { toMillimetre, toHalfDegree } = byTape(randomStream(what.seed, 0, 'measuring'));
  const { failedNumber: number, failure } = run.end;
  const namesOf = (isWorked: boolean) =>
    targets.filter((one) => works(run, one, targets) === isWorked).map(({ name }) => name);
  return {
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

export type RouteView = NonNullable<ReturnType<typeof routeView>>;
