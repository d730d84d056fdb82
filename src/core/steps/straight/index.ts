import { SETTLE_S, timeoutS } from '../../control/settings';
import { settled } from '../../control/rest';
import { expectedStraightS, straight as driveStraight } from '../../control/straight';
import type { StraightStrategy } from '../../control/straight/steering';
import type { Robot } from '../../robot/robot';
import { ahead, drivenInProgram, newGain, STARTING_S } from '../driven';
import type { Leg, StepKind } from '../kind';
import type { StraightStep } from './description';

/** Where nobody has tuned it on the robot. */
const USUAL_BALANCE_GAIN = 5;

/** With which gain the encoders' difference is kept: its own, as tuned, or a usual one. */
export const balanceGain = (
  { balanceGainPerS }: StraightStep,
  { measured: { gains } }: Robot,
): number => balanceGainPerS ?? Math.abs(gains.balance ?? USUAL_BALANCE_GAIN);

/** What keeps it straight. */
function keepOf(step: StraightStep, leg: Leg, robot: Robot): StraightStrategy {
  const { strategy = 'heading-hold', holds = 'planned', gainMPerSPerRad } = step;
  const isPlanned = holds === 'planned';
  switch (strategy) {
    case 'heading-hold':
      return { strategy, gainMPerSPerRad, headingRad: isPlanned ? leg.plannedReadingRad : null };
    case 'encoder-balance': {
      const gainPerS = balanceGain(step, robot);
      return { strategy, gainPerS, differenceM: isPlanned ? leg.balancedM : null };
    }
    case 'open-loop':
      return { strategy };
  }
}

/** Told to stand at full speed it rolls on: while its lag lasts, and while it slows down. */
const rollsOnM = (mPerS: number, { motors: { lagS, maxAccelerationMPerS2 } }: Robot): number =>
  mPerS * lagS + (mPerS * Math.abs(mPerS)) / (2 * maxAccelerationMPerS2);

export const straight: StepKind<StraightStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor'],
  group: 'drive',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'straight',
    distanceM: 0.3,
    speedMPerS: 0.3,
    gainMPerSPerRad: newGain(place),
  }),
  plan({ distanceM, speedMPerS, ramp = true, timeoutS: limitS }, from, robot) {
    const durationS = ramp
      ? expectedStraightS(distanceM, speedMPerS, robot)
      : Math.abs(distanceM) / speedMPerS + STARTING_S + SETTLE_S;
    return {
      to: ahead(from, distanceM + (ramp ? 0 : rollsOnM(Math.sign(distanceM) * speedMPerS, robot))),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: limitS ?? timeoutS(durationS),
      problems: [],
    };
  },
  control(step, leg, robot) {
    const { distanceM, speedMPerS, ramp = true } = step;
    const keep = keepOf(step, leg, robot);
    const { lateM, carriedM = 0, rollsOut = false, fromMPerS = 0, timeoutS: limit } = leg;
    const drivenM = Math.sign(distanceM) * Math.max(0, Math.abs(distanceM) + lateM - carriedM);
    const told = { distanceM: drivenM, speedMPerS, keep, timeoutS: limit, ramp };
    const motion = driveStraight({ ...told, rollsOut, fromMPerS }, robot);
    return rollsOut ? motion : settled(motion);
  },
  byEncoders: ({ distanceM, speedMPerS }) => ({ distanceM, speedMPerS }),
  // What is tried again begins anew; where a condition ends it, or it drives at once at its speed, it rolls out as planned.
  rollsOut: ({ joins = false, ramp = true, until, onTimeout, distanceM, speedMPerS }) =>
    joins && ramp && until === undefined && onTimeout !== 'again'
      ? Math.sign(distanceM) * speedMPerS
      : 0,
  rollsIn: ({ distanceM, ramp = true }) => (ramp ? Math.sign(distanceM) : 0),
  drives: true,
  inProgram: {
    ...drivenInProgram<StraightStep>(),
    leaves: ({ distanceM }) => [{ by: 'travel', distanceM, angleRad: 0 }],
    steering: {
      of: ({ strategy = 'heading-hold', gainMPerSPerRad, speedMPerS }) =>
        strategy === 'heading-hold' ? { gainMPerSPerRad, speedMPerS } : null,
      withGain: (step, gainMPerSPerRad) => ({ ...step, gainMPerSPerRad }),
      withSpeed: (step, speedMPerS) => ({ ...step, speedMPerS }),
      holds: ({ holds = 'planned' }) => holds,
    },
    travel: {
      distanceM: ({ distanceM }) => Math.abs(distanceM),
      withDistance: (step, distanceM) => ({
        ...step,
        distanceM: Math.sign(step.distanceM || 1) * distanceM,
      }),
    },
  },
};
