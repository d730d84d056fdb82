import type { Pose } from '../geometry/pose';

/** Where a lap of the square ended, in the frame of its start: x forward, y to the left. */
export type LapReturn = Pose;

/** What a drive's sizes get wrong about it. */
export interface DriveErrors {
  /** True track over nominal. */
  trackRatio: number;
  /** Right wheel over left wheel. */
  diameterRatio: number;
}

/** By how much to multiply the nominal diameters: their mean stays what it was. */
export const wheelFactors = (diameterRatio: number) => ({
  left: 2 / (diameterRatio + 1),
  right: 2 / (1 / diameterRatio + 1),
});

/** Roll both wheels: the exact arc. */
function roll(pose: Pose, leftM: number, rightM: number, trackM: number): void {
  const turn = (rightM - leftM) / trackM;
  const forward = (leftM + rightM) / 2;
  const chord = turn === 0 ? forward : (forward * Math.sin(turn / 2)) / (turn / 2);
  pose.xM += chord * Math.cos(pose.headingRad + turn / 2);
  pose.yM += chord * Math.sin(pose.headingRad + turn / 2);
  pose.headingRad += turn;
}

/** How the corners are turned: on the spot, or about the inner wheel, which stands. */
export const CORNERS = ['spin', 'pivot'] as const;

export type Corners = (typeof CORNERS)[number];

/** What keeps the sides straight and ends the corners. */
export const DRIVEN_BY = ['encoders', 'gyro'] as const;

export type DrivenBy = (typeof DRIVEN_BY)[number];

/** What the wheels roll for a quarter turn to a side, by the nominal track. */
function cornerRolls(corners: Corners, sign: 1 | -1, trackM: number) {
  const quarterM = (trackM * Math.PI) / 2;
  if (corners === 'spin') return { leftM: (-sign * quarterM) / 2, rightM: (sign * quarterM) / 2 };
  return sign > 0 ? { leftM: 0, rightM: quarterM } : { leftM: quarterM, rightM: 0 };
}

/**
 * Where an encoder-driven lap of a square ends: four sides, each followed by a quarter turn, everything by the
 * nominal sizes, the heading not held. The heading is what is over the full turn.
 *
 * Source: exact kinematics of the differential drive.
 */
export function squareReturn(
  sideM: number,
  nominalTrackM: number,
  { trackRatio, diameterRatio }: DriveErrors,
  direction: 'cw' | 'ccw',
  corners: Corners = 'spin',
): LapReturn {
  const { left, right } = wheelFactors(diameterRatio);
  const trackM = trackRatio * nominalTrackM;
  const sign = direction === 'ccw' ? 1 : -1;
  const corner = cornerRolls(corners, sign, nominalTrackM);
  const pose = { xM: 0, yM: 0, headingRad: 0 };
  for (let side = 0; side < 4; side += 1) {
    roll(pose, sideM * left, sideM * right, trackM);
    roll(pose, corner.leftM * left, corner.rightM * right, trackM);
  }
  return { ...pose, headingRad: pose.headingRad - sign * 2 * Math.PI };
}

/**
 * First guess of the drive's errors from mean returns of laps with turns on the spot: linear in the turn error per corner α and the
 * curve per side β.
 *
 * From the geometry of four corners, small errors, headings counter-clockwise: α (too little turned)
 * = (h̄cw − h̄ccw)/8, β (to the left) = (h̄cw + h̄ccw)/8. R = (L/2)/sin(β/2); E_d = (R + b/2)/(R − b/2);
 * E_b = (π/2)/(π/2 − α).
 * Source: Borenstein and Feng, IEEE Trans. Robotics and Automation 12 (1996) 869–880.
 */
export function guessDriveErrors(
  sideM: number,
  trackM: number,
  cw: LapReturn,
  ccw: LapReturn,
): DriveErrors {
  const turnedTooLittle = (cw.headingRad - ccw.headingRad) / 8;
  const curve = (cw.headingRad + ccw.headingRad) / 8;
  const sine = Math.sin(curve / 2);
  // R = ∞ for a straight side: written with 1/R.
  const bend = (2 * sine) / sideM;
  return {
    trackRatio: Math.PI / 2 / (Math.PI / 2 - turnedTooLittle),
    diameterRatio: (1 + (bend * trackM) / 2) / (1 - (bend * trackM) / 2),
  };
}

export const meanReturn = (laps: readonly LapReturn[]): LapReturn => ({
  xM: laps.reduce((sum, { xM }) => sum + xM, 0) / laps.length,
  yM: laps.reduce((sum, { yM }) => sum + yM, 0) / laps.length,
  headingRad: laps.reduce((sum, { headingRad }) => sum + headingRad, 0) / laps.length,
});

/** How far a lap's end lies from its start. */
export const closureM = ({ xM, yM }: LapReturn): number => Math.hypot(xM, yM);
