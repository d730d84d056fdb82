import { leadFor } from '../../calibration/turnStop';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { expectedTurnS, turn as controlTurn } from '../../control/turn';
import { isHalfTurn, radiansFromDegrees, turnAngle } from '../../geometry/angle';
import { commandFromRate, rateFromCommand } from '../../program/turnRate';
import { degrees, headingText } from '../../text/quantities';
import type { NewStepPlace, StepKind } from '../kind';
import { exactAngle, exactRate, plainValue } from '../valueWords';
import type { TurnStep } from './schema';

const ADDED = { angleRad: radiansFromDegrees(90), rateRadPerS: radiansFromDegrees(90) };
const WAY = { short: 'the short way', left: 'to the left', right: 'to the right' } as const;

/** How early a new turn stops: as measured; not at all where nobody has measured it. */
function measuredLead({ headingRad, turns }: NewStepPlace): number {
  if (turns === null) return 0;
  const angleRad = turnAngle(headingRad, ADDED.angleRad, 'short') || ADDED.angleRad;
  return leadFor(turns, angleRad, ADDED.rateRadPerS) ?? 0;
}

export const turn: StepKind<TurnStep> = {
  kind: 'turn',
  label: 'Turn',
  needs: ['left motor', 'right motor', 'heading sensor'],
  isOffered: () => true,
  asAdded: (place) => ({
    kind: 'turn',
    mode: 'to',
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
  describe({ mode, angleRad, direction, rateRadPerS, leadRad }) {
    const target =
      mode === 'to'
        ? `to ${headingText(angleRad)}, ${WAY[direction]}`
        : `by ${degrees(Math.abs(angleRad))} ${angleRad < 0 ? 'to the right' : 'to the left'}`;
    return `Turn ${target}, at ${degrees(rateRadPerS, 0)}/s, stopping ${degrees(leadRad)} early`;
  },
  valueWords: {
    mode: plainValue('turning'),
    angleRad: exactAngle('angle'),
    direction: plainValue('way:'),
    rateRadPerS: exactRate,
    leadRad: (value) => `${exactAngle('stopping')(value)} early`,
  },
  rateRadPerS: ({ rateRadPerS }) => rateRadPerS,
  missionId: () => null,
  drives: false,
  inProgram: {
    // How fast its wheels go.
    speed: {
      isTurn: true,
      told: ({ rateRadPerS }, robot, way) => commandFromRate(robot, 'spin', way, rateRadPerS),
      withCommand(step, robot, way, command) {
        const rateRadPerS = rateFromCommand(robot, 'spin', way, command);
        return rateRadPerS === null || rateRadPerS <= 0 ? null : { ...step, rateRadPerS };
      },
    },
  },
};
