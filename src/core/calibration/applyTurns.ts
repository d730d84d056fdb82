import { planRoute } from '../course/plan';
import type { Route, StepOf } from '../course/route';
import type { Table } from '../course/table';
import { isSameRate } from '../turns/sameRate';
import type { Robot } from '../robot';
import { commandFor } from '../turns/errorModel';
import { sideOf } from '../turns/trial';
import type { DriveCalibration, TurnsCalibration } from './calibration';

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
  const command = commandFor(stop, size);
  // A turn that goes on by more than is wanted has no command.
  return command > 0 ? size - command : null;
}

/** A turn whose command a calibration changes. */
export interface CommandChange {
  stepIndex: number;
  angleRad: number;
  rateRadPerS: number;
  /** Angle at which the motors stop: as it stands, and as the calibration wants it. */
  oldCommandRad: number;
  newCommandRad: number;
}

/** A change of the command smaller than this is none: a tenth of a degree. */
const LEAST_CHANGE_RAD = 0.00175;

/**
 * A route with the leads that a calibration gives its turns, and what that changes.
 *
 * Turns at rates of which the calibration knows nothing stay as they are.
 */
export function withTurnCalibration(
  route: Route,
  robot: Robot,
  table: Table,
  turns: TurnsCalibration,
  calibrationId: string,
): { route: Route; changes: CommandChange[] } {
  const plan = planRoute(route, robot, table);
  const changes: CommandChange[] = [];
  const steps = plan.map(({ step, angleRad }, stepIndex) => {
    if (step.kind !== 'turn' || angleRad === 0) return step;
    const lead = leadFor(turns, angleRad, step.rateRadPerS);
    if (lead === null || Math.abs(lead - step.leadRad) < LEAST_CHANGE_RAD) return step;
    const leadRad = Math.max(-0.5, Math.min(1.5, lead));
    const sign = Math.sign(angleRad);
    changes.push({
      stepIndex,
      angleRad,
      rateRadPerS: step.rateRadPerS,
      oldCommandRad: sign * (Math.abs(angleRad) - step.leadRad),
      newCommandRad: sign * (Math.abs(angleRad) - leadRad),
    });
    return { ...step, leadRad } satisfies StepOf<'turn'>;
  });
  return { route: { ...route, steps, turnCalibrationId: calibrationId }, changes };
}

/** The robot as measured: its true track and unequal wheels in place of the ruler's. */
export const withDriveCalibration = (robot: Robot, drive: DriveCalibration): Robot => ({
  ...robot,
  trackM: robot.trackM * drive.trackRatio,
  errors: {
    ...robot.errors,
    trackScaleError: 0,
    wheelDifference: drive.rightWheelFactor / drive.leftWheelFactor - 1,
  },
});
