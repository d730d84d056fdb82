import { approach } from '../control/approach';
import type { Controller } from '../control/controller';
import { rest, settled } from '../control/rest';
import { straight } from '../control/straight';
import { turn } from '../control/turn';
import type { PlannedStep } from '../course/plan';
import type { Robot } from '../robot';

/**
 * The motion of a planned step, as an exported program makes it. `mark` only stands: what it is worth is
 * judged outside.
 *
 * @param startHeadingRad planned heading of the start pose: heading on the table = reading + this
 * @param lateRad how much further a turn goes on this time than the robot's physics would have it
 */
export function controllerOf(
  { step, from, distanceM, angleRad, timeoutS }: PlannedStep,
  robot: Robot,
  startHeadingRad: number,
  lateRad: number,
): Controller {
  const plannedReadingRad = from.headingRad - startHeadingRad;
  const hold = (gainMPerSPerRad: number) => ({
    strategy: 'heading-hold' as const,
    gainMPerSPerRad,
    headingRad: plannedReadingRad,
  });
  switch (step.kind) {
    case 'straight': {
      const { speedMPerS, gainMPerSPerRad } = step;
      return settled(
        straight({ distanceM, speedMPerS, keep: hold(gainMPerSPerRad), timeoutS }, robot),
      );
    }
    case 'turn': {
      const { rateRadPerS, leadRad, mode } = step;
      const how = { school: 'stop-early' as const, rateRadPerS, leadRad: leadRad - lateRad };
      // To a heading: what earlier turns left over is taken out. By an angle: it is not.
      const fromReadingRad = mode === 'to' ? plannedReadingRad : null;
      return settled(turn({ angleRad, how, fromReadingRad, timeoutS }, robot.trackM));
    }
    case 'approach': {
      const { thresholdM, speedMPerS, gainMPerSPerRad } = step;
      return settled(
        approach({ thresholdM, speedMPerS, keep: hold(gainMPerSPerRad), timeoutS }, robot),
      );
    }
    case 'mark':
      return rest(step.dwellS);
  }
}
