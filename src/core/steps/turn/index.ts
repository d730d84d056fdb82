import { leadFor } from '../../calibrationValues/turnStop';
import { settled } from '../../control/rest';
import { timeoutS } from '../../control/settings';
import { expectedTurnS, turn as controlTurn } from '../../control/turn';
import { isHalfTurn, radiansFromDegrees, turnAngle, wrap } from '../../geometry/angle';
import { commandFromRate, rateFromCommand } from '../../program/turnRate';
import type { TurnStrategy } from '../../control/turn/schema';
import { toTable, type Pose } from '../../geometry/pose';
import type { Robot } from '../../robot/robot';
import type { NewStepPlace, StepKind } from '../kind';
import type { TurnStep } from './description';

/** What a program has of it besides its gain. */
const USUAL_PROPORTIONAL = {
  school: 'proportional',
  kd: 0,
  kiPerS2: 0,
  leastRateRadPerS: 0.25,
  integralLimitRadPerS: 0.4,
  settledRad: 0.0175,
  settledRateRadPerS: 0.09,
  settledS: 0.1,
} as const;

const ADDED = { angleRad: radiansFromDegrees(90), rateRadPerS: radiansFromDegrees(90) };

/** How early a new turn stops: as measured; not at all where nobody has measured it. */
function measuredLead({ headingRad, turns, isRepeated = false }: NewStepPlace): number {
  if (turns === null) return 0;
  const toRad = isRepeated ? 0 : turnAngle(headingRad, ADDED.angleRad, 'short');
  const angleRad = toRad || ADDED.angleRad;
  return leadFor(turns, angleRad, ADDED.rateRadPerS) ?? 0;
}

/** Where nobody says otherwise. */
const USUAL = { slowRateRadPerS: 0.6, slowFromRad: 0.5, kpPerS: 4 };

/** The strategy with its values. */
export function howOf(
  step: TurnStep,
  leadRad: number,
  { measured: { gains } }: Robot,
): TurnStrategy {
  const { strategy = 'stop-early', rateRadPerS, slowFromRad = USUAL.slowFromRad } = step;
  const slow = Math.min(step.slowRateRadPerS ?? USUAL.slowRateRadPerS, rateRadPerS);
  const kpPerS = step.kpPerS ?? Math.abs(gains.turn ?? USUAL.kpPerS);
  switch (strategy) {
    case 'stop-early':
      return { school: strategy, rateRadPerS, leadRad };
    case 'encoder':
      return { school: strategy, rateRadPerS, endRateRadPerS: slow };
    case 'two-speed':
      return { school: strategy, rateRadPerS, slowRateRadPerS: slow, slowFromRad, leadRad };
    case 'proportional':
      return { ...USUAL_PROPORTIONAL, rateRadPerS, kpPerS };
  }
}

const isOnSpot = ({ about = 'centre' }: TurnStep): boolean => about === 'centre';

/** Of a turn about a wheel: the way of the axle's middle. */
function wayOf({ about }: TurnStep, from: Pose, angleRad: number, { trackM }: Robot) {
  const leftM = (about === 'left-wheel' ? 1 : -1) * (trackM / 2);
  return {
    centre: toTable(from, { xM: 0, yM: leftM }),
    radiusM: trackM / 2,
    fromRad: from.headingRad - Math.sign(leftM) * (Math.PI / 2),
    sweepRad: angleRad,
  };
}

function endOf(step: TurnStep, from: Pose, angleRad: number, robot: Robot): Pose {
  const headingRad = from.headingRad + angleRad;
  if (isOnSpot(step)) return { ...from, headingRad };
  const { centre, radiusM, fromRad } = wayOf(step, from, angleRad, robot);
  const rad = fromRad + angleRad;
  return {
    xM: centre.xM + radiusM * Math.cos(rad),
    yM: centre.yM + radiusM * Math.sin(rad),
    headingRad,
  };
}

/** Which share of a turn to the left each wheel makes: the left one, and the right one. */
const SHARES = { centre: [-0.5, 0.5], 'left-wheel': [0, 1], 'right-wheel': [-1, 0] } as const;
export const sharesOf = ({ about = 'centre' }: TurnStep): readonly [number, number] =>
  SHARES[about];

/** How far each wheel rolls in it. */
function rollsOf(step: TurnStep, angleRad: number, { trackM }: Robot) {
  const [left, right] = sharesOf(step);
  return { leftM: left * angleRad * trackM, rightM: right * angleRad * trackM };
}

/** By how much it turns from a heading on the table, where nothing ends it before. */
export const angleOf = ({ mode, angleRad, direction }: TurnStep, fromHeadingRad: number): number =>
  mode === 'by' ? angleRad : turnAngle(fromHeadingRad, angleRad, direction);

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
  plan(step, from, robot) {
    const { mode, direction } = step;
    const angleRad = angleOf(step, from.headingRad);
    const durationS = expectedTurnS(howOf(step, step.leadRad, robot), angleRad);
    const doubtful =
      mode === 'to' && direction === 'short' && isHalfTurn(from.headingRad, step.angleRad);
    return {
      to: endOf(step, from, angleRad, robot),
      distanceM: 0,
      angleRad,
      durationS,
      timeoutS: step.timeoutS ?? timeoutS(durationS),
      problems: doubtful ? ['half-turn'] : [],
      ...(!isOnSpot(step) && { trail: [{ arc: wayOf(step, from, angleRad, robot) }] }),
    };
  },
  control(step, leg, robot) {
    const { mode, about = 'centre' } = step;
    const how = howOf(step, step.leadRad - leg.lateRad, robot);
    // To a heading: what earlier turns left over is taken out. By an angle: it is not.
    const fromReadingRad = mode === 'to' ? leg.plannedReadingRad : null;
    const { timeoutS: limit } = leg;
    // One that does not stop early goes on by so much all the same.
    const lateRad = how.school === 'encoder' ? leg.lateRad : 0;
    const ownRad = robot.program.headingScale * angleOf(step, leg.fromHeadingRad);
    const angleRad = ownRad + Math.sign(ownRad) * lateRad;
    return settled(
      controlTurn({ angleRad, how, fromReadingRad, timeoutS: limit, about }, robot.trackM),
    );
  },
  teaches: (step) =>
    step.mode === 'by'
      ? []
      : [
          {
            placed: 'so that it looks where it should turn to',
            of: 'heading',
            with: (headingRad) => ({ ...step, angleRad: wrap(headingRad) }),
          },
        ],
  stopsTurningAt: (step) => {
    const { strategy = 'stop-early', rateRadPerS } = step;
    const slow = Math.min(step.slowRateRadPerS ?? USUAL.slowRateRadPerS, rateRadPerS);
    // In proportion to what is left it comes to its heading by itself.
    if (strategy === 'proportional') return 0;
    return strategy === 'stop-early' ? rateRadPerS : slow;
  },
  turning: {
    of: (step) =>
      isOnSpot(step) && (step.strategy ?? 'stop-early') === 'stop-early'
        ? { rateRadPerS: step.rateRadPerS, leadRad: step.leadRad }
        : null,
    withLead: (step, leadRad) => ({ ...step, leadRad }),
  },
  drives: false,
  corrects(step, robot) {
    const how = howOf(step, step.leadRad, robot);
    return how.school === 'proportional'
      ? {
          by: 'turn',
          gain: how.kpPerS,
          speed: how.rateRadPerS,
          withSpeed: (rateRadPerS) => ({ ...step, rateRadPerS }),
        }
      : null;
  },
  inProgram: {
    leaves(step, { to, angleRad }, robot) {
      const how = howOf(step, step.leadRad, robot);
      if (how.school === 'encoder') return [{ by: 'wheels', ...rollsOf(step, angleRad, robot) }];
      const leadRad = 'leadRad' in how ? how.leadRad : 0;
      const early = Math.sign(angleRad) * leadRad;
      if (step.mode === 'by') return [{ by: 'turned', angleRad: angleRad - early }];
      return [
        {
          by: 'heading',
          headingRad: to.headingRad - early,
          turns: Math.sign(angleRad),
          ...('settledRad' in how && { withinRad: how.settledRad }),
        },
      ];
    },
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
