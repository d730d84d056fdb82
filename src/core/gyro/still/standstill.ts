import { GATE_S } from '../../control/settings';

/** What is looked at before a heading is set to zero. */
export interface GateReading {
  tS: number;
  /** Null: the robot has no heading sensor, and its wheels alone tell. */
  headingRad: number | null;
  leftMotorDegrees: number;
  rightMotorDegrees: number;
  touch: boolean;
}

export interface Gate {
  open: boolean;
  /** Why not, in words; empty when it is open. */
  reasons: string[];
  /** The heading that would be lost by zeroing now: how far it turns within the gate's time. */
  lostRad: number;
  /** It stands still, and yet its heading goes on: how fast; null where that is not seen. */
  creepsRadPerS: number | null;
}

/** A drift may pass the gate; a hand does not. */
const QUIET_RAD_PER_S = 0.035;
const QUIET_MOTOR_DEGREES = 1;

/** A heading is seen to creep over so long, at least; a rate that reads 0 for a moment is weak proof of none. */
const CREEP_S = 2;
/** By more than a healthy sensor may, and by more than a step or two of any reading. */
const CREEPS_RAD_PER_S = 0.00175;
const CREEPS_RAD = 0.006;
const EVEN = 0.6;

/** How fast the heading went on while the wheels stood. */
function creepOf(readings: readonly GateReading[]): number | null {
  const last = readings.at(-1);
  if (last?.headingRad == null) return null;
  const stands = ({ leftMotorDegrees: left, rightMotorDegrees: right }: GateReading) =>
    Math.abs(left - last.leftMotorDegrees) <= QUIET_MOTOR_DEGREES &&
    Math.abs(right - last.rightMotorDegrees) <= QUIET_MOTOR_DEGREES;
  const moved = readings.findLastIndex(
    (reading) => !stands(reading) || reading.headingRad === null,
  );
  const first = readings[moved + 1];
  if (first?.headingRad == null || last.tS - first.tS < CREEP_S) return null;
  const middle = readings.find(({ tS }) => tS >= (first.tS + last.tS) / 2);
  if (middle?.headingRad == null) return null;
  const before = (middle.headingRad - first.headingRad) / (middle.tS - first.tS);
  const since = (last.headingRad - middle.headingRad) / (last.tS - middle.tS);
  // A creep goes on evenly; a hand that turned it and let go does not.
  const isEven = Math.abs(before - since) < EVEN * Math.max(Math.abs(before), Math.abs(since));
  const byRad = last.headingRad - first.headingRad;
  const rate = byRad / (last.tS - first.tS);
  const isSeen = Math.abs(byRad) > CREEPS_RAD && Math.abs(rate) > CREEPS_RAD_PER_S;
  return isSeen && isEven ? rate : null;
}

/**
 * Whether a robot stands still enough for its heading to be set to zero: rate and encoders quiet for
 * half a second, the finger off the button.
 *
 * @param readings the last ones, in order of time; those of some seconds show whether the heading creeps
 */
export function standstillGate(readings: readonly GateReading[]): Gate {
  const last = readings.at(-1);
  const recent = readings.filter(({ tS }) => last !== undefined && tS >= last.tS - GATE_S - 1e-6);
  const first = recent[0];
  if (last === undefined || first === undefined || last.tS - first.tS < 0.8 * GATE_S) {
    return { open: false, reasons: ['too few readings yet'], lostRad: 0, creepsRadPerS: null };
  }
  const spread = (of: (reading: GateReading) => number) => {
    const values = recent.map(of);
    return Math.max(...values) - Math.min(...values);
  };
  const lostRad = spread(({ headingRad }) => headingRad ?? 0);
  const reasons = [
    ...(lostRad > QUIET_RAD_PER_S * GATE_S ? ['it still turns'] : []),
    ...(spread(({ leftMotorDegrees }) => leftMotorDegrees) > QUIET_MOTOR_DEGREES ||
    spread(({ rightMotorDegrees }) => rightMotorDegrees) > QUIET_MOTOR_DEGREES
      ? ['its wheels still roll']
      : []),
    ...(last.touch ? ['a finger is on the button'] : []),
  ];
  const open = reasons.length === 0;
  return { open, reasons, lostRad, creepsRadPerS: open ? creepOf(readings) : null };
}
