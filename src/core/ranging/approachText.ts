import type { Robot } from '../robot/robot';
import { benchLength, benchSpeed, degrees, errorLength, number } from '../text/quantities';
import { lookingAhead } from '../devices/ofRobot';
import { askewNearerM, bestWithin, type ApproachWay } from './approachSpeeds';

/** A heading error that is not rare after two turns. */
const ASKEW_RAD = (5 * Math.PI) / 180;

const wayText = ({ speedMPerS, fastMPerS, slowFromM, gapSdM }: ApproachWay): string =>
  `${fastMPerS === null || slowFromM === null ? benchSpeed(speedMPerS) : `${benchSpeed(fastMPerS)} up to ${benchLength(slowFromM)} before the wall, then ${benchSpeed(speedMPerS)}`}, ± ${errorLength(gapSdM, 1)}`;

/** Which speeds to approach with in the time at hand, in a sentence. */
export function waysSentence(ways: readonly ApproachWay[], timeAtHandS: number): string {
  const best = bestWithin(ways, timeAtHandS);
  const one = bestWithin(
    ways.filter(({ fastMPerS }) => fastMPerS === null),
    timeAtHandS,
  );
  if (best === null) {
    const quickest = Math.min(...ways.map(({ timeS }) => timeS));
    return Number.isFinite(quickest)
      ? `In ${number(timeAtHandS, 1)} s it cannot be there: the quickest way takes ${number(quickest, 1)} s.`
      : 'No speed fits between the start and the wall: start further away.';
  }
  if (best.fastMPerS === null) {
    return `In ${number(timeAtHandS, 1)} s one speed will do: ${wayText(best)}.`;
  }
  const otherwise =
    one === null
      ? ' At one speed that steady it would not be there in time.'
      : ` At one speed it would be ${wayText(one)}.`;
  return `In ${number(timeAtHandS, 1)} s drive ${wayText(best)}.${otherwise}`;
}

/** What coming askew does to the gap, in a sentence. */
export function askewSentence(robot: Robot, readsAtM: number): string {
  const behaviour = lookingAhead(robot)?.behaviour;
  const { byBeamM, byCornerM } = askewNearerM(ASKEW_RAD, readsAtM, robot.body.halfWidthM);
  const corner = `its corner is ${errorLength(byCornerM)} nearer`;
  return behaviour === undefined || behaviour.beamHalfAngleRad < ASKEW_RAD
    ? `A robot that comes ${degrees(ASKEW_RAD, 0)} askew reads along a slant and stands ${errorLength(byBeamM, 1)} nearer, and ${corner}.`
    : `A robot that comes ${degrees(ASKEW_RAD, 0)} askew reads the same (the sensor’s echo is wide), but ${corner}.`;
}
