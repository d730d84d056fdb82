import type { Readings, WheelSpeeds } from '../control/controller';
import type { Drivable } from '../control/drive';
import { batteryShare } from '../program/byPower';
import { distanceFromMotorDegrees } from '../robot/conversions';
import { degreesFromRadians } from '../geometry/angle';
import { toTable, type Pose } from '../geometry/pose';
import { Arm, type ArmCommand } from './arm';
import { BATTERY_VOLTS, HELD_S, HELD_SHARE, WHEELS_HELD } from './ownReadings';
import { mountingOn } from '../robot/mounting';
import type { Robot } from '../robot/robot';
import { laidOut } from '../table/laidOut';
import type { Table } from '../table/table';
import type { ReadingOf } from '../devices/channel';
import { devicesOf, headingOf } from '../devices/ofRobot';
import { FloorPose } from './floorPose';
import { Gyro } from './gyro';
import { randomStream } from '../stats/random';
import { Slip } from './slip';
import { Surroundings } from './surroundings';
import { UnitReaders } from './unitReaders';
import { Wheel } from './wheel';

/** A simulated robot on its table. The program sees only the readings; the pose is the truth. */
export interface Machine extends Drivable {
  readonly pose: Pose;
  /** What one of the robot's units reads now; null for nothing, as a lost echo. */
  read(of: ReadingOf): number | null;
  /** Move the robot on its floor, in its own frame, as something does that no motor is told of. */
  carry(by: Pose): void;
  /** Find another table about it from now on: the robot took something away, or left it. */
  lay(table: Table): void;
  /** Let the motor of an attachment begin to move; it goes on by itself. */
  moveArm(command: ArmCommand): void;
  /** How far the motor of each attachment is turned that was moved so far, by unit. */
  armsRad(): Record<string, number>;
  /** Whether the motion that begins now is meant to run into something: walls do not end it then, they push it back. */
  mayLean(isMeantTo: boolean): void;
  /** Turn the robot on its floor, as something does that no motor is told of. */
  kick(angleRad: number): void;
}

/** Where the border may be touched, a period of the loop is cut into parts of about this. */
const CONTACT_STEP_S = 0.002;
/** A clock that is kept in sums of decimal fractions is off by less than this. */
const ROUNDING_S = 1e-9;
/** And a roll of a whole count by less than this. */
const ROUNDING_COUNTS = 1e-9;

/**
 * A differential-drive robot with its units, between table walls. Without a heading sensor its program computes
 * the heading from the encoders, by the recorded track.
 *
 * Within one period of the program's loop the command is constant, and so the wheels are solved exactly; the
 * pose follows by quadrature of the heading (Gauss with one point: the chord of each period points along the
 * heading in its middle). Slip is white noise on each wheel's ground distance, drawn once a loop. Only where
 * the border is in reach is the period cut into shorter parts; a robot that stands costs next to nothing.
 */
class SimulatedMachine implements Machine {
  readonly pose: FloorPose;
  readonly readings: Readings;
  /** Since when the border has held it. */
  private heldSinceS: number | null = null;

  private loops = 0;
  private readonly left: Wheel;
  private readonly right: Wheel;
  private readonly gyro: Gyro | null;
  private readonly arms = new Map<string, Arm>();
  private readonly units: UnitReaders;
  private readonly slip: Slip;
  private readonly periodS: number;
  /** The most that it drives in one. */
  private readonly periodM: number;
  /** How much faster the wheels go than the program means, on this battery. */
  private readonly batteryShare: number;
  /** One over the true track. */
  private readonly perTrack: number;
  /** Ground distance per recorded roll: the true wheel over the recorded one. */
  private readonly leftScale: number;
  private readonly rightScale: number;
  private readonly countM: number;
  private readonly countsPerM: number;
  private around: Surroundings;

  constructor(
    private readonly robot: Robot,
    private table: Table,
    start: Pose,
    seed: number,
    runIndex: number,
  ) {
    const { errors, motors, loopPeriodS } = robot;
    this.pose = new FloorPose(start);
    this.periodS = loopPeriodS;
    this.batteryShare = batteryShare(robot);
    const onThisBattery = { ...motors, maxSpeedMPerS: motors.maxSpeedMPerS * this.batteryShare };
    this.left = new Wheel(onThisBattery, loopPeriodS);
    this.right = new Wheel(onThisBattery, loopPeriodS);
    this.perTrack = 1 / (robot.trackM * (1 + errors.trackScaleError));
    this.leftScale = (1 + errors.wheelScaleError) * (1 - errors.wheelDifference / 2);
    this.rightScale = (1 + errors.wheelScaleError) * (1 + errors.wheelDifference / 2);
    this.countM = distanceFromMotorDegrees(robot, 1 / robot.encoderCountsPerMotorDegree);
    this.countsPerM = 1 / this.countM;
    this.periodM = onThisBattery.maxSpeedMPerS * loopPeriodS;
    this.around = new Surroundings(robot, table, this.periodM, start);
    this.slip = new Slip(errors.slipMPerSqrtM, randomStream(seed, runIndex, 'slip'));
    this.units = new UnitReaders(
      robot,
      table,
      (stream) => randomStream(seed, runIndex, stream),
      (id) => degreesFromRadians(this.armOf(id).angleRad(this.readings.timeS)),
    );
    const sensor = headingOf(robot);
    const noise = randomStream(seed, runIndex, 'gyro');
    this.gyro = sensor && new Gyro(sensor, loopPeriodS, start.headingRad, noise);
    this.gyro?.sample(start.headingRad);
    this.readings = {
      timeS: 0,
      headingRad: this.gyro?.readRad(0) ?? 0,
      leftM: 0,
      rightM: 0,
      reading: (of) => this.read(of),
    };
  }

  get hitWall(): boolean {
    return this.around.hitWall;
  }

  mayLean(isMeantTo: boolean): void {
    // What held it before is no fault of the motion that begins.
    this.heldSinceS = null;
    this.around.mayLean(isMeantTo);
  }

  command({ leftMPerS, rightMPerS }: WheelSpeeds): void {
    this.left.aimAt(leftMPerS * this.batteryShare);
    this.right.aimAt(rightMPerS * this.batteryShare);
  }

  advance(): void {
    const { left, right, readings } = this;
    const beganS = readings.timeS;
    this.loops += 1;
    const endsS = this.loops * this.periodS;
    left.pass();
    right.pass();
    if (left.moves || right.moves) this.move(beganS, endsS);
    else this.sampleUntil(endsS, beganS, this.pose.headingRad);
    readings.timeS = endsS;
    readings.headingRad =
      this.gyro === null
        ? (readings.rightM - readings.leftM) / this.robot.trackM
        : this.gyro.readRad(endsS);
  }

  read({ unitId, channel }: ReadingOf): number | null {
    if (unitId === WHEELS_HELD.unitId) {
      const sinceS = this.hitWall ? -Infinity : (this.heldSinceS ?? Infinity);
      return this.readings.timeS - sinceS >= HELD_S ? 1 : 0;
    }
    if (unitId === BATTERY_VOLTS.unitId) return this.robot.measured.power?.nowV ?? null;
    return this.units.read({ unitId, channel }, this.pose, this.readings.timeS);
  }

  kick(angleRad: number): void {
    this.pose.headingRad += angleRad;
    this.pose.face();
  }

  carry({ xM, yM, headingRad }: Pose): void {
    Object.assign(this.pose, toTable(this.pose, { xM, yM }));
    this.kick(headingRad);
    this.around.wasMoved();
  }

  lay(table: Table): void {
    this.table = laidOut(table);
    this.around = new Surroundings(this.robot, this.table, this.periodM, this.pose);
    this.units.lay(this.table);
  }

  moveArm(command: ArmCommand): void {
    this.armOf(command.unitId).begin(command, this.readings.timeS);
  }

  armsRad(): Record<string, number> {
    return Object.fromEntries(
      [...this.arms].map(([id, arm]) => [id, arm.angleRad(this.readings.timeS)]),
    );
  }

  private armOf(id: string): Arm {
    const arm = this.arms.get(id) ?? new Arm(this.startsAtRad(id));
    this.arms.set(id, arm);
    return arm;
  }

  /** Of what is mounted the first attachment motor is part. */
  private startsAtRad(id: string): number {
    const isFirst = devicesOf(this.robot, 'attachment motor')[0]?.id === id;
    return isFirst ? (mountingOn(this.robot)?.armStartRad ?? 0) : 0;
  }

  private move(beganS: number, endsS: number): void {
    const { left, right, readings, countsPerM, countM, around, pose } = this;
    const { isNear } = around;
    // A wall on the table holds the robot where it ran into it; the wheels may still spin.
    if (around.hitWall) this.sampleUntil(endsS, beganS, pose.headingRad);
    else if (isNear && around.pushes(pose)) this.moveInParts(beganS);
    else {
      this.heldSinceS = null;
      this.moveAtOnce(beganS, endsS);
    }
    readings.leftM = Math.floor(left.rollM * countsPerM + ROUNDING_COUNTS) * countM;
    readings.rightM = Math.floor(right.rollM * countsPerM + ROUNDING_COUNTS) * countM;
    if (isNear && !around.hitWall) around.meet(pose);
  }

  /** Turned since the beginning of this period, at a moment of it. */
  private turnedRad(afterS: number): number {
    const rolledRight = this.right.rolledM(afterS) * this.rightScale;
    return (rolledRight - this.left.rolledM(afterS) * this.leftScale) * this.perTrack;
  }

  private moveAtOnce(beganS: number, endsS: number): void {
    const { pose, left, right, slip, leftScale, rightScale, perTrack } = this;
    const began = pose.headingRad;
    slip.draw(left.wholeM, right.wholeM);
    const slipRad = (slip.rightM - slip.leftM) * perTrack;
    const toMiddle = (right.halfM * rightScale - left.halfM * leftScale) * perTrack + slipRad / 2;
    const leftM = left.wholeM * leftScale;
    const rightM = right.wholeM * rightScale;
    const turn = (rightM - leftM) * perTrack + slipRad;
    const forwardM = (leftM + rightM + slip.leftM + slip.rightM) / 2;
    pose.arc(forwardM, toMiddle, turn);
    this.around.went(forwardM);
    this.sampleUntil(endsS, beganS, began);
  }

  /** The same, in short parts, between which the border pushes the robot back. */
  private moveInParts(beganS: number): void {
    const { pose, left, right, slip, leftScale, rightScale, perTrack } = this;
    const parts = Math.max(1, Math.round(this.periodS / CONTACT_STEP_S));
    slip.draw(left.wholeM, right.wholeM);
    let leftM = 0;
    let rightM = 0;
    let pushedM = 0;
    for (let part = 1; part <= parts; part += 1) {
      const untilS = (this.periodS * part) / parts;
      const leftNowM = left.rolledM(untilS);
      const rightNowM = right.rolledM(untilS);
      const leftStepM = (leftNowM - leftM) * leftScale + slip.leftM / parts;
      const rightStepM = (rightNowM - rightM) * rightScale + slip.rightM / parts;
      leftM = leftNowM;
      rightM = rightNowM;
      const turn = (rightStepM - leftStepM) * perTrack;
      pose.arc((leftStepM + rightStepM) / 2, turn / 2, turn);
      pushedM += this.around.pushBackM(pose);
      const { gyro } = this;
      while (gyro !== null && gyro.nextS <= beganS + untilS + ROUNDING_S) {
        gyro.sample(pose.headingRad);
      }
    }
    const drivenM = Math.abs(leftM + rightM) / 2;
    if (drivenM > 0 && pushedM >= HELD_SHARE * drivenM) this.heldSinceS ??= beganS;
    else this.heldSinceS = null;
    const isHeld = beganS - (this.heldSinceS ?? Infinity) >= HELD_S;
    if (isHeld && drivenM > Math.abs(rightM - leftM) / 2) this.around.holds();
  }

  /** Show the gyro the headings of this period at which its samples are due. */
  private sampleUntil(untilS: number, beganS: number, beganRad: number): void {
    const { gyro } = this;
    if (gyro === null) return;
    while (gyro.nextS <= untilS + ROUNDING_S) {
      const atEnd = gyro.nextS >= untilS - ROUNDING_S || this.hitWall;
      const isStill = !this.left.moves && !this.right.moves;
      gyro.sample(
        atEnd || isStill ? this.pose.headingRad : beganRad + this.turnedRad(gyro.nextS - beganS),
      );
    }
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
): Machine => new SimulatedMachine(robot, laidOut(table), start, seed, runIndex);
