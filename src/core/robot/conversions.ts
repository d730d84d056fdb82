/** The sizes that tie motor angle, distance and heading together. Gear ratio: motor turns per wheel turn. */
export interface DriveGeometry {
  wheelDiameterM: number;
  trackM: number;
  gearRatio: number;
  encoderCountsPerMotorDegree: number;
}

/** Motor degrees for a roll of the wheel by a distance: 360·g·s/(πd). */
export function motorDegreesFromDistance(drive: DriveGeometry, distanceM: number): number {
  return (360 * drive.gearRatio * distanceM) / (Math.PI * drive.wheelDiameterM);
}

/** Distance that the wheel rolls for motor degrees; the inverse of `motorDegreesFromDistance`. */
export function distanceFromMotorDegrees(drive: DriveGeometry, motorDegrees: number): number {
  return (motorDegrees * Math.PI * drive.wheelDiameterM) / (360 * drive.gearRatio);
}

/** How far the wheels roll on an arc of radius r about a point on the left (negative: right): (r ∓ b/2)·α. */
export function arcRolls(
  trackM: number,
  radiusM: number,
  angleRad: number,
): { leftM: number; rightM: number } {
  return { leftM: (radiusM - trackM / 2) * angleRad, rightM: (radiusM + trackM / 2) * angleRad };
}

export type ConversionInput = DriveGeometry & {
  distanceM?: number;
  headingRad?: number;
  motorDegrees?: number;
};

export interface Conversion {
  straight: { distanceM: number; motorDegrees: number };
  spin: { headingRad: number; leftMotorDegrees: number; rightMotorDegrees: number };
  pivot: { headingRad: number; motorDegrees: number };
  /** Distance that one encoder count stands for. */
  encoderStepM: number;
}

/**
 * One figure (a distance, a heading or a motor angle), told as the other two, for a straight drive,
 * a spin on the spot (wheels roll ∓b·α/2) and a pivot about one standing wheel (the other rolls b·α).
 *
 * A motor angle is taken as what the right motor does in a spin, and the moving motor in a pivot.
 * A distance given is what that wheel rolls; a heading given is the robot's own turning.
 *
 * Source: kinematics of the differential drive, e.g. Siegwart, Nourbakhsh and Scaramuzza,
 * Introduction to Autonomous Mobile Robots, 2nd ed., 2011, section 3.2.
 */
export function convert(input: ConversionInput): Conversion {
  const encoderStepM = distanceFromMotorDegrees(input, 1 / input.encoderCountsPerMotorDegree);
  if (input.headingRad !== undefined) {
    const spinRollM = arcRolls(input.trackM, 0, input.headingRad).rightM;
    const pivotRollM = input.trackM * input.headingRad;
    const spinMotor = motorDegreesFromDistance(input, spinRollM);
    return {
      straight: { distanceM: spinRollM, motorDegrees: spinMotor },
      spin: {
        headingRad: input.headingRad,
        leftMotorDegrees: -spinMotor || 0,
        rightMotorDegrees: spinMotor,
      },
      pivot: {
        headingRad: input.headingRad,
        motorDegrees: motorDegreesFromDistance(input, pivotRollM),
      },
      encoderStepM,
    };
  }
  const motorDegrees =
    input.motorDegrees ?? motorDegreesFromDistance(input, input.distanceM ?? Number.NaN);
  const rollM = distanceFromMotorDegrees(input, motorDegrees);
  return {
    straight: { distanceM: rollM, motorDegrees },
    spin: {
      headingRad: (2 * rollM) / input.trackM,
      leftMotorDegrees: -motorDegrees || 0,
      rightMotorDegrees: motorDegrees,
    },
    pivot: { headingRad: rollM / input.trackM, motorDegrees },
    encoderStepM,
  };
}

/** What rounding a motor angle to whole encoder counts leaves over, in motor degrees (−½ to ½ count). */
export function roundingLeftOverDegrees(drive: DriveGeometry, motorDegrees: number): number {
  const counts = motorDegrees * drive.encoderCountsPerMotorDegree;
  return (counts - Math.round(counts)) / drive.encoderCountsPerMotorDegree;
}
