import { SHOWN } from '../../control/tuned';
import type { Robot } from '../../robot/robot';
import type { TunedId } from '../../robot/tunedIds';
import type { MotionStep } from '../../steps/descriptions';
import { kindOfStep } from '../../steps/registry';
import type { Check } from './check';

/** A gain, or a speed, that was typed with few digits is still the one that was tuned. */
const SAME_SHARE = 0.005;

interface Correcting {
  by: TunedId;
  gain: number;
  speed: number;
  withSpeed(speed: number): MotionStep;
}

/** Which gain a step corrects itself with; null where it does not. */
function correcting(step: MotionStep, robot: Robot): Correcting | null {
  const { corrects, inProgram } = kindOfStep(step);
  const own = corrects?.(step, robot) ?? null;
  const held = inProgram.steering?.of(step) ?? null;
  if (own !== null || held === null || inProgram.steering === undefined) return own;
  const { withSpeed } = inProgram.steering;
  return {
    by: 'heading-hold',
    gain: held.gainMPerSPerRad,
    speed: held.speedMPerS,
    withSpeed: (speed) => withSpeed(step, speed),
  };
}

/** A tuned gain is used at a speed at which it was found good. */
export const gainElsewhere: Check = ({ step }, { robot }) => {
  const found = correcting(step, robot);
  if (found === null) return [];
  const { by, gain, speed, withSpeed } = found;
  const [tuned, at] = [robot.measured.gains[by], robot.measured.tunedAt[by]];
  const isTuned =
    tuned !== undefined && Math.abs(Math.abs(tuned) - gain) <= SAME_SHARE * Math.abs(tuned);
  if (!isTuned || at === undefined) return [];
  const isWithin = speed >= at.slowest * (1 - SAME_SHARE) && speed <= at.fastest * (1 + SAME_SHARE);
  if (isWithin) return [];
  const { speedText } = SHOWN[by];
  const nearest = speed < at.slowest ? at.slowest : at.fastest;
  return [
    {
      problem: 'gain-at-another-speed',
      sentence: `Its gain was found good from ${speedText(at.slowest)} to ${speedText(at.fastest)}: at ${speedText(speed)} the robot may shake, or correct itself too late.`,
      mend: { words: `Move at ${speedText(nearest)}`, step: withSpeed(nearest) },
    },
  ];
};
