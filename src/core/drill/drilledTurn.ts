import { degreesFromRadians } from '../geometry/angle';
import { robotSchema, type Robot } from '../robot/robot';
import type { RandomStream } from '../stats/random';
import { turn } from '../tuning/controllers/turn';
import { firstGain, type GoodGains } from '../tuning/firstGain';
import type { GainVerdict } from '../tuning/judge';
import { simulatedTrace, type WatchedTrace } from '../tuning/simulatedTrace';
import type { DrillCase } from './cause';

/** The same robot for all students: a usual one. */
export const DRILLED: Robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  gyro: { noiseRadPerSqrtS: 0.0005, latencyS: 0.01 },
});

let known: GoodGains | undefined;

/** The gains that are good for it, sought once. */
export function goodForIt(): GoodGains {
  known ??= firstGain(turn, DRILLED) ?? { from: 2, to: 8, middle: 4 };
  return known;
}

/** So often another gain is drawn until the trace is what it should be. */
const TRIES = 40;
const SEEDS = 1e6;

/** A turn with a gain, as the simulator has it. */
export const simulatedTurn = (random: RandomStream, robot: Robot, gain: number): WatchedTrace =>
  simulatedTrace(robot, turn.experiment(robot, gain), Math.floor(random.uniform() * SEEDS));

/**
 * A turn whose trace is judged as it should be: so that what a student is told is what the picture shows.
 *
 * @param gain draws one
 */
export function turnJudged(
  random: RandomStream,
  robot: Robot,
  gain: () => number,
  verdicts: readonly GainVerdict[],
): WatchedTrace {
  let trace = simulatedTurn(random, robot, gain());
  for (let i = 0; i < TRIES; i += 1) {
    const verdict = turn.judge(robot, trace)?.verdict;
    if (verdict !== undefined && verdicts.includes(verdict)) return trace;
    trace = simulatedTurn(random, robot, gain());
  }
  return trace;
}

/** A turn as its log shows it: what is left by the heading sensor and by the encoders, and what the program tells. */
export function caseOfTurn({ tS, error, correction, byEncodersRad }: WatchedTrace): DrillCase {
  const toGo = error.map((rad) => -degreesFromRadians(rad));
  const [first = 0] = byEncodersRad;
  const start = toGo[0] ?? 0;
  return {
    told: 'Turn to the left by 45°: faster, the more is left.',
    charts: [
      {
        title: 'What is left of the turn',
        yTitle: 'left to turn, °',
        curves: [
          { label: 'by the heading sensor', x: tS, y: toGo, is: 'read' },
          {
            label: 'by the encoders',
            x: tS,
            y: byEncodersRad.map((rad) => start - degreesFromRadians(rad - first)),
            is: 'other',
          },
        ],
      },
      {
        title: 'What the program tells the motors',
        yTitle: 'turn at, °/s',
        curves: [{ label: 'told', x: tS, y: correction.map(degreesFromRadians), is: 'told' }],
      },
    ],
  };
}
