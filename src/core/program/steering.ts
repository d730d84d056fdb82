import type { Steering } from '../robot/programWays';

export interface WheelShares {
  /** Of the speed that is told, −1 to 1. */
  left: number;
  right: number;
}

const FULL = 100;

/** What a steering does to the wheels: positive steers to the right, as kits count it. */
const LAWS: Record<Steering, (share: number) => WheelShares> = {
  // The inner wheel slows, stands at half and goes back at full steering.
  'one wheel slows': (share) => ({
    left: share >= 0 ? 1 : 1 + 2 * share,
    right: share >= 0 ? 1 - 2 * share : 1,
  }),
  'one faster, one slower': (share) => ({ left: 1 + share, right: 1 - share }),
};

/** The wheels' speeds as shares of the told one, at a steering of −100 to 100. */
export const steeredWheels = (law: Steering, steering: number): WheelShares =>
  LAWS[law](steering / FULL);

/** The steering at which the robot turns on the spot; null where no steering does. */
export const spinSteering = (law: Steering): number | null =>
  law === 'one wheel slows' ? FULL : null;

/** The steering that makes a difference of 1 m/s between the wheels at a speed: by either law it is twice the share. */
export const steeringPerMPerS = (mPerS: number): number => FULL / (2 * mPerS);

/** The steering at which one wheel stands. */
export const pivotSteering = (law: Steering): number => (law === 'one wheel slows' ? 50 : FULL);
