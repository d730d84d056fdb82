import { leadFor } from '../../calibrationValues/turnStop';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { expectedTurnS, turn as controlTurn } from '../../control/turn';
import { isHalfTurn, radiansFromDegrees, turnAngle } from '../../geometry/angle';
import { commandFromRate, rateFromCommand } from '../../program/turnRate';
import type { NewStepPlace, StepKind } from '../kind';
import type { TurnStep } from './description';

const ADDED = { angleRad: radiansFromDegrees(90), rateRadPerS: radiansFromDegrees(90) };

/** How early a new turn stops: as measured; not at all where nobody has measured it. */
function measuredLead({ headingRad, turns, isRepeated = false }: NewStepPlace): number {
  if (turns === null) return 0;
  const toRad = isRepeated ? 0 : turnAngle(headingRad, ADDED.angleRad, 'short');
  const angleRad = toRad || ADDED.angleRad;
  return leadFor(turns, angleRad, ADDED.rateRadPerS) ?? 0;
}

export const turn: StepKind<TurnStep> = {
  needs: () => ['left motor', 'right motor', 'heading sensor'],
  group: 'drive',
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'turn',
    mode: place.isRepeated === true ? 'by' : 'to',
    ...ADDED,
    direction: 'short',
    leadRad: measuredLead(place),
  }),
  plan(step, from) {
    const { mode, direction, rateRadPerS, leadRad } = step;
    const angleRad =
      mode === 'by' ? step.angleRad : turnAngle(from.headingRad, step.angleRad, direction);
    const durationS = expectedTurnS({ school: 'stop-early', rateRadPerS, leadRad }, angleRad);
    const doubtful =
      mode === 'to' && direction === 'short' && isHalfTurn(from.headingRad, step.angleRad);
    return {
      to: { ...from, headingRad: from.headingRad + angleRad },
      distanceM: 0,
      angleRad,
      durationS,
      timeoutS: timeoutS(durationS),
      problems: doubtful ? ['half-turn'] : [],
    };
  },
  control({ rateRadPerS, leadRad, mode }, leg, robot) {
    const how = { school: 'stop-early' as const, rateRadPerS, leadRad: leadRad - leg.lateRad };
    // To a heading: what earlier turns left over is taken out. By an angle: it is not.
    const fromReadingRad = mode === 'to' ? leg.plannedReadingRad : null;
    const { angleRad, timeoutS: limit } = leg;
    return settled(controlTurn({ angleRad, how, fromReadingRad, timeoutS: limit }, robot.trackM));
  },
  turning: {
    of: ({ rateRadPerS, leadRad }) => ({ rateRadPerS, leadRad }),
    withLead: (step, leadRad) => ({ ...step, leadRad }),
  },
  drives: false,
  inProgram: {
    // How fast its wheels go.
    speed: {
      isTurn: true,
      commanded: ({ rateRadPerS }, robot, way) => commandFromRate(robot, 'spin', way, rateRadPerS),
      withCommand(step, robot, way, command) {
        const rateRadPerS = rateFromCommand(robot, 'spin', way, command);
        return rateRadPerS === null || rateRadPerS <= 0 ? null : { ...step, rateRadPerS };
      },
    },
  },
};
