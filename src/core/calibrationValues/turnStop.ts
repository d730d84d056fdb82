import { turnCommandFor, sideOf } from './turnCommand';
import { isSameRate } from './sameRate';
import type { TurnsCalibration } from './turns';

type Group = TurnsCalibration['groups'][number];

/** Nearest group for a spin: its own direction before both, then the rate that was tried nearest by. */
function groupFor(turns: TurnsCalibration, angleRad: number, rate: number): Group | undefined {
  const side = sideOf(angleRad);
  const distance = ({ rates }: Group) =>
    Math.min(...rates.map((tried) => Math.abs(Math.log(tried / rate))));
  return turns.groups
    .filter(
      ({ kind, direction }) => kind === 'spin' && (direction === side || direction === 'both'),
    )
    .toSorted((a, b) => distance(a) - distance(b))[0];
}

/** How far a turn goes too far by c(ω) = ω·L + ω²/(2a), where the trials told L or a. */
const constantByPhysics = ({ lagS, brakingRadPerS2 }: TurnsCalibration, rate: number) =>
  lagS === null && brakingRadPerS2 === null
    ? null
    : rate * (lagS ?? 0) + (brakingRadPerS2 === null ? 0 : (rate * rate) / (2 * brakingRadPerS2));

/**
 * By what programs are to multiply every heading that they turn to or hold, counted from the start: the sensor's own
 * scale, as its readings showed it. What trials alone tell of it stays doubtful, and is told to nobody.
 */
export const headingScaleOf = ({ gyroScale }: TurnsCalibration): number =>
  gyroScale?.by === 'readings' ? 1 + gyroScale.scaleError : 1;

/** Whether it knows of any turn on the spot, as routes make them. */
export const knowsSpins = ({ groups }: TurnsCalibration): boolean =>
  groups.some(({ kind }) => kind === 'spin');

/** What trials tell of such a turn: |turned| = constant + (1 + scale) · |told|, and its scatter. */
export interface TurnStop {
  constantRad: number;
  scaleError: number;
  /** Of single turns; null where too few trials tell it. */
  sdRad: number | null;
}

/**
 * How far a spin by an angle goes too far.
 *
 * @returns null when the calibration knows nothing of such turns
 */
export function stopOf(
  turns: TurnsCalibration,
  angleRad: number,
  rateRadPerS: number,
): TurnStop | null {
  const group = groupFor(turns, angleRad, rateRadPerS);
  if (group === undefined) return null;
  const isTried = group.rates.some((tried) => isSameRate(tried, rateRadPerS));
  const constantRad = isTried ? group.constantRad : constantByPhysics(turns, rateRadPerS);
  if (constantRad === null) return null;
  return { constantRad, scaleError: group.scaleError, sdRad: group.residualSdRad };
}

/**
 * How much early the motors have to stop so that a spin by an angle comes right.
 *
 * @returns null when the calibration knows nothing of such turns, or they cannot be made at that rate
 */
export function leadFor(
  turns: TurnsCalibration,
  angleRad: number,
  rateRadPerS: number,
): number | null {
  const size = Math.abs(angleRad);
  const stop = stopOf(turns, angleRad, rateRadPerS);
  if (stop === null) return null;
  const command = turnCommandFor(stop, size);
  // A turn that goes on by more than is wanted has no command.
  return command > 0 ? headingScaleOf(turns) * size - command : null;
}
