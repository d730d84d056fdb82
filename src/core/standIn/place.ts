import type { Robot } from '../robot/robot';
import { onBattery } from '../program/byPower';
import { withHeading } from '../devices/ofRobot';
import { drivenRoute, type RouteDrive } from './drivenRoute';
import { runBenchProgram, type DriveSample } from './program';
import { simulatedLately } from './simulatedLately';
import { lastPlace, motionAt, type Motion, type StandIn } from './state';

type Place = Motion['end'];

/** Slow at both ends, as a hand moves. */
const eased = (share: number): number => share * share * (3 - 2 * share);

const turned = (from: Place, angleRad: number, trackM: number): Place => ({
  pose: { ...from.pose, headingRad: from.pose.headingRad + angleRad },
  leftM: from.leftM - (angleRad * trackM) / 2,
  rightM: from.rightM + (angleRad * trackM) / 2,
});

const rolled = (from: Place, distanceM: number): Place => ({
  pose: {
    ...from.pose,
    xM: from.pose.xM + distanceM * Math.cos(from.pose.headingRad),
    yM: from.pose.yM + distanceM * Math.sin(from.pose.headingRad),
  },
  leftM: from.leftM + distanceM,
  rightM: from.rightM + distanceM,
});

/** A moment of a program, which starts in its own frame, on the floor where the robot stood. */
function inPlace(from: Place, { pose, leftM, rightM }: DriveSample): Place {
  const cos = Math.cos(from.pose.headingRad);
  const sin = Math.sin(from.pose.headingRad);
  return {
    pose: {
      xM: from.pose.xM + cos * pose.xM - sin * pose.yM,
      yM: from.pose.yM + sin * pose.xM + cos * pose.yM,
      headingRad: from.pose.headingRad + pose.headingRad,
    },
    leftM: from.leftM + leftM,
    rightM: from.rightM + rightM,
  };
}

type Program = Extract<Motion['what'], { by: 'program' }>;

/** The true robot with the drift and the battery of the moment. */
function asItIsNow(robot: Robot, { driftRadPerS, batteryV }: Program): Robot {
  const drifting = withHeading(robot, { driftRadPerS });
  const { power } = robot.measured;
  return batteryV === undefined || power === null
    ? drifting
    : onBattery(drifting, batteryV - power.batteryV);
}

const drivenProgram = simulatedLately((robot: Robot, what: Program) =>
  runBenchProgram(asItIsNow(robot, what), what.steps, what.seed, what.about),
);

/** The course of a program or a route, after each of its loops. */
const samplesOf = (robot: Robot, what: Program | RouteDrive): DriveSample[] =>
  what.by === 'route' ? drivenRoute(robot, what).samples : drivenProgram(robot, what);

/** The moment of a drive that is under way; undefined where nothing drives. */
function sampleWithin(robot: Robot, { what, fromS }: Motion, tS: number): DriveSample | undefined {
  if (what.by !== 'program' && what.by !== 'route') return undefined;
  const samples = samplesOf(robot, what);
  const index = Math.floor((tS - fromS) / robot.loopPeriodS);
  return samples[Math.max(0, Math.min(index, samples.length - 1))];
}

/** Carried about: it turns this way and that, and is put down as it was, its wheels not turned. */
const swayed = (from: Place, share: number): Place => ({
  ...from,
  pose: {
    ...from.pose,
    headingRad: from.pose.headingRad + 0.35 * Math.sin(9 * share) * Math.sin(Math.PI * share) ** 2,
  },
});

/** A bump: it is turned a little in a fraction of the time, and stays so. */
const bumped = (from: Place, angleRad: number, share: number): Place => ({
  ...from,
  pose: {
    ...from.pose,
    headingRad: from.pose.headingRad + angleRad * eased(Math.min(1, 2 * share)),
  },
});

function within(robot: Robot, motion: Motion, tS: number): Place {
  const { what, start, fromS, toS } = motion;
  const share = (tS - fromS) / (toS - fromS);
  const trackM = robot.trackM * (1 + robot.errors.trackScaleError);
  switch (what.by) {
    case 'hand-turn':
      return turned(start, what.angleRad * eased(share), trackM);
    case 'hand-roll':
      return rolled(start, what.distanceM * eased(share));
    case 'carried':
      return swayed(start, share);
    case 'tilt':
    case 'stop':
      return start;
    case 'touch':
      return bumped(start, what.angleRad, share);
    case 'program':
    case 'route': {
      const moment = sampleWithin(robot, motion, tS);
      return moment === undefined ? start : inPlace(start, moment);
    }
  }
}

/** The true place of the stand-in at a moment. */
export function placeAt(robot: Robot, state: StandIn, tS: number): Place {
  const motion = motionAt(state, tS);
  if (motion === undefined) return state.motions[0]?.start ?? lastPlace(state);
  return tS >= motion.toS ? motion.end : within(robot, motion, tS);
}

/** How far the motors of attachments are turned at a moment, by unit: by hand, or by the route that it drives. */
export function attachmentDegreesAt(
  robot: Robot,
  state: StandIn,
  tS: number,
): Record<string, number> {
  const motion = motionAt(state, tS);
  if (motion === undefined || tS >= motion.toS) return state.attachmentDegrees;
  return sampleWithin(robot, motion, tS)?.attachmentDegrees ?? state.attachmentDegrees;
}

/** A motion from where the robot stands, with where and when it will end. */
export function motionFrom(
  robot: Robot,
  start: Place,
  fromS: number,
  what: Motion['what'],
): Motion {
  const lasting = (durationS: number): Motion => ({
    fromS,
    toS: fromS + durationS,
    what,
    start,
    end: start,
  });
  if (what.by === 'program' || what.by === 'route') {
    const samples = samplesOf(robot, what);
    const last = samples.at(-1);
    const motion = lasting(last?.tS ?? 0);
    return last === undefined ? motion : { ...motion, end: inPlace(start, last) };
  }
  const durationS = {
    'hand-turn': 1 + ('angleRad' in what ? Math.abs(what.angleRad) : 0) / 2,
    'hand-roll': 1.5,
    carried: 4,
    tilt: 1.5,
    stop: 0,
    touch: 0.6,
  }[what.by];
  const motion = lasting(durationS);
  return { ...motion, end: within(robot, motion, motion.toS) };
}
