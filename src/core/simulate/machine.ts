import type { Readings, WheelSpeeds } from '../control/controller';
import type { Drivable } from '../control/drive';
import { distanceFromMotorDegrees } from '../drive/conversions';
import type { Pose } from '../geometry/pose';
import type { Robot } from '../robot';
import { obstacles } from '../course/obstacles';
import type { Table } from '../course/table';
import { bodyRadius, hitsWall, pushInside } from './contact';
import { createDistanceReader } from './distance';
import { Gyro } from './gyro';
import { randomStream, type RandomStream } from './random';
import { Wheel } from './wheel';

/** A simulated robot on its table. The program sees only the readings; the pose is the truth. */
export interface Machine extends Drivable {
  readonly pose: Pose;
}

/** Where the border may be touched, a period of the loop is cut into parts of about this. */
const CONTACT_STEP_S = 0.002;
/** A clock that is kept in sums of decimal fractions is off by less than this. */
const ROUNDING_S = 1e-9;
/** And a roll of a whole count by less than this. */
const ROUNDING_COUNTS = 1e-9;

/**
 * A differential-drive robot with a gyro, encoders and a distance sensor, between table walls.
 *
 * Within one period of the program's loop the command is constant, and so the wheels are solved exactly; the
 * pose follows by quadrature of the heading (Gauss with one point: the chord of each period points along the
 * heading in its middle). Slip is white noise on each wheel's ground distance, drawn once a loop. Only where
 * the border is in reach is the period cut into shorter parts; a robot that stands costs next to nothing.
 */
class SimulatedMachine implements Machine {
  readonly pose: Pose;
  readonly readings: Readings;
  hitWall = false;

  private loops = 0;
  private readonly left: Wheel;
  private readonly right: Wheel;
  private readonly gyro: Gyro;
  private readonly slip: RandomStream;
  private readonly periodS: number;
  /** One over the true track. */
  private readonly perTrack: number;
  /** Ground distance per recorded roll: the true wheel over the recorded one. */
  private readonly leftScale: number;
  private readonly rightScale: number;
  private readonly countM: number;
  private readonly countsPerM: number;
  private readonly slipMPerSqrtM: number;
  private readonly reachM: number;
  /** Nearer than this to the border something may touch it within a period. */
  private readonly marginM: number;

  constructor(
    private readonly robot: Robot,
    private readonly table: Table,
    start: Pose,
    seed: number,
    runIndex: number,
  ) {
    const { errors, motors, loopPeriodS } = robot;
    this.pose = { ...start };
    this.periodS = loopPeriodS;
    this.left = new Wheel(motors, loopPeriodS);
    this.right = new Wheel(motors, loopPeriodS);
    this.perTrack = 1 / (robot.trackM * (1 + errors.trackScaleError));
    this.leftScale = (1 + errors.wheelScaleError) * (1 - errors.wheelDifference / 2);
    this.rightScale = (1 + errors.wheelScaleError) * (1 + errors.wheelDifference / 2);
    this.countM = distanceFromMotorDegrees(robot, 1 / robot.encoderCountsPerMotorDegree);
    this.slipMPerSqrtM = errors.slipMPerSqrtM;
    this.reachM = bodyRadius(robot.body);
    this.countsPerM = 1 / this.countM;
    this.marginM = this.reachM + motors.maxSpeedMPerS * loopPeriodS;
    this.slip = randomStream(seed, runIndex, 'slip');
    const noise = randomStream(seed, runIndex, 'gyro');
    this.gyro = new Gyro(robot.gyro, loopPeriodS, start.headingRad, noise);
    const echoes = randomStream(seed, runIndex, 'distance');
    const readDistance = createDistanceReader(robot, obstacles(table), echoes);
    this.gyro.sample(start.headingRad);
    this.readings = {
      timeS: 0,
      headingRad: this.gyro.readRad(0),
      leftM: 0,
      rightM: 0,
      distanceM: () => readDistance(this.pose, this.readings.timeS),
    };
  }

  command({ leftMPerS, rightMPerS }: WheelSpeeds): void {
    this.left.aimAt(leftMPerS);
    this.right.aimAt(rightMPerS);
  }

  advance(): void {
    const { left, right, readings } = this;
    const beganS = readings.timeS;
    this.loops += 1;
    const endsS = this.loops * this.periodS;
    left.begin();
    right.begin();
    if (left.moves || right.moves) this.move(beganS, endsS);
    else this.sampleUntil(endsS, beganS, this.pose.headingRad);
    readings.timeS = endsS;
    readings.headingRad = this.gyro.readRad(endsS);
  }

  private move(beganS: number, endsS: number): void {
    const { left, right, readings, countsPerM, countM } = this;
    const leftM = left.wholeRollM();
    const rightM = right.wholeRollM();
    // A wall on the table holds the robot where it ran into it; the wheels may still spin.
    if (this.hitWall) this.sampleUntil(endsS, beganS, this.pose.headingRad);
    else if (this.nearBorder()) this.moveInParts(beganS);
    else this.moveAtOnce(beganS, endsS, leftM, rightM);
    left.end(leftM);
    right.end(rightM);
    readings.leftM = Math.floor(left.rollM * countsPerM + ROUNDING_COUNTS) * countM;
    readings.rightM = Math.floor(right.rollM * countsPerM + ROUNDING_COUNTS) * countM;
    const { walls } = this.table;
    for (let i = 0; i < walls.length && !this.hitWall; i += 1) {
      const wall = walls[i];
      if (wall !== undefined && hitsWall(this.pose, this.robot.body, this.reachM, wall)) {
        this.hitWall = true;
      }
    }
  }

  /** Turned since the beginning of this period, at a moment of it. */
  private turnedRad(afterS: number): number {
    const rolledRight = this.right.rolledM(afterS) * this.rightScale;
    return (rolledRight - this.left.rolledM(afterS) * this.leftScale) * this.perTrack;
  }

  private moveAtOnce(beganS: number, endsS: number, leftM: number, rightM: number): void {
    const { pose, leftScale, rightScale, perTrack } = this;
    const began = pose.headingRad;
    const leftSlipM = this.slipM(leftM);
    const rightSlipM = this.slipM(rightM);
    const slipRad = (rightSlipM - leftSlipM) * perTrack;
    const half =
      (this.right.halfRollM() * rightScale - this.left.halfRollM() * leftScale) * perTrack;
    const turn = (rightM * rightScale - leftM * leftScale) * perTrack + slipRad;
    const forwardM = leftM * leftScale + rightM * rightScale + leftSlipM + rightSlipM;
    this.chord(forwardM / 2, began + half + slipRad / 2, turn);

    pose.headingRad = began + turn;
    this.sampleUntil(endsS, beganS, began);
  }

  /** The same, in short parts, between which the border pushes the robot back. */
  private moveInParts(beganS: number): void {
    const { pose, left, right, leftScale, rightScale, perTrack } = this;
    const parts = Math.max(1, Math.round(this.periodS / CONTACT_STEP_S));
    const leftSlipM = this.slipM(left.wholeRollM()) / parts;
    const rightSlipM = this.slipM(right.wholeRollM()) / parts;
    let leftM = 0;
    let rightM = 0;
    for (let part = 1; part <= parts; part += 1) {
      const untilS = (this.periodS * part) / parts;
      const leftStepM = (left.rolledM(untilS) - leftM) * leftScale + leftSlipM;
      const rightStepM = (right.rolledM(untilS) - rightM) * rightScale + rightSlipM;
      leftM = left.rolledM(untilS);
      rightM = right.rolledM(untilS);
      const turn = (rightStepM - leftStepM) * perTrack;
      this.chord((leftStepM + rightStepM) / 2, pose.headingRad + turn / 2, turn);
      pose.headingRad += turn;
      pushInside(pose, this.robot.body, this.table);
      while (this.gyro.nextS <= beganS + untilS + ROUNDING_S) this.gyro.sample(pose.headingRad);
    }
  }

  /** Go along the chord of an arc. */
  private chord(forwardM: number, middleRad: number, turnRad: number): void {
    const { pose } = this;
    // sin(x)/x of half the turn, to the fourth order: a period turns by a few degrees at most.
    const x2 = (turnRad * turnRad) / 4;
    const chordM = forwardM * (1 - x2 / 6 + (x2 * x2) / 120);
    pose.xM += chordM * Math.cos(middleRad);
    pose.yM += chordM * Math.sin(middleRad);
  }

  /** Show the gyro the headings of this period at which its samples are due. */
  private sampleUntil(untilS: number, beganS: number, beganRad: number): void {
    const { gyro } = this;
    while (gyro.nextS <= untilS + ROUNDING_S) {
      const atEnd = gyro.nextS >= untilS - ROUNDING_S || this.hitWall;
      const isStill = !this.left.moves && !this.right.moves;
      gyro.sample(
        atEnd || isStill ? this.pose.headingRad : beganRad + this.turnedRad(gyro.nextS - beganS),
      );
    }
  }

  /** What a wheel slips while it rolls so far. */
  private slipM(rolledM: number): number {
    const size = rolledM < 0 ? -rolledM : rolledM;
    return this.slipMPerSqrtM * Math.sqrt(size) * this.slip.normal();
  }

  private nearBorder(): boolean {
    const { pose, table, marginM } = this;
    return (
      pose.xM < marginM ||
      pose.yM < marginM ||
      pose.xM > table.widthM - marginM ||
      pose.yM > table.heightM - marginM
    );
  }
}

/**
 * @param start true pose at the start
 * @param runIndex chooses the random streams together with the seed
 */
export const createMachine = (
  robot: Robot,
  table: Table,
  start: Pose,
  seed: number,
  runIndex: number,
): Machine => new SimulatedMachine(robot, table, start, seed, runIndex);
