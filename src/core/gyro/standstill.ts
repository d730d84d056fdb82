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
}

/** Quiet for so long. */
export const GATE_S = 0.5;
/** A drift may pass the gate; a hand does not. */
const QUIET_RAD_PER_S = 0.035;
const QUIET_MOTOR_DEGREES = 1;

/**
 * Whether a robot stands still enough for its heading to be set to zero: rate and encoders quiet for
 * half a second, the finger off the button.
 *
 * @param readings the last ones, in order of time
 */
export function standstillGate(readings: readonly GateReading[]): Gate {
  const last = readings.at(-1);
  const recent = readings.filter(({ tS }) => last !== undefined && tS >= last.tS - GATE_S - 1e-6);
  const first = recent[0];
  if (last === undefined || first === undefined || last.tS - first.tS < 0.8 * GATE_S) {
    return { open: false, reasons: ['too few readings yet'], lostRad: 0 };
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
  return { open: reasons.length === 0, reasons, lostRad };
}
