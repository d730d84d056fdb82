import { timeoutS } from '../../control/settings';
import { settled } from '../../control/rest';
import { expectedStraightS, straight as driveStraight } from '../../control/straight';
import { ahead, drivenInProgram, newGain } from '../driven';
import { heldHeading, type StepKind } from '../kind';
import type { StraightStep } from './description';

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
  plan({ distanceM, speedMPerS }, from, robot) {
    const durationS = expectedStraightS(distanceM, speedMPerS, robot);
    return {
      to: ahead(from, distanceM),
      distanceM,
      angleRad: 0,
      durationS,
      timeoutS: timeoutS(durationS),
      problems: [],
    };
  },
  control(step, leg, robot) {
    const { distanceM, speedMPerS } = step;
    const keep = heldHeading(step, leg);
    const drivenM = Math.sign(distanceM) * Math.max(0, Math.abs(distanceM) + leg.lateM);
    const { timeoutS: limit } = leg;
    return settled(driveStraight({ distanceM: drivenM, speedMPerS, keep, timeoutS: limit }, robot));
  },
  byEncoders: ({ distanceM, speedMPerS }) => ({ distanceM, speedMPerS }),
  drives: true,
  inProgram: {
    ...drivenInProgram<StraightStep>(),
    travel: {
      distanceM: ({ distanceM }) => Math.abs(distanceM),
      withDistance: (step, distanceM) => ({
        ...step,
        distanceM: Math.sign(step.distanceM || 1) * distanceM,
      }),
    },
  },
};
