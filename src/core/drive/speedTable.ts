import { lengthStepM, timeStepS } from '../stats/instrumentStep';
import { leverage } from '../stats/linearFit';
import { roundedFit, type RoundedFit } from '../stats/roundedFit';

/** A timed drive: the command as a share of full power. */
export interface DriveAtPower {
  command: number;
  batteryV: number;
  distanceM: number;
  timeS: number;
}

/** The mean speed of a drive. */
export const drivenMPerS = ({
  distanceM,
  timeS,
}: Pick<DriveAtPower, 'distanceM' | 'timeS'>): number => distanceM / timeS;

/** What a drive would have been at another voltage: speed goes with it. So drives of several batteries compare. */
export const drivenAtVolts = (drive: DriveAtPower, batteryV: number): number =>
  (drivenMPerS(drive) * batteryV) / drive.batteryV;

export interface SpeedAt {
  command: number;
  batteryV: number;
  speedMPerS: number;
  low95: number;
  high95: number;
  /** Outside the commands or the batteries that were tried. */
  isExtrapolated: boolean;
}

export interface SpeedTable {
  n: number;
  /** Speed per share of power and volt, beyond the dead band. */
  gainMPerSPerV: number;
  /** The share of power below which the robot stands; at least what it was seen to stand at. */
  deadBand: number;
  deadBandLow95: number;
  deadBandHigh95: number;
  /** Relative scatter of single drives. */
  residualShare: number;
  /** Whether batteries were tried that differ enough to tell anything of the voltage; else it is taken for that of motors. */
  voltsTried: boolean;
  at(command: number, batteryV: number): SpeedAt;
}

/** Batteries nearer to each other than this say nothing about voltage. */
const VOLTS_APART = 0.3;

/** Commands nearer to each other than this tell no dead band. */
const LEAST_APART = 0.05;

/**
 * How fast a share of power drives: speed = gain · volts · (command − dead band), the speed of a motor without load
 * being proportional to its voltage, and friction taking a fixed share of it. Fitted by least squares of speed per
 * volt on the command.
 *
 * Source: the steady state of a permanent-magnet motor, e.g. Siegwart and Nourbakhsh, Autonomous Mobile Robots
 * (2004), section 2.3; intervals by Student's t, that of the dead band after Fieller (1954).
 * @param drives forward, at speeds that were reached (without the start)
 * @returns null with fewer than three that moved, or where their commands are all alike
 */
export function speedTable(drives: readonly DriveAtPower[]): SpeedTable | null {
  const moved = drives.filter(({ distanceM }) => distanceM > 0);
  const commands = moved.map(({ command }) => command);
  if (moved.length < 3 || Math.max(...commands) - Math.min(...commands) < LEAST_APART) return null;
  const fit = fitOf(moved);
  if (fit === null) return null;
  const [offset = 0, gain = 0] = fit.coefficients;
  if (!(gain > 0)) return null;
  const [low, high] = deadBandInterval(fit, offset, gain);
  const stood = stoodAt(drives, Math.min(...commands));
  const deadBand = Math.min(1, Math.max(stood, -offset / gain));
  const [least, most] = [Math.min(...commands), Math.max(...commands)];
  const volts = moved.map(({ batteryV }) => batteryV);
  const [leastV, mostV] = [Math.min(...volts), Math.max(...volts)];
  const meanPerVolt = offset + (gain * commands.reduce((sum, one) => sum + one, 0)) / moved.length;
  return {
    n: moved.length,
    gainMPerSPerV: gain,
    deadBand,
    deadBandLow95: Math.min(deadBand, Math.max(stood, low)),
    deadBandHigh95: Math.min(1, Math.max(deadBand, high)),
    residualShare: fit.scatterSd / meanPerVolt,
    voltsTried: mostV - leastV >= VOLTS_APART,
    at(command, batteryV) {
      const speed = (offset + gain * command) * batteryV;
      const half = fit.halfWidth95([1, command]) * batteryV;
      return {
        command,
        batteryV,
        speedMPerS: Math.max(0, speed),
        low95: Math.max(0, speed - half),
        high95: Math.max(0, speed + half),
        isExtrapolated:
          command < least ||
          command > most ||
          batteryV < leastV - VOLTS_APART / 2 ||
          batteryV > mostV + VOLTS_APART / 2,
      };
    },
  };
}

/** Speed per volt on the command; tape and watch were read in their steps. */
function fitOf(moved: readonly DriveAtPower[]): RoundedFit | null {
  const stepM = lengthStepM(moved.map(({ distanceM }) => distanceM));
  const times = moved.map(({ timeS }) => timeS);
  // Drives that all took the same time were told it: nobody read a watch.
  const stepS = new Set(times).size === 1 ? 0 : timeStepS(times);
  return roundedFit(
    moved.map(({ command }) => [1, command]),
    moved.map((drive) => drivenAtVolts(drive, 1)),
    moved.map(
      (drive) =>
        Math.hypot(stepM / drive.timeS, (drivenMPerS(drive) * stepS) / drive.timeS) /
        drive.batteryV,
    ),
    moved.map(({ command, batteryV }) => `${command} ${batteryV}`),
  );
}

/** The strongest power at which it stood, of those weaker than any that moved it; 0 for none. */
const stoodAt = (drives: readonly DriveAtPower[], weakestMoved: number): number =>
  Math.max(
    0,
    ...drives
      .filter(({ distanceM, command }) => distanceM === 0 && command < weakestMoved)
      .map(({ command }) => command),
  );

/** Fieller's interval of −offset/gain: where the line's own interval holds 0. */
function deadBandInterval(fit: RoundedFit, offset: number, gain: number): [number, number] {
  const covariance = fit.unscaledCovariance;
  // What the line's interval is wider than its scatter, by what rounding hides, is in the scale.
  const scale = fit.halfWidth95([0, 1]) / Math.sqrt(leverage(fit, [0, 1]));
  const v = (i: number, j: number) => (covariance[i]?.[j] ?? 0) * scale * scale;
  const a = gain * gain - v(1, 1);
  const b = offset * gain - v(0, 1);
  const c = offset * offset - v(0, 0);
  const root = Math.sqrt(Math.max(0, b * b - a * c));
  return a > 0 ? [(-b - root) / a, (-b + root) / a] : [0, 1];
}
