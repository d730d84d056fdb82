import { ANGLE_UNITS, correctionAt } from '../program/gain';
import type { Robot } from '../robot/robot';
import { FOLLOWING_M_PER_S } from '../control/tunedDrives';
import type { TunedId } from '../robot/tunedIds';
import { SHOWN } from '../control/tuned';

/** A tuned gain as the robot's own programs have it. */
export interface TunedInProgram {
  /** The difference between both wheels' commands for one unit of the error. */
  perUnit: number;
  /** "% per °". */
  unit: string;
  /** The gain, in SI, that such a number is worth. */
  gainOf(perUnit: number): number;
}

/** A turn on the spot begins and ends slowly: about the speed of its wheels when a gain matters. */
const wheelSpeed = (id: TunedId, speed?: number): number => {
  const { isRate, usual } = SHOWN[id].speeds;
  return isRate ? FOLLOWING_M_PER_S : (speed ?? usual);
};

/**
 * What stands in the robot's program for a gain: how much of its own command between the wheels for a degree, a
 * centimetre, a percent.
 *
 * @param speed at which it is tried; left out: the usual one
 * @returns null where nobody has said how its programs command the motors, or the speed at such a power was not timed
 */
export function tunedInProgram(
  robot: Robot,
  id: TunedId,
  gain: number,
  speed?: number,
): TunedInProgram | null {
  // A turn on the spot is steered as far as it goes: there it is the command that is in proportion.
  const { steering } = robot.program;
  const told = { ...robot.program, steering: SHOWN[id].speeds.isRate ? null : steering };
  const correction = correctionAt({ ...robot, program: told }, wheelSpeed(id, speed));
  if (correction === null) return null;
  const { per, ofHeading = false, differenceMPerS } = SHOWN[id].inProgram;
  const { degrees } = ANGLE_UNITS;
  const angle = ofHeading ? ANGLE_UNITS[robot.program.angles] : degrees;
  const perDegree = correction.perMPerS * differenceMPerS(robot, 1);
  const perGain = perDegree * (angle.sizeRad / degrees.sizeRad);
  return {
    perUnit: gain * perGain,
    unit: `${correction.unit} per ${ofHeading ? per.replace(degrees.unit, angle.unit) : per}`,
    gainOf: (perUnit) => perUnit / perGain,
  };
}
