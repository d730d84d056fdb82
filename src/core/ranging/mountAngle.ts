import type { RangeCalibration } from '../calibrationValues/range';
import type { Robot } from '../robot/robot';
import { linearFit } from '../stats/linearFit';
import { student975 } from '../stats/student';
import { degrees, number } from '../text/quantities';
import { devicesOf } from '../devices/ofRobot';
import { aicc } from '../stats/aicc';

/** A reading of a flat wall while the robot stands turned by an angle; null: the echo was lost. */
export interface TurnedReading {
  turnedRad: number;
  readingM: number | null;
}

/** Where the sensor sits, and how it reads a wall that it faces squarely. */
export interface MountedSensor {
  aheadM: number;
  leftM: number;
  offsetM: number;
  scaleFactor: number;
}

/** A unit of a robot by its label: where it sits, and how it reads, as it was measured or else as recorded. */
export function mountedSensor(
  robot: Robot,
  label: string,
  measured: Pick<RangeCalibration, 'offsetM' | 'scaleFactor'> | null,
): MountedSensor {
  const units = devicesOf(robot, 'distance sensor');
  const unit = units.find((one) => one.label === label) ?? units[0];
  return {
    aheadM: unit?.place.aheadM ?? robot.body.frontM,
    leftM: unit?.place.leftM ?? 0,
    offsetM: measured?.offsetM ?? unit?.behaviour.offsetM ?? 0,
    scaleFactor: measured?.scaleFactor ?? unit?.behaviour.scale ?? 1,
  };
}

export interface MountAngle {
  /** A narrow beam reads the way to the wall along itself, a wide echo the shortest way. */
  beam: 'narrow' | 'wide';
  /** How far it looks to the left of straight ahead; of a wide echo that cannot be told. */
  facingRad: number | null;
  low95Rad: number | null;
  high95Rad: number | null;
  /** From the axle's middle to the wall. */
  wallM: number;
  residualSdM: number;
  n: number;
}

const LEAST_READINGS = 6;
/** The robot has to be turned at least so far to both sides in all. */
const LEAST_SPAN_RAD = (20 * Math.PI) / 180;
const MOST_FACING_RAD = (40 * Math.PI) / 180;
const HALVINGS = 60;
const STEPS = 160;
const STEP_RAD = 1e-5;

interface Heard {
  turnedRad: number;
  gapM: number;
}

/** The sensor's way ahead of the axle, towards the wall, when the robot is turned. */
const towardsWallM = ({ aheadM, leftM }: MountedSensor, turnedRad: number): number =>
  aheadM * Math.cos(turnedRad) - leftM * Math.sin(turnedRad);

/** The wall's distance with the least squares, for a beam that looks that way; null: what a wide echo reads. */
function fitAt(heard: readonly Heard[], sensor: MountedSensor, facingRad: number | null) {
  const stretch = (turnedRad: number) =>
    facingRad === null ? 1 : 1 / Math.cos(turnedRad + facingRad);
  return linearFit(
    heard.map(({ turnedRad }) => [stretch(turnedRad)]),
    heard.map(({ turnedRad, gapM }) => gapM + towardsWallM(sensor, turnedRad) * stretch(turnedRad)),
  );
}

function bestFacing(heard: readonly Heard[], sensor: MountedSensor): number {
  const misfit = (facingRad: number) =>
    fitAt(heard, sensor, facingRad)?.residualSumOfSquares ?? Infinity;
  const at = (i: number) => MOST_FACING_RAD * ((2 * i) / STEPS - 1);
  let best = 0;
  for (let i = 1; i <= STEPS; i += 1) if (misfit(at(i)) < misfit(at(best))) best = i;
  let [low, high] = [at(best - 1), at(best + 1)];
  for (let i = 0; i < HALVINGS; i += 1) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (misfit(a) < misfit(b)) high = b;
    else low = a;
  }
  return (low + high) / 2;
}

/** Standard error of the facing: the linearised model in the wall's distance and the facing. */
function facingSe(
  heard: readonly Heard[],
  sensor: MountedSensor,
  facingRad: number,
  wallM: number,
  sdM: number,
): number {
  const modelM = (turnedRad: number, phi: number) =>
    (wallM - towardsWallM(sensor, turnedRad)) / Math.cos(turnedRad + phi);
  const linear = linearFit(
    heard.map(({ turnedRad }) => [
      1 / Math.cos(turnedRad + facingRad),
      (modelM(turnedRad, facingRad + STEP_RAD) - modelM(turnedRad, facingRad - STEP_RAD)) /
        (2 * STEP_RAD),
    ]),
    heard.map(() => 0),
  );
  return sdM * Math.sqrt(linear?.unscaledCovariance[1]?.[1] ?? Infinity);
}

/**
 * Which way a distance sensor looks on its mount, by readings of one flat wall from a robot that is turned on the
 * spot: a narrow beam reads gap / cos(turned + facing), a wide echo the perpendicular whatever its facing.
 *
 * Source: plane geometry; nonlinear least squares, linearised at the best fit (Seber and Wild, Nonlinear Regression,
 * 1989, section 2.1); beam or echo by Akaike's criterion for small samples.
 * @returns null with fewer than six echoes, or where the robot was turned by less than 20° in all
 */
export function mountAngle(
  readings: readonly TurnedReading[],
  sensor: MountedSensor,
): MountAngle | null {
  const heard = readings.flatMap(({ turnedRad, readingM }) =>
    readingM === null
      ? []
      : [{ turnedRad, gapM: (readingM - sensor.offsetM) / sensor.scaleFactor }],
  );
  const turned = heard.map(({ turnedRad }) => turnedRad);
  if (heard.length < LEAST_READINGS || Math.max(...turned) - Math.min(...turned) < LEAST_SPAN_RAD) {
    return null;
  }
  const wide = fitAt(heard, sensor, null);
  const facingRad = bestFacing(heard, sensor);
  const narrow = fitAt(heard, sensor, facingRad);
  if (wide === null || narrow === null) return null;
  const n = heard.length;
  if (aicc(wide.residualSumOfSquares, n, 1) <= aicc(narrow.residualSumOfSquares, n, 2)) {
    const [wallM = 0] = wide.coefficients;
    return {
      beam: 'wide',
      facingRad: null,
      low95Rad: null,
      high95Rad: null,
      wallM,
      residualSdM: wide.residualSd,
      n,
    };
  }
  const [wallM = 0] = narrow.coefficients;
  const residualSdM = Math.sqrt(narrow.residualSumOfSquares / (n - 2));
  const half = student975(n - 2) * facingSe(heard, sensor, facingRad, wallM, residualSdM);
  return {
    beam: 'narrow',
    facingRad,
    low95Rad: facingRad - half,
    high95Rad: facingRad + half,
    wallM,
    residualSdM,
    n,
  };
}

const side = (rad: number): string =>
  `${degrees(Math.abs(rad))} to the ${rad < 0 ? 'right' : 'left'}`;

/** Which way it looks, what that costs, and what to do. */
export function mountSentence(unit: string, found: MountAngle): string {
  const { facingRad, low95Rad, high95Rad } = found;
  if (facingRad === null || low95Rad === null || high95Rad === null) {
    return `${unit} reads the shortest way to the wall, however the robot stands to it: a wide echo. Its own direction hardly matters then, and a few degrees of heading cost nothing.`;
  }
  const range = `(${side(low95Rad)} to ${side(high95Rad)})`;
  const longer = 100 * (1 / Math.cos(facingRad) - 1);
  if (low95Rad <= 0 && high95Rad >= 0) {
    return `${unit} looks straight ahead, as far as these readings tell ${range}: a narrow beam. Where the robot faces a wall 10° askew it reads 1.5 % too far.`;
  }
  return `${unit} looks ${side(facingRad)} ${range}. A wall straight ahead reads ${number(longer, 1)} % too far, and a heading error to that side more. Turn it back on its mount, or say on the Robot page which way it looks: then the Course knows.`;
}
