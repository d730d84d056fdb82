import { drive } from '../../control/drive';
import { follow } from '../../control/follow';
import type { DeviceOf } from '../../devices/device';
import { devicesOf } from '../../devices/ofRobot';
import { toTable } from '../../geometry/pose';
import type { Robot } from '../../robot/robot';
import { createMachine } from '../../machine/machine';
import { alongEdge, bendTable, EDGE_FROM, edgeLengthM, STRAIGHT_M, type Bend } from './bend';

export interface Following {
  bend: Bend;
  speedMPerS: number;
  /** Turning for a share of light off the target, rad/s; its size. */
  gainRadPerS: number;
}

export interface FollowedBend {
  /** It came round, and still is on the edge. */
  held: boolean;
  /** The longest that it read nothing but floor, or nothing but line, one after the other. */
  blindS: number;
  /** The furthest from the edge. */
  farthestM: number;
}

/** It begins so far off the edge. */
const BEGINS_OFF_M = 0.003;
/** Past the line on its other side, or so far over the floor, it is lost; and where it ends farther off. */
const OVER_FLOOR_M = 0.06;
const ENDS_WITHIN_M = 0.012;
/** It may take so much longer than the edge's own length would. */
const LONGER = 1.3;
/** A reading this near to that of bare floor or line, of their difference, tells nothing of the edge. */
const BLIND_SHARE = 0.1;

/** The light sensor that looks at the edge, what it is to read there, and which way too much of it turns. */
export function looksAtEdge(robot: Robot) {
  const [unit] = devicesOf(robot, 'light sensor');
  if (unit === undefined) return null;
  const { floorShare, lineShare } = unit.behaviour;
  const sign: 1 | -1 = floorShare > lineShare ? -1 : 1;
  return {
    unit,
    target: (floorShare + lineShare) / 2,
    sign,
    span: Math.abs(floorShare - lineShare),
  };
}

const isBlind = (
  { floorShare, lineShare, noiseShare }: DeviceOf<'light sensor'>['behaviour'],
  reading: number,
): boolean => {
  const near = BLIND_SHARE * Math.abs(floorShare - lineShare) + 2 * noiseShare;
  return Math.abs(reading - floorShare) < near || Math.abs(reading - lineShare) < near;
};

/**
 * A robot that follows a line's left edge round a bend, on the simulator.
 *
 * @param seed of all its scatter
 * @returns null for a robot without a light sensor
 */
export function followBend(
  robot: Robot,
  { bend, speedMPerS, gainRadPerS }: Following,
  seed: number,
): FollowedBend | null {
  const looks = looksAtEdge(robot);
  if (looks === null) return null;
  const { unit, target, sign } = looks;
  const { place, behaviour } = unit;
  const start = {
    xM: EDGE_FROM.xM - place.aheadM,
    yM: EDGE_FROM.yM - place.leftM + BEGINS_OFF_M,
    headingRad: 0,
  };
  const of = { unitId: unit.id, channel: 'light' };
  const durationS = (LONGER * edgeLengthM(bend)) / speedMPerS;
  const motion = follow(
    { of, target, gainRadPerS: sign * gainRadPerS, speedMPerS, durationS },
    robot.trackM,
  );
  const machine = createMachine(robot, bendTable(bend, EDGE_FROM), start, seed, 1);
  const seen = { isLost: false, isRound: false, blindFromS: null as number | null };
  const result = { blindS: 0, farthestM: 0 };
  drive(machine, motion, () => {
    if (seen.isRound || seen.isLost) return;
    const at = toTable(machine.pose, { xM: place.aheadM, yM: place.leftM });
    const { leftM, behindM } = alongEdge(bend, at.xM - EDGE_FROM.xM, at.yM - EDGE_FROM.yM);
    result.farthestM = Math.max(result.farthestM, Math.abs(leftM));
    const { timeS } = machine.readings;
    const reading = machine.readings.reading(of);
    if (reading !== null && isBlind(behaviour, reading)) {
      seen.blindFromS ??= timeS;
      result.blindS = Math.max(result.blindS, timeS - seen.blindFromS);
    } else seen.blindFromS = null;
    if (leftM < -bend.lineWidthM || leftM > OVER_FLOOR_M) seen.isLost = true;
    if (behindM >= STRAIGHT_M) {
      seen.isRound = true;
      seen.isLost = Math.abs(leftM) > ENDS_WITHIN_M;
    }
  });
  return { ...result, held: seen.isRound && !seen.isLost };
}
