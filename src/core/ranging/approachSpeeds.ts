import { approachSpread, tooClose, type ApproachPlan } from './approach';

/** One way to drive up to a wall: at one speed, or fast first and slow for the last bit. */
export interface ApproachWay {
  /** The speed at which it stops. */
  speedMPerS: number;
  /** The speed before that; null: it is the same all the way. */
  fastMPerS: number | null;
  /** The gap at which it slows down; null with one speed. */
  slowFromM: number | null;
  timeS: number;
  gapSdM: number;
}

/** Speeds that are looked at, as shares of the fastest. */
const SHARES = [0.1, 0.15, 0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];
/** Slowing down happens so many standard deviations of it before it has to be done. */
const SURE_SDS = 3;

/** The way from one speed to a slower one at a braking. */
const slowingM = (fast: number, slow: number, { latencyS, brakingMPerS2 }: ApproachPlan) =>
  fast * latencyS + (fast ** 2 - slow ** 2) / (2 * brakingMPerS2);

/**
 * How long an approach takes and how far its stops scatter, at one speed and at two: fast up to where it has surely
 * slowed down before the slow part has to decide, then slow. Times are those of the way; starting up costs all alike.
 *
 * @param plan its speed is not looked at
 * @param fastestMPerS up to which speed
 * @returns ways that fit between start and wall, one speed first
 */
export function approachWays(plan: ApproachPlan, fastestMPerS: number): ApproachWay[] {
  const wayM = plan.startGapM - plan.wantedM;
  const plans = SHARES.map((share) => ({ ...plan, speedMPerS: share * fastestMPerS }));
  // A crawl that is read more often than can be computed is nobody's way to arrive.
  const speeds = plans
    .filter((own) => tooClose(own) === null)
    .map((own) => {
      const { speedMPerS } = own;
      const decidesM =
        speedMPerS * plan.latencyS +
        speedMPerS ** 2 / (2 * plan.brakingMPerS2) +
        (plan.confirmations + 1) * speedMPerS * plan.samplePeriodS;
      return { speedMPerS, decidesM, gapSdM: approachSpread(own) };
    });
  const one = speeds
    .filter(({ decidesM }) => decidesM < wayM)
    .map(({ speedMPerS, gapSdM }): ApproachWay => ({
      speedMPerS,
      fastMPerS: null,
      slowFromM: null,
      timeS: wayM / speedMPerS,
      gapSdM,
    }));
  const fast = speeds.at(-1);
  if (fast === undefined) return one;
  const two = speeds.slice(0, -1).flatMap((slow): ApproachWay[] => {
    const slowM =
      slow.decidesM +
      (SURE_SDS * plan.noiseM) / plan.scaleFactor +
      slowingM(fast.speedMPerS, slow.speedMPerS, plan) +
      SURE_SDS * fast.gapSdM;
    if (slowM >= wayM) return [];
    return [
      {
        speedMPerS: slow.speedMPerS,
        fastMPerS: fast.speedMPerS,
        slowFromM: plan.wantedM + slowM,
        timeS: (wayM - slowM) / fast.speedMPerS + slowM / slow.speedMPerS,
        gapSdM: slow.gapSdM,
      },
    ];
  });
  return [...one, ...two];
}

/** The way that scatters least of those that are done in the time at hand; of alike ones the quicker. */
export function bestWithin(ways: readonly ApproachWay[], timeAtHandS: number): ApproachWay | null {
  const [best = null] = ways
    .filter(({ timeS }) => timeS <= timeAtHandS)
    .toSorted((a, b) => a.gapSdM - b.gapSdM || a.timeS - b.timeS);
  return best;
}

/**
 * How much nearer to the wall a robot stands that came askew: its beam meets the wall at a slant and reads further,
 * and its front corner leads.
 *
 * @param readsAtM true distance along the beam at which it is told to stop
 * @param halfWidthM of the bumper
 */
export const askewNearerM = (headingErrorRad: number, readsAtM: number, halfWidthM: number) => ({
  byBeamM: readsAtM * (1 - Math.cos(headingErrorRad)),
  byCornerM: halfWidthM * Math.sin(Math.abs(headingErrorRad)),
});
