import type { Drivable } from '../control/drive';
import { distanceFromMotorDegrees } from '../drive/conversions';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import { obstacles } from '../course/obstacles';
import type { Segment, Table } from '../course/table';
import { bodyRadius, hitsWall, pushInside } from './contact';
import { createGyro } from './gyro';
import { randomStream } from './random';
import { gapAhead } from './ray';

/** One wheel: speed and roll as the encoder counts them, with the recorded wheel size. */
interface Wheel {
  commandMPerS: number;
  speedMPerS: number;
  rollM: number;
  /** Ground distance per recorded roll: the true wheel over the recorded one. */
  scale: number;
}

/** A simulated robot on its table. The program sees only the readings; the pose is the truth. */
export interface Machine extends Drivable {
  readonly pose: Pose;
}

const clamp = (value: number, limit: number) => Math.max(-limit, Math.min(limit, value));

function createWheels(robot: Robot): { left: Wheel; right: Wheel } {
  const { wheelScaleError, wheelDifference } = robot.errors;
  const wheel = (share: number): Wheel => ({
    commandMPerS: 0,
    speedMPerS: 0,
    rollM: 0,
    scale: (1 + wheelScaleError) * (1 + (share * wheelDifference) / 2),
  });
  return { left: wheel(-1), right: wheel(1) };
}

/** Motor lag, limited acceleration and top speed: the wheel's speed follows its command. */
function driveWheel(wheel: Wheel, motors: Robot['motors'], dtS: number): void {
  const wanted = clamp(wheel.commandMPerS, motors.maxSpeedMPerS) - wheel.speedMPerS;
  const change = clamp(wanted * (dtS / motors.lagS), motors.maxAccelerationMPerS2 * dtS);
  wheel.speedMPerS += Math.abs(change) > Math.abs(wanted) ? wanted : change;
  wheel.rollM += wheel.speedMPerS * dtS;
}

function createDistanceReader(
  robot: Robot,
  surfaces: readonly Segment[],
  random: ReturnType<typeof randomStream>,
) {
  const sensor = robot.distance;
  let lastSlot = -1;
  let last: number | null = null;
  return (pose: Pose, timeS: number): number | null => {
    if (sensor === null) return null;
    const slot = Math.floor(timeS / sensor.periodS + 1e-9);
    if (slot === lastSlot) return last;
    lastSlot = slot;
    const gap = gapAhead(pose, sensor, surfaces);
    const raw = sensor.offsetM + sensor.scale * gap + sensor.noiseM * random.normal();
    const lost = random.uniform() < sensor.lostEchoShare || gap > sensor.maxM;
    const quantised =
      sensor.quantumM > 0 ? Math.round(raw / sensor.quantumM) * sensor.quantumM : raw;
    last = lost ? null : Math.max(sensor.minM, quantised);
    return last;
  };
}

/**
 * A differential-drive robot with a gyro, encoders and a distance sensor, between table walls.
 *
 * Physics runs at about `dtS` (the loop period is cut into whole steps); slip is white noise on each
 * wheel's ground distance, drawn once a loop.
 * @param start true pose at the start
 * @param runIndex chooses the random streams together with the seed
 */
export function createMachine(
  robot: Robot,
  table: Table,
  start: Pose,
  seed: number,
  runIndex: number,
  dtS: number,
): Machine {
  const pose: Pose = { ...start };
  const { left, right } = createWheels(robot);
  const stepsPerLoop = Math.max(1, Math.round(robot.loopPeriodS / dtS));
  const stepS = robot.loopPeriodS / stepsPerLoop;
  const track = robot.trackM * (1 + robot.errors.trackScaleError);
  const slip = randomStream(seed, runIndex, 'slip');
  const gyro = createGyro(
    robot.gyro,
    stepS,
    start.headingRad,
    randomStream(seed, runIndex, 'gyro'),
  );
  const readDistance = createDistanceReader(
    robot,
    obstacles(table),
    randomStream(seed, runIndex, 'distance'),
  );
  const reach = bodyRadius(robot.body);
  let step = 0;
  let hitWall = false;
  gyro.feed(0, pose.headingRad);

  const move = (leftM: number, rightM: number) => {
    // A wall on the table holds the robot where it ran into it; the wheels may still spin.
    if (hitWall) return;
    const turn = (rightM - leftM) / track;
    const middle = pose.headingRad + turn / 2;
    const forward = (leftM + rightM) / 2;
    pose.xM += forward * Math.cos(middle);
    pose.yM += forward * Math.sin(middle);
    pose.headingRad += turn;
  };
  const nearBorder = () =>
    pose.xM < reach ||
    pose.yM < reach ||
    pose.xM > table.widthM - reach ||
    pose.yM > table.heightM - reach;
  const countM = distanceFromMotorDegrees(robot, 1 / robot.encoderCountsPerMotorDegree);
  const counted = (rollM: number) => Math.floor(rollM / countM + 1e-9) * countM;
  const slipped = (rolledM: number) =>
    robot.errors.slipMPerSqrtM * Math.sqrt(Math.abs(rolledM)) * slip.normal();

  return {
    pose,
    get timeS() {
      return step * stepS;
    },
    get hitWall() {
      return hitWall;
    },
    command(leftMPerS, rightMPerS) {
      left.commandMPerS = leftMPerS;
      right.commandMPerS = rightMPerS;
    },
    advance() {
      const leftBefore = left.rollM;
      const rightBefore = right.rollM;
      for (let i = 0; i < stepsPerLoop; i += 1) {
        driveWheel(left, robot.motors, stepS);
        driveWheel(right, robot.motors, stepS);
        if (left.speedMPerS !== 0 || right.speedMPerS !== 0) {
          move(left.speedMPerS * stepS * left.scale, right.speedMPerS * stepS * right.scale);
          if (nearBorder()) pushInside(pose, robot.body, table);
        }
        step += 1;
        gyro.feed(step, pose.headingRad);
      }
      if (left.rollM === leftBefore && right.rollM === rightBefore) return;
      move(slipped(left.rollM - leftBefore), slipped(right.rollM - rightBefore));
      if (table.walls.some((wall) => hitsWall(pose, robot.body, wall))) hitWall = true;
    },
    headingReadingRad: () => gyro.read(step),
    leftEncoderM: () => counted(left.rollM),
    rightEncoderM: () => counted(right.rollM),
    distanceReadingM: () => readDistance(pose, step * stepS),
  };
}
